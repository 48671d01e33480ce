import type { PhotoIssue } from '../messages/files';

/** Longest side of a kept picture, px: enough to tell the back of a shelf. */
const MOST_PX = 1280;
const QUALITY = 0.82;
/** Anything larger is no snapshot, and decoding it could end the tab. */
const MOST_BYTES = 40_000_000;

export interface ShrunkPhoto {
	readonly bytes: ArrayBuffer;
	readonly from: { readonly widthPx: number; readonly heightPx: number };
	readonly to: { readonly widthPx: number; readonly heightPx: number };
}
export type Shrunk =
	| { readonly ok: true; readonly photo: ShrunkPhoto }
	| { readonly ok: false; readonly issue: PhotoIssue };

/** Shrinks a picture to a JPEG of at most 1280 px a side. What it knows of place and camera is dropped with the rest. */
export async function shrinkPhoto(file: File): Promise<Shrunk> {
	if (file.size > MOST_BYTES)
		return {
			ok: false,
			issue: { code: 'photo-too-large', name: file.name, bytes: file.size, limit: MOST_BYTES }
		};
	let bitmap: ImageBitmap;
	try {
		bitmap = await createImageBitmap(file);
	} catch {
		return { ok: false, issue: { code: 'photo-not-picture', name: file.name } };
	}
	const { width, height } = bitmap;
	const scale = Math.min(1, MOST_PX / Math.max(width, height));
	const to = {
		widthPx: Math.max(1, Math.round(width * scale)),
		heightPx: Math.max(1, Math.round(height * scale))
	};
	const canvas = new OffscreenCanvas(to.widthPx, to.heightPx);
	canvas.getContext('2d')?.drawImage(bitmap, 0, 0, to.widthPx, to.heightPx);
	bitmap.close();
	const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY });
	return {
		ok: true,
		photo: {
			bytes: await blob.arrayBuffer(),
			from: { widthPx: width, heightPx: height },
			to
		}
	};
}
