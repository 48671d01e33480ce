import type { StandingPiece, StandingPlace } from './decide';
import { overlaps, type Rect } from './problem';

/** A rectangle on a shelf with what makes it easy or hard to find there. */
export interface ShelfPiece extends StandingPiece {
	readonly heightMm: number;
	/** Pieces of one group belong side by side. */
	readonly group: number;
	/** How much it matters that it is seen, 0 to 1. */
	readonly weight: number;
}

/** What disorder costs, in one unit of the caller's. */
export interface OrderPrices {
	/** A piece wholly hidden by its own group. */
	readonly behindOwn: number;
	/** A piece wholly hidden by another group. */
	readonly behindOther: number;
	/** A group that stands in one more cluster than one. */
	readonly apart: number;
}

export interface ShelfProblem {
	/** Floor, mm, with its front edge at y = 0. */
	readonly width: number;
	readonly depth: number;
	readonly pieces: readonly ShelfPiece[];
	/** Looked into from above: nothing hides what is behind it. */
	readonly fromAbove: boolean;
	readonly prices: OrderPrices;
}

/** What is lower than this share of what is behind it does not hide it. */
export const HIDES = 0.7;
/** Pieces of a group nearer than this are side by side, mm. */
const BESIDE_MM = 40;

/** Where a piece is, with the sides it has there. */
export const rectOf = ({ w, d }: StandingPiece, { x, y, turned }: StandingPlace): Rect =>
	turned ? { x, y, w: d, d: w } : { x, y, w, d };

type Span = readonly [from: number, to: number];

/** Length of a span that others cover together. */
export function coveredLength(from: number, to: number, others: readonly Span[]): number {
	let at = from;
	let sum = 0;
	for (const [start, end] of [...others].sort((a, b) => a[0] - b[0])) {
		const begin = Math.max(start, at);
		if (Math.min(end, to) > begin) sum += Math.min(end, to) - begin;
		at = Math.max(at, end);
	}
	return sum;
}

/** What it costs that a piece is not seen. */
function hiddenCost(
	at: number,
	{ pieces, prices }: Pick<ShelfProblem, 'pieces' | 'prices'>,
	rects: readonly Rect[]
): number {
	const piece = pieces[at]!;
	const { x, y, w } = rects[at]!;
	const all: Span[] = [];
	const others: Span[] = [];
	for (let i = 0; i < rects.length; i++) {
		const rect = rects[i]!;
		if (rect.y >= y || rect.x >= x + w || rect.x + rect.w <= x) continue;
		if (pieces[i]!.heightMm < piece.heightMm * HIDES) continue;
		const span: Span = [rect.x, rect.x + rect.w];
		all.push(span);
		if (pieces[i]!.group !== piece.group) others.push(span);
	}
	if (!all.length) return 0;
	const byOther = coveredLength(x, x + w, others);
	const byOwn = coveredLength(x, x + w, all) - byOther;
	return (piece.weight * (prices.behindOther * byOther + prices.behindOwn * byOwn)) / w;
}

const isBeside = (a: Rect, b: Rect): boolean =>
	overlaps(
		{ x: a.x - BESIDE_MM, y: a.y - BESIDE_MM, w: a.w + 2 * BESIDE_MM, d: a.d + 2 * BESIDE_MM },
		b
	);

/** How many clusters rectangles stand in. */
function clustersOf(rects: readonly Rect[]): number {
	let rest = [...rects];
	let count = 0;
	while (rest.length) {
		count++;
		const cluster = [rest.pop()!];
		for (const rect of cluster) {
			cluster.push(...rest.filter((other) => isBeside(rect, other)));
			rest = rest.filter((other) => !isBeside(rect, other));
		}
	}
	return count;
}

/**
 * What the disorder of pieces at their places costs: each piece by the share of its width that what is about as high hides,
 * more where that is of another group, and each group by the clusters it stands in beyond the first.
 * @example disorderOf(problem, places) // 0: all of it is seen, and what belongs together is side by side
 */
export function disorderOf(
	problem: Pick<ShelfProblem, 'pieces' | 'fromAbove' | 'prices'>,
	places: readonly StandingPlace[]
): number {
	const { pieces, fromAbove, prices } = problem;
	const rects = places.map((place, i) => rectOf(pieces[i]!, place));
	let cost = 0;
	if (!fromAbove) for (let i = 0; i < rects.length; i++) cost += hiddenCost(i, problem, rects);
	const groups = new Map<number, Rect[]>();
	pieces.forEach(({ group }, i) => groups.set(group, [...(groups.get(group) ?? []), rects[i]!]));
	for (const own of groups.values()) cost += prices.apart * (clustersOf(own) - 1);
	return cost;
}
