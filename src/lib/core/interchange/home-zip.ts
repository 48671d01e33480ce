import { strFromU8, strToU8, unzipSync, zipSync, type Unzipped } from 'fflate';
import type { Home } from '../model';
import { MAX_FILE_BYTES, readHomeFile, writeHomeFile, type FileIssue } from './home-file';
import { MAX_PHOTO_BYTES, MAX_ZIP_BYTES } from './zip-limits';

const HOME_NAME = 'home.keepnook.json';
const PHOTO = /^photos\/([\w-]{1,64})\.jpg$/;
/** When entries were packed is nobody's business and would make each export differ. */
const PACKED_AT = new Date(1980, 0, 1);

export type ZipResult =
	| {
			readonly ok: true;
			readonly home: Home;
			readonly photos: ReadonlyMap<string, Uint8Array>;
			/** Pictures that the home points to and that are not in the archive, or are no pictures. */
			readonly lostPhotos: number;
	  }
	| { readonly ok: false; readonly issues: readonly FileIssue[] };

/** Tells a JPEG picture by its first bytes. */
const isJpeg = (bytes: Uint8Array): boolean =>
	bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff;

const photoIdsOf = (home: Home): Set<string> =>
	new Set(
		[...Object.values(home.nooks), ...Object.values(home.pictures)].flatMap(({ photoId }) =>
			photoId ? [photoId] : []
		)
	);

/** Packs a home and the pictures that it points to into a ZIP archive. The same home gives the same bytes. */
export function writeHomeZip(home: Home, photos: ReadonlyMap<string, Uint8Array>): Uint8Array {
	const used = [...photoIdsOf(home)].sort().flatMap((id) => {
		const bytes = photos.get(id);
		// Pictures are packed already: they are only stored.
		return bytes ? [[`photos/${id}.jpg`, [bytes, { level: 0 }]] as const] : [];
	});
	return zipSync(
		{ [HOME_NAME]: strToU8(writeHomeFile(home)), ...Object.fromEntries(used) },
		{ mtime: PACKED_AT }
	);
}

/**
 * Reads a ZIP archive of a home. Entries of other names are left alone; nothing is unpacked beyond its limit. A
 * picture that is missing or is none is dropped where it was shown, and counted.
 */
export function readHomeZip(bytes: Uint8Array): ZipResult {
	const no = (issue: FileIssue): ZipResult => ({ ok: false, issues: [issue] });
	if (bytes.length > MAX_ZIP_BYTES)
		return no({ code: 'file-too-large', bytes: bytes.length, limit: MAX_ZIP_BYTES });
	let entries: Unzipped;
	let homeBytes = 0;
	try {
		entries = unzipSync(bytes, {
			filter: ({ name, originalSize }) => {
				if (name === HOME_NAME) homeBytes = originalSize;
				return (
					(name === HOME_NAME && originalSize <= MAX_FILE_BYTES) ||
					(PHOTO.test(name) && originalSize <= MAX_PHOTO_BYTES)
				);
			}
		});
	} catch (error) {
		return no({
			code: 'zip-damaged',
			reason: error instanceof Error ? error.message : String(error)
		});
	}
	if (homeBytes > MAX_FILE_BYTES)
		return no({ code: 'file-too-large', bytes: homeBytes, limit: MAX_FILE_BYTES });
	const text = entries[HOME_NAME];
	if (!text) return no({ code: 'zip-without-home', wanted: HOME_NAME });
	const read = readHomeFile(strFromU8(text));
	if (!read.ok) return read;
	const photos = new Map(
		Object.entries(entries).flatMap(([name, photo]) => {
			const id = PHOTO.exec(name)?.[1];
			return id && isJpeg(photo) ? [[id, photo] as const] : [];
		})
	);
	let lostPhotos = 0;
	const nooks = Object.fromEntries(
		Object.entries(read.home.nooks).map(([id, nook]) => {
			const lost = !!nook.photoId && !photos.has(nook.photoId);
			lostPhotos += Number(lost);
			return [id, lost ? { ...nook, photoId: null } : nook];
		})
	);
	const shown = Object.entries(read.home.pictures);
	const pictures = Object.fromEntries(shown.filter(([, { photoId }]) => photos.has(photoId)));
	lostPhotos += shown.length - Object.keys(pictures).length;
	return { ok: true, home: { ...read.home, nooks, pictures }, photos, lostPhotos };
}
