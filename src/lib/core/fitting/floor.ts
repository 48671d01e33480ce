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

/** Parts of the width on which an item of so much depth may not stand at a distance from the front: from, to. */
function closedAt(
	y: number,
	d: number,
	item: FloorItem,
	placed: readonly Placed[],
	seenFromAbove: boolean
): (readonly [number, number])[] {
	const closed: (readonly [number, number])[] = [];
	for (const { rect, front } of placed) {
		const isBeside = rect.y < y + d && y < rect.y + rect.d;
		const isOneBefore = (item.front && rect.y < y) || (front && y < rect.y);
		if (isBeside || (isOneBefore && !seenFromAbove)) closed.push([rect.x, rect.x + rect.w]);
	}
	for (const rect of item.blocked)
		if (rect.y < y + d && y < rect.y + rect.d) closed.push([rect.x, rect.x + rect.w]);
	return closed;
}

/** Where a side of length `size` can lie against an edge: the floor's, or another rectangle's. */
function edgeStops(
	low: number,
	length: number,
	size: number,
	spans: readonly (readonly [number, number])[]
): number[] {
	const stops = [low, low + length - size];
	for (const [from, to] of spans) stops.push(to, from - size);
	return [...new Set(stops)].filter((at) => at >= low && at + size <= low + length);
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
	const others = [...placed.map((p) => p.rect), ...item.blocked];
	const across = others.map((r) => [r.x, r.x + r.w] as const);
	const back = others.map((r) => [r.y, r.y + r.d] as const);
	const ascending = (a: number, b: number) => a - b;
	const ways = (item.turn && item.w !== item.d ? [false, true] : [false]).map((turned) => {
		const [w, d] = turned ? [item.d, item.w] : [item.w, item.d];
		const xs = edgeStops(floor.x, floor.w, w, across);
		const ys = new Set(edgeStops(floor.y, floor.d, d, back));
		return { turned, w, d, xs, ys };
	});
	const stops = ways
		.flatMap((way) => way.xs.map((x) => ({ x, way })))
		.sort((a, b) => a.x - b.x || Number(a.way.turned) - Number(b.way.turned));
	const found: (FloorPlace & Rect)[] = [];
	for (const y of [...new Set(ways.flatMap(({ ys }) => [...ys]))].sort(ascending)) {
		const closed = new Map(
			ways
				.filter(({ ys }) => ys.has(y))
				.map((way) => [way, closedAt(y, way.d, item, placed, options.seenFromAbove)])
		);
		for (const { x, way } of stops) {
			const spans = closed.get(way);
			if (!spans || spans.some(([from, to]) => x < to && from < x + way.w)) continue;
			found.push({ x, y, w: way.w, d: way.d, turned: way.turned });
			if (found.length === most) return found;
		}
	}
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
