import {
	checkKind,
	copyOfKind,
	kindColumns,
	outerOf,
	plainKind,
	readKinds,
	withOuter,
	type KindColumns,
	type KindField,
	type KindIssue,
	type KindRow,
	type OuterSize
} from '../core/fitting';
import { toCsv } from '../core/interchange/reports';
import type { ContainerKind, ContainerRole, Home } from '../core/model';
import { readTable, type Table } from '../core/tables';
import { tableText } from '../messages/fitting';
import { countText } from '../messages/numbers';
import type { HomeStore } from './home-store.svelte';

export interface KindsDeskDeps {
	readonly store: () => HomeStore;
	readonly newId: () => string;
}
/** A table that is being brought in: nothing of it is in the home yet. */
interface Coming {
	readonly table: Table;
	readonly columns: KindColumns;
}

/** The kinds of container of a home: looked through, counted, copied, changed, and brought in from a table. */
export class KindsDesk {
	readonly #deps: KindsDeskDeps;
	/** Only what the house has. */
	onlyOwned = $state(false);
	/** null: all forms. */
	role = $state.raw<ContainerRole | null>(null);
	words = $state('');
	#draft = $state.raw<ContainerKind | null>(null);
	#coming = $state.raw<Coming | null>(null);
	/** Why the last table could not be read. */
	trouble = $state('');

	constructor(deps: KindsDeskDeps) {
		this.#deps = deps;
	}
	get home(): Home {
		return this.#deps.store().home;
	}
	#all = $derived.by(() => Object.values(this.home.containerKinds));
	get isEmpty(): boolean {
		return this.#all.length === 0;
	}
	/** Those that are asked for: what the house has first, then by form, name and size. */
	kinds = $derived.by((): readonly ContainerKind[] => {
		const words = this.words.trim().toLowerCase();
		return this.#all
			.filter(
				({ owned, role, name }) =>
					(!this.onlyOwned || owned > 0) &&
					(this.role === null || role === this.role) &&
					name.toLowerCase().includes(words)
			)
			.sort(
				(a, b) =>
					Number(!a.owned) - Number(!b.owned) ||
					a.role.localeCompare(b.role) ||
					a.name.localeCompare(b.name, 'en') ||
					outerOf(a).widthMm - outerOf(b).widthMm
			);
	});
	get owned(): number {
		return this.#all.reduce((sum, { owned }) => sum + owned, 0);
	}

	addUsual(): void {
		this.#deps.store().run('usual containers', 'addUsualKinds');
	}
	/** One more or one less of a kind in the house, as they are counted by taps. */
	count(kind: ContainerKind, by: number): void {
		this.setOwned(kind, kind.owned + by);
	}
	setOwned(kind: ContainerKind, owned: number): void {
		if (owned !== kind.owned)
			this.#deps.store().run(`${kind.name} owned`, 'setOwned', kind.id, owned);
	}
	remove(kind: ContainerKind): void {
		this.#draft = null;
		this.#deps.store().run(`delete ${kind.name}`, 'removeKind', kind.id);
	}

	/** The kind that is being written; null: none. */
	get draft(): ContainerKind | null {
		return this.#draft;
	}
	/** What keeps the kind that is being written from being saved. */
	issues = $derived.by((): readonly (KindIssue | { readonly code: 'no-name' })[] =>
		this.#draft
			? [
					...(this.#draft.name.trim() ? [] : [{ code: 'no-name' as const }]),
					...checkKind(this.#draft)
				]
			: []
	);
	begin(): void {
		this.#draft = plainKind(this.#deps.newId());
	}
	copy(kind: ContainerKind): void {
		this.#draft = copyOfKind(kind, this.#deps.newId());
	}
	edit(kind: ContainerKind): void {
		this.#draft = kind;
	}
	write(change: Partial<ContainerKind>): void {
		if (this.#draft) this.#draft = { ...this.#draft, ...change };
	}
	/** A whole number as it was typed, within what it may be; what is none is the least. */
	writeWhole(field: keyof typeof WHOLE, text: string): void {
		const [least, most] = WHOLE[field];
		this.write({ [field]: Math.max(least, Math.min(most, Math.round(Number(text) || least))) });
	}
	/** An outer side; base and inside follow until they were told apart from it. */
	writeOuter(side: keyof OuterSize, mm: number): void {
		if (this.#draft) this.#draft = withOuter(this.#draft, side, mm);
	}
	cancel(): void {
		this.#draft = null;
	}
	/** Saves the kind that is being written, if nothing is wrong with it. */
	save(): void {
		const draft = this.#draft;
		if (!draft || this.issues.length) return;
		this.#deps.store().run(`container ${draft.name}`, 'saveKinds', [draft]);
		this.#draft = null;
	}

	/** Reads a table of containers; what it says is shown before anything is written. */
	bring(text: string): void {
		const read = readTable(text);
		this.trouble = read.ok ? '' : tableText(read.code);
		this.#coming = read.ok ? { table: read.table, columns: kindColumns(read.table) } : null;
	}
	get coming(): Coming | null {
		return this.#coming;
	}
	/** Says which column a field is in; −1: in none. */
	match(field: KindField, column: number): void {
		if (this.#coming)
			this.#coming = {
				...this.#coming,
				columns: { ...this.#coming.columns, [field]: column }
			};
	}
	/** The rows as they would come in, each with what is wrong with it. */
	rows = $derived.by((): readonly KindRow[] => {
		const coming = this.#coming;
		if (!coming) return [];
		const known = new Map(this.#all.map((kind) => [kind.name, kind]));
		return readKinds(coming.table, coming.columns, this.home.units, this.#deps.newId, known);
	});
	sound = $derived.by(() => this.rows.flatMap(({ kind }) => kind ?? []));
	/** Takes in the sound rows, as one step; the others stay out. */
	take(): void {
		if (!this.sound.length) return;
		this.#deps.store().run(countText(this.sound.length, 'container kind'), 'saveKinds', this.sound);
		this.#coming = null;
	}
	leaveOut(): void {
		this.#coming = null;
		this.trouble = '';
	}

	/** All kinds as a table that can be taken in again. */
	csv(): string {
		return toCsv([
			CSV_HEAD,
			...this.#all.map((kind) => [
				kind.name,
				`${kind.outerTop.widthMm} mm`,
				`${kind.outerTop.depthMm} mm`,
				`${kind.heightMm} mm`,
				`${kind.inner.widthMm} mm`,
				`${kind.inner.depthMm} mm`,
				`${kind.inner.heightMm} mm`,
				`${kind.outerBase.widthMm} mm`,
				`${kind.outerBase.depthMm} mm`,
				kind.role,
				(kind.priceMinor / 100).toFixed(2),
				kind.owned,
				...[kind.lid, kind.stack, kind.nest, kind.clear, kind.airtight, kind.turn].map((is) =>
					is ? 'yes' : 'no'
				),
				kind.shape,
				kind.massG,
				kind.shop,
				kind.cells,
				kind.cutTo?.widthMm ?? '',
				kind.cutTo?.depthMm ?? '',
				kind.look,
				kind.soldBy
			])
		]);
	}
}

/** Whole numbers of a kind, each with its least and its most. */
export const WHOLE = { cells: [1, 24], soldBy: [1, 100], owned: [0, 999] } as const;

const CSV_HEAD = [
	'Name',
	'Width',
	'Depth',
	'Height',
	'Inner width',
	'Inner depth',
	'Inner height',
	'Base width',
	'Base depth',
	'Form',
	'Price',
	'Owned',
	'Lid',
	'Stacks',
	'Nests',
	'Clear',
	'Airtight',
	'Turns',
	'Shape',
	'Mass, g',
	'Sold at',
	'Compartments',
	'Cut to, width',
	'Cut to, depth',
	'Look',
	'Packs of'
];
