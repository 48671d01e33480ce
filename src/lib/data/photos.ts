import type { Db, PhotoRow } from './database';
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

/** Stores pictures that came with a home, all of them in one transaction or none. */
export async function putPhotos(
	db: Db,
	homeId: string,
	photos: ReadonlyMap<string, Uint8Array>
): Promise<void> {
	const tx = db.transaction('photos', 'readwrite');
	for (const [id, bytes] of photos)
		void tx.store.put({ homeId, id, type: 'image/jpeg', bytes: Uint8Array.from(bytes).buffer });
	await tx.done;
}
