import { describe, expect, it } from 'vitest';
import { tinyHome } from '../fixtures/tiny-home';
import { kindOf } from '../kinds';
import { USUAL_THINGS, usualFor } from './usual-things';

describe('things that places usually hold', () => {
	it('are all of a known kind, and stand once in their list', () => {
		for (const { name, things } of USUAL_THINGS) {
			expect(new Set(things).size, name).toBe(things.length);
			expect(
				things.filter((thing) => !kindOf(thing).sure),
				name
			).toEqual([]);
		}
	});
	it('come for the place at hand first, and all of them without one', () => {
		const home = structuredClone(tinyHome());
		expect(usualFor(home, null)).toHaveLength(USUAL_THINGS.length);
		const nook = Object.values(home.nooks)[0]!;
		nook.kind = 'fridge-door';
		nook.name = 'Rack';
		home.cabinets[nook.cabinetId]!.name = 'Cold';
		expect(usualFor(home, nook.id)[0]!.name).toBe('Fridge door');
		nook.kind = 'shelf';
		nook.name = 'Medicine shelf';
		expect(usualFor(home, nook.id)[0]!.name).toBe('Medicine cabinet');
	});
	it('give the bathroom its own', () => {
		const home = structuredClone(tinyHome());
		const nook = Object.values(home.nooks).find(({ kind }) => kind === 'shelf')!;
		home.cabinets[nook.cabinetId]!.form = 'mirror';
		expect(usualFor(home, nook.id)[0]!.room).toBe('bathroom');
	});
});
