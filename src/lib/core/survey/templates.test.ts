import { describe, expect, it } from 'vitest';
import { apply, counter, NOW } from '../fixtures/tiny-home';
import { linkFaults, makeHome } from '../model';
import { freeSpot, nooksInOrder, placeStation } from '.';
import { addTemplate, addUsualRoom, TEMPLATES } from './templates';

const empty = makeHome({ id: 'new', name: 'New', now: NOW });

describe('rooms to begin with', () => {
	it.each(TEMPLATES.map(({ key }) => key))(
		'%s: cabinets that stand in it, all of it to be measured',
		(key) => {
			const template = TEMPLATES.find((each) => each.key === key)!;
			const home = apply(empty, addTemplate(key, counter('t')));
			expect(linkFaults(home)).toEqual([]);
			const meant = template.cabinets.filter((form) => form !== 'cooker');
			expect(Object.values(home.cabinets)).toHaveLength(meant.length);
			for (const { offsetMm, widthMm } of Object.values(home.cabinets))
				expect(offsetMm + widthMm).toBeLessThanOrEqual(template.widthMm);
			// Sizes are guesses: not one of them was read from a tape.
			for (const { nook } of nooksInOrder(home))
				expect(Object.values(nook.readings).every((readings) => !readings.length)).toBe(true);
		}
	);
	it('a kitchen has a hob and an oven, with nothing standing where the cooker is', () => {
		const home = apply(empty, addTemplate('kitchen', counter('t')));
		const kinds = Object.values(home.stations).map(({ kind }) => kind);
		expect(kinds).toEqual(expect.arrayContaining(['hob', 'oven', 'sink', 'fridge']));
		const hob = Object.values(home.stations).find(({ kind }) => kind === 'hob')!;
		const low = Object.values(home.cabinets)
			.filter(({ baseMm }) => baseMm < 1000)
			.sort((a, b) => a.offsetMm - b.offsetMm);
		const left = Math.min(...home.rooms[hob.roomId]!.outline.map(({ x }) => x));
		const at = hob.at.x - left;
		for (const { offsetMm, widthMm } of low)
			expect(at < offsetMm || at > offsetMm + widthMm).toBe(true);
		low
			.slice(1)
			.forEach(({ offsetMm }, i) =>
				expect(offsetMm).toBeGreaterThanOrEqual(low[i]!.offsetMm + low[i]!.widthMm)
			);
	});
	it('go on along the near wall of a narrow room, and leave out what has no wall', () => {
		const made = (widthMm: number) =>
			apply(
				empty,
				addUsualRoom('kitchen', { name: 'Galley', widthMm, depthMm: 2000 }, counter('t'))
			);
		const home = made(2000);
		expect(Object.values(home.rooms)[0]!.name).toBe('Galley');
		expect(new Set(Object.values(home.cabinets).map(({ runId }) => runId)).size).toBe(2);
		for (const { offsetMm, widthMm } of Object.values(home.cabinets))
			expect(offsetMm + widthMm).toBeLessThanOrEqual(2000);
		expect(Object.keys(made(700).cabinets).length).toBeLessThan(6);
	});
	it('a new station lies on no other, in whatever room', () => {
		let home = apply(empty, addTemplate('kitchen', counter('t')));
		const roomId = Object.keys(home.rooms)[0]!;
		for (const kind of ['kettle', 'table', 'dishwasher', 'entrance'] as const)
			home = apply(home, placeStation(roomId, kind, freeSpot(home, roomId), counter(kind)));
		const all = Object.values(home.stations);
		for (const [i, a] of all.entries())
			for (const b of all.slice(i + 1))
				expect(Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y)).toBeGreaterThanOrEqual(300);
	});
	it('stand side by side, with names that are told apart, and nothing comes of what is none', () => {
		const ids = counter('t');
		const two = apply(empty, addTemplate('kitchen', ids), addTemplate('kitchen', ids));
		expect(Object.values(two.rooms).map(({ name }) => name)).toEqual(['Kitchen', 'Kitchen 2']);
		expect(apply(empty, addTemplate('castle', ids))).toEqual(empty);
	});
});
