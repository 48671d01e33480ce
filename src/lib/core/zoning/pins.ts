import type { Home } from '../model';
import type { Cell } from './cell';
import { fitting, mostParts, partsFor, type PartsInput } from './parts';

/** Lists the nooks that a group is pinned to, by their index, in the order of the pins. */
export const pinnedNooks = (
	{ pins }: Pick<Home, 'pins'>,
	groupId: string,
	nookIndex: ReadonlyMap<string, number>
): number[] =>
	pins
		.filter((pin) => pin.kind === 'pin' && pin.groupId === groupId)
		.flatMap(({ nookId }) => nookIndex.get(nookId) ?? []);

/**
 * Says into how many parts a pinned group goes: the fewest that leave one for each pinned nook and fit there. What no
 * pinned nook can take a part of is parted as if it were free.
 */
export function partsForPinned(input: PartsInput, pinned: readonly number[]): number {
	const most = mostParts(input.figures);
	for (let count = Math.min(pinned.length, most); count <= most; count++) {
		const places = new Set(fitting(input, 1 / count));
		const holds = (n: number) => places.has(n);
		if (count >= pinned.length ? pinned.every(holds) : pinned.some(holds)) return count;
	}
	return partsFor(input);
}

/**
 * Gives the nooks of one part of a pinned group: each of the first parts is kept to a pinned nook of its own, the rest
 * goes anywhere. With more pins than parts each part may go to any of them.
 */
export function rowOfPart(
	row: readonly Cell[],
	pinned: readonly number[],
	part: number,
	count: number
): readonly Cell[] {
	const free = !pinned.length || (count >= pinned.length && part >= pinned.length);
	if (free) return row;
	const open = count >= pinned.length ? [pinned[part]!] : pinned;
	return row.map((cell, n) =>
		cell.hard || open.includes(n) ? cell : { ...cell, hard: 'pinned-elsewhere' }
	);
}
