import { putPhoto, type Db } from '../data';
import { photoIssueText } from '../messages/files';
import type { Shrunk } from './shrink-photo';

export interface KeepPhotoDeps {
	readonly db: () => Promise<Db>;
	/** ISO instant. */
	readonly now: () => string;
	readonly newId: () => string;
	readonly shrink: (file: File) => Promise<Shrunk>;
}
export type KeptPhoto =
	| {
			readonly ok: true;
			readonly id: string;
			readonly photo: Extract<Shrunk, { ok: true }>['photo'];
	  }
	| { readonly ok: false; readonly wrong: string };

/** Shrinks a picture and stores it for a home; says in words why it was not stored. */
export async function keepPhoto(
	{ db, now, newId, shrink }: KeepPhotoDeps,
	homeId: string,
	file: File
): Promise<KeptPhoto> {
	const shrunk = await shrink(file);
	if (!shrunk.ok) return { ok: false, wrong: photoIssueText(shrunk.issue) };
	const id = newId();
	const { bytes } = shrunk.photo;
	try {
		await putPhoto(await db(), { homeId, id, type: 'image/jpeg', bytes, addedAt: now() });
	} catch (error) {
		const reason = error instanceof Error ? error.message : String(error);
		return {
			ok: false,
			wrong: `The picture was not stored: ${reason}. Free some space and take it again; what was there stays.`
		};
	}
	return { ok: true, id, photo: shrunk.photo };
}
