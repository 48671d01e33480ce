import { volumeOf, waysOf, type BoxesProblem, type PlacedBox } from './problem';

/** Boxes that stand together as one with hardly a gap, as they are turned; one box is a block by itself. */
export interface Block {
	readonly w: number;
	readonly d: number;
	readonly h: number;
	/** Volume of the boxes in it, mm³. */
	readonly volume: number;
	/** All of its top carries. */
	readonly isFlat: boolean;
	/** Which boxes, as bits of 32 a word. */
	readonly words: Int32Array;
	/** The boxes, their corners from that of the block; from the bottom up. */
	readonly boxes: readonly PlacedBox[];
}

/**
 * Makes the blocks of a problem: each box in all its ways, then pairs of blocks that share a whole side, beside, behind or
 * on each other, so that hardly a gap is left in any; the largest first, at most `most` pairs of them. What does not go in
 * is left out.
 */
export function blocksOf(problem: BoxesProblem, most: number, levelMm = problem.levelMm): Block[] {
	const { width, depth, height, boxes } = problem;
	const words = Math.max(1, Math.ceil(boxes.length / 32));
	const singles: Block[] = boxes.flatMap((box, i) =>
		waysOf(box)
			.filter(([w, d, h]) => w <= width && d <= depth && h <= height)
			.map(([w, d, h]) => {
				const bits = new Int32Array(words);
				bits[i >> 5]! |= 1 << (i & 31);
				const placed = { box: i, x: 0, y: 0, z: 0, w, d, h };
				const volume = volumeOf(box);
				return { w, d, h, volume, isFlat: true, words: bits, boxes: [placed] };
			})
	);
	const all: Block[] = [];
	const known = new Set<string>();
	/** Blocks by the side they could be joined at. */
	const bySide = new Map<string, Block[]>();
	const add = (block: Block) => {
		all.push(block);
		for (const axis of AXES) {
			const side = keyOf(axis, sideOf(axis, block));
			const there = bySide.get(side);
			if (there) there.push(block);
			else bySide.set(side, [block]);
		}
	};
	/** Those whose side is the same but for what counts as level. */
	const alike = (axis: Axis, block: Block): Block[] => {
		const [p, q] = sideOf(axis, block);
		const found: Block[] = [];
		for (let i = -levelMm; i <= levelMm; i++)
			for (let j = -levelMm; j <= levelMm; j++)
				found.push(...(bySide.get(keyOf(axis, [p + i, q + j])) ?? []));
		return found;
	};
	singles.forEach(add);
	const end = all.length + most;
	for (let at = 0; at < all.length && all.length < end; at++) {
		const a = all[at]!;
		for (const axis of AXES) {
			if (axis === 'z' && !a.isFlat) continue;
			// Those that come to it later are joined when it is their turn.
			for (const b of alike(axis, a)) {
				if (all.length >= end) break;
				if (a.words.some((word, k) => word & b.words[k]!)) continue;
				const joined = join(axis, a, b);
				if (joined.w > width || joined.d > depth || joined.h > height) continue;
				if (joined.volume < LEAST_FILL * joined.w * joined.d * joined.h) continue;
				const key = `${joined.words.join(',')} ${joined.w} ${joined.d} ${joined.h}`;
				if (known.has(key)) continue;
				known.add(key);
				add(joined);
			}
		}
	}
	return all.sort((a, b) => b.volume - a.volume || a.boxes.length - b.boxes.length);
}

type Axis = 'x' | 'y' | 'z';
const AXES: readonly Axis[] = ['x', 'y', 'z'];
/** Blocks that are joined fill so much of the whole. */
const LEAST_FILL = 0.96;
/** The two measures that blocks joined along an axis have to share. */
const sideOf = (axis: Axis, { w, d, h }: Block): readonly [number, number] =>
	axis === 'x' ? [d, h] : axis === 'y' ? [w, h] : [w, d];
const keyOf = (axis: Axis, [p, q]: readonly [number, number]) => `${axis}${p} ${q}`;

/** Sets a block beside, behind or on another. */
function join(axis: Axis, a: Block, b: Block): Block {
	const [x, y, z] = [axis === 'x' ? a.w : 0, axis === 'y' ? a.d : 0, axis === 'z' ? a.h : 0];
	const [w, d] = [Math.max(a.w, x + b.w), Math.max(a.d, y + b.d)];
	return {
		w,
		d,
		h: Math.max(a.h, z + b.h),
		volume: a.volume + b.volume,
		// A gap, or a step, is looked at where something is to stand on it.
		isFlat:
			a.isFlat &&
			b.isFlat &&
			(axis === 'z'
				? b.w === w && b.d === d
				: a.h === b.h && (axis === 'x' ? a.d === b.d : a.w === b.w)),
		words: a.words.map((word, k) => word | b.words[k]!),
		boxes: [
			...a.boxes,
			...b.boxes.map((each) => ({ ...each, x: each.x + x, y: each.y + y, z: each.z + z }))
		]
	};
}
