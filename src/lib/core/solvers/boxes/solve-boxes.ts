import { blocksOf } from './blocks';
import { BoxPacker } from './pack-boxes';
import { boundOf, type BoxesProblem, type BoxesResult } from './problem';

export interface BoxesOptions {
	/** Positions looked at in all: the budget. */
	readonly steps: number;
	/** Asked now and then whether to end at once, with the best so far. */
	readonly isOver?: () => boolean;
}
export const DEFAULT_BOXES: BoxesOptions = { steps: 3_000_000 };

/** So many pairs at most are tried in each space, where they leave no gap at all, and where they leave a little. */
const EXACT_PAIRS = 1000;
const LOOSE_PAIRS = 250;
/** The beam begins narrow, for an answer at once, and grows while there is time. */
const GROWTH = 1.6;

/**
 * Packs boxes into a box so that as much as can be found goes in. Nothing overlaps or leaves the room, each box is set down
 * as it may, and enough of its bottom stands on something. Proven where the bound (the room, or all boxes) is reached.
 * Deterministic: the same problem and count of steps give the same packing.
 * @example solveBoxes({ width: 10, depth: 10, height: 10, support: 1, levelMm: 0, boxes: [{ w: 10, d: 5, h: 10, turning: 'any' }] }).status // 'proven'
 */
export function solveBoxes(
	problem: BoxesProblem,
	{ steps, isOver = () => false }: BoxesOptions = DEFAULT_BOXES
): BoxesResult {
	const bound = boundOf(problem);
	const packers = [
		new BoxPacker(problem, blocksOf(problem, EXACT_PAIRS, 0)),
		...(problem.levelMm ? [new BoxPacker(problem, blocksOf(problem, LOOSE_PAIRS))] : [])
	];
	const best = () => packers.reduce((a, b) => (b.volume > a.volume ? b : a));
	const spent = () => packers.reduce((sum, { steps: own }) => sum + own, 0);
	const ends = () => best().volume >= bound || spent() >= steps || isOver();
	for (let width = 1, last = -1; bound > 0 && !ends(); width = Math.ceil(width * GROWTH)) {
		for (const packer of packers) packer.run(width, width, ends);
		// Beams that looked at nothing new end it.
		if (spent() === last) break;
		last = spent();
	}
	const { volume } = best();
	return {
		status: volume >= bound ? 'proven' : 'open',
		placed: best().placed(),
		volume,
		bound,
		steps: spent()
	};
}
