import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { HistoryStep, StepChange } from '../core/commands/timeline';
import type { Home, HomeHead, Patch } from '../core/model';

export interface HistoryRow extends HistoryStep {
	readonly homeId: string;
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
	/** ISO instant; set: it is put away, and can be brought back with all its history. */
	readonly deletedAt?: string | null;
}

export interface RecordRow {
	readonly homeId: string;
	readonly collection: string;
	readonly id: string;
	readonly value: unknown;
}

/** One write to a home: a tab that missed some catches up by these, without reading the whole home again. */
export interface ChangeRow {
	readonly homeId: string;
	/** Revision of the home after it. */
	readonly revision: number;
	/** Id of what was done: a tab that never heard whether its write went through finds it here. */
	readonly entryId: string;
	readonly patches: readonly Patch[];
	readonly change: StepChange;
}

/** A picture of a nook, shrunk; it belongs to a home and goes with it. */
export interface PhotoRow {
	readonly homeId: string;
	readonly id: string;
	readonly type: 'image/jpeg';
	readonly bytes: ArrayBuffer;
	/** ISO instant; older rows have none. */
	readonly addedAt?: string;
}

/** A state of a home that another copy has had too, by the file that carried it. */
export interface CommonRow {
	readonly homeId: string;
	readonly id: string;
	/** Counts up with each state that is kept of a home. */
	readonly seq: number;
	/** ISO instant. */
	readonly at: string;
	readonly home: Home;
}

/** What was found of a damaged home before it was repaired, as it was stored. */
export interface WreckRow {
	readonly homeId: string;
	/** ISO instant of the repair. */
	readonly at: string;
	readonly raw: unknown;
}

/** What the browser gives of a file that a person chose to be written to. */
export interface FileHandle {
	readonly name: string;
	createWritable(): Promise<{ write(text: string): Promise<void>; close(): Promise<void> }>;
	queryPermission?(access: { readonly mode: 'readwrite' }): Promise<PermissionState>;
	requestPermission?(access: { readonly mode: 'readwrite' }): Promise<PermissionState>;
}
/** A file of a person's own that a home is written to. */
export interface KeptFileRow {
	readonly homeId: string;
	readonly id: string;
	readonly handle: FileHandle;
}

export interface KeepNookDb extends DBSchema {
	homes: { key: string; value: HomeRow };
	records: { key: [string, string, string]; value: RecordRow };
	history: { key: [string, number]; value: HistoryRow };
	changes: { key: [string, number]; value: ChangeRow };
	photos: { key: [string, string]; value: PhotoRow };
	wrecks: { key: [string, string]; value: WreckRow };
	commons: { key: [string, string]; value: CommonRow };
	keptFiles: { key: [string, string]; value: KeptFileRow };
}
export type Db = IDBPDatabase<KeepNookDb>;
/** Stores whose rows belong to one home. */
export const HOME_STORES = [
	'records',
	'history',
	'changes',
	'photos',
	'wrecks',
	'commons',
	'keptFiles'
] as const;

export const DB_NAME = 'keepnook';
/** Layout of the stores; a ladder in `upgrade`, apart from the migration of records. */
export const DB_VERSION = 5;
/** Opening takes milliseconds; after this long something holds it up, ms. */
const PATIENCE_MS = 8000;

/** Opening was not refused and not done either. */
export class NoAnswer extends Error {
	override name = 'NoAnswerError';
	constructor(readonly blocked: boolean) {
		super('The browser did not open its storage in time.');
	}
}

export interface DbEvents {
	/** Another tab holds an older layout open. */
	readonly onBlocked?: () => void;
	/** This tab holds an older layout open, or its data is being cleared; it is closed so that the other may go on. */
	readonly onReplaced?: () => void;
	/** The browser ended the connection. */
	readonly onTerminated?: () => void;
	readonly patienceMs?: number;
}

/**
 * Opens the database, making or upgrading its stores.
 * @throws NoAnswer when it takes longer than `patienceMs`; what the browser says when it refuses.
 */
export function openDatabase(events: DbEvents = {}): Promise<Db> {
	let blocked = false;
	let late = false;
	const opening = openDB<KeepNookDb>(DB_NAME, DB_VERSION, {
		upgrade(db, from) {
			if (from < 1) {
				db.createObjectStore('homes', { keyPath: 'id' });
				db.createObjectStore('records', { keyPath: ['homeId', 'collection', 'id'] });
				db.createObjectStore('history', { keyPath: ['homeId', 'seq'] });
			}
			if (from < 2) db.createObjectStore('photos', { keyPath: ['homeId', 'id'] });
			if (from < 3) {
				db.createObjectStore('changes', { keyPath: ['homeId', 'revision'] });
				db.createObjectStore('wrecks', { keyPath: ['homeId', 'at'] });
			}
			if (from < 4) db.createObjectStore('commons', { keyPath: ['homeId', 'id'] });
			if (from < 5) db.createObjectStore('keptFiles', { keyPath: ['homeId', 'id'] });
		},
		blocked: () => {
			blocked = true;
			events.onBlocked?.();
		},
		blocking(_current, _blocked, event) {
			(event.target as IDBDatabase).close();
			events.onReplaced?.();
		},
		terminated: () => events.onTerminated?.()
	});
	return new Promise<Db>((settle, fail) => {
		const timer = setTimeout(() => {
			late = true;
			fail(new NoAnswer(blocked));
		}, events.patienceMs ?? PATIENCE_MS);
		opening.then(
			(db) => {
				clearTimeout(timer);
				// Nobody waits for it any more; an open one would hold up the next.
				if (late) db.close();
				else settle(db);
			},
			(error: unknown) => {
				clearTimeout(timer);
				fail(error);
			}
		);
	});
}
