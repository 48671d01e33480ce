import { carryUp, parseHome, repairHome, type Mend } from '../core/interchange';
import {
	COLLECTION_NAMES,
	headOf,
	HOME_VERSION,
	HomeId,
	type Home,
	type HomeHead
} from '../core/model';
import { unwrap } from 'idb';
import type { Timeline } from '../core/commands/timeline';
import {
	HOME_STORES,
	type ChangeRow,
	type Db,
	type HistoryRow,
	type HomeRow,
	type RecordRow
} from './database';
import { fire } from './fire';

/** All rows of one home, whatever their later key parts. */
export const rowsOf = (homeId: string) => IDBKeyRange.bound([homeId], [homeId, []]);

export interface LoadedHome extends Timeline {
	readonly revision: number;
	/** Ids of what was written last, by any tab. */
	readonly written: ReadonlySet<string>;
	/** What was mended, when it was found damaged. */
	readonly mends: readonly Mend[];
}
export type LoadFailure =
	| { readonly ok: false; readonly code: 'not-found' }
	| { readonly ok: false; readonly code: 'deleted'; readonly name: string }
	| { readonly ok: false; readonly code: 'newer'; readonly version: number };
export type LoadResult = ({ readonly ok: true } & LoadedHome) | LoadFailure;

/** Lists the heads of all homes, last changed first; those put away too. */
export async function listHomes(db: Db): Promise<HomeRow[]> {
	const rows = await db.getAll('homes');
	return rows.sort((a, b) => (a.changedAt < b.changedAt ? 1 : -1));
}

interface Stored {
	readonly row: HomeRow;
	readonly records: readonly RecordRow[];
	readonly history: readonly HistoryRow[];
	readonly changes: readonly ChangeRow[];
}

async function readStored(db: Db, homeId: string): Promise<Stored | null> {
	const tx = db.transaction(['homes', 'records', 'history', 'changes']);
	const [row, records, history, changes] = await Promise.all([
		tx.objectStore('homes').get(homeId),
		tx.objectStore('records').getAll(rowsOf(homeId)),
		tx.objectStore('history').getAll(rowsOf(homeId)),
		tx.objectStore('changes').getAll(rowsOf(homeId))
	]);
	await tx.done;
	return row ? { row, records, history, changes } : null;
}

/** A home as this tab stored it a moment ago: checked, and nobody changed it before this revision. */
export interface StoredHome {
	readonly home: Home;
	readonly revision: number;
	/** Ends when the store has really got it, where that is not waited for: called again after a failure, it tries again. */
	readonly finish?: () => Promise<void>;
}
/** Opens a home that was stored just now without reading it all again; null when it has changed since. */
export async function openStored(db: Db, stored: StoredHome): Promise<LoadResult | null> {
	const { home, revision, finish } = stored;
	// While it is being stored, its transaction keeps everybody else from it.
	const row = finish ? null : await db.get('homes', home.id);
	const same = row?.revision === revision && !row.deletedAt && row.version === HOME_VERSION;
	if (!finish && !same) return null;
	return { ok: true, home, revision, cursor: 0, history: [], written: new Set(), mends: [] };
}

/** Puts a home together from its rows, as it would stand in a file; nothing is checked yet. */
function rawHome({ row, records }: Pick<Stored, 'row' | 'records'>): Record<string, unknown> {
	const raw: Record<string, unknown> = { ...row.head };
	for (const name of COLLECTION_NAMES) raw[name] = Object.create(null);
	for (const { collection, id, value } of records)
		if (Object.hasOwn(raw, collection)) (raw[collection] as Record<string, unknown>)[id] = value;
	return raw;
}

/** Reads all that is stored of a home, as it is, for a file to be looked into; null when there is nothing. */
export async function readRawHome(db: Db, homeId: string): Promise<unknown> {
	const stored = await readStored(db, homeId);
	const wrecks = await db.getAll('wrecks', rowsOf(homeId));
	return stored || wrecks.length
		? { format: 'keepnook-raw', version: stored?.row.version, stored, wrecks }
		: null;
}

const READ_AGAIN = 3;

/**
 * Reads a whole home and its history in one transaction, parsed like any file that comes in. An older layout is carried
 * up; a damaged home is repaired, what was found is put aside, and what was mended is told.
 * @param now ISO instant of a repair.
 */
export async function loadHome(
	db: Db,
	homeId: string,
	now: string,
	tries = READ_AGAIN
): Promise<LoadResult> {
	const stored = await readStored(db, homeId);
	if (!stored) return { ok: false, code: 'not-found' };
	const { row, history, changes } = stored;
	if (row.deletedAt) return { ok: false, code: 'deleted', name: row.head?.name ?? '' };
	if (row.version > HOME_VERSION) return { ok: false, code: 'newer', version: row.version };
	const raw = rawHome(stored);
	const written = new Set(changes.map(({ entryId }) => entryId));
	const carried = row.version >= 1 ? carryUp(raw, row.version) : raw;
	const parsed = parseHome(carried);
	if (parsed.ok && row.version === HOME_VERSION && parsed.home.id === homeId) {
		const { home } = parsed;
		const steps = history.map((step) => ({ ...step, id: step.id ?? `${step.seq}@${step.at}` }));
		return {
			ok: true,
			home,
			revision: row.revision,
			cursor: row.cursor,
			history: steps,
			written,
			mends: []
		};
	}
	// Every record is written anew, and steps back into what is no more are given up with their history.
	const repaired = parsed.ok
		? { home: parsed.home, mends: [] as readonly Mend[] }
		: // A home of the database is always some record, so that something can always be made of it.
			repairHome(carried ?? raw, { id: homeId, now })!;
	const home: Home = { ...repaired.home, id: HomeId.parse(homeId) };
	const wreck = repaired.mends.length ? { homeId, at: now, raw } : null;
	const done = await rewriteHome(db, home, row.revision, row.changedAt, wreck);
	if (!done) {
		if (tries > 1) return loadHome(db, homeId, now, tries - 1);
		throw new Error('Another tab keeps changing this home. Close it and try again.');
	}
	return {
		ok: true,
		home,
		revision: row.revision + 1,
		cursor: 0,
		history: [],
		written: new Set(),
		mends: repaired.mends
	};
}

type WholeTx = ReturnType<typeof wholeTransaction>;
const wholeTransaction = (db: Db) => db.transaction(['homes', ...HOME_STORES], 'readwrite');

/** Records handed over before the page has its turn: some 20 ms. */
const PUT_AT_ONCE = 400;

async function putRecords(tx: WholeTx, home: Home): Promise<void> {
	const records = tx.objectStore('records');
	// Mostly without the promises of the wrapper, one a record: a request that fails ends the transaction.
	const bare = unwrap(records);
	let count = 0;
	for (const collection of COLLECTION_NAMES)
		for (const [id, value] of Object.entries(home[collection])) {
			const row: RecordRow = { homeId: home.id, collection, id, value };
			if (++count % PUT_AT_ONCE) bare.put(row);
			else await records.put(row);
		}
}

const rowFor = (home: Home, revision: number, changedAt: string): HomeRow => ({
	id: home.id,
	version: HOME_VERSION,
	head: headOf(home) satisfies HomeHead,
	revision,
	cursor: 0,
	changedAt,
	deletedAt: null
});

/** Writes all of a home anew, if it still has the revision that was read. */
async function rewriteHome(
	db: Db,
	home: Home,
	revision: number,
	changedAt: string,
	wreck: { homeId: string; at: string; raw: unknown } | null
): Promise<boolean> {
	const tx = wholeTransaction(db);
	const row = await tx.objectStore('homes').get(home.id);
	if (row?.revision !== revision) {
		tx.abort();
		await tx.done.catch(() => undefined);
		return false;
	}
	for (const name of ['records', 'history', 'changes'] as const)
		fire(tx.objectStore(name).delete(rowsOf(home.id)));
	await putRecords(tx, home);
	if (wreck) fire(tx.objectStore('wrecks').put(wreck));
	fire(tx.objectStore('homes').put(rowFor(home, revision + 1, changedAt)));
	await tx.done;
	return true;
}

export interface NewHome {
	readonly home: Home;
	/** ISO instant. */
	readonly now: string;
	readonly photos?: ReadonlyMap<string, Uint8Array>;
	/** Where a home of that id is stored: say so, or put it away under `asideId` and take its place. */
	readonly ifThere: { readonly do: 'say' } | { readonly do: 'put-away'; readonly asideId: string };
}
export type AddResult =
	| { readonly ok: true; readonly revision: number }
	| { readonly ok: false; readonly there: HomeRow };
/** The store is ready to take it; `done` ends when it has kept it, or fails. */
export type BeginResult =
	| { readonly ok: true; readonly revision: number; readonly done: Promise<void> }
	| { readonly ok: false; readonly there: HomeRow };

/**
 * Stores a whole home with its pictures in one transaction. One of the same id, of whichever tab, is never lost: it is
 * told, and stays as it is, or is put away and can be brought back.
 */
export async function addHome(db: Db, adding: NewHome): Promise<AddResult> {
	const begun = await beginHome(db, adding);
	if (begun.ok) await begun.done;
	return begun.ok ? { ok: true, revision: begun.revision } : begun;
}

/** As `addHome`, without waiting until all is written: more than a second for a large home. */
export async function beginHome(
	db: Db,
	{ home, now, photos, ifThere }: NewHome
): Promise<BeginResult> {
	const tx = wholeTransaction(db);
	const there = await tx.objectStore('homes').get(home.id);
	if (there && ifThere.do === 'say') {
		tx.abort();
		await tx.done.catch(() => undefined);
		return { ok: false, there };
	}
	if (there && ifThere.do === 'put-away') await moveRows(tx, there, ifThere.asideId, now);
	const revision = (there?.revision ?? 0) + 1;
	const done = putAll(tx, { home, now, photos }, revision);
	// Whoever waits hears of a failure; nobody has to.
	done.catch(() => undefined);
	return { ok: true, revision, done };
}

async function putAll(
	tx: WholeTx,
	{ home, now, photos }: Pick<NewHome, 'home' | 'now' | 'photos'>,
	revision: number
): Promise<void> {
	const { done } = tx;
	try {
		await putRecords(tx, home);
		for (const [id, bytes] of photos ?? [])
			fire(
				tx.objectStore('photos').put({
					homeId: home.id,
					id,
					type: 'image/jpeg',
					bytes: Uint8Array.from(bytes).buffer,
					addedAt: now
				})
			);
		fire(tx.objectStore('homes').put(rowFor(home, revision, now)));
	} catch (error) {
		// Half a home is none.
		done.catch(() => undefined);
		try {
			tx.abort();
		} catch {
			// A request that failed has ended it already.
		}
		throw error;
	}
	await done;
}

/** Gives all rows of a home another id, put away; its own id is free then. */
async function moveRows(tx: WholeTx, there: HomeRow, asideId: string, now: string): Promise<void> {
	for (const name of HOME_STORES) {
		const store = tx.objectStore(name);
		for (const row of await store.getAll(rowsOf(there.id)))
			fire(store.put({ ...row, homeId: asideId } as never));
		fire(store.delete(rowsOf(there.id)));
	}
	const aside = { ...there, id: asideId, head: { ...there.head, id: HomeId.parse(asideId) } };
	fire(tx.objectStore('homes').put({ ...aside, deletedAt: there.deletedAt ?? now }));
}

async function changeRow(
	db: Db,
	homeId: string,
	change: (row: HomeRow) => HomeRow
): Promise<boolean> {
	const tx = db.transaction('homes', 'readwrite');
	const row = await tx.store.get(homeId);
	if (row) fire(tx.store.put(change(row)));
	await tx.done;
	return !!row;
}

/** Puts a home away: with its history and its pictures it can be brought back. */
export const putAwayHome = (db: Db, homeId: string, now: string): Promise<boolean> =>
	changeRow(db, homeId, (row) => ({ ...row, deletedAt: now }));

/** Brings a home back that was put away, just as it was. */
export const bringBackHome = (db: Db, homeId: string): Promise<boolean> =>
	changeRow(db, homeId, (row) => ({ ...row, deletedAt: null }));

/** Deletes homes for good, with all that belongs to them. */
export async function purgeHomes(db: Db, homeIds: readonly string[]): Promise<void> {
	const tx = wholeTransaction(db);
	for (const id of homeIds) {
		fire(tx.objectStore('homes').delete(id));
		for (const name of HOME_STORES) fire(tx.objectStore(name).delete(rowsOf(id)));
	}
	await tx.done;
}
