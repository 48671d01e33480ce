import { describe, expect, it } from 'vitest';
import { demoHome } from '../data/demo';
import { NOW } from '../core/fixtures/tiny-home';
import { buildZoneModel, placesOfLots } from '../core/zoning';
import { rulesAgainst } from '../core/zoning/rules-against';
import { hardText, ruledOutText, tellingRules } from './rules';
import { lotText, notesText } from './notes';
import { listText } from './numbers';

const demo = demoHome(NOW);

describe('words of a plan', () => {
	it('shorten a list only where it is too long', () => {
		expect(listText(['cups', 'mugs'], 2)).toBe('cups, mugs');
		expect(listText(['cups', 'mugs', 'jugs', 'cans'], 2)).toBe('cups, mugs and 2 more');
		expect(listText([], 2)).toBe('');
	});
	it('say what is carried of a lot, in its unit', () => {
		expect(lotText('bath towels', 3, { unit: 'pack', count: 8 }, true)).toBe('3 of 8 bath towels');
		expect(lotText('bath towels', 8, { unit: 'pack', count: 8 }, false)).toBe('8 bath towels');
		expect(lotText('milk', 0.5, { unit: 'pack', count: 0.5 }, false)).toBe('0.5 milk');
		expect(lotText('flour', 750, { unit: 'g', count: 750 }, false)).toBe('750 g flour');
		expect(lotText('soup', 1, { unit: 'meal', count: 1 }, false)).toBe('1 meal of soup');
		// A lot that an earlier step makes is not there yet.
		expect(lotText('bath towels', 3, undefined, false)).toBe('3 bath towels');
	});
	it('name on a note only what stands there, and how many of what stands elsewhere too', () => {
		const plan = ['tall-1', 'tall-2'].map(
			(nookId) => ({ groupId: 'towels', nookId, share: 0.5 }) as never
		);
		const shares = placesOfLots(demo, 'towels', plan);
		const notes = ['tall-1', 'tall-2'].map((nookId) => notesText(shares, nookId, 9));
		const counts = notes.flatMap((note) =>
			[...note.matchAll(/bath towels \((\d+) of 8\)/g)].map(([, n]) => Number(n))
		);
		const whole = notes.filter((note) => /bath towels(,|$)/.test(note)).length;
		expect(counts.reduce((a, b) => a + b, 0) + 8 * whole).toBe(8);
		for (const name of ['hand towels', 'flannels', 'bath mats'])
			expect(notes.some((note) => note.includes(name))).toBe(true);
	});
	it('blame a thing by name, and leave out what goes without saying', () => {
		const model = buildZoneModel(demo);
		const g = model.parts.findIndex(({ figures }) => figures.groupId === 'appliances');
		const rules = rulesAgainst(model, g);
		const blamed = rules.find(({ thingId }) => thingId)!;
		expect(ruledOutText(blamed, 73, demo)).toBe(
			`${blamed.nooks} of 73 places: ${hardText(blamed.code)} (Because of the ${demo.things[blamed.thingId!]!.name}.)`
		);
		const plain = rules.filter(({ code }) => code === 'not-measured' || code === 'reserved');
		expect(plain.length).toBeGreaterThan(0);
		for (const rule of plain) expect(tellingRules(rules)).not.toContain(rule);
		expect(tellingRules(rules).length).toBeLessThanOrEqual(2);
	});
});
