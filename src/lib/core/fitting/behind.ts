import type { Home } from '../model';
import { coveredLength, HIDES } from '../solvers/packing';
import { roomOf } from '../standing';
import { partBoxes, type Stood } from './by-hand';

/** What is hidden by more than this share of its width stands behind something. */
const BEHIND = 0.5;

/**
 * Lists the containers and rows of a place of which one sees less than half from the front: what is about as high stands
 * before them. Nothing does where one looks from above. On a pile the lowest says it for all.
 */
export function standsBehind(home: Home, nookId: string, stood: Stood): ReadonlySet<string> {
	const packing = roomOf(home, nookId);
	if (!packing || packing.seenFromAbove) return new Set();
	const boxes = partBoxes(home, stood);
	const piles = boxes
		.filter(({ z }) => z === 0)
		.map((low) => {
			const over = boxes.filter(({ x, y }) => x === low.x && y === low.y);
			return { ...low, top: Math.max(...over.map(({ z, h }) => z + h)) };
		});
	const hidden = piles.filter((pile) => {
		const before = piles.filter(({ y, top }) => y < pile.y && top >= pile.top * HIDES);
		const spans = before.map(({ x, w }) => [x, x + w] as const);
		return coveredLength(pile.x, pile.x + pile.w, spans) > pile.w * BEHIND;
	});
	return new Set(hidden.map(({ id }) => id));
}
