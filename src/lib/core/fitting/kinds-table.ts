import { matchColumns, type Field, type Table } from '../tables';
import {
	CONTAINER_ROLES,
	parseLength,
	type ContainerKind,
	type ContainerRole,
	type LengthUnit
} from '../model';
import { checkKind, type KindIssue } from './kind-checks';
import { withOuter } from './kind-sizes';
import { plainKind } from './usual-kinds';

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
	{ name: 'stack', headed: /^stack/i },
	{ name: 'nest', headed: /^nest/i },
	{ name: 'clear', headed: /^(?:clear|see|transparent)/i },
	{ name: 'airtight', headed: /^air/i },
	{ name: 'turn', headed: /^turn/i },
	{ name: 'shape', headed: /^shape/i },
	{ name: 'shop', headed: /^(?:shop|sold|store|from)/i },
	{ name: 'cells', headed: /^(?:cells|compartments)/i },
	{ name: 'cutWidth', headed: /^cut.*w|^pulled.*w/i },
	{ name: 'cutDepth', headed: /^cut.*(?:d|l)|^pulled.*d/i },
	{ name: 'look', headed: /^(?:look|line|style|colou?r|material)/i },
	{ name: 'soldBy', headed: /^(?:pack|set)s?\b/i },
	{ name: 'mass', headed: /^(?:mass|weight|weighs)/i }
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
	/** It takes the place of a kind of that name. */
	readonly isKnown: boolean;
	readonly kind: ContainerKind | null;
	readonly issues: readonly RowIssue[];
}

const ROUND = /round|circ/i;
const YES = /^(?:y|yes|true|1|x|with|ja|oui|si|sí)$/i;
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
 * the outside less the walls, a base that is not said is as large as the top. `known` has kinds by name: a
 * row of that name changes that kind, and what it does not say stays; other ids are made by `newId`.
 */
export function readKinds(
	table: Table,
	columns: KindColumns,
	units: LengthUnit,
	newId: () => string,
	known: ReadonlyMap<string, ContainerKind> = new Map()
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
		const own = known.get(name);
		const role = own && !text('role') ? own.role : roleOf(text('role') || name);
		const base: ContainerKind = own ?? {
			...plainKind(newId()),
			shape: role === 'turntable' ? 'round' : 'box',
			airtight: role === 'jar',
			owned: 0
		};
		/** What the table does not say stays as it was. */
		const flag = (field: 'lid' | 'stack' | 'nest' | 'clear' | 'airtight' | 'turn') =>
			text(field) ? YES.test(text(field)) : base[field];
		const figure = (field: KindField, times: number, otherwise: number) =>
			text(field) ? Math.round(number(field) * times) : otherwise;
		const { outerTop } = base;
		const sized = (
			[
				['widthMm', length('width', outerTop.widthMm)],
				['depthMm', length('depth', outerTop.depthMm)],
				['heightMm', length('height', base.heightMm)]
			] as const
		).reduce((kind, [side, mm]) => withOuter(kind, side, mm), base);
		const { inner, outerBase } = sized;
		const cutWidth = length('cutWidth', base.cutTo?.widthMm ?? 0);
		const cutDepth = length('cutDepth', base.cutTo?.depthMm ?? 0);
		const kind: ContainerKind = {
			...sized,
			name,
			role,
			shape: text('shape') ? (ROUND.test(text('shape')) ? 'round' : 'box') : base.shape,
			outerBase: {
				widthMm: length('baseWidth', outerBase.widthMm),
				depthMm: length('baseDepth', outerBase.depthMm)
			},
			inner: {
				widthMm: length('innerWidth', inner.widthMm),
				depthMm: length('innerDepth', inner.depthMm),
				heightMm: length('innerHeight', inner.heightMm)
			},
			massG: figure('mass', 1, base.massG),
			lid: flag('lid'),
			stack: flag('stack'),
			nest: flag('nest'),
			clear: flag('clear'),
			airtight: flag('airtight'),
			turn: flag('turn'),
			cells: Math.max(1, Math.min(24, figure('cells', 1, base.cells))),
			cutTo:
				cutWidth || cutDepth
					? {
							widthMm: cutWidth || sized.outerTop.widthMm,
							depthMm: cutDepth || sized.outerTop.depthMm
						}
					: null,
			look: text('look') ? text('look').slice(0, 60) : base.look,
			priceMinor: figure('price', 100, base.priceMinor),
			soldBy: Math.max(1, Math.min(100, figure('soldBy', 1, base.soldBy))),
			shop: text('shop') ? text('shop').slice(0, 60) : base.shop,
			owned: Math.min(1000, figure('owned', 1, base.owned))
		};
		issues.push(...checkKind(kind));
		return { row: i + 1, name, isKnown: !!own, kind: issues.length ? null : kind, issues };
	});
}
