import { matchColumns, type Field, type Table } from '../tables';
import {
	CONTAINER_ROLES,
	KindId,
	parseLength,
	type ContainerKind,
	type ContainerRole,
	type LengthUnit
} from '../model';
import { checkKind, type KindIssue } from './kind-checks';

/** What a table of containers may say of each. */
export const KIND_FIELDS = [
	{ name: 'name', headed: /^(?:name|what|kind|container|item|description)/i },
	{ name: 'innerWidth', headed: /^inner.*(?:w|breadth)|width.*(?:inside|inner)/i },
	{ name: 'innerDepth', headed: /^inner.*(?:d|l)|(?:depth|length).*(?:inside|inner)/i },
	{ name: 'innerHeight', headed: /^inner.*h|height.*(?:inside|inner)/i },
	{ name: 'baseWidth', headed: /^base.*w|width.*(?:base|bottom)/i },
	{ name: 'baseDepth', headed: /^base.*(?:d|l)|depth.*(?:base|bottom)/i },
	{ name: 'width', headed: /^w(?:idth)?\b|^outer.*w|breadth/i },
	{ name: 'depth', headed: /^d(?:epth)?\b|^outer.*d|^l(?:ength)?\b/i },
	{ name: 'height', headed: /^h(?:eight)?\b|^outer.*h/i },
	{ name: 'role', headed: /^(?:role|form|type|use)/i },
	{ name: 'price', headed: /^(?:price|cost|each)/i },
	{ name: 'owned', headed: /^(?:owned|have|count|number|qty|quantity)/i },
	{ name: 'lid', headed: /^lid/i },
	{ name: 'stack', headed: /^stack/i }
] as const satisfies readonly Field<string>[];
export type KindField = (typeof KIND_FIELDS)[number]['name'];
export type KindColumns = Record<KindField, number>;

/** Finds the columns of a table of containers by their heads. */
export const kindColumns = (table: Table): KindColumns => matchColumns(table.head, KIND_FIELDS);

/** What a row cannot be read as. */
export type RowIssue =
	| KindIssue
	| { readonly code: 'no-name' }
	| { readonly code: 'unreadable'; readonly field: KindField; readonly text: string };

/** A row of the table as a container, or what is wrong with it; the row counts from 1, the head not counted. */
export interface KindRow {
	readonly row: number;
	readonly name: string;
	readonly kind: ContainerKind | null;
	readonly issues: readonly RowIssue[];
}

const YES = /^(?:y|yes|true|1|x|with|ja|oui|si|sí)$/i;
/** Wall of a container whose inside is not said, mm. */
const WALL_MM = 3;
const ROLES_BY_WORD: readonly (readonly [RegExp, ContainerRole])[] = [
	[/turntable|lazy/i, 'turntable'],
	[/jar|canister/i, 'jar'],
	[/riser|step/i, 'riser'],
	[/rack/i, 'rack'],
	[/basket/i, 'basket'],
	[/divider|insert|organi[sz]er/i, 'divider'],
	[/cradle|bottle/i, 'cradle'],
	[/tray/i, 'tray'],
	[/caddy/i, 'caddy'],
	[/slide|pull/i, 'slide'],
	[/upright|slot/i, 'upright']
];
function roleOf(text: string): ContainerRole {
	const exact = CONTAINER_ROLES.find((role) => role === text.toLowerCase());
	return exact ?? ROLES_BY_WORD.find(([words]) => words.test(text))?.[1] ?? 'bin';
}

/**
 * Reads the rows of a table as containers; nothing is changed. Bare lengths are in `units`; an inside that is not said is
 * the outside less the walls, a base that is not said is as large as the top. Ids are made by `newId`.
 */
export function readKinds(
	table: Table,
	columns: KindColumns,
	units: LengthUnit,
	newId: () => string
): KindRow[] {
	return table.rows.map((cells, i): KindRow => {
		const issues: RowIssue[] = [];
		const text = (field: KindField) => (columns[field] >= 0 ? (cells[columns[field]] ?? '') : '');
		const length = (field: KindField, otherwise: number): number => {
			const said = text(field);
			if (!said) return otherwise;
			const read = parseLength(said, units);
			if (read.ok) return Math.round(read.mm);
			issues.push({ code: 'unreadable', field, text: said });
			return otherwise;
		};
		const number = (field: KindField): number => {
			const said = text(field)
				.replace(/[^\d.,−-]/g, '')
				.replace(',', '.');
			if (!said) return 0;
			const value = Number(said);
			if (value >= 0 && value < 1e6) return value;
			issues.push({ code: 'unreadable', field, text: text(field) });
			return 0;
		};
		const name = text('name').slice(0, 200);
		if (!name) issues.push({ code: 'no-name' });
		const [widthMm, depthMm, heightMm] = [
			length('width', 0),
			length('depth', 0),
			length('height', 0)
		];
		const inside = (mm: number) => Math.max(0, mm - 2 * WALL_MM);
		const lid = YES.test(text('lid'));
		const sizes = {
			outerTop: { widthMm, depthMm },
			outerBase: { widthMm: length('baseWidth', widthMm), depthMm: length('baseDepth', depthMm) },
			inner: {
				widthMm: length('innerWidth', inside(widthMm)),
				depthMm: length('innerDepth', inside(depthMm)),
				heightMm: length('innerHeight', Math.max(0, heightMm - WALL_MM))
			},
			heightMm,
			lid,
			stack: lid && YES.test(text('stack'))
		};
		const role = roleOf(text('role') || name);
		const [priceMinor, owned] = [Math.round(number('price') * 100), Math.round(number('owned'))];
		issues.push(...checkKind({ role, ...sizes }));
		const kind: ContainerKind = {
			id: KindId.parse(newId()),
			name,
			role,
			shape: role === 'turntable' ? 'round' : 'box',
			...sizes,
			massG: 300,
			nest: false,
			clear: false,
			airtight: role === 'jar',
			turn: true,
			priceMinor,
			owned: Math.min(1000, owned)
		};
		return { row: i + 1, name, kind: issues.length ? null : kind, issues };
	});
}
