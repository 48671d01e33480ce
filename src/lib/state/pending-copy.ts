import type { Incoming } from './incoming';

/** A copy that was read on the page of all homes and waits to be merged on the page of its own. */
let waiting: Incoming | null = null;

export const leaveCopy = (copy: Incoming): void => void (waiting = copy);
/** Takes the copy that waits for a home, once; null: none does. */
export function takeCopy(homeId: string): Incoming | null {
	const copy = waiting?.home.id === homeId ? waiting : null;
	waiting = null;
	return copy;
}
