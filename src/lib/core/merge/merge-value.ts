/** A value of a record, as it stands in JSON. */
export type Plain =
	| null
	| boolean
	| number
	| string
	| readonly Plain[]
	| { readonly [key: string]: Plain | undefined };

/** Where two copies say different things of the same field. */
export interface FieldConflict {
	/** Names and ids from the home to the field. */
	readonly path: readonly string[];
	readonly base: Plain | undefined;
	readonly ours: Plain | undefined;
	readonly theirs: Plain | undefined;
}

export type Choice = 'ours' | 'theirs';
export type Chooser = (conflict: FieldConflict) => Choice;

const isObject = (value: unknown): value is Record<string, Plain | undefined> =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** Tells whether two values are the same through and through; the order of keys does not matter. */
export function isSame(a: Plain | undefined, b: Plain | undefined): boolean {
	if (a === b) return true;
	if (Array.isArray(a) || Array.isArray(b)) {
		if (!Array.isArray(a) || !Array.isArray(b) || a.length !== b.length) return false;
		return a.every((item, i) => isSame(item as Plain, b[i] as Plain));
	}
	if (!isObject(a) || !isObject(b)) return false;
	const keys = Object.keys(a);
	return keys.length === Object.keys(b).length && keys.every((key) => isSame(a[key], b[key]));
}

const isText = (item: unknown): item is string => typeof item === 'string';
const hasId = (item: unknown): item is { id: string } =>
	isObject(item) && typeof item['id'] === 'string';
const isListOf = <Item>(
	value: Plain | undefined,
	is: (item: unknown) => item is Item
): value is readonly (Item & Plain)[] => Array.isArray(value) && value.every(is);

/** Sets of words or ids: what either added is in it, what either took out is not; in the order of the base, then sorted. */
function mergeSets(
	base: readonly string[],
	ours: readonly string[],
	theirs: readonly string[]
): string[] {
	const kept = base.filter((item) => ours.includes(item) && theirs.includes(item));
	const added = [...ours, ...theirs].filter((item) => !base.includes(item));
	return [...new Set([...kept, ...added.sort()])];
}

/** What merging a value came to; `undefined`: it is not there. */
export interface Merged {
	readonly value: Plain | undefined;
	readonly conflicts: readonly FieldConflict[];
}
const clean = (value: Plain | undefined): Merged => ({ value, conflicts: [] });

/** Figures of which both copies took some: the changes of both count. */
const SUMMED: Readonly<Record<string, string>> = { lots: 'count', containerKinds: 'owned' };
const isSummed = (path: readonly string[]): boolean =>
	path.length === 3 && SUMMED[path[0]!] === path[2];

/**
 * Merges one value three ways. Objects go field by field; lists whose items have ids, item by item; sets of words as sets;
 * everything else whole. Where both changed it, and not to the same, it is a conflict, settled by `choose`. Something
 * that one took away and the other changed is a conflict too. Amounts of stock sum both changes.
 */
export function mergeValue(
	base: Plain | undefined,
	ours: Plain | undefined,
	theirs: Plain | undefined,
	path: readonly string[],
	choose: Chooser
): Merged {
	if (
		isSummed(path) &&
		typeof base === 'number' &&
		typeof ours === 'number' &&
		typeof theirs === 'number'
	) {
		const sum = Math.round((ours + theirs - base) * 1000) / 1000;
		return clean(Math.max(0, sum));
	}
	// Both may have taken one, and so say the same: then two are gone.
	const counts = SUMMED[path[0] ?? ''] !== undefined && path.length === 2;
	if (counts && isObject(base) && isObject(ours) && isObject(theirs))
		return mergeFields(base, ours, theirs, path, choose);
	if (isSame(ours, theirs)) return clean(ours);
	if (isSame(base, ours)) return clean(theirs);
	if (isSame(base, theirs)) return clean(ours);
	if (isObject(ours) && isObject(theirs) && (isObject(base) || base === undefined))
		return mergeFields(base ?? {}, ours, theirs, path, choose);
	if (isListOf(ours, isText) && isListOf(theirs, isText) && isListOf(base ?? [], isText))
		return clean(mergeSets((base ?? []) as readonly string[], ours, theirs));
	if (isListOf(ours, hasId) && isListOf(theirs, hasId) && isListOf(base ?? [], hasId))
		return mergeItems(
			(base ?? []) as readonly ({ id: string } & Plain)[],
			ours,
			theirs,
			path,
			choose
		);
	const conflict = { path, base, ours, theirs };
	return { value: choose(conflict) === 'ours' ? ours : theirs, conflicts: [conflict] };
}

function mergeFields(
	base: Record<string, Plain | undefined>,
	ours: Record<string, Plain | undefined>,
	theirs: Record<string, Plain | undefined>,
	path: readonly string[],
	choose: Chooser
): Merged {
	const value: Record<string, Plain | undefined> = {};
	const conflicts: FieldConflict[] = [];
	for (const key of new Set([...Object.keys(ours), ...Object.keys(theirs)])) {
		const field = mergeValue(base[key], ours[key], theirs[key], [...path, key], choose);
		if (field.value !== undefined) value[key] = field.value;
		conflicts.push(...field.conflicts);
	}
	return { value, conflicts };
}

function mergeItems(
	base: readonly ({ id: string } & Plain)[],
	ours: readonly ({ id: string } & Plain)[],
	theirs: readonly ({ id: string } & Plain)[],
	path: readonly string[],
	choose: Chooser
): Merged {
	const of = (list: readonly ({ id: string } & Plain)[], id: string) =>
		list.find((item) => item.id === id) as Plain | undefined;
	const conflicts: FieldConflict[] = [];
	const ids = new Set([...ours, ...theirs].map(({ id }) => id));
	const value: Plain[] = [];
	for (const id of ids) {
		const item = mergeValue(of(base, id), of(ours, id), of(theirs, id), [...path, id], choose);
		if (item.value !== undefined) value.push(item.value);
		conflicts.push(...item.conflicts);
	}
	return { value, conflicts };
}
