import { describe, expect, it } from 'vitest';
import { apply, counter, NOW } from '../fixtures/tiny-home';
import { linkFaults, makeHome } from '../model';
import { nooksInOrder } from '.';
import { addTemplate, TEMPLATES } from './templates';

const empty = makeHome({ id: 'new', name: 'New', now: NOW });

describe('rooms to begin with', () => {
	it.each(TEMPLATES.map(({ key }) => key))(
		'%s: cabinets that stand in it, all of it to be measured',
		(key) => {
			const template = TEMPLATES.find((each) => each.key === key)!;
			const home = apply(empty, addTemplate(key, counter('t')));
			expect(linkFaults(home)).toEqual([]);
			expect(Object.values(home.cabinets)).toHaveLength(template.cabinets.length);
			for (const { offsetMm, widthMm } of Object.values(home.cabinets))
				expect(offsetMm + widthMm).toBeLessThanOrEqual(template.widthMm);
			// Sizes are guesses: not one of them was read from a tape.
			for (const { nook } of nooksInOrder(home))
				expect(Object.values(nook.readings).every((readings) => !readings.length)).toBe(true);
		}
	);
	it('stand side by side, with names that are told apart, and nothing comes of what is none', () => {
		const ids = counter('t');
		const two = apply(empty, addTemplate('kitchen', ids), addTemplate('kitchen', ids));
		expect(Object.values(two.rooms).map(({ name }) => name)).toEqual(['Kitchen', 'Kitchen 2']);
		expect(apply(empty, addTemplate('castle', ids))).toEqual(empty);
	});
});
