/** A rectangle on a nook's floor: x from the left, y from the front, mm. */
export interface Rect {
	readonly x: number;
	readonly y: number;
	readonly w: number;
	readonly d: number;
}

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
export const DEFAULT_FLOOR: FloorOptions = { tries: 1500, seenFromAbove: false };

/** Whether two rectangles share any area; touching is not overlapping. */
export const overlaps = (a: Rect, b: Rect): boolean =>
	a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.d && b.y < a.y + a.d;

/** Whether `a` stands before `b` when seen from the front. */
export const standsBefore = (a: Rect, b: Rect): boolean =>
	a.y < b.y && a.x < b.x + b.w && b.x < a.x + a.w;

interface Placed {
	readonly rect: Rect;
	readonly front: boolean;
}

function isFree(
	rect: Rect,
	item: FloorItem,
	floor: Rect,
	placed: readonly Placed[],
	seenFromAbove: boolean
): boolean {
	if (rect.x < floor.x || rect.y < floor.y) return false;
	if (rect.x + rect.w > floor.x + floor.w || rect.y + rect.d > floor.y + floor.d) return false;
	if (item.blocked.some((other) => overlaps(rect, other))) return false;
	for (const other of placed) {
		if (overlaps(rect, other.rect)) return false;
		if (seenFromAbove) continue;
		if (item.front && standsBefore(other.rect, rect)) return false;
		if (other.front && standsBefore(rect, other.rect)) return false;
	}
	return true;
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

/** Lists the free places of an item that touch an edge on both axes, front first, then from the left. */
function candidates(
	item: FloorItem,
	floor: Rect,
	placed: readonly Placed[],
	options: FloorOptions
): (FloorPlace & Rect)[] {
	const others = [...placed.map((p) => p.rect), ...item.blocked];
	const found: (FloorPlace & Rect)[] = [];
	for (const turned of item.turn && item.w !== item.d ? [false, true] : [false]) {
		const [w, d] = turned ? [item.d, item.w] : [item.w, item.d];
		const xs = edgeStops(
			floor.x,
			floor.w,
			w,
			others.map((r) => [r.x, r.x + r.w] as const)
		);
		const ys = edgeStops(
			floor.y,
			floor.d,
			d,
			others.map((r) => [r.y, r.y + r.d] as const)
		);
		for (const x of xs)
			for (const y of ys) {
				const rect = { x, y, w, d };
				if (isFree(rect, item, floor, placed, options.seenFromAbove))
					found.push({ ...rect, turned });
			}
	}
	return found.sort((a, b) => a.y - b.y || a.x - b.x || Number(a.turned) - Number(b.turned));
}

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
	let tries = options.tries;
	const placed: Placed[] = [];
	const places: FloorPlace[] = [];
	const step = (index: number): boolean => {
		const item = items[index];
		if (!item) return true;
		const spots = candidates(item, floor, placed, options);
		for (const { x, y, w, d, turned } of spots.slice(0, BRANCHES)) {
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
		const spot = candidates(item, floor, placed, options)[0];
		if (!spot) return null;
		const { x, y, w, d, turned } = spot;
		placed.push({ rect: { x, y, w, d }, front: item.front });
		return { x, y, turned };
	});
}
