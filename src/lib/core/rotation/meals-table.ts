import { MEAL_SLOTS, MealId, type Edit, type Home, type Meal } from '../model';
import { matchColumns, plainCell, type Field, type Table } from '../tables';

/** What a table of meals may say: a row an ingredient, those of one meal under its name. */
export const MEAL_FIELDS = [
	{ name: 'name', headed: /^(?:meal|name|dish|recipe)/i },
	{ name: 'servings', headed: /^(?:serv|portion|people)/i },
	{ name: 'times', headed: /^(?:times|how often|a month)/i },
	{ name: 'slots', headed: /^(?:when|slot|time of)/i },
	{ name: 'ingredient', headed: /^(?:ingredient|thing|item|what)/i },
	{ name: 'packs', headed: /^(?:pack|count|amount|how many|qty|quantity)/i }
] as const satisfies readonly Field<string>[];
export type MealField = (typeof MEAL_FIELDS)[number]['name'];
export type MealColumns = Record<MealField, number>;
export const mealColumns = (table: Table): MealColumns => matchColumns(table.head, MEAL_FIELDS);

/** What is wrong with a row. A thing that is not here is left out of its meal; any other row is left out whole. */
export type MealIssue =
	| { readonly code: 'no-name' }
	| { readonly code: 'bad-figure'; readonly field: MealField; readonly text: string }
	| { readonly code: 'bad-slot' | 'unknown-thing'; readonly text: string };

/** A meal as the table has it, with the row that it begins in; rows count from 1, the head not counted. */
export interface MealRow {
	readonly row: number;
	readonly name: string;
	/** Without an id of its own where it is new. */
	readonly meal: Omit<Meal, 'id'> & { readonly id: string | null };
	/** A meal of that name is here and is just so. */
	readonly isHere: boolean;
	readonly issues: readonly MealIssue[];
}

/** A meal that is cooked, but planned at no time of the day. */
const NEVER = 'not planned';
const MOST_SERVINGS = 100;
const MOST_PACKS = 1000;

/** Writes all meals as rows of a table with its head, by name; a meal without ingredients has one row. */
export function mealRows(home: Home): (string | number)[][] {
	const meals = Object.values(home.meals).sort(
		(a, b) => a.name.localeCompare(b.name, 'en') || (a.id < b.id ? -1 : 1)
	);
	return [
		['meal', 'servings', 'times a month', 'when', 'ingredient', 'packs'],
		...meals.flatMap(({ name, servings, timesPerMonth, slots, ingredients }) => {
			const own = [name, servings, timesPerMonth, slots.join(' ') || NEVER];
			if (!ingredients.length) return [[...own, '', '']];
			return ingredients.map(({ thingId, packs }) => [
				...own,
				home.things[thingId]?.name ?? '',
				packs
			]);
		})
	];
}

const words = (text: string) => text.trim().toLowerCase();
const isSame = (a: Omit<Meal, 'id'>, b: Omit<Meal, 'id'>): boolean => {
	const plain = ({ name, servings, timesPerMonth, slots, ingredients }: Omit<Meal, 'id'>) =>
		JSON.stringify([
			name,
			servings,
			timesPerMonth,
			MEAL_SLOTS.filter((slot) => slots.includes(slot)),
			ingredients
				.map(({ thingId, packs }) => `${thingId}|${packs}`)
				.sort((one, other) => (one < other ? -1 : 1))
		]);
	return plain(a) === plain(b);
};

/**
 * Reads the rows of a table as meals; nothing is changed. Rows of one name are one meal; an empty name goes on with the
 * meal above. What a row does not say is as the meal here has it, or as usual: two servings, twice a month.
 */
export function readMeals(home: Home, table: Table, columns: MealColumns): MealRow[] {
	const known = new Map(Object.values(home.meals).map((meal) => [words(meal.name), meal]));
	const things = new Map(Object.values(home.things).map((thing) => [words(thing.name), thing]));
	interface Reading {
		row: number;
		name: string;
		servings: number;
		times: number;
		slots: Meal['slots'];
		ingredients: { thingId: Meal['ingredients'][number]['thingId']; packs: number }[];
		issues: MealIssue[];
	}
	const found = new Map<string, Reading>();
	const nameless: MealRow[] = [];
	let above = '';
	table.rows.forEach((cells, i) => {
		const cell = (field: MealField) => plainCell(cells[columns[field]] ?? '').slice(0, 200);
		const name = cell('name') || above;
		above = name;
		if (!name) {
			const meal = { id: null, name, servings: 1, timesPerMonth: 0, slots: [], ingredients: [] };
			nameless.push({ row: i + 1, name, meal, isHere: false, issues: [{ code: 'no-name' }] });
			return;
		}
		const own = known.get(words(name));
		const reading: Reading = found.get(words(name)) ?? {
			row: i + 1,
			name: own?.name ?? name,
			servings: own?.servings ?? 2,
			times: own?.timesPerMonth ?? 2,
			slots: own?.slots ?? ['supper'],
			ingredients: [],
			issues: []
		};
		found.set(words(name), reading);
		const figure = (field: MealField, least: number, most: number, otherwise: number): number => {
			const text = cell(field);
			if (!text) return otherwise;
			const value = Number(text.replace(',', '.'));
			if (value >= least && value <= most) return value;
			reading.issues.push({ code: 'bad-figure', field, text });
			return otherwise;
		};
		reading.servings = Math.round(figure('servings', 1, MOST_SERVINGS, reading.servings));
		reading.times = figure('times', 0, MOST_SERVINGS, reading.times);
		if (cell('slots')) {
			const said = words(cell('slots')).split(/[\s,;+&]+/);
			const slots = MEAL_SLOTS.filter((slot) =>
				said.some((word) => word === slot || (word === 'dinner' && slot === 'supper'))
			);
			if (slots.length || words(cell('slots')) === NEVER) reading.slots = slots;
			else reading.issues.push({ code: 'bad-slot', text: cell('slots') });
		}
		const wanted = cell('ingredient');
		if (!wanted) return;
		const thing = things.get(words(wanted));
		const packs = figure('packs', 0, MOST_PACKS, 1);
		if (!thing) reading.issues.push({ code: 'unknown-thing', text: wanted });
		else if (!reading.ingredients.some(({ thingId }) => thingId === thing.id))
			reading.ingredients.push({ thingId: thing.id, packs });
	});
	const rows = [...found.values()].map(
		({ row, name, servings, times, slots, ingredients, issues }): MealRow => {
			const own = known.get(words(name));
			const meal = { name, servings, timesPerMonth: times, slots, ingredients };
			return {
				row,
				name,
				meal: { ...meal, id: own?.id ?? null },
				isHere: !!own && !issues.length && isSame(own, meal),
				issues
			};
		}
	);
	return [...nameless, ...rows];
}

/** Whether a meal of the table can be taken: a thing that is not here is left out of it, no more. */
export const mayTakeMeal = ({ issues, isHere }: MealRow): boolean =>
	!isHere && issues.every(({ code }) => code === 'unknown-thing');

/** Makes the edit that takes meals of a table in; one that is here is changed, others are made. */
export function bringMeals(rows: readonly MealRow[], newId: () => string): Edit {
	return (draft) => {
		for (const { meal } of rows) {
			const id = MealId.parse(meal.id ?? newId());
			draft.meals[id] = { ...meal, id, slots: [...meal.slots], ingredients: [...meal.ingredients] };
		}
	};
}
