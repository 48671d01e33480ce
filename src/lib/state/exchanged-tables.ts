import {
	mayTake,
	readStock,
	STOCK_FIELDS,
	stockRows,
	type StockRow
} from '../core/clearing/stock-table';
import type { Home } from '../core/model';
import {
	MEAL_FIELDS,
	mealRows,
	mayTakeMeal,
	readMeals,
	type MealRow
} from '../core/rotation/meals-table';
import { PLACE_FIELDS, placeRows, readPlaces, type PlaceRow } from '../core/survey/places-table';
import { matchColumns, type Field, type Table } from '../core/tables';
import { countText } from '../messages/numbers';
import {
	MEAL_FIELD_WORDS,
	mealIssueText,
	PLACE_FIELD_WORDS,
	placeIssueText,
	saidOfPlaceText,
	STOCK_FIELD_WORDS,
	stockIssueText
} from '../messages/tables';
import type { HomeStore } from './home-store.svelte';

/** One row as it is looked at before it is taken in. */
export interface SeenRow {
	/** It counts from 1, the head not counted. */
	readonly row: number;
	readonly name: string;
	/** How many of it, where, when: what else the row says, in columns. */
	readonly cells: readonly string[];
	/** What is wrong with it, in words; none: nothing. */
	readonly wrong: readonly string[];
	readonly isHere: boolean;
	readonly mayTake: boolean;
}
export interface Context {
	/** ISO date. */
	readonly today: string;
	readonly newId: () => string;
}
/** What was read of a table: its rows as they are seen, and how those that can be taken are taken. */
export interface ReadRows {
	readonly rows: readonly SeenRow[];
	readonly take: (store: HomeStore, words: string, context: Context) => void;
}
/** A kind of table that goes out and comes in. */
export interface ExchangedTable {
	readonly title: string;
	readonly fields: readonly Field<string>[];
	readonly fieldWords: Readonly<Record<string, string>>;
	/** The field without which nothing can be read, and its usual head. */
	readonly needs: { readonly field: string; readonly head: string };
	readonly cells: (home: Home) => (string | number)[][];
	readonly read: (
		home: Home,
		table: Table,
		columns: Readonly<Record<string, number>>,
		context: Context
	) => ReadRows;
}

const stockTable: ExchangedTable = {
	title: 'Stock',
	fields: STOCK_FIELDS,
	fieldWords: STOCK_FIELD_WORDS,
	needs: { field: 'name', head: 'name' },
	cells: stockRows,
	read(home, table, columns, { today }) {
		const order = home.dateOrder ?? 'dmy';
		const rows = readStock(home, table, columns as never, { order, today });
		const seen = (row: StockRow): SeenRow => ({
			row: row.row,
			name: row.line.name,
			cells: [
				`${row.line.count}${row.unit === 'pack' ? '' : ` ${row.unit}`}`,
				home.nooks[row.nookId ?? '']?.name ?? 'on the table',
				row.line.printed?.on ?? ''
			],
			wrong: row.issues.map(stockIssueText),
			isHere: row.isHere,
			mayTake: mayTake(row)
		});
		return {
			rows: rows.map(seen),
			take(store, words, context) {
				const taken = rows.filter(mayTake).map(({ line, unit, nookId }) => ({
					line,
					unit,
					nookId,
					thingId: context.newId(),
					lotId: context.newId()
				}));
				store.run(words, 'bringStock', taken as never, context.today);
			}
		};
	}
};

const placesTable: ExchangedTable = {
	title: 'Places',
	fields: PLACE_FIELDS,
	fieldWords: PLACE_FIELD_WORDS,
	needs: { field: 'name', head: 'place' },
	cells: placeRows,
	read(home, table, columns) {
		const rows = readPlaces(home, table, columns as never);
		const isFine = (row: PlaceRow) => !row.isHere && !row.issues.length;
		return {
			rows: rows.map((row) => ({
				row: row.row,
				name: row.name,
				cells: [row.nookId ? 'changed' : 'new', row.cabinet, saidOfPlaceText(row.said)],
				wrong: row.issues.map(placeIssueText),
				isHere: row.isHere,
				mayTake: isFine(row)
			})),
			take: (store, words, { newId }) =>
				void store.run(words, 'bringPlaces', rows.filter(isFine) as never, newId())
		};
	}
};

const mealsTable: ExchangedTable = {
	title: 'Meals',
	fields: MEAL_FIELDS,
	fieldWords: MEAL_FIELD_WORDS,
	needs: { field: 'name', head: 'meal' },
	cells: mealRows,
	read(home, table, columns) {
		const rows = readMeals(home, table, columns as never);
		const seen = (row: MealRow): SeenRow => ({
			row: row.row,
			name: row.name,
			cells: [
				row.meal.id ? 'changed' : 'new',
				`serves ${row.meal.servings}`,
				countText(row.meal.ingredients.length, 'ingredient')
			],
			wrong: row.issues.map(mealIssueText),
			isHere: row.isHere,
			mayTake: mayTakeMeal(row)
		});
		return {
			rows: rows.map(seen),
			take: (store, words, { newId }) =>
				void store.run(words, 'bringMeals', rows.filter(mayTakeMeal) as never, newId())
		};
	}
};

/** The tables that go out and come in, by the key of their choice. */
export const EXCHANGED = { stock: stockTable, places: placesTable, meals: mealsTable } as const;
export type ExchangedKey = keyof typeof EXCHANGED;
export const EXCHANGED_KEYS = Object.keys(EXCHANGED) as ExchangedKey[];

/** The columns of a table by the heads that its kind looks for. */
export const columnsOf = (kind: ExchangedTable, { head }: Table): Record<string, number> =>
	matchColumns(head, kind.fields);
