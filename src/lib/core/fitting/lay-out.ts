import type { Box } from '../survey';
import type { Packing } from '../standing';
import { blocksOf, type Block } from './blocks';
import type { FloorItem, Rect } from './floor';
import type { HoldOption } from './hold-option';

/** A floor with what is to stand on it. */
export interface Laid {
	readonly floor: Rect;
	readonly blocks: readonly Block[];
	/** What the blocks take of the floor, one for each. */
	readonly items: readonly FloorItem[];
}

/** Blocked floor at a height: boxes that reach below the top of a block. */
const blockedAt = (boxes: readonly Box[], heightMm: number): Rect[] =>
	boxes.filter((box) => box.z < heightMm).map(({ x, y, w, d }) => ({ x, y, w, d }));

/** What a mix of ways to hold the wants puts on the floor, what is used daily first, then the largest. */
export function laidOut(mix: readonly HoldOption[], packing: Packing): Laid {
	const { boxes, room, frontMm, sideMm } = packing;
	// Play at the front is 10 mm, of which a container brings its own side play.
	const front = Math.max(0, frontMm - sideMm);
	const floor: Rect = { x: 0, y: front, w: room.widthMm, d: room.depthMm - front };
	const blocks = mix
		.flatMap((option) => blocksOf(option, sideMm))
		.sort((a, b) => Number(b.front) - Number(a.front) || b.w * b.d - a.w * a.d);
	const items = blocks.map((block): FloorItem => ({
		w: block.w,
		d: block.d,
		turn: block.turn,
		front: block.front,
		blocked: blockedAt(boxes, block.heightMm + (block.kind ? room.aboveMm : 0))
	}));
	return { floor, blocks, items };
}

/** A rectangle, or a place, of the inside as it is on the floor. */
export const onFloor = <Point extends { readonly x: number; readonly y: number }>(
	{ x: left, y: front }: Rect,
	point: Point
): Point => ({ ...point, x: point.x - left, y: point.y - front });

/** The same the other way round. */
export const inInside = <Point extends { readonly x: number; readonly y: number }>(
	{ x: left, y: front }: Rect,
	point: Point
): Point => ({ ...point, x: point.x + left, y: point.y + front });
