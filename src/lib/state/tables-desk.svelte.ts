import { toCsv } from '../core/interchange/reports';
import type { Home } from '../core/model';
import { readTable, type Table } from '../core/tables';
import { tableText } from '../messages/fitting';
import { countText } from '../messages/numbers';
import {
	columnsOf,
	EXCHANGED,
	type ExchangedKey,
	type ExchangedTable,
	type ReadRows,
	type SeenRow
} from './exchanged-tables';
import type { HomeStore } from './home-store.svelte';

export interface TablesDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
	/** ISO date. */
	readonly today: () => string;
	/** Says what was done, with its own undo. */
	readonly said: (words: string) => void;
}

/** Records as a table, out and in: columns matched, each row looked at, nothing written until it is confirmed. */
export class TablesDesk {
	readonly #deps: TablesDeps;
	#which = $state<ExchangedKey>('stock');
	#table = $state.raw<Table | null>(null);
	#columns = $state.raw<Readonly<Record<string, number>> | null>(null);
	/** Why nothing was read. */
	wrong = $state('');

	constructor(deps: TablesDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	get which(): ExchangedKey {
		return this.#which;
	}
	/** Another kind of table; one that is at hand is read anew as that. */
	set which(key: ExchangedKey) {
		this.#which = key;
		if (this.#table) this.#look(this.#table);
	}
	get kind(): ExchangedTable {
		return EXCHANGED[this.#which];
	}
	/** All of it as CSV; cells that a spreadsheet would run are escaped. */
	csv(): string {
		return toCsv(this.kind.cells(this.home));
	}
	get fields(): readonly string[] {
		return this.kind.fields.map(({ name }) => name);
	}
	get heads(): readonly string[] {
		return this.#table?.head ?? [];
	}
	bring(text: string): void {
		this.drop();
		const read = readTable(text);
		if (read.ok) this.#look(read.table);
		else this.wrong = tableText(read.code);
	}
	#look(table: Table): void {
		const { kind } = this;
		const columns = columnsOf(kind, table);
		[this.#table, this.#columns] = [table, columns];
		const { field, head } = kind.needs;
		this.wrong =
			columns[field]! < 0 ? `No column is headed “${head}”. Say which one has the names.` : '';
	}
	drop(): void {
		[this.#table, this.#columns, this.wrong] = [null, null, ''];
	}
	columnOf(field: string): number {
		return this.#columns?.[field] ?? -1;
	}
	/** Says which column a field is in; −1: none. */
	setColumn(field: string, column: number): void {
		if (!this.#columns) return;
		this.#columns = { ...this.#columns, [field]: column };
		this.wrong = '';
	}
	get #context() {
		return { today: this.#deps.today(), newId: this.#deps.newId };
	}
	#read = $derived.by((): ReadRows | null => {
		const [table, columns, kind] = [this.#table, this.#columns, this.kind];
		if (!table || !columns || columns[kind.needs.field]! < 0) return null;
		return kind.read(this.home, table, columns, this.#context);
	});
	/** Each row as it would be taken; null: no table is at hand. */
	get rows(): readonly SeenRow[] | null {
		return this.#read?.rows ?? null;
	}
	taken = $derived.by(() => this.rows?.filter(({ mayTake }) => mayTake) ?? []);
	here = $derived.by(() => this.rows?.filter(({ isHere }) => isHere).length ?? 0);
	bad = $derived.by(() => this.rows?.filter(({ wrong }) => wrong.length > 0) ?? []);
	/** Takes the rows that can be taken, as one step. */
	confirm(): void {
		const { taken } = this;
		if (!taken.length) return;
		const words = `${countText(taken.length, 'row')} of a table taken in`;
		this.#read?.take(this.#deps.store(), words, this.#context);
		this.#deps.said(`${words}.`);
		this.drop();
	}
}
