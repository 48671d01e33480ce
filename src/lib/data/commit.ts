import {
	changedRecords,
	headOf,
	HOME_VERSION,
	type CollectionName,
	type Home,
	type Patch
} from '../core/model';
import { HISTORY_LIMIT } from '../core/commands/history-limit';
import type { StepChange } from '../core/commands/timeline';
import type { ChangeRow, Db, RecordRow } from './database';
import { fire } from './fire';

export { HISTORY_LIMIT };
/** How many writes back a tab can catch up without reading the whole home. */
export const CHANGES_LIMIT = 200;

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
	/** All of it is stored; `changes` is what other tabs are told. */
	| { readonly kind: 'stored'; readonly changes: readonly ChangeRow[] }
	/** There was nothing to write. */
	| { readonly kind: 'nothing' }
	/** Writes were missed that are not kept any more: the home has to be read again. */
	| { readonly kind: 'behind' }
	/** The home is put away, or not in the store. */
	| { readonly kind: 'gone'; readonly code: 'deleted' | 'not-found' };

/**
 * Writes changes in one transaction, each with its records, its step of history and its revision, and the head. `plan` is
 * told what other tabs wrote since `knownRevision`, and says at once what is to be written on top of it, one after the
 * other; it is called inside the transaction, so that nobody comes between. Either all of it is stored or nothing.
 */
export async function commit(
	db: Db,
	homeId: string,
	knownRevision: number,
	plan: (news: readonly ChangeRow[]) => readonly Write[]
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
		const writes = plan(news);
		const last = writes.at(-1);
		if (!last) return giveUp({ kind: 'nothing' } as const);
		const touched = changedRecords(writes.flatMap(({ patches }) => patches));
		for (const { collection, id } of touched) {
			if (collection === 'head') continue;
			const value = (last.home[collection as CollectionName] as Record<string, unknown>)[id];
			if (value === undefined) fire(tx.objectStore('records').delete([homeId, collection, id]));
			else
				fire(tx.objectStore('records').put({ homeId, collection, id, value } satisfies RecordRow));
		}
		const history = tx.objectStore('history');
		let { revision, cursor } = row;
		const told: ChangeRow[] = [];
		for (const { entryId, patches, change } of writes) {
			told.push({ homeId, revision: ++revision, entryId, patches, change });
			fire(changes.put(told.at(-1)!));
			cursor = change.kind === 'new' ? change.step.seq : change.cursor;
			if (change.kind === 'cursor') continue;
			fire(history.delete(IDBKeyRange.bound([homeId, cursor], [homeId, Infinity])));
			fire(history.put({ homeId, ...change.step }));
		}
		if (cursor > HISTORY_LIMIT)
			fire(history.delete(IDBKeyRange.bound([homeId, 0], [homeId, cursor - HISTORY_LIMIT])));
		if (revision > CHANGES_LIMIT)
			fire(changes.delete(IDBKeyRange.bound([homeId, 0], [homeId, revision - CHANGES_LIMIT])));
		const head = headOf(last.home);
		fire(homes.put({ ...row, head, revision, cursor, changedAt: last.now }));
		await tx.done;
		return { kind: 'stored', changes: told };
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
		return [];
	});
	return result.kind === 'nothing' ? found : null;
}
