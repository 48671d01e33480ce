import {
	changedRecords,
	headOf,
	HOME_VERSION,
	type CollectionName,
	type Home,
	type Patch
} from '../core/model';
import type { StepChange } from '../core/commands/timeline';
import type { ChangeRow, Db, RecordRow } from './database';
import { fire } from './fire';

/** How many steps of history are kept for undo. */
export const HISTORY_LIMIT = 200;
/** How many writes back a tab can catch up without reading the whole home. */
export const CHANGES_LIMIT = 100;

export interface Write {
	readonly entryId: string;
	/** The home after the change. */
	readonly home: Home;
	/** What is applied to the stored home. */
	readonly patches: readonly Patch[];
	readonly change: StepChange;
	/** ISO instant. */
	readonly now: string;
}
export type CommitResult =
	/** It is stored; `change` is what other tabs are told. */
	| { readonly kind: 'stored'; readonly change: ChangeRow }
	/** There was nothing to write. */
	| { readonly kind: 'nothing' }
	/** Writes were missed that are not kept any more: the home has to be read again. */
	| { readonly kind: 'behind' }
	/** The home is put away, or not in the store. */
	| { readonly kind: 'gone'; readonly code: 'deleted' | 'not-found' };

/**
 * Writes one change in one transaction: the changed records, the head, the step of history, the revision. `plan` is told
 * what other tabs wrote since `knownRevision`, and says at once what is to be written on top of it; it is called inside
 * the transaction, so that nobody comes between. Either all of it is stored or nothing.
 */
export async function commit(
	db: Db,
	homeId: string,
	knownRevision: number,
	plan: (news: readonly ChangeRow[]) => Write | null
): Promise<CommitResult> {
	const tx = db.transaction(['homes', 'records', 'history', 'changes'], 'readwrite');
	const giveUp = async <Result>(result: Result): Promise<Result> => {
		tx.abort();
		await tx.done.catch(() => undefined);
		return result;
	};
	try {
		const homes = tx.objectStore('homes');
		const changes = tx.objectStore('changes');
		const row = await homes.get(homeId);
		if (!row || row.deletedAt)
			return giveUp({ kind: 'gone', code: row ? 'deleted' : 'not-found' } as const);
		if (row.version !== HOME_VERSION || row.revision < knownRevision)
			return giveUp({ kind: 'behind' } as const);
		const news =
			row.revision > knownRevision
				? await changes.getAll(
						IDBKeyRange.bound([homeId, knownRevision + 1], [homeId, row.revision])
					)
				: [];
		if (news.length !== row.revision - knownRevision) return giveUp({ kind: 'behind' } as const);
		const write = plan(news);
		if (!write) return giveUp({ kind: 'nothing' } as const);
		const { home, patches, change, entryId, now } = write;
		for (const { collection, id } of changedRecords(patches)) {
			if (collection === 'head') continue;
			const value = (home[collection as CollectionName] as Record<string, unknown>)[id];
			if (value === undefined) fire(tx.objectStore('records').delete([homeId, collection, id]));
			else
				fire(tx.objectStore('records').put({ homeId, collection, id, value } satisfies RecordRow));
		}
		const history = tx.objectStore('history');
		if (change.kind === 'new') {
			const { seq } = change.step;
			fire(history.delete(IDBKeyRange.bound([homeId, seq], [homeId, Infinity])));
			fire(history.put({ homeId, ...change.step }));
			if (seq > HISTORY_LIMIT)
				fire(history.delete(IDBKeyRange.bound([homeId, 0], [homeId, seq - HISTORY_LIMIT])));
		}
		const revision = row.revision + 1;
		const told: ChangeRow = { homeId, revision, entryId, patches, change };
		fire(changes.put(told));
		if (revision > CHANGES_LIMIT)
			fire(changes.delete(IDBKeyRange.bound([homeId, 0], [homeId, revision - CHANGES_LIMIT])));
		const cursor = change.kind === 'new' ? change.step.seq : change.cursor;
		fire(homes.put({ ...row, head: headOf(home), revision, cursor, changedAt: now }));
		await tx.done;
		return { kind: 'stored', change: told };
	} catch (error) {
		// A value that cannot be stored is refused at once, with the transaction still open: what was put goes back.
		await giveUp(null).catch(() => undefined);
		throw error;
	}
}

/** Reads what other tabs wrote since a revision; null when that is not kept any more, or the home is not there. */
export async function changesSince(
	db: Db,
	homeId: string,
	knownRevision: number
): Promise<readonly ChangeRow[] | null> {
	let found: readonly ChangeRow[] | null = null;
	const result = await commit(db, homeId, knownRevision, (news) => {
		found = news;
		return null;
	});
	return result.kind === 'nothing' ? found : null;
}
