import { describe, expect, it } from 'vitest';
import rows from '../../../../data/tail.json';
import { CATEGORIES } from '../model';
import { kindChoices, kindOf } from '.';
import { likelyKinds } from './tail';

describe('proposals for names outside the lexicon', () => {
	it('are of kinds that there are, and no name is proposed twice', () => {
		const codes = new Set(CATEGORIES.map(({ code }) => code));
		expect(Object.keys(rows).filter((code) => !codes.has(code))).toEqual([]);
		const names = Object.values(rows).flatMap((list) => list.split(','));
		expect(new Set(names).size).toBe(names.length);
	});
	it('go by the whole name, then by its last words, and never make an answer sure', () => {
		expect(likelyKinds(['glockenspiel'])).toEqual(['home.electrics']);
		expect(likelyKinds(['old', 'glockenspiel'])).toEqual(['home.electrics']);
		expect(likelyKinds(['quux'])).toEqual([]);
		for (const name of ['glockenspiel', 'barbiturate', 'oxacillin'])
			expect(kindOf(name).sure && !kindOf(name).hazards.length, name).toBe(false);
	});
	it('offer at most three kinds, the likeliest first', () => {
		expect(kindChoices('borage oil').length).toBeLessThanOrEqual(3);
		expect(kindChoices('plain flour')).toEqual(['food.baking']);
		expect(kindChoices('quux')).toEqual([]);
	});
});
