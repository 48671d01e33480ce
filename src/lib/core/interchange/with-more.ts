export type Row = Record<string, unknown>;

/** Adds to every record of a collection what a version asks for and the one before did not have. */
export const withMore = (collection: unknown, more: (row: Row) => Row): Row =>
	Object.fromEntries(
		Object.entries((collection ?? {}) as Record<string, Row>).map(([id, row]) => [
			id,
			{ ...more(row), ...row }
		])
	);

/** Changes some fields of every record of a collection. */
export const inEach = (collection: unknown, change: (row: Row) => Row): Row =>
	Object.fromEntries(
		Object.entries((collection ?? {}) as Record<string, Row>).map(([id, row]) => [
			id,
			{ ...row, ...change(row) }
		])
	);
