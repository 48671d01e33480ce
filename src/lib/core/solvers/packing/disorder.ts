import type { StandingPiece, StandingPlace } from './decide';
import type { Rect } from './problem';

/** A rectangle on a shelf with what makes it easy or hard to find there. */
export interface ShelfPiece extends StandingPiece {
	readonly heightMm: number;
	/** Pieces of one group belong side by side. */
	readonly group: number;
	/** How much it matters that it is seen, 0 to 1. */
	readonly weight: number;
	/** When it is to be used up, as any rising number; left out: never. */
	readonly due?: number;
}

/** What disorder costs, in one unit of the caller's. */
export interface OrderPrices {
	/** A piece wholly hidden by its own group. */
	readonly behindOwn: number;
	/** A piece wholly hidden by another group. */
	readonly behindOther: number;
	/** A piece wholly behind one of its own group that is to be used up later; left out: nothing. */
	readonly behindLater?: number;
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

/** What it costs that a piece is taken after one of its group that keeps longer, since that stands before it. */
function laterCost(
	at: number,
	{ pieces, prices }: Pick<ShelfProblem, 'pieces' | 'prices'>,
	rects: readonly Rect[]
): number {
	const { due = Infinity, group } = pieces[at]!;
	if (!prices.behindLater || due === Infinity) return 0;
	const { x, y, w } = rects[at]!;
	const later: Span[] = [];
	for (let i = 0; i < rects.length; i++) {
		const rect = rects[i]!;
		if (rect.y >= y || pieces[i]!.group !== group || (pieces[i]!.due ?? Infinity) <= due) continue;
		later.push([rect.x, rect.x + rect.w]);
	}
	return later.length ? (prices.behindLater * coveredLength(x, x + w, later)) / w : 0;
}

const isBeside = (a: Rect, b: Rect): boolean =>
	a.x - BESIDE_MM < b.x + b.w &&
	b.x < a.x + a.w + BESIDE_MM &&
	a.y - BESIDE_MM < b.y + b.d &&
	b.y < a.y + a.d + BESIDE_MM;

/** How many clusters beyond the first each group stands in, over all of them. */
function clustersTooMany(pieces: readonly ShelfPiece[], rects: readonly Rect[]): number {
	const isIn = new Uint8Array(rects.length);
	const groups = new Set<number>();
	let clusters = 0;
	for (let first = 0; first < rects.length; first++) {
		if (isIn[first]) continue;
		const { group } = pieces[first]!;
		groups.add(group);
		clusters++;
		isIn[first] = 1;
		const cluster = [first];
		for (const at of cluster)
			for (let i = first + 1; i < rects.length; i++) {
				if (isIn[i] || pieces[i]!.group !== group || !isBeside(rects[at]!, rects[i]!)) continue;
				isIn[i] = 1;
				cluster.push(i);
			}
	}
	return clusters - groups.size;
}

/**
 * What the disorder of pieces at their places costs: each piece by the share of its width that what is about as high hides,
 * more where that is of another group, by what of its own group keeps longer and stands before it, and each group by the clusters it stands in beyond the first.
 * @example disorderOf(problem, places) // 0: all of it is seen, and what belongs together is side by side
 */
export function disorderOf(
	problem: Pick<ShelfProblem, 'pieces' | 'fromAbove' | 'prices'>,
	places: readonly StandingPlace[]
): number {
	const { pieces, fromAbove, prices } = problem;
	const rects = places.map((place, i) => rectOf(pieces[i]!, place));
	let cost = 0;
	if (!fromAbove)
		for (let i = 0; i < rects.length; i++)
			cost += hiddenCost(i, problem, rects) + laterCost(i, problem, rects);
	return cost + prices.apart * clustersTooMany(pieces, rects);
}
