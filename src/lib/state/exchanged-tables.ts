import { mayTake, readStock, STOCK_FIELDS, stockRows } from '../core/clearing/stock-table';
import type { Home } from '../core/model';
import { MEAL_FIELDS, mealRows, mayTakeMeal, readMeals } from '../core/rotation/meals-table';
import { PLACE_FIELDS, placeRows, readPlaces } from '../core/survey/places-table';
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

/** What is known of each row of a kind of table, besides what all rows have. */
interface OfRows<Row> {
	readonly rows: readonly Row[];
	readonly mayTake: (row: Row) => boolean;
	readonly cells: (row: Row) => readonly string[];
	readonly wrong: (row: Row) => readonly string[];
	readonly take: (rows: readonly Row[], store: HomeStore, words: string, context: Context) => void;
}
/** Rows of a kind of table as they are seen, and how those that may be are taken. */
function readRows<Row extends Pick<SeenRow, 'row' | 'isHere'> & { readonly name: string }>({
	rows,
	mayTake,
	cells,
	wrong,
	take
}: OfRows<Row>): ReadRows {
	return {
		rows: rows.map((row) => ({
			row: row.row,
			name: row.name,
			isHere: row.isHere,
			cells: cells(row),
			wrong: wrong(row),
			mayTake: mayTake(row)
		})),
		take: (store, words, context) => take(rows.filter(mayTake), store, words, context)
	};
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
		return readRows({
			rows: rows.map((row) => ({ ...row, name: row.line.name })),
			mayTake,
			cells: ({ line, unit, nookId }) => [
				`${line.count}${unit === 'pack' ? '' : ` ${unit}`}`,
				home.nooks[nookId ?? '']?.name ?? 'on the table',
				line.printed?.on ?? ''
			],
			wrong: ({ issues }) => issues.map(stockIssueText),
			take(own, store, words, { newId, today: on }) {
				const taken = own.map(({ line, unit, nookId }) => ({
					line,
					unit,
					nookId,
					thingId: newId(),
					lotId: newId()
				}));
				store.run(words, 'bringStock', taken as never, on);
			}
		});
	}
};

const placesTable: ExchangedTable = {
	title: 'Places',
	fields: PLACE_FIELDS,
	fieldWords: PLACE_FIELD_WORDS,
	needs: { field: 'name', head: 'place' },
	cells: placeRows,
	read: (home, table, columns) =>
		readRows({
			rows: readPlaces(home, table, columns as never),
			mayTake: ({ isHere, issues }) => !isHere && !issues.length,
			cells: ({ nookId, cabinet, said }) => [
				nookId ? 'changed' : 'new',
				cabinet,
				saidOfPlaceText(said)
			],
			wrong: ({ issues }) => issues.map(placeIssueText),
			take: (own, store, words, { newId }) =>
				void store.run(words, 'bringPlaces', own as never, newId())
		})
};

const mealsTable: ExchangedTable = {
	title: 'Meals',
	fields: MEAL_FIELDS,
	fieldWords: MEAL_FIELD_WORDS,
	needs: { field: 'name', head: 'meal' },
	cells: mealRows,
	read: (home, table, columns) =>
		readRows({
			rows: readMeals(home, table, columns as never),
			mayTake: mayTakeMeal,
			cells: ({ meal }) => [
				meal.id ? 'changed' : 'new',
				`serves ${meal.servings}`,
				countText(meal.ingredients.length, 'ingredient')
			],
			wrong: ({ issues }) => issues.map(mealIssueText),
			take: (own, store, words, { newId }) =>
				void store.run(words, 'bringMeals', own as never, newId())
		})
};

/** The tables that go out and come in, by the key of their choice. */
export const EXCHANGED = { stock: stockTable, places: placesTable, meals: mealsTable } as const;
export type ExchangedKey = keyof typeof EXCHANGED;
export const EXCHANGED_KEYS = Object.keys(EXCHANGED) as ExchangedKey[];

/** The columns of a table by the heads that its kind looks for. */
export const columnsOf = (kind: ExchangedTable, { head }: Table): Record<string, number> =>
	matchColumns(head, kind.fields);
