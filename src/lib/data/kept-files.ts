import type { Db, KeptFileRow } from './database';

/** There is one file a home: choosing another takes its place. */
const ONLY = 'file';

/** The file that a home is kept in besides this browser; null: none was chosen here. */
export async function getKeptFile(db: Db, homeId: string): Promise<KeptFileRow['handle'] | null> {
	return (await db.get('keptFiles', [homeId, ONLY]))?.handle ?? null;
}
/** Remembers the file that was chosen for a home. */
export async function putKeptFile(
	db: Db,
	homeId: string,
	handle: KeptFileRow['handle']
): Promise<void> {
	await db.put('keptFiles', { homeId, id: ONLY, handle });
}
/** Forgets the file of a home; the file itself stays where it is. */
export const dropKeptFile = (db: Db, homeId: string): Promise<void> =>
	db.delete('keptFiles', [homeId, ONLY]);
