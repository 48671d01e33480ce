import {
	COLLECTION_NAMES,
	headOf,
	linkFaults,
	type CollectionName,
	type Edit,
	type Home,
	type HomeHead
} from '../model';
import {
	isSame,
	mergeValue,
	type Choice,
	type Chooser,
	type FieldConflict,
	type Plain
} from './merge-value';

/** What a copy that comes back changes of the home here, and where both say different things. */
export interface HomeMerge {
	/** Records to be set, or taken away (null), and fields of the head: what `mergeIn` takes. */
	readonly records: readonly MergedRecord[];
	readonly head: Partial<HomeHead>;
	readonly conflicts: readonly FieldConflict[];
	/** Records that one had taken away, and that came back since the other's needs them. */
	readonly broughtBack: readonly { readonly collection: CollectionName; readonly id: string }[];
}
export interface MergedRecord {
	readonly collection: CollectionName;
	readonly id: string;
	readonly record: unknown;
}

/** The name of a conflict, by which it is settled. */
export const conflictKey = ({ path }: Pick<FieldConflict, 'path'>): string => path.join('/');

/** Nothing is lost unless it is said: what one copy took away and the other worked on stays. */
const usual: Chooser = ({ ours, theirs }) =>
	ours === undefined ? 'theirs' : theirs === undefined ? 'ours' : 'ours';

type Table = Readonly<Record<string, Plain | undefined>>;

/**
 * Merges a copy of a home that comes back (`theirs`) into the home here (`ours`), three ways against the last state that
 * both had (`base`): by record and by field. Where both changed a field, ours stands unless `choices` says otherwise (by
 * `conflictKey`). What something that is kept stands on comes back if one copy had taken it away. The homes given are
 * left as they are.
 */
export function mergeHomes(
	base: Home,
	ours: Home,
	theirs: Home,
	choices: Readonly<Record<string, Choice>> = {}
): HomeMerge {
	const choose: Chooser = (conflict) => choices[conflictKey(conflict)] ?? usual(conflict);
	const conflicts: FieldConflict[] = [];
	const records = new Map<string, MergedRecord>();
	for (const collection of COLLECTION_NAMES) {
		const [b, o, t] = [base, ours, theirs].map((home) => home[collection] as unknown as Table);
		for (const id of new Set([...Object.keys(o!), ...Object.keys(t!)])) {
			// Unchanged on their side, whatever happened here: nothing comes in. Most records are.
			if (b![id] === t![id]) continue;
			const merged = mergeValue(b![id], o![id], t![id], [collection, id], choose);
			conflicts.push(...merged.conflicts);
			if (!isSame(merged.value, o![id]))
				records.set(`${collection}/${id}`, { collection, id, record: merged.value ?? null });
		}
	}
	const [bHead, oHead, tHead] = [base, ours, theirs].map(
		(home) => headOf(home) as unknown as Table
	);
	const head = mergeValue(bHead, oHead, tHead, [], choose);
	conflicts.push(...head.conflicts);
	const changes = Object.fromEntries(
		Object.entries(head.value as Table).filter(
			// The home keeps its id and the day it was made, whatever a copy says.
			([key, value]) => key !== 'id' && key !== 'createdAt' && !isSame(value, oHead![key])
		)
	) as Partial<HomeHead>;
	const broughtBack = bringBack({ base, ours, theirs }, records, changes);
	return { records: [...records.values()], head: changes, conflicts, broughtBack };
}

/** Lets records come back that kept ones point to; until nothing hangs, or what it hangs on never was. */
function bringBack(
	{ base, ours, theirs }: { base: Home; ours: Home; theirs: Home },
	records: Map<string, MergedRecord>,
	head: Partial<HomeHead>
): { collection: CollectionName; id: string }[] {
	const back: { collection: CollectionName; id: string }[] = [];
	for (;;) {
		const merged = withRecords({ ...ours, ...head } as Home, [...records.values()]);
		const before = back.length;
		for (const { link, missing } of linkFaults(merged)) {
			const record = [theirs, ours, base]
				.map((home) => (home[link.to] as unknown as Table)[missing])
				.find((each) => each !== undefined);
			const key = `${link.to}/${missing}`;
			if (record === undefined || records.get(key)?.record) continue;
			records.set(key, { collection: link.to, id: missing, record });
			back.push({ collection: link.to, id: missing });
		}
		if (back.length === before) return back;
	}
}

function withRecords(home: Home, records: readonly MergedRecord[]): Home {
	const next = { ...home } as Record<string, unknown>;
	for (const name of new Set(records.map(({ collection }) => collection))) {
		const table = Object.assign(Object.create(null), home[name]) as Record<string, unknown>;
		for (const { collection, id, record } of records)
			if (collection === name) {
				if (record === null) delete table[id];
				else table[id] = record;
			}
		next[name] = table;
	}
	return next as unknown as Home;
}

/** Makes the edit that takes a merge in: one step, and so one undo. */
export function mergeIn(records: readonly MergedRecord[], head: Partial<HomeHead>): Edit {
	return (draft) => {
		Object.assign(draft, head);
		for (const { collection, id, record } of records) {
			const table = draft[collection] as unknown as Record<string, unknown>;
			if (record === null) delete table[id];
			else table[id] = record;
		}
	};
}
