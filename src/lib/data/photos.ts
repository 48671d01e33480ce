import type { Db, PhotoRow } from './database';
import { fire } from './fire';
import { rowsOf } from './homes';

/** Stores a picture of a home; one of the same id is replaced. */
export async function putPhoto(db: Db, row: PhotoRow): Promise<void> {
	await db.put('photos', row);
}

/** Reads one picture; null when it is not in this browser. */
export async function getPhoto(db: Db, homeId: string, id: string): Promise<PhotoRow | null> {
	return (await db.get('photos', [homeId, id])) ?? null;
}

/** Reads all pictures of a home, by their id. */
export async function listPhotos(db: Db, homeId: string): Promise<Map<string, Uint8Array>> {
	const rows = await db.getAll('photos', rowsOf(homeId));
	return new Map(rows.map(({ id, bytes }) => [id, new Uint8Array(bytes)]));
}

/** A picture is stored before the place that shows it: younger ones are left alone, ms. */
const YOUNG_MS = 24 * 60 * 60 * 1000;

/**
 * Removes the pictures of a home that nothing points to any more: no place, no picture of one, and no step of its history. Gives their
 * number. `now` is an ISO instant.
 */
export async function sweepPhotos(db: Db, homeId: string, now: string): Promise<number> {
	const tx = db.transaction(['photos', 'records', 'history', 'changes'], 'readwrite');
	const photos = await tx.objectStore('photos').getAll(rowsOf(homeId));
	const old = photos.filter(
		({ addedAt }) => !addedAt || Date.parse(now) - Date.parse(addedAt) > YOUNG_MS
	);
	if (!old.length) {
		await tx.done;
		return 0;
	}
	const recordsOf = (collection: 'nooks' | 'pictures') =>
		tx
			.objectStore('records')
			.getAll(IDBKeyRange.bound([homeId, collection], [homeId, collection, []]));
	const [nooks, pictures, history] = await Promise.all([
		recordsOf('nooks'),
		recordsOf('pictures'),
		tx.objectStore('history').getAll(rowsOf(homeId))
	]);
	const said = JSON.stringify([nooks, pictures, history]);
	const gone = old.filter(({ id }) => !said.includes(`"${id}"`));
	for (const { id } of gone) fire(tx.objectStore('photos').delete([homeId, id]));
	await tx.done;
	return gone.length;
}
