import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bareKitchen, withLines } from '../fixtures/tiny-home';
import { pieceVolumeMl, type Home, type Thing } from '../model';
import { parseIntake } from './parse-intake';

const CONTEXT = { order: 'dmy', today: '2026-03-02' } as const;
const read = (text: string) => parseIntake(text, CONTEXT).line;
const things = (lines: readonly string[]): Thing[] => {
	const home: Home = withLines(bareKitchen(), lines);
	return Object.values(home.things);
};
const litres = (line: string) => pieceVolumeMl(things([line])[0]!) / 1000;

describe('what is typed by weight', () => {
	it.each([
		// Loose, a kilogram of these takes one and a half to three and a half litres.
		['1 kg onions', 1.5, 3.5],
		['2 kg apples', 3, 7],
		['5 kg potatoes', 7, 13],
		['2 kg bananas', 3, 7],
		['1 dog food 12kg sack', 14, 30]
	])('%s has the size of so much', (line, least, most) => {
		expect(litres(line)).toBeGreaterThan(least);
		expect(litres(line)).toBeLessThan(most);
	});
	it('keeps its usual size where it weighs about what is usual', () =>
		expect(things(['1 salt 750g'])[0]!.piece).toEqual(things(['1 salt'])[0]!.piece));
	it('is never larger for less', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 50, max: 20_000 }),
				fc.integer({ min: 50, max: 20_000 }),
				(a, b) => {
					const [less, more] = a < b ? [a, b] : [b, a];
					const [small, large] = [
						litres(`1 plain flour ${less}g`),
						litres(`1 plain flour ${more}g`)
					];
					// Sides are whole millimetres; packs about as heavy as usual are of the usual size.
					expect(small).toBeLessThanOrEqual(large * 1.7);
				}
			),
			{ numRuns: 40 }
		));
});

describe('a thing that comes in two sizes', () => {
	it('is two things: a sack of pet food is no tin', () => {
		const [sack, tins, ...more] = things([
			'1 dog food 12kg sack',
			'6 tins dog food',
			'3 tins dog food'
		]);
		expect(more).toEqual([]);
		expect([sack!.name, tins!.name]).toEqual(['dog food', 'dog food, tins']);
		expect(sack!.massG).toBe(12_000);
		expect(tins!.massG).toBeLessThan(1000);
	});
	it('is named with its size where the other was typed without', () =>
		expect(things(['1 plain flour', '1 plain flour 10kg']).map(({ name }) => name)).toEqual([
			'plain flour',
			'plain flour, 10 kg'
		]));
	it('is one where the packs are about alike', () =>
		expect(things(['1 plain flour 1kg', '2 plain flour 1.5kg'])).toHaveLength(1));
});

describe('words that say two things', () => {
	it.each([
		['6 cups', 'cups', 6, 'kitchen.glasses'],
		['1 stain remover', 'stain remover', 1, 'kitchen.cleaning'],
		['1 rust remover', 'rust remover', 1, 'kitchen.cleaning'],
		['2 mould sprays', 'mould sprays', 2, 'bathroom.cleaning'],
		['4 jars stewed cherries', 'stewed cherries', 4, 'food.cans-fruit'],
		['20 clothes pegs', 'clothes pegs', 20, 'home.laundry']
	])('%s', (text, name, count, category) =>
		expect(read(text)).toMatchObject({ name, count, category })
	);
	it('are two things joined by "and", not a measure of one', () => {
		const { name, size, count } = read('4 cups and saucers');
		expect({ name, size, count }).toEqual({ name: 'cups and saucers', size: null, count: 4 });
	});
	it('are a measure where something is measured', () =>
		expect(read('2 cups flour')).toMatchObject({
			name: 'flour',
			size: { value: 473, unit: 'ml' }
		}));
	it('still are a state where nothing is sold against it', () =>
		expect(read('2 stained tea towels')).toMatchObject({ name: 'tea towels', states: ['worn'] }));
});
