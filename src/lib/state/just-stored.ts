import type { StoredHome } from '../data';

let left: StoredHome | null = null;

/** Leaves a home that was stored a moment ago for the page that opens it: it need not be read and checked again. */
export const leaveStored = (stored: StoredHome): void => void (left = stored);

/**
 * Leaves a home whose storing was begun: it is shown meanwhile, and the frame says that it is being saved, or is not.
 * @param again Stores it once more, where the first time failed.
 */
export function leaveBegun(
	home: StoredHome['home'],
	{ revision, done }: { readonly revision: number; readonly done: Promise<void> },
	again: () => Promise<unknown>
): void {
	let first: Promise<void> | null = done;
	left = {
		home,
		revision,
		finish: async () => {
			const waiting = first;
			first = null;
			await (waiting ?? again());
		}
	};
}

/** Takes what was left of a home, once; undefined: nothing, or another one. */
export function takeStored(homeId: string): StoredHome | undefined {
	const stored = left;
	left = null;
	return stored?.home.id === homeId ? stored : undefined;
}
