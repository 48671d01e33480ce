import { openDatabase, type Db } from '../data';

let opened: Promise<Db> | null = null;

/** Opens the database once for the whole page; after a failure, or when its connection ended, the next call opens anew. */
export function getDb(): Promise<Db> {
	if (opened) return opened;
	const forget = () => {
		if (opened === opening) opened = null;
	};
	const opening: Promise<Db> = openDatabase({ onReplaced: forget, onTerminated: forget });
	opening.catch(forget);
	return (opened = opening);
}
