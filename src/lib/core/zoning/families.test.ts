import { describe, expect, it } from 'vitest';
import { CATEGORIES } from '../model';
import { FAMILIES, FAMILY_COUNT, familyIndex, familyName, MEETING_PRICES } from './families';

const at = (name: string) => FAMILIES.families.findIndex((family) => family.name === name);
const price = (one: string, two: string) => MEETING_PRICES[at(one) * FAMILY_COUNT + at(two)]!;

describe('families of things', () => {
	it('name kinds that there are, each once, and prices by names that there are', () => {
		const kinds = FAMILIES.families.flatMap((family) => family.kinds);
		const known = new Set(CATEGORIES.map(({ code }) => code));
		expect(kinds.filter((kind) => !known.has(kind))).toEqual([]);
		expect(new Set(kinds).size).toBe(kinds.length);
		const words = new Set(FAMILIES.families.flatMap(({ name, area }) => [name, area]));
		for (const { of } of FAMILIES.meetings)
			for (const word of of) expect(words.has(word), word).toBe(true);
	});
	it('cost the same both ways, and nothing with themselves', () => {
		for (let one = 0; one < FAMILY_COUNT; one++)
			for (let two = 0; two < FAMILY_COUNT; two++)
				expect(MEETING_PRICES[one * FAMILY_COUNT + two]).toBe(
					one === two ? 0 : MEETING_PRICES[two * FAMILY_COUNT + one]
				);
	});
	it('cost little among neighbours and much across', () => {
		expect(price('dry food', 'cans')).toBeLessThan(price('dry food', 'tableware'));
		expect(price('tableware', 'cookware')).toBeLessThan(price('tableware', 'household'));
		expect(price('seasoning', 'medicines')).toBeGreaterThan(price('medicines', 'body care'));
		expect(price('hot drinks', 'tableware')).toBeLessThan(10);
	});
	it('are those of what takes most room', () => {
		const of = (...rows: [string, number][]) =>
			familyName(
				familyIndex({
					things: rows.map(
						([category, mm]) =>
							({ category, piece: { widthMm: mm, depthMm: mm, heightMm: mm } }) as never
					)
				})
			);
		expect(of(['kitchen.pots', 300], ['food.spices', 50])).toBe('cookware');
		expect(of(['food.spices', 60], ['kitchen.tools', 30])).toBe('seasoning');
		expect(of()).toBe('household');
	});
});
