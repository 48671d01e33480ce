import { PictureId, type Edit, type HomePart, type Picture } from '../model';

/** A place as it was and as it is: the latest picture of each; null where there is none. */
export interface PicturePair {
	readonly nookId: string;
	readonly before: Picture | null;
	readonly after: Picture | null;
}

/** The later of two pictures; on one day the one with the greater id. */
const later = (a: Picture | null, b: Picture): Picture =>
	!a || a.on < b.on || (a.on === b.on && a.id < b.id) ? b : a;

/**
 * Pairs the pictures of a place: the latest one of how it is now, and the latest one before it of how it was. Without
 * one of how it is, the latest of how it was.
 */
export function picturePair({ pictures }: HomePart<'pictures'>, nookId: string): PicturePair {
	const own = Object.values(pictures).filter((picture) => picture.nookId === nookId);
	const latest = (when: Picture['when'], until = '9999-12-31') =>
		own
			.filter((picture) => picture.when === when && picture.on <= until)
			.reduce<Picture | null>(later, null);
	const after = latest('after');
	return { nookId, before: latest('before', after?.on) ?? latest('before'), after };
}

/** Places that have pictures, those with the latest one first. */
export function picturePairs(home: HomePart<'pictures'>): PicturePair[] {
	const dayOf = ({ before, after }: PicturePair) => after?.on ?? before?.on ?? '';
	return [...new Set(Object.values(home.pictures).map(({ nookId }) => nookId as string))]
		.map((nookId) => picturePair(home, nookId))
		.sort((a, b) =>
			dayOf(a) < dayOf(b) ? 1 : dayOf(a) > dayOf(b) ? -1 : a.nookId < b.nookId ? -1 : 1
		);
}

/** Makes the edit that keeps a picture of a place. */
export function addPicture(picture: Omit<Picture, 'id'>, id: string): Edit {
	const key = PictureId.parse(id);
	return (draft) => void (draft.pictures[key] = { ...picture, id: key });
}
/** Makes the edit that takes a picture away; the store lets go of it when nothing points to it any more. */
export function removePicture(id: string): Edit {
	return (draft) => void delete draft.pictures[id];
}
