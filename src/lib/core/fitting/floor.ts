import { overlaps, type Rect } from '../solvers/packing';

export { overlaps, type Rect };

/** A rectangle that wants a place. `front` keeps everything from standing before it; `size` is with its play. */
export interface FloorItem {
	readonly w: number;
	readonly d: number;
	readonly turn: boolean;
	/** Used daily: nothing may stand between it and the front edge. */
	readonly front: boolean;
	/** Where it may not be: floor rectangles blocked at its height. */
	readonly blocked: readonly Rect[];
}

export interface FloorPlace {
	readonly x: number;
	readonly y: number;
	readonly turned: boolean;
}

export interface FloorOptions {
	/** Positions tried in all: the budget. */
	readonly tries: number;
	/** Whether what stands behind can be reached (a drawer is seen from above). */
	readonly seenFromAbove: boolean;
}
export const DEFAULT_FLOOR: FloorOptions = { tries: 150, seenFromAbove: false };

/** Whether `a` stands before `b` when seen from the front. */
export const standsBefore = (a: Rect, b: Rect): boolean =>
	a.y < b.y && a.x < b.x + b.w && b.x < a.x + a.w;

interface Placed {
	readonly rect: Rect;
	readonly front: boolean;
}

/** Parts of the width on which an item of so much depth may not stand at a distance from the front: from, to, in turn. */
function closedAt(
	y: number,
	d: number,
	item: FloorItem,
	placed: readonly Placed[],
	seenFromAbove: boolean
): number[] {
	const closed: number[] = [];
	for (const { rect, front } of placed) {
		const isBeside = rect.y < y + d && y < rect.y + rect.d;
		const isOneBefore = (item.front && rect.y < y) || (front && y < rect.y);
		if (isBeside || (isOneBefore && !seenFromAbove)) closed.push(rect.x, rect.x + rect.w);
	}
	for (const rect of item.blocked)
		if (rect.y < y + d && y < rect.y + rect.d) closed.push(rect.x, rect.x + rect.w);
	return closed;
}
function isFree(x: number, w: number, closed: readonly number[]): boolean {
	for (let i = 0; i < closed.length; i += 2)
		if (x < closed[i + 1]! && closed[i]! < x + w) return false;
	return true;
}

/**
 * Where a side of length `size` can lie against an edge: the floor's, or another rectangle's (its two sides, in turn).
 * Ascending, each once.
 */
function edgeStops(low: number, length: number, size: number, edges: readonly number[]): number[] {
	const stops: number[] = [];
	const add = (at: number) => {
		if (at < low || at + size > low + length) return;
		let i = stops.length;
		while (i && stops[i - 1]! > at) i--;
		if (!i || stops[i - 1] !== at) stops.splice(i, 0, at);
	};
	add(low);
	add(low + length - size);
	for (let i = 0; i < edges.length; i += 2) {
		add(edges[i + 1]!);
		add(edges[i]! - size);
	}
	return stops;
}

/** An item one way round, and where it can touch an edge. */
interface Way {
	readonly turned: boolean;
	readonly w: number;
	readonly d: number;
	readonly xs: readonly number[];
	readonly ys: readonly number[];
}

/** Goes through the stops of one way, or of two together, in their order; of equal ones the first way's. */
function eachStop(
	lists: readonly (readonly number[])[],
	/** `list` is that of the stop; −1: both have it. Ends when it says so. */
	isLast: (at: number, list: number) => boolean
): boolean {
	const [one = [], two = []] = lists;
	for (let i = 0, j = 0; i < one.length || j < two.length;) {
		const [a, b] = [one[i] ?? Infinity, two[j] ?? Infinity];
		if (isLast(Math.min(a, b), a === b ? -1 : a < b ? 0 : 1)) return true;
		if (a <= b) i++;
		if (b <= a) j++;
	}
	return false;
}

/**
 * Lists the first `most` free places of an item that touch an edge on both axes: front first, then from the left,
 * and unturned before turned.
 */
function candidates(
	item: FloorItem,
	floor: Rect,
	placed: readonly Placed[],
	options: FloorOptions,
	most: number
): (FloorPlace & Rect)[] {
	const across: number[] = [];
	const back: number[] = [];
	const stopAt = ({ x, y, w, d }: Rect) => {
		across.push(x, x + w);
		back.push(y, y + d);
	};
	for (const { rect } of placed) stopAt(rect);
	item.blocked.forEach(stopAt);
	const wayOf = (turned: boolean): Way => {
		const [w, d] = turned ? [item.d, item.w] : [item.w, item.d];
		const xs = edgeStops(floor.x, floor.w, w, across);
		return { turned, w, d, xs, ys: edgeStops(floor.y, floor.d, d, back) };
	};
	const ways = item.turn && item.w !== item.d ? [wayOf(false), wayOf(true)] : [wayOf(false)];
	const columns = ways.map(({ xs }) => xs);
	const found: (FloorPlace & Rect)[] = [];
	eachStop(
		ways.map(({ ys }) => ys),
		(y, only) => {
			const closed = ways.map(({ d }, i) =>
				only < 0 || only === i ? closedAt(y, d, item, placed, options.seenFromAbove) : null
			);
			const isLast = (x: number, i: number): boolean => {
				const { w, d, turned } = ways[i]!;
				const spans = closed[i];
				if (spans && isFree(x, w, spans)) found.push({ x, y, w, d, turned });
				return found.length === most;
			};
			return eachStop(columns, (x, i) => (i < 0 ? isLast(x, 0) || isLast(x, 1) : isLast(x, i)));
		}
	);
	return found;
}

/** Whether items can never all lie on a floor: too large together, or one of them too large for it alone. */
function cannotHold(floor: Rect, items: readonly FloorItem[], options: FloorOptions): boolean {
	const needMm2 = items.reduce((sum, { w, d }) => sum + w * d, 0);
	return (
		needMm2 > floor.w * floor.d ||
		items.some((item) => !candidates(item, floor, [], options, 1).length)
	);
}

/** Places tried for an item before the one before it is moved. */
const BRANCHES = 4;

/**
 * Packs all items onto a floor, in their order, depth first with a budget of positions tried.
 * Returns their places, or null when none was found within the budget. Deterministic; nothing is mutated.
 * Items at their places never overlap, never leave the floor and keep the front free for daily ones.
 */
export function packFloor(
	floor: Rect,
	items: readonly FloorItem[],
	options: FloorOptions = DEFAULT_FLOOR
): FloorPlace[] | null {
	if (cannotHold(floor, items, options)) return null;
	let tries = options.tries;
	const placed: Placed[] = [];
	const places: FloorPlace[] = [];
	const step = (index: number): boolean => {
		const item = items[index];
		if (!item) return true;
		for (const spot of candidates(item, floor, placed, options, BRANCHES)) {
			const { x, y, w, d, turned } = spot;
			if (tries-- <= 0) return false;
			placed.push({ rect: { x, y, w, d }, front: item.front });
			places.push({ x, y, turned });
			if (step(index + 1)) return true;
			placed.pop();
			places.pop();
		}
		return false;
	};
	return step(0) ? places : null;
}

/**
 * Places items one by one in their order, each at its first free spot; what finds none stays null.
 * The same promises as `packFloor`, without its search: for what cannot all go in.
 */
export function packWhatFits(
	floor: Rect,
	items: readonly FloorItem[],
	options: FloorOptions = DEFAULT_FLOOR
): (FloorPlace | null)[] {
	const placed: Placed[] = [];
	return items.map((item) => {
		const spot = candidates(item, floor, placed, options, 1)[0];
		if (!spot) return null;
		const { x, y, w, d, turned } = spot;
		placed.push({ rect: { x, y, w, d }, front: item.front });
		return { x, y, turned };
	});
}
