import Papa from 'papaparse';

/** A table as it was read: the words of its head and of its rows, all of one length. */
export interface Table {
	readonly head: readonly string[];
	readonly rows: readonly (readonly string[])[];
}
export type TableResult =
	| { readonly ok: true; readonly table: Table }
	| { readonly ok: false; readonly code: 'empty' | 'one-column' | 'too-large' };

/** More rows than this are no list that a household made. */
const MOST_ROWS = 20_000;

/**
 * Reads comma, semicolon or tab separated text with a head, with or without a byte-order mark; rows shorter than the head
 * are filled up, what is beyond it is dropped, empty lines are left out. Formulas are words like any other.
 * @example readTable('name;width\nBin;200') // { ok: true, table: { head: ['name', 'width'], rows: [['Bin', '200']] } }
 */
export function readTable(text: string): TableResult {
	const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
		skipEmptyLines: 'greedy',
		delimitersToGuess: [',', ';', '\t', '|']
	});
	const [head, ...rows] = data;
	if (!head || !rows.length) return { ok: false, code: 'empty' };
	if (head.length < 2) return { ok: false, code: 'one-column' };
	if (rows.length > MOST_ROWS) return { ok: false, code: 'too-large' };
	return {
		ok: true,
		table: {
			head: head.map((word) => word.trim()),
			rows: rows.map((row) => head.map((_, i) => (row[i] ?? '').trim()))
		}
	};
}

/** A cell without the apostrophe that kept it from being run as a formula. @example plainCell("'=A1") // '=A1' */
export const plainCell = (text: string): string => text.replace(/^'(?=[=+\-@\t\r])/, '');

/** A column that is looked for: its name, and how it may be headed. */
export interface Field<Name extends string> {
	readonly name: Name;
	readonly headed: RegExp;
}

/**
 * Finds the column of each field by its head; no column is taken twice, and earlier fields choose first. −1: none.
 * @example matchColumns(['Name', 'W'], FIELDS) // { name: 0, width: 1, ... }
 */
export function matchColumns<Name extends string>(
	head: readonly string[],
	fields: readonly Field<Name>[]
): Record<Name, number> {
	const taken = new Set<number>();
	return Object.fromEntries(
		fields.map(({ name, headed }) => {
			const at = head.findIndex((word, i) => !taken.has(i) && headed.test(word));
			if (at >= 0) taken.add(at);
			return [name, at];
		})
	) as Record<Name, number>;
}
