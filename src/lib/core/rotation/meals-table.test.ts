import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, counter, NOW } from '../fixtures/tiny-home';
import { toCsv } from '../interchange/reports';
import type { Home } from '../model';
import { readTable } from '../tables';
import {
	bringMeals,
	mayTakeMeal,
	mealColumns,
	mealRows,
	readMeals,
	type MealRow
} from './meals-table';

const demo = demoHome(NOW);
const read = (home: Home, text: string): MealRow[] => {
	const result = readTable(text);
	if (!result.ok) throw new Error(result.code);
	return readMeals(home, result.table, mealColumns(result.table));
};
const take = (home: Home, rows: readonly MealRow[]) =>
	apply(home, bringMeals(rows.filter(mayTakeMeal), counter('m')));
const plain = (home: Home) =>
	Object.values(home.meals)
		.map(({ name, servings, timesPerMonth, slots, ingredients }) =>
			JSON.stringify([name, servings, timesPerMonth, [...slots].sort(), ingredients])
		)
		.sort();

describe('meals as a table', () => {
	const text = toCsv(mealRows(demo));
	it('go out and come in again without a change', () => {
		const rows = read(demo, text);
		expect(rows).toHaveLength(Object.keys(demo.meals).length);
		expect(rows.every(({ isHere }) => isHere)).toBe(true);
	});
	it('fill a home that has the things and no meals', () => {
		const bare = { ...demo, meals: {}, plannedMeals: {} } as Home;
		expect(plain(take(bare, read(bare, text)))).toEqual(plain(demo));
	});
	it('change a meal that is here, without touching what is not said', () => {
		const meal = Object.values(demo.meals).find(({ ingredients }) => ingredients.length > 1)!;
		const [first] = meal.ingredients;
		const thing = demo.things[first!.thingId]!.name;
		const rows = read(
			demo,
			toCsv([
				['meal', 'ingredient', 'packs'],
				[meal.name, thing, '0,25']
			])
		);
		const next = take(demo, rows).meals[meal.id]!;
		expect(next).toEqual({ ...meal, ingredients: [{ thingId: first!.thingId, packs: 0.25 }] });
	});
	it('an empty name goes on with the meal above; one that is not here is left out of it', () => {
		const [a, b] = Object.values(demo.things).map(({ name }) => name);
		const table = toCsv([
			['Meal', 'Serves', 'When', 'Ingredient'],
			['Odd pie', '3', 'dinner', a!],
			['', '', '', b!],
			['', '', '', 'unobtainium']
		]);
		const [row] = read(demo, table);
		expect(row).toMatchObject({ row: 1, isHere: false, meal: { servings: 3, slots: ['supper'] } });
		expect(row!.meal.ingredients).toHaveLength(2);
		expect(row!.issues).toEqual([{ code: 'unknown-thing', text: 'unobtainium' }]);
		expect(mayTakeMeal(row!)).toBe(true);
	});
	it('names what cannot be', () => {
		const codes = read(
			demo,
			'meal,servings,times a month,when,packs,ingredient\n,2,,,,\nPie,none,,,,\nFlan,,-1,,,\nTart,,,midnight,,\n'
		).map(({ name, issues }) => [name, ...issues.map(({ code }) => code)]);
		expect(codes).toEqual([
			['', 'no-name'],
			['Pie', 'bad-figure'],
			['Flan', 'bad-figure'],
			['Tart', 'bad-slot']
		]);
	});
});
