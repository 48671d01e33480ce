import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { HomeHead, Patch } from '../core/model';

/** One step of a home's history: what was done, forwards and back. */
export interface HistoryRow {
	readonly homeId: string;
	readonly seq: number;
	readonly label: string;
	readonly at: string;
	readonly patches: Patch[];
	readonly inverse: Patch[];
}

export interface HomeRow {
	readonly id: string;
	/** Version of the records' layout, for the migration ladder. */
	readonly version: number;
	readonly head: HomeHead;
	/** Counts every write, so that two tabs notice each other. */
	readonly revision: number;
	/** Sequence number of the last step that is in force; later ones can be redone. */
	readonly cursor: number;
	readonly changedAt: string;
}

export interface RecordRow {
	readonly homeId: string;
	readonly collection: string;
	readonly id: string;
	readonly value: unknown;
}

/** A picture of a nook, shrunk; it belongs to a home and goes with it. */
export interface PhotoRow {
	readonly homeId: string;
	readonly id: string;
	readonly type: 'image/jpeg';
	readonly bytes: ArrayBuffer;
}

export interface KeepNookDb extends DBSchema {
	homes: { key: string; value: HomeRow };
	records: { key: [string, string, string]; value: RecordRow };
	history: { key: [string, number]; value: HistoryRow };
	photos: { key: [string, string]; value: PhotoRow };
}
export type Db = IDBPDatabase<KeepNookDb>;

export const DB_NAME = 'keepnook';
/** Layout of the stores; a ladder in `upgrade`, apart from the migration of records. */
export const DB_VERSION = 2;

export interface DbEvents {
	/** Another tab holds an older layout open. */
	readonly onBlocked?: () => void;
	/** This tab holds an older layout open; it is closed so that the other may go on. */
	readonly onReplaced?: () => void;
	/** The browser ended the connection. */
	readonly onTerminated?: () => void;
}

/** Opens the database, making or upgrading its stores. */
export function openDatabase({ onBlocked, onReplaced, onTerminated }: DbEvents = {}): Promise<Db> {
	return openDB<KeepNookDb>(DB_NAME, DB_VERSION, {
		upgrade(db, from) {
			if (from < 1) {
				db.createObjectStore('homes', { keyPath: 'id' });
				db.createObjectStore('records', { keyPath: ['homeId', 'collection', 'id'] });
				db.createObjectStore('history', { keyPath: ['homeId', 'seq'] });
			}
			if (from < 2) db.createObjectStore('photos', { keyPath: ['homeId', 'id'] });
		},
		blocked: () => onBlocked?.(),
		blocking(_current, _blocked, event) {
			(event.target as IDBDatabase).close();
			onReplaced?.();
		},
		terminated: () => onTerminated?.()
	});
}
