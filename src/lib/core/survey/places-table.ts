import {
	CABINET_FORMS,
	NOOK_KINDS,
	parseLength,
	type Cabinet,
	type Home,
	type LengthUnit,
	type Nook,
	type NookKind
} from '../model';
import { matchColumns, plainCell, type Field, type Table } from '../tables';
import { CABINET_FORMS_LIST } from './forms';
import { nooksInOrder, type NookPlace } from './place';

/** What a table of places may say of each row. */
export const PLACE_FIELDS = [
	{ name: 'room', headed: /^room/i },
	{ name: 'wall', headed: /^(?:wall|run)/i },
	{ name: 'cabinet', headed: /^(?:cabinet|cupboard|unit|furniture)/i },
	{ name: 'form', headed: /^form/i },
	{ name: 'openingWidth', headed: /^(?:opening|clear).*w/i },
	{ name: 'openingHeight', headed: /^(?:opening|clear).*h/i },
	{ name: 'width', headed: /^(?:w(?:idth)?\b|inside w|inner w)/i },
	{ name: 'depth', headed: /^(?:d(?:epth)?\b|inside d|inner d)/i },
	{ name: 'height', headed: /^(?:h(?:eight)?\b|inside h|inner h)/i },
	{ name: 'fromLeft', headed: /^from left/i },
	{ name: 'fromBase', headed: /^from (?:base|bottom)/i },
	{ name: 'kind', headed: /^(?:kind|type)/i },
	{ name: 'load', headed: /^(?:load|bears|carries)/i },
	{ name: 'name', headed: /^(?:place|name|shelf|drawer|nook)/i }
] as const satisfies readonly Field<string>[];
export type PlaceField = (typeof PLACE_FIELDS)[number]['name'];
export type PlaceColumns = Record<PlaceField, number>;
export const placeColumns = (table: Table): PlaceColumns => matchColumns(table.head, PLACE_FIELDS);

/** What is wrong with a row; it is not taken then. */
export type PlaceIssue =
	| { readonly code: 'no-name' | 'no-cabinet' }
	| {
			readonly code: 'bad-length' | 'bad-load' | 'bad-kind' | 'bad-form';
			readonly field: PlaceField;
			readonly text: string;
	  };

/** What a row says of a place, mm and grams; undefined: it says nothing of it. */
export interface SaidOfPlace {
	readonly widthMm?: number;
	readonly depthMm?: number;
	readonly heightMm?: number;
	readonly openingWidthMm?: number;
	readonly openingHeightMm?: number;
	readonly xMm?: number;
	readonly zMm?: number;
	readonly loadG?: number;
	readonly kind?: NookKind;
}
/** A row of the table as a place; it counts from 1, the head not counted. */
export interface PlaceRow {
	readonly row: number;
	readonly name: string;
	readonly room: string;
	readonly wall: string;
	readonly cabinet: string;
	readonly form: Cabinet['form'];
	/** The place here that the row is of; null: a new one. */
	readonly nookId: string | null;
	readonly said: SaidOfPlace;
	/** The place is here and is just as the row says. */
	readonly isHere: boolean;
	readonly issues: readonly PlaceIssue[];
}

const HEADS: Readonly<Record<PlaceField, string>> = {
	room: 'room',
	wall: 'wall',
	cabinet: 'cabinet',
	form: 'form',
	name: 'place',
	kind: 'kind',
	width: 'width mm',
	depth: 'depth mm',
	height: 'height mm',
	openingWidth: 'opening width mm',
	openingHeight: 'opening height mm',
	fromLeft: 'from left mm',
	fromBase: 'from base mm',
	load: 'load kg'
};
const ORDER: readonly PlaceField[] = [
	'room',
	'wall',
	'cabinet',
	'form',
	'name',
	'kind',
	'width',
	'depth',
	'height',
	'openingWidth',
	'openingHeight',
	'fromLeft',
	'fromBase',
	'load'
];

/** Writes all places as rows of a table with its head, in the order of the walk; sizes in mm, nothing where none is known. */
export function placeRows(home: Home): (string | number)[][] {
	const cells = ({ nook, cabinet, run, room }: NookPlace): Record<PlaceField, string | number> => ({
		room: room.name,
		wall: run.name,
		cabinet: cabinet.name,
		form: cabinet.form,
		name: nook.name,
		kind: nook.kind,
		width: nook.inside.widthMm ?? '',
		depth: nook.inside.depthMm ?? '',
		height: nook.inside.heightMm ?? '',
		openingWidth: nook.opening?.widthMm ?? '',
		openingHeight: nook.opening?.heightMm ?? '',
		fromLeft: nook.at.xMm,
		fromBase: nook.at.zMm,
		load: nook.loadG === null ? '' : nook.loadG / 1000
	});
	return [
		ORDER.map((field) => HEADS[field]),
		...nooksInOrder(home).map((place) => {
			const of = cells(place);
			return ORDER.map((field) => of[field]);
		})
	];
}

const LENGTHS = {
	width: 'widthMm',
	depth: 'depthMm',
	height: 'heightMm',
	openingWidth: 'openingWidthMm',
	openingHeight: 'openingHeightMm',
	fromLeft: 'xMm',
	fromBase: 'zMm'
} as const satisfies Partial<Record<PlaceField, keyof SaidOfPlace>>;

/** The unit that a head names for its column; `otherwise` where it names none. */
function unitOf(head: string, otherwise: LengthUnit): LengthUnit {
	const found = /\b(mm|cm|in|inch(?:es)?)\b/i.exec(head)?.[1]?.toLowerCase();
	return found === 'mm' || found === 'cm' ? found : found ? 'in' : otherwise;
}
/** Names are the same whatever their capitals. */
export const words = (text: string) => text.trim().toLowerCase();
/** The form that the words of a row mean: said as such, or by the name of the cabinet; a base cabinet otherwise. */
function formOf(said: string, cabinet: string): Cabinet['form'] | null {
	const wanted = words(said).replace(/\s+/g, '-');
	const exact = CABINET_FORMS.find((form) => form === wanted);
	if (exact) return exact;
	const byName = (text: string) =>
		CABINET_FORMS_LIST.find(({ name }) => words(text).startsWith(words(name)))?.form ??
		(/fridge/i.test(text)
			? 'fridge'
			: /freezer/i.test(text)
				? 'chest'
				: /drawer/i.test(text)
					? 'drawers'
					: /wall|hang/i.test(text)
						? 'wall'
						: /larder|pantry|tall/i.test(text)
							? 'tall'
							: null);
	if (said.trim()) return byName(said);
	return byName(cabinet) ?? 'base';
}
function isAsSaid(nook: Nook, said: SaidOfPlace): boolean {
	const now: SaidOfPlace = {
		widthMm: nook.inside.widthMm ?? -1,
		depthMm: nook.inside.depthMm ?? -1,
		heightMm: nook.inside.heightMm ?? -1,
		openingWidthMm: nook.opening?.widthMm ?? -1,
		openingHeightMm: nook.opening?.heightMm ?? -1,
		xMm: nook.at.xMm,
		zMm: nook.at.zMm,
		loadG: nook.loadG ?? -1,
		kind: nook.kind
	};
	return (Object.keys(said) as (keyof SaidOfPlace)[]).every(
		(field) => said[field] === undefined || said[field] === now[field]
	);
}

/**
 * Reads the rows of a table as places; nothing is changed. Bare lengths are in the unit that their head names, else in
 * that of the home. A row of a room, cabinet and place that are here is that place, each place once.
 */
export function readPlaces(home: Home, table: Table, columns: PlaceColumns): PlaceRow[] {
	const left = new Set(nooksInOrder(home));
	return table.rows.map((cells, i): PlaceRow => {
		const cell = (field: PlaceField) => plainCell(cells[columns[field]] ?? '').slice(0, 200);
		const issues: PlaceIssue[] = [];
		const said: Record<string, number | string> = {};
		for (const [field, name] of Object.entries(LENGTHS) as [keyof typeof LENGTHS, string][]) {
			const text = cell(field);
			if (!text) continue;
			const read = parseLength(text, unitOf(table.head[columns[field]] ?? '', home.units));
			const isPosition = field === 'fromLeft' || field === 'fromBase';
			if (read.ok && (read.mm > 0 || isPosition)) said[name] = read.mm;
			else issues.push({ code: 'bad-length', field, text });
		}
		const load = cell('load')
			.replace(/\s*kg$/i, '')
			.replace(',', '.');
		if (load) {
			const loadG = Math.round(Number(load) * 1000);
			if (loadG > 0 && loadG < 10_000_000) said.loadG = loadG;
			else issues.push({ code: 'bad-load', field: 'load', text: cell('load') });
		}
		const kindText = words(cell('kind')).replace(/\s+/g, '-');
		const kind = NOOK_KINDS.find((each) => each === kindText);
		if (kind) said.kind = kind;
		else if (kindText) issues.push({ code: 'bad-kind', field: 'kind', text: cell('kind') });
		const [name, cabinet, room, wall] = [cell('name'), cell('cabinet'), cell('room'), cell('wall')];
		if (!name) issues.push({ code: 'no-name' });
		if (!cabinet) issues.push({ code: 'no-cabinet' });
		const form = formOf(cell('form'), cabinet);
		if (!form) issues.push({ code: 'bad-form', field: 'form', text: cell('form') });
		const found = [...left].find(
			(place) =>
				words(place.nook.name) === words(name) &&
				words(place.cabinet.name) === words(cabinet) &&
				(!room || words(place.room.name) === words(room)) &&
				(!wall || words(place.run.name) === words(wall))
		);
		if (found) left.delete(found);
		return {
			row: i + 1,
			name,
			room,
			wall,
			cabinet,
			form: form ?? 'base',
			nookId: found?.nook.id ?? null,
			said,
			isHere: !!found && !issues.length && isAsSaid(found.nook, said),
			issues
		};
	});
}
