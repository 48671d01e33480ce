import { BeamPacker } from './pack-beam';
import { packPerfect } from './pack-perfect';
import {
	boundOf,
	freeArea,
	type PackingProblem,
	type PackingResult,
	type PlacedPiece
} from './problem';
import { lookFrom, type View } from './skyline';

export interface PackingOptions {
	/** Positions looked at in all: the budget. 2,000,000 take about 0.2 s. */
	readonly steps: number;
	/** Asked now and then whether to end at once, with the best so far. */
	readonly isOver?: () => boolean;
}
export const DEFAULT_PACKING: PackingOptions = { steps: 2_000_000 };

/** A corner of the perfect search costs about as much as so many positions of the beam. */
const STEPS_PER_CORNER = 130;
/** Up to so many pieces a board that can be covered whole is searched for that first. */
const PERFECT_UP_TO = 34;
/** Share of the budget for it. */
const PERFECT_SHARE = 0.75;
/** Beams, narrow to wide: a good answer at once, a better one when there is time. */
const WIDTHS = [1, 4, 12, 30, 70, 160, 400, 1000];
const WAYS = 10;

/** The ways to look at a board, the narrow side as the base first: a short base leaves the fewest ways to fill it. */
function viewsOf({ width, depth }: PackingProblem): View[] {
	const transposed = depth < width;
	return [
		{ transposed, mirrored: false, upsideDown: true },
		{ transposed, mirrored: false, upsideDown: false },
		{ transposed: !transposed, mirrored: false, upsideDown: false },
		{ transposed: !transposed, mirrored: false, upsideDown: true }
	];
}

const areaOf = ({ pieces }: PackingProblem, placed: readonly PlacedPiece[]) =>
	placed.reduce((sum, { piece }) => sum + pieces[piece]!.w * pieces[piece]!.d, 0);

/**
 * Packs pieces onto a board so that they cover as much of it as can be found. Nothing overlaps, leaves the board or
 * lies on an obstruction. Proven where the bound (the free area, or what the pieces can cover at most) is reached.
 * Deterministic: the same problem and budget give the same packing.
 * @example solvePacking({ width: 10, depth: 5, obstructions: [], pieces: [{ w: 5, d: 10, turn: true }] }).status // 'proven'
 */
export function solvePacking(
	problem: PackingProblem,
	{ steps, isOver = () => false }: PackingOptions = DEFAULT_PACKING
): PackingResult {
	const bound = boundOf(problem);
	const views = viewsOf(problem);
	let best: readonly PlacedPiece[] = [];
	let area = 0;
	let spent = 0;
	const take = (placed: readonly PlacedPiece[]) => {
		const covered = areaOf(problem, placed);
		if (covered > area) {
			area = covered;
			best = placed;
		}
	};
	const beams = views.map((view) => new BeamPacker(lookFrom(problem, view)));
	const beam = (width: number, packers: readonly BeamPacker[]) => {
		for (const packer of packers) {
			if (area >= bound || spent >= steps || isOver()) return;
			const before = packer.steps;
			const most = before + steps - spent;
			const ways = width === 1 ? 1 : WAYS;
			take(packer.run({ width, ways, most, enough: bound, isOver }).placed);
			spent += packer.steps - before;
		}
	};
	beam(1, beams);
	const canCover = bound >= freeArea(problem) && problem.pieces.length <= PERFECT_UP_TO;
	if (area < bound && canCover) {
		// A search that starts badly stays bad for long: short ones from two sides come before long ones.
		for (const share of [0.1, 0.4])
			for (const view of views.slice(0, 2)) {
				if (area >= bound || isOver()) break;
				const most = Math.floor((steps * PERFECT_SHARE * share) / STEPS_PER_CORNER);
				const found = packPerfect(lookFrom(problem, view), most, isOver);
				spent += found.steps * STEPS_PER_CORNER;
				if (found.placed) take(found.placed);
			}
	}
	for (const width of WIDTHS.slice(1)) beam(width, beams.slice(0, 2));
	return {
		status: area >= bound ? 'proven' : 'open',
		placed: best,
		area,
		bound,
		steps: Math.min(spent, steps)
	};
}
