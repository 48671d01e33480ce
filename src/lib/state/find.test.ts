import { demoHome } from '../data/demo';
import { describe, expect, it } from 'vitest';
import { bareKitchen, withLines } from '../core/fixtures/tiny-home';
import { find, isKnown, suggestThings } from './find';

const kitchen = bareKitchen();
const [first, second] = Object.keys(kitchen.nooks) as [string, string];
const home = withLines(
	withLines(withLines(kitchen, ['2 cumin', 'chopped tomatoes'], first), ['3 cumin'], second),
	['whisk']
);

describe('finding', () => {
	it('gives a thing once for each place that it stands in, and opens it there', () => {
		const hits = find(home, 'cumi');
		expect(hits.map(({ href }) => href.replace(/&.*/, ''))).toEqual([
			`turn/stock?place=${first}`,
			`turn/stock?place=${second}`
		]);
		expect(hits[0]?.where).toContain(home.nooks[first]!.name);
	});
	it('sends to the table what stands nowhere', () =>
		expect(find(home, 'whisk')[0]).toMatchObject({
			where: 'on the table',
			href: 'clear?place=on-the-table'
		}));
	it('finds places and cabinets as well, forgiving a slip', () => {
		expect(find(home, 'Sink cabinet').map(({ kind }) => kind)).toContain('cabinet');
		expect(find(home, 'tomatos')[0]?.name).toBe('chopped tomatoes');
	});
	it('finds nothing for a letter, nor for what is not there', () =>
		expect([find(home, 'c'), find(home, 'zzzz')]).toEqual([[], []]));
	it('never gives more than asked for', () =>
		expect(find(home, 'cabinet', 2).length).toBeLessThanOrEqual(2));
	it('suggests known things, but not the very name that is typed', () => {
		expect(suggestThings(home, 'chopped').map(({ name }) => name)).toEqual(['chopped tomatoes']);
		expect(suggestThings(home, 'Chopped Tomatoes')).toEqual([]);
		expect([isKnown(home, 'CUMIN'), isKnown(home, 'cum')]).toEqual([true, false]);
	});
});

describe('meals', () => {
	it('are found, with what is missing for them', () => {
		const demo = demoHome('2026-03-02T09:00:00Z');
		const meal = Object.values(demo.meals)[0]!;
		expect(find(demo, meal.name)).toContainEqual(
			expect.objectContaining({
				kind: 'meal',
				name: meal.name,
				where: expect.stringMatching(/^meal, /)
			})
		);
		const bare = { ...demo, lots: {} };
		const found = find(bare, meal.name).find(({ kind }) => kind === 'meal')!;
		expect(found.where).toBe(
			`meal, ${meal.ingredients.length} of ${meal.ingredients.length} things missing`
		);
	});
});
