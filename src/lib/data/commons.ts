import type { Home } from '../core/model';
import type { Db } from './database';
import { fire } from './fire';
import { rowsOf } from './homes';

/**
 * States of a home that another copy has had too: what one merges against. Each file that is saved keeps one, so that a
 * few more are kept than copies go to and fro.
 */
const KEPT = 12;

/** Keeps a state that was given away in a file, or came in one. `now` is an ISO instant. */
export async function putCommon(db: Db, id: string, home: Home, now: string): Promise<void> {
	const tx = db.transaction('commons', 'readwrite');
	const rows = await tx.store.getAll(rowsOf(home.id));
	// By their number, not by a clock that may stand or be set back.
	const others = rows.filter((row) => row.id !== id).sort((a, b) => b.seq - a.seq);
	for (const row of others.slice(KEPT - 1)) fire(tx.store.delete([row.homeId, row.id]));
	fire(tx.store.put({ homeId: home.id, id, seq: (others[0]?.seq ?? 0) + 1, at: now, home }));
	await tx.done;
}

/** Lists the states that other copies have had, the latest first. They are as they were stored: of their own layout. */
export async function listCommons(
	db: Db,
	homeId: string
): Promise<{ readonly id: string; readonly at: string; readonly home: Home }[]> {
	const rows = await db.getAll('commons', rowsOf(homeId));
	return rows.sort((a, b) => b.seq - a.seq).map(({ id, at, home }) => ({ id, at, home }));
}
