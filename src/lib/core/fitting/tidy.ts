import { packInOrder, type ShelfProblem } from '../solvers/packing';
import { NEVER } from '../standing';
import { heldBy, type Block } from './blocks';
import type { FloorPlace } from './floor';
import { inInside, onFloor, type Laid } from './lay-out';

/** What disorder costs, minor units: as much as a thing hidden in its own row, more behind what is another's. */
const PRICES = { behindOwn: 40, behindOther: 90, behindLater: 200, apart: 60 };
/** Once a week is often enough to mind, a few times a year is minded a little. */
const SELDOM = 0.3;
const weightOf = (block: Block): number =>
	Math.min(
		1,
		heldBy(block).reduce((sum, { usesPerWeek }) => sum + usesPerWeek, SELDOM)
	);

/** When the first of what a block holds is to be used up, as a number that rises with the date. */
function dueOf(block: Block): number {
	const due = heldBy(block).reduce((first, good) => (good.due < first ? good.due : first), NEVER);
	return due === NEVER ? Infinity : Number(due.replaceAll('-', '') || 0);
}

/** How long an order is looked for: orders a block, at most so many, in so many runs. */
const LOOKED_FOR = {
	/** To know about what a choice comes to. */
	soon: { perBlock: 10, most: 120, runs: 1 },
	/** For what is kept. */
	well: { perBlock: 30, most: 600, runs: 2 }
} as const;
export type OrderLength = keyof typeof LOOKED_FOR;

/** Where things stand in their tidiest order, and what is still amiss, about in minor units. */
export interface Tidy {
	readonly places: readonly FloorPlace[];
	readonly disorder: number;
}

/** What is laid out, as pieces of a shelf. */
export function shelfOf({ floor, blocks, items }: Laid, seenFromAbove: boolean): ShelfProblem {
	const groups = [...new Set(blocks.map(({ groupId }) => groupId))];
	const pieces = blocks.map((block, i) => {
		const { w, d, turn, front, blocked } = items[i]!;
		return {
			w,
			d,
			turn,
			front: front && !seenFromAbove,
			blocked: blocked.map((rect) => onFloor(floor, rect)),
			heightMm: block.heightMm,
			group: groups.indexOf(block.groupId),
			weight: weightOf(block),
			due: dueOf(block)
		};
	});
	return { width: floor.w, depth: floor.d, pieces, fromAbove: seenFromAbove, prices: PRICES };
}

/**
 * Sets things that stand into a tidier order: each group side by side, nothing hidden behind what is as high, all of it drawn
 * to the front.
 */
export function tidied(
	laid: Laid,
	places: readonly FloorPlace[],
	seenFromAbove: boolean,
	length: OrderLength
): Tidy {
	const { floor, blocks } = laid;
	const { perBlock, most, runs } = LOOKED_FOR[length];
	const found = packInOrder(shelfOf(laid, seenFromAbove), {
		looks: Math.min(most, perBlock * blocks.length),
		runs,
		start: places.map((place) => onFloor(floor, place))
	})!;
	return { places: found.places.map((place) => inInside(floor, place)), disorder: found.disorder };
}
