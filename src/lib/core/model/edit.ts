import { applyPatches, enablePatches, produceWithPatches, type Patch } from 'immer';
import { changedRecords } from './changed-records';
import { RECORD_SCHEMAS, type CollectionName, type Home } from './home';
import { noteLine } from './lineage';
import { faultsOfChange, mendFaults, StillNeeded, type LinkFault } from './links';

enablePatches();

export type { Patch };

/** A change to a home: writes to a draft and returns nothing. Takes clock and ids from its closure. */
export type Edit = (draft: Home) => void;

export interface EditResult {
	readonly home: Home;
	readonly patches: Patch[];
	readonly inverse: Patch[];
	/** Links that the edit left hanging, and that were mended by the rules of their table. */
	readonly mended: readonly LinkFault[];
}

function checkRecords(home: Home, patches: readonly Patch[]): void {
	for (const { collection, id } of changedRecords(patches)) {
		if (collection === 'head') continue;
		const record = home[collection][id];
		if (record) RECORD_SCHEMAS[collection].parse(record);
	}
}

/** Mends what a change left hanging, until nothing does. Refuses it when something still stands on what it takes away. */
function settleLinks(home: Home, patches: Patch[], inverse: Patch[]): EditResult {
	let settled: EditResult = { home, patches, inverse, mended: [] };
	let latest = patches;
	for (;;) {
		const faults = faultsOfChange(settled.home, changedRecords(latest));
		if (!faults.length) return settled;
		// What came with this very change and has nothing to stand on goes; what stood there before keeps its ground.
		const own = new Set(changedRecords(patches).map(({ id }) => id));
		const needed = faults.find(({ link, id }) => link.onDelete === 'refuse' && !own.has(id));
		if (needed) throw new StillNeeded(needed);
		const [next, more, back] = produceWithPatches(settled.home, (draft: Home) =>
			mendFaults(draft, faults)
		);
		latest = more;
		settled = {
			home: next,
			patches: [...settled.patches, ...more],
			inverse: [...back, ...settled.inverse],
			mended: [...settled.mended, ...faults]
		};
	}
}

/** Notes of each collection that changed what it came of, so that figures of it can be carried over. */
function noteLines(from: Home, home: Home, patches: readonly Patch[]): void {
	const ids = new Map<CollectionName, string[]>();
	for (const { collection, id } of changedRecords(patches)) {
		if (collection === 'head') continue;
		const list = ids.get(collection);
		if (list) list.push(id);
		else ids.set(collection, [id]);
	}
	for (const [collection, changed] of ids) noteLine(home[collection], from[collection], changed);
}

/**
 * Applies an edit to a home, which is left as it was, and gives the new home with the patches both ways. What pointed to
 * a record that goes is mended by the table of links, in the same step. Every record the edit touched is checked against
 * its schema; a bad one throws, since the caller's checks should have turned it into words before.
 * @throws StillNeeded when something that may not lose its ground stands on what the edit takes away.
 * @example applyEdit(home, (draft) => { draft.name = 'Mill' }).inverse // back to the old name
 */
export function applyEdit(home: Home, edit: Edit): EditResult {
	const [next, patches, inverse] = produceWithPatches(home, (draft: Home) => void edit(draft));
	const settled = settleLinks(next, patches, inverse);
	checkRecords(settled.home, settled.patches);
	noteLines(home, settled.home, settled.patches);
	return settled;
}

/** Replays patches made by `applyEdit` on the home they were made from. */
export function replay(home: Home, patches: readonly Patch[]): Home {
	const next = applyPatches(home, patches as Patch[]);
	noteLines(home, next, patches);
	return next;
}
