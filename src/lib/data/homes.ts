import { migrate, parseHome, type FileIssue } from '../core/interchange';
import {
	changedRecords,
	COLLECTION_NAMES,
	headOf,
	HOME_VERSION,
	type CollectionName,
	type Home,
	type HomeHead,
	type Patch
} from '../core/model';
import type { Db, HistoryRow, HomeRow, RecordRow } from './database';

/** How many steps of history are kept for undo. */
export const HISTORY_LIMIT = 200;

/** All rows of one home, whatever their later key parts. */
export const rowsOf = (homeId: string) => IDBKeyRange.bound([homeId], [homeId, []]);

export interface LoadedHome {
	readonly home: Home;
	readonly revision: number;
	readonly cursor: number;
	readonly history: readonly HistoryRow[];
}
export type LoadResult =
	| ({ readonly ok: true } & LoadedHome)
	| { readonly ok: false; readonly code: 'not-found' }
	| { readonly ok: false; readonly code: 'newer'; readonly version: number }
	| { readonly ok: false; readonly code: 'damaged'; readonly issues: readonly FileIssue[] };

/** Lists the heads of all homes, last changed first. */
export async function listHomes(db: Db): Promise<HomeRow[]> {
	const rows = await db.getAll('homes');
	return rows.sort((a, b) => (a.changedAt < b.changedAt ? 1 : -1));
}

/** Reads a whole home and its history in one transaction, parsed like any file that comes in. */
export async function loadHome(db: Db, homeId: string): Promise<LoadResult> {
	const tx = db.transaction(['homes', 'records', 'history']);
	const [row, records, history] = await Promise.all([
		tx.objectStore('homes').get(homeId),
		tx.objectStore('records').getAll(rowsOf(homeId)),
		tx.objectStore('history').getAll(rowsOf(homeId))
	]);
	await tx.done;
	if (!row) return { ok: false, code: 'not-found' };
	if (row.version > HOME_VERSION) return { ok: false, code: 'newer', version: row.version };
	const raw: Record<string, unknown> = { ...row.head };
	for (const name of COLLECTION_NAMES) raw[name] = {};
	for (const { collection, id, value } of records)
		((raw[collection] ??= {}) as Record<string, unknown>)[id] = value;
	const parsed = parseHome(migrate(raw, row.version));
	if (!parsed.ok) return { ok: false, code: 'damaged', issues: parsed.issues };
	if (row.version < HOME_VERSION) {
		// Every record is written anew, and steps back into the older layout are given up with their history.
		await putHome(db, parsed.home, row.changedAt);
		return { ok: true, home: parsed.home, revision: row.revision + 1, cursor: 0, history: [] };
	}
	return { ok: true, home: parsed.home, revision: row.revision, cursor: row.cursor, history };
}

/** Stores a whole home in one transaction, in the place of any of the same id. */
export async function putHome(db: Db, home: Home, now: string): Promise<void> {
	const tx = db.transaction(['homes', 'records', 'history'], 'readwrite');
	const before = await tx.objectStore('homes').get(home.id);
	void tx.objectStore('records').delete(rowsOf(home.id));
	void tx.objectStore('history').delete(rowsOf(home.id));
	void tx.objectStore('homes').put({
		id: home.id,
		version: HOME_VERSION,
		head: headOf(home),
		revision: (before?.revision ?? 0) + 1,
		cursor: 0,
		changedAt: now
	});
	for (const collection of COLLECTION_NAMES)
		for (const [id, value] of Object.entries(home[collection]))
			void tx.objectStore('records').put({ homeId: home.id, collection, id, value });
	await tx.done;
}

/** Takes a home away with its history and its pictures. */
export async function deleteHome(db: Db, homeId: string): Promise<void> {
	const tx = db.transaction(['homes', 'records', 'history', 'photos'], 'readwrite');
	void tx.objectStore('homes').delete(homeId);
	void tx.objectStore('records').delete(rowsOf(homeId));
	void tx.objectStore('photos').delete(rowsOf(homeId));
	void tx.objectStore('history').delete(rowsOf(homeId));
	await tx.done;
}

export interface Write {
	readonly homeId: string;
	/** The home after the change. */
	readonly home: Home;
	/** What is applied to the stored home. */
	readonly patches: readonly Patch[];
	/** Revision that the change was made on; another one in the store is a conflict. */
	readonly baseRevision: number;
	readonly now: string;
	/** A new step, or a move of the cursor over steps that are there. */
	readonly step:
		| { readonly kind: 'new'; readonly label: string; readonly inverse: Patch[] }
		| { readonly kind: 'cursor'; readonly cursor: number };
}
export type WriteResult =
	| { readonly ok: true; readonly revision: number; readonly cursor: number }
	| { readonly ok: false; readonly code: 'conflict' | 'gone' };

/**
 * Writes a change in one transaction: the changed records, the head, the step of history, the revision.
 * Either all of it is stored or nothing; a home changed meanwhile by another tab is left as it is.
 */
export async function writeChange(db: Db, write: Write): Promise<WriteResult> {
	const { homeId, home, patches, step, now } = write;
	const tx = db.transaction(['homes', 'records', 'history'], 'readwrite');
	const homes = tx.objectStore('homes');
	const row = await homes.get(homeId);
	if (!row || row.revision !== write.baseRevision) {
		tx.abort();
		await tx.done.catch(() => undefined);
		return { ok: false, code: row ? 'conflict' : 'gone' };
	}
	for (const { collection, id } of changedRecords(patches)) {
		if (collection === 'head') continue;
		const value = (home[collection as CollectionName] as Record<string, unknown>)[id];
		if (value === undefined) void tx.objectStore('records').delete([homeId, collection, id]);
		else void tx.objectStore('records').put({ homeId, collection, id, value } satisfies RecordRow);
	}
	const history = tx.objectStore('history');
	let cursor = step.kind === 'cursor' ? step.cursor : row.cursor + 1;
	if (step.kind === 'new') {
		void history.delete(IDBKeyRange.bound([homeId, cursor], [homeId, Infinity]));
		void history.put({
			homeId,
			seq: cursor,
			label: step.label,
			at: now,
			patches: [...patches],
			inverse: step.inverse
		});
		if (cursor > HISTORY_LIMIT)
			void history.delete(IDBKeyRange.bound([homeId, 0], [homeId, cursor - HISTORY_LIMIT]));
	}
	cursor = Math.max(0, cursor);
	const revision = row.revision + 1;
	const head: HomeHead = headOf(home);
	void homes.put({ ...row, version: HOME_VERSION, head, revision, cursor, changedAt: now });
	await tx.done;
	return { ok: true, revision, cursor };
}
