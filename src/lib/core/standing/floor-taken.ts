import { categoryOf, type Nook } from '../model';
import { blockedBoxes, unionMm3 } from '../survey';
import { solvePacking } from '../solvers/packing';
import type { Good } from './goods';
import type { Clear } from './room';
import { waysFree, type Lane } from './stand-free';

/** What begins higher than this share of the height leaves the floor below it free. */
const LOW_SHARE = 0.5;

/** Rows that do not go on the floor side by side take so many times its front. */
const FAR_OVER = 10;
const PACKING_STEPS = 2000;

/** Rows of different things that stand behind each other at most, where one looks from the front: the fourth is never seen. */
const MOST_BEHIND = 3;

/** What is a jumble loose takes so many times its floor in the trays that a drawer has for it. */
const IN_TRAYS = 2;

/** What goods take of a place in millimetres of its front. */
export interface FrontTaken {
	/** Their floor, spread over the whole depth. */
	readonly frontMm: number;
	/**
	 * Width of the rows that are deeper than half of it, no two of which stand behind each other, and a third of that of the
	 * others, where one looks from the front; far more where they do not pack.
	 */
	readonly deepMm: number;
	/** Width of its rows where rows stand behind each other, and nothing of anything else does: what it takes to be seen. */
	readonly sideMm: number;
}

/**
 * Measures what goods take of a place when each thing stands in a row of its own, piled as it stands by itself: the same
 * rows as Fit makes. What does not go in at all takes nothing.
 * @example frontTaken([eightTinsOf75], shelf300Deep) // { frontMm: 75, deepMm: 75 }: four piles of two
 */
export function frontTaken(goods: readonly Good[], clear: Clear): FrontTaken {
	const lanes: Lane[] = [];
	let walledMm = 0;
	for (const some of byHolders(goods)) {
		const [first, ...others] = waysFree(some, clear).map(({ lanes }) => lanes);
		// The way that leaves more of the front to others; the shared rows where both leave as much.
		const best = others.reduce(
			(best, other) => (sumOf(takes(other, clear)) < sumOf(takes(best, clear)) ? other : best),
			first!
		);
		lanes.push(...best);
		if (isSorted(some[0]!)) walledMm += takes(best, clear).frontMm * (IN_TRAYS - 1);
	}
	const { frontMm: looseMm, deepMm, sideMm } = takes(lanes, clear);
	const frontMm = looseMm + walledMm;
	const isOver = frontMm > clear.widthMm || deepMm > clear.widthMm;
	const standsMm = isOver || packs(lanes, clear) ? deepMm : FAR_OVER * clear.widthMm;
	return { frontMm, deepMm: standsMm, sideMm };
}

/** What rows take of the front, one beside the other. */
function takes(lanes: readonly Lane[], { depthMm, isSeenFromAbove }: Clear): FrontTaken {
	let [floorMm2, deepMm, sideMm] = [0, 0, 0];
	const columns: { d: number }[] = [];
	for (const { w, d } of [...lanes].sort((a, b) => b.w - a.w)) {
		floorMm2 += w * d;
		if (2 * d > depthMm) deepMm += w;
		else if (!isSeenFromAbove) deepMm += w / MOST_BEHIND;
		const column = columns.find((each) => each.d + d <= depthMm);
		if (column) column.d += d;
		else {
			columns.push({ d });
			sideMm += w;
		}
	}
	return { frontMm: floorMm2 / depthMm, deepMm, sideMm: isSeenFromAbove ? 0 : sideMm };
}
const sumOf = ({ frontMm, deepMm }: FrontTaken) => frontMm + deepMm;

/** What only trays and dividers hold: cutlery, knives. */
const isSorted = ({ thing: { category } }: Good): boolean =>
	categoryOf(category).holders.join() === 'divider';

/** Goods by what usually holds them: trays that stand upright make no pile with the pots beside them. */
function byHolders(goods: readonly Good[]): Good[][] {
	const found = new Map<string, Good[]>();
	for (const good of goods) {
		const key = categoryOf(good.thing.category).holders.join();
		found.set(key, [...(found.get(key) ?? []), good]);
	}
	return [...found.values()];
}

/** Whether rows that take no more than a floor really stand on it; what hangs on a long search does not. */
function packs(lanes: readonly Lane[], { widthMm, depthMm }: Clear): boolean {
	if (lanes.reduce((sum, { w }) => sum + w, 0) <= widthMm) return true;
	const pieces = lanes.map(({ w, d }) => ({ w: Math.ceil(w), d: Math.ceil(d), turn: true }));
	const board = {
		width: Math.floor(widthMm),
		depth: Math.floor(depthMm),
		obstructions: [],
		pieces
	};
	return solvePacking(board, { steps: PACKING_STEPS }).placed.length === pieces.length;
}

/** Front of a place less what stands low in it, spread over the whole depth, mm. */
export function freeFrontMm(nook: Nook, clear: Clear, pipeGapMm: number): number {
	const low = blockedBoxes(nook, pipeGapMm)
		.filter(({ z }) => z < clear.heightMm * LOW_SHARE)
		.map((box) => ({ ...box, z: 0, h: 1 }));
	return Math.max(0, clear.widthMm - unionMm3(low) / clear.depthMm);
}
