import {
	mayTake,
	readStock,
	STOCK_FIELDS,
	stockColumns,
	stockRows,
	type StockColumns,
	type StockField,
	type StockRow
} from '../core/clearing/stock-table';
import { toCsv } from '../core/interchange/reports';
import type { Home } from '../core/model';
import { readTable, type Table } from '../core/tables';
import { tableText } from '../messages/fitting';
import { countText } from '../messages/numbers';
import type { HomeStore } from './home-store.svelte';

export interface TablesDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO date. */
	readonly today: () => string;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}

/** Stock as a table, out and in: columns matched, each row looked at, nothing written until it is confirmed. */
export class TablesDesk {
	readonly #deps: TablesDeps;
	#table = $state.raw<Table | null>(null);
	#columns = $state.raw<StockColumns | null>(null);
	/** Why nothing was read. */
	wrong = $state('');

	constructor(deps: TablesDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	/** All stock as CSV; cells that a spreadsheet would run are escaped. */
	csv(): string {
		return toCsv(stockRows(this.home));
	}
	readonly fields = STOCK_FIELDS.map(({ name }) => name);
	get heads(): readonly string[] {
		return this.#table?.head ?? [];
	}
	bring(text: string): void {
		this.drop();
		const read = readTable(text);
		if (!read.ok) {
			this.wrong = tableText(read.code);
			return;
		}
		const columns = stockColumns(read.table);
		[this.#table, this.#columns] = [read.table, columns];
		if (columns.name < 0) this.wrong = 'No column is headed “name”. Say which one has the names.';
	}
	drop(): void {
		[this.#table, this.#columns, this.wrong] = [null, null, ''];
	}
	columnOf(field: StockField): number {
		return this.#columns?.[field] ?? -1;
	}
	/** Says which column a field is in; −1: none. */
	setColumn(field: StockField, column: number): void {
		if (!this.#columns) return;
		this.#columns = { ...this.#columns, [field]: column };
		this.wrong = '';
	}
	/** Each row as it would be taken; null: no table is at hand. */
	rows = $derived.by((): readonly StockRow[] | null => {
		if (!this.#table || !this.#columns || this.#columns.name < 0) return null;
		const context = { order: this.home.dateOrder ?? 'dmy', today: this.#deps.today() } as const;
		return readStock(this.home, this.#table, this.#columns, context);
	});
	taken = $derived.by(() => this.rows?.filter(mayTake) ?? []);
	here = $derived.by(() => this.rows?.filter(({ isHere }) => isHere).length ?? 0);
	bad = $derived.by(() => this.rows?.filter((row) => row.issues.length > 0) ?? []);
	/** Takes the rows that can be taken, as one step. */
	confirm(): void {
		const { taken } = this;
		if (!taken.length) return;
		const rows = taken.map(({ line, unit, nookId }) => ({
			line,
			unit,
			nookId,
			thingId: this.#deps.newId(),
			lotId: this.#deps.newId()
		}));
		const words = `${countText(rows.length, 'row')} of a table taken in`;
		this.#deps.store().run(words, 'bringStock', rows as never, this.#deps.today());
		this.#deps.said(`${words}.`);
		this.drop();
	}
}
