import {
	isZip,
	MAX_FILE_BYTES,
	MAX_ZIP_BYTES,
	readHomeFile,
	repairHomeFile,
	type FileIssue
} from '../core/interchange';
import type { Read } from './incoming';

const refused = (issue: FileIssue): Read => ({ ok: false, issues: [issue], mended: null });

/**
 * Reads a home file or an archive with pictures. A far too large one is refused before it is read into memory; one with
 * faults is refused with what could be made of it.
 */
export async function readFile(
	file: File,
	make: { newId: () => string; now: () => string }
): Promise<Read> {
	const archive = /\.zip$/i.test(file.name);
	const limit = archive ? MAX_ZIP_BYTES : MAX_FILE_BYTES;
	if (file.size > limit) return refused({ code: 'file-too-large', bytes: file.size, limit });
	const bytes = new Uint8Array(await file.arrayBuffer());
	if (archive || isZip(bytes)) {
		// Loaded only now: the first screen does without it.
		const { readHomeZip } = await import('../core/interchange/home-zip');
		const result = readHomeZip(bytes);
		return result.ok ? { ...result, mends: [] } : { ...result, mended: null };
	}
	const text = new TextDecoder().decode(bytes);
	const result = readHomeFile(text);
	if (result.ok) return { ...result, photos: new Map(), lostPhotos: 0, mends: [] };
	const repaired = repairHomeFile(text, { id: make.newId(), now: make.now() });
	return {
		ok: false,
		issues: result.issues,
		mended: repaired && { ...repaired, photos: new Map(), lostPhotos: 0 }
	};
}
