import {
	CATEGORIES,
	LOT_STATES,
	stock,
	UNITS,
	type Edit,
	type Home,
	type Lot,
	type LotState,
	type NookId
} from '../model';
import { nooksInOrder } from '../survey';
import { matchColumns, plainCell, type Field, type Table } from '../tables';
import { parseDay } from './parse-day';
import { parseIntake, type IntakeLine } from './parse-intake';
import type { DateOrder } from './parse-date';
import { takeIn } from './take-in';

/** What a table of stock may say of each row. */
export const STOCK_FIELDS = [
	{ name: 'name', headed: /^(?:name|item|thing|product|what)/i },
	{ name: 'count', headed: /^(?:count|number|how many|qty|quantity|amount)/i },
	{ name: 'unit', headed: /^unit/i },
	{ name: 'place', headed: /^(?:place|shelf|where|location|nook)/i },
	{ name: 'cabinet', headed: /^(?:cabinet|cupboard)/i },
	{ name: 'useBy', headed: /^use[ -]?by/i },
	{ name: 'bestBefore', headed: /^(?:best|bb|expir|date)/i },
	{ name: 'opened', headed: /^open/i },
	{ name: 'frozen', headed: /^fro[sz]en/i },
	{ name: 'thawed', headed: /^thaw/i },
	{ name: 'made', headed: /^made/i },
	{ name: 'price', headed: /^(?:price|cost)/i },
	{ name: 'category', headed: /^(?:category|kind|type)/i },
	{ name: 'states', headed: /^state/i },
	{ name: 'owner', headed: /^owner/i },
	{ name: 'batch', headed: /^batch/i }
] as const satisfies readonly Field<string>[];
export type StockField = (typeof STOCK_FIELDS)[number]['name'];
export type StockColumns = Record<StockField, number>;
export const stockColumns = (table: Table): StockColumns => matchColumns(table.head, STOCK_FIELDS);

/** What is wrong with a row: it is not taken; or, for a place that is not known, it goes on the table. */
export type StockIssue =
	| { readonly code: 'no-name' }
	| { readonly code: 'bad-count' | 'bad-unit' | 'bad-price'; readonly text: string }
	| { readonly code: 'bad-date'; readonly field: StockField; readonly text: string }
	| { readonly code: 'unknown-place'; readonly text: string };

/** A row of the table as stock; it counts from 1, the head not counted. */
export interface StockRow {
	readonly row: number;
	readonly line: IntakeLine;
	readonly unit: Lot['unit'];
	readonly nookId: string | null;
	/** It is here already, just so: it is not taken again. */
	readonly isHere: boolean;
	readonly issues: readonly StockIssue[];
}
/** Whether a row can be taken: what only has no place goes on the table. */
export const mayTake = ({ issues, isHere }: StockRow): boolean =>
	!isHere && issues.every(({ code }) => code === 'unknown-place');

const HEAD: readonly StockField[] = STOCK_FIELDS.map(({ name }) => name);
const HEADS: Readonly<Record<StockField, string>> = {
	name: 'name',
	count: 'count',
	unit: 'unit',
	place: 'place',
	cabinet: 'cabinet',
	useBy: 'use by',
	bestBefore: 'best before',
	opened: 'opened',
	frozen: 'frozen',
	thawed: 'thawed',
	made: 'made',
	price: 'price',
	category: 'category',
	states: 'states',
	owner: 'owner',
	batch: 'batch'
};

/** Writes all stock as rows of a table with its head, in the order of the walk; what is on the table last. */
export function stockRows(home: Home): (string | number)[][] {
	const order = new Map(nooksInOrder(home).map(({ nook }, i) => [nook.id as string, i]));
	const at = (lot: Lot) => order.get(lot.nookId ?? '') ?? order.size;
	const rows = [...stock(home)].sort(
		(a, b) =>
			at(a) - at(b) ||
			(home.things[a.thingId]?.name ?? '').localeCompare(
				home.things[b.thingId]?.name ?? '',
				'en'
			) ||
			(a.id < b.id ? -1 : 1)
	);
	return [
		HEAD.map((field) => HEADS[field]),
		...rows.map((lot) => {
			const thing = home.things[lot.thingId];
			const nook = home.nooks[lot.nookId ?? ''];
			const { printed, openedOn, frozenOn, thawedOn, madeOn } = lot.dates;
			const cells: Record<StockField, string | number> = {
				name: thing?.name ?? '',
				count: lot.count,
				unit: lot.unit,
				place: nook?.name ?? '',
				cabinet: home.cabinets[nook?.cabinetId ?? '']?.name ?? '',
				useBy: printed?.kind === 'use-by' ? printed.on : '',
				bestBefore: printed?.kind === 'best-before' ? printed.on : '',
				opened: openedOn ?? '',
				frozen: frozenOn ?? '',
				thawed: thawedOn ?? '',
				made: madeOn ?? '',
				price: thing?.priceMinor == null ? '' : (thing.priceMinor / 100).toFixed(2),
				category: thing?.category ?? '',
				states: lot.states.join(' '),
				owner: lot.owner,
				batch: lot.batch
			};
			return HEAD.map((field) => cells[field]);
		})
	];
}

const isCategory = new Set(CATEGORIES.map(({ code }) => code));
const number = (text: string): number => Number(text.replace(/\s/g, '').replace(',', '.'));

/** The lots that are here, by all that a row says of them, each counted. */
function lotsHere(home: Home): Map<string, number> {
	const here = new Map<string, number>();
	for (const lot of stock(home)) {
		const key = printOf(
			home.things[lot.thingId]?.name ?? '',
			lot.count,
			lot.unit,
			lot.nookId,
			lot.dates
		);
		here.set(key, (here.get(key) ?? 0) + 1);
	}
	return here;
}
const printOf = (
	name: string,
	count: number,
	unit: string,
	nookId: string | null,
	{ printed, openedOn, frozenOn, thawedOn, madeOn }: Omit<Lot['dates'], 'lastUsedOn'>
) =>
	[
		name.trim().toLowerCase(),
		count,
		unit,
		nookId,
		printed?.on,
		openedOn,
		frozenOn,
		thawedOn,
		madeOn
	].join('|');

/**
 * Reads the rows of a table as stock; nothing is changed. Dates are read in the order of the home where they are not
 * written year first. A row that says just what a lot here says is that lot, each lot once.
 */
export function readStock(
	home: Home,
	table: Table,
	columns: StockColumns,
	{ order, today }: { readonly order: DateOrder; readonly today: string }
): StockRow[] {
	const here = lotsHere(home);
	const places = nooksInOrder(home);
	const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();
	return table.rows.map((cells, i): StockRow => {
		const cell = (field: StockField) => plainCell(cells[columns[field]] ?? '');
		const issues: StockIssue[] = [];
		const date = (field: StockField, past: boolean): string | null => {
			const text = cell(field);
			if (!text) return null;
			const read = parseDay(text, { order, today, past });
			if (read.ok) return read.on;
			issues.push({ code: 'bad-date', field, text });
			return null;
		};
		const name = cell('name').slice(0, 200);
		if (!name) issues.push({ code: 'no-name' });
		const count = cell('count') ? number(cell('count')) : 1;
		if (!(count > 0 && count <= 1_000_000)) issues.push({ code: 'bad-count', text: cell('count') });
		const unitText = cell('unit').toLowerCase().replace(/s$/, '');
		const unit = UNITS.find((each) => each === (unitText || 'pack'));
		if (!unit) issues.push({ code: 'bad-unit', text: cell('unit') });
		const digits = cell('price').replace(/[^\d.,-]/g, '');
		const price = cell('price') ? (digits ? number(digits) : NaN) : null;
		if (price !== null && !(price >= 0 && price <= 1e6))
			issues.push({ code: 'bad-price', text: cell('price') });
		const found = cell('place')
			? places.filter(
					({ nook, cabinet }) =>
						same(nook.name, cell('place')) &&
						(!cell('cabinet') || same(cabinet.name, cell('cabinet')))
				)
			: [];
		if (cell('place') && !found.length) issues.push({ code: 'unknown-place', text: cell('place') });
		const nookId = found[0]?.nook.id ?? null;
		const useBy = date('useBy', false);
		const bestBefore = date('bestBefore', false);
		const printed = useBy
			? ({ on: useBy, kind: 'use-by' } as const)
			: bestBefore
				? ({ on: bestBefore, kind: 'best-before' } as const)
				: null;
		const dates = {
			printed,
			openedOn: date('opened', true),
			frozenOn: date('frozen', true),
			thawedOn: date('thawed', true),
			madeOn: date('made', true)
		};
		const said = cell('category');
		const guess = parseIntake(name || 'x', { order, today, readings: home.readings }).line.category;
		const states = cell('states')
			.split(/[\s,;]+/)
			.filter((word): word is LotState => (LOT_STATES as readonly string[]).includes(word));
		const line: IntakeLine = {
			...parseIntake('x', { order, today }).line,
			...dates,
			name,
			count,
			states,
			owner: cell('owner').slice(0, 200),
			batch: cell('batch').slice(0, 200),
			priceMinor: price === null || !Number.isFinite(price) ? null : Math.round(price * 100),
			category: isCategory.has(said) ? said : guess
		};
		const key = printOf(name, count, unit ?? '', nookId, dates);
		const left = here.get(key) ?? 0;
		if (left) here.set(key, left - 1);
		return { row: i + 1, line, unit: unit ?? 'pack', nookId, isHere: left > 0, issues };
	});
}

/** One row that is taken in, with the ids of what it may make. */
export interface StockToTake {
	readonly line: IntakeLine;
	readonly unit: Lot['unit'];
	readonly nookId: string | null;
	readonly thingId: string;
	readonly lotId: string;
}
/** Makes the edit that takes rows of a table in: known things get lots, others are made. `today` is an ISO date. */
export function bringStock(rows: readonly StockToTake[], today: string): Edit {
	return (draft) => {
		for (const { line, unit, nookId, thingId, lotId } of rows) {
			takeIn({ line, nookId: nookId as NookId | null, thingId, lotId, today })(draft);
			const lot = draft.lots[lotId];
			if (lot) lot.unit = unit;
		}
	};
}
