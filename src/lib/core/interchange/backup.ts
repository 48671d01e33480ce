import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import type { Home } from '../model';
import { readHomeZip, writeHomeZip } from './home-zip';
import type { FileIssue } from './home-file';
import { MAX_BACKUP_BYTES, MAX_BACKUP_HOMES, MAX_ZIP_BYTES } from './zip-limits';

/** One home of a backup with its pictures. */
export interface BackedUp {
	readonly home: Home;
	readonly photos: ReadonlyMap<string, Uint8Array>;
	readonly lostPhotos: number;
}
export type BackupResult =
	| {
			readonly ok: true;
			readonly homes: readonly BackedUp[];
			/** Homes that could not be read, by the name of their entry. */
			readonly bad: readonly { readonly entry: string; readonly issues: readonly FileIssue[] }[];
	  }
	| { readonly ok: false; readonly issues: readonly FileIssue[] };

const NOTE_NAME = 'keepnook-backup.txt';
const ENTRY = /^homes\/([\w-]{1,64})\.keepnook\.zip$/;
const PACKED_AT = new Date(1980, 0, 1);
const NOTE =
	'A backup of homes. Choose the whole file on the page of all homes to bring them back.\n';

/** Packs homes with their pictures into one archive, each as the archive it would be alone. In the order of their ids. */
export function writeBackup(
	homes: readonly { readonly home: Home; readonly photos: ReadonlyMap<string, Uint8Array> }[]
): Uint8Array {
	const sorted = [...homes].sort((a, b) => (a.home.id < b.home.id ? -1 : 1));
	return zipSync(
		{
			[NOTE_NAME]: strToU8(NOTE),
			...Object.fromEntries(
				// They are packed already: they are only stored.
				sorted.map(({ home, photos }) => [
					`homes/${home.id}.keepnook.zip`,
					[writeHomeZip(home, photos), { level: 0 as const }] as const
				])
			)
		} as never,
		{ mtime: PACKED_AT }
	);
}

/** Tells whether an archive is a backup of homes: it says so in an entry of its own. */
export function isBackup(bytes: Uint8Array): boolean {
	try {
		const found = unzipSync(bytes, {
			filter: ({ name, originalSize }) => name === NOTE_NAME && originalSize < 10_000
		});
		return found[NOTE_NAME] !== undefined && strFromU8(found[NOTE_NAME]) === NOTE;
	} catch {
		return false;
	}
}

/** Reads a backup: each home by itself, so that one that is damaged takes none of the others with it. */
export function readBackup(bytes: Uint8Array): BackupResult {
	if (bytes.length > MAX_BACKUP_BYTES)
		return {
			ok: false,
			issues: [{ code: 'file-too-large', bytes: bytes.length, limit: MAX_BACKUP_BYTES }]
		};
	let entries: Record<string, Uint8Array>;
	let [unpacked, count] = [0, 0];
	try {
		entries = unzipSync(bytes, {
			filter: ({ name, originalSize }) => {
				if (!ENTRY.test(name) || originalSize > MAX_ZIP_BYTES) return false;
				// Nothing is unpacked beyond what a true backup holds.
				unpacked += originalSize;
				return ++count <= MAX_BACKUP_HOMES && unpacked <= MAX_BACKUP_BYTES;
			}
		});
	} catch (error) {
		const reason = error instanceof Error ? error.message : String(error);
		return { ok: false, issues: [{ code: 'zip-damaged', reason }] };
	}
	const homes: BackedUp[] = [];
	const bad: { entry: string; issues: readonly FileIssue[] }[] = [];
	for (const [entry, packed] of Object.entries(entries)) {
		const read = readHomeZip(packed);
		if (read.ok) homes.push(read);
		else bad.push({ entry, issues: read.issues });
	}
	if (!homes.length && !bad.length)
		return { ok: false, issues: [{ code: 'zip-without-home', wanted: 'homes/….keepnook.zip' }] };
	return { ok: true, homes, bad };
}
