import type { StoredHome } from '../data';

let left: StoredHome | null = null;

/** Leaves a home that was stored a moment ago for the page that opens it: it need not be read and checked again. */
export const leaveStored = (stored: StoredHome): void => void (left = stored);

/** Takes what was left of a home, once; undefined: nothing, or another one. */
export function takeStored(homeId: string): StoredHome | undefined {
	const stored = left;
	left = null;
	return stored?.home.id === homeId ? stored : undefined;
}
