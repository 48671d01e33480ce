import type { Home } from '../model';
import type { Side } from './edits';
import { nooksInOrder, placeOfNook, type NookPlace } from './place';

/** One number to take: a side of a nook. */
export interface TapeStep {
	readonly key: string;
	readonly place: NookPlace;
	readonly side: Side;
	readonly word: 'width' | 'depth' | 'height';
	/** Readings taken of it so far, mm. */
	readonly taken: readonly number[];
}

const WORDS = ['width', 'depth', 'height'] as const;

/** Names a side of a nook in one text. @example tapeKey('n1', 'widthMm') // 'n1/width' */
export const tapeKey = (nookId: string, word: TapeStep['word']): string => `${nookId}/${word}`;

/** Finds the step of a key as the home is now; null when its nook is gone. */
export function tapeStep(home: Home, key: string): TapeStep | null {
	const at = key.lastIndexOf('/');
	const place = placeOfNook(home, key.slice(0, at));
	const word = WORDS.find((known) => known === key.slice(at + 1));
	if (!place || !word) return null;
	const side: Side = `${word}Mm`;
	return { key, place, side, word, taken: place.nook.readings[side] };
}

export interface TapeWanted {
	/** Also sizes that came with the usual form of a cabinet and that no tape has been held to yet. */
	readonly assumed: boolean;
}

/**
 * Lists the numbers that are to be taken, one by one in walking order: width, depth and height of each nook where
 * they are missing, with `assumed` also where there is a size but no reading.
 */
export function tapeSteps(home: Home, { assumed }: TapeWanted = { assumed: false }): TapeStep[] {
	return nooksInOrder(home).flatMap(({ nook }) =>
		WORDS.filter((word) => {
			const side: Side = `${word}Mm`;
			return !nook.inside[side] || (assumed && !nook.readings[side].length);
		}).map((word) => tapeStep(home, tapeKey(nook.id, word))!)
	);
}
