/** What wants a place: one thing, or a set that stays or goes as a whole. */
export interface BoundaryItem {
	readonly key: string;
	/** What it is worth to keep, zero or more. */
	readonly value: number;
	readonly volumeMl: number;
	readonly runMm: number;
}
export interface BoundaryLimits {
	readonly volumeMl: number;
	readonly runMm: number;
}
export interface BoundaryCut {
	/** `optimal`: no other choice is worth more; `limit`: the best that was found in the steps allowed. */
	readonly status: 'optimal' | 'limit';
	/** Keys of what stays, in the order of the input. */
	readonly keep: readonly string[];
	readonly value: number;
	/** No choice can be worth more than this. */
	readonly bound: number;
	readonly volumeMl: number;
	readonly runMm: number;
}
export interface BoundaryOptions {
	/** Steps of the search; 2 million are about a second. */
	readonly steps: number;
	/** Keys that stay, and keys that go, whatever they are worth. */
	readonly stay: ReadonlySet<string>;
	readonly go: ReadonlySet<string>;
}
export const DEFAULT_BOUNDARY: BoundaryOptions = {
	steps: 2_000_000,
	stay: new Set(),
	go: new Set()
};

interface Weighed {
	readonly index: number;
	readonly value: number;
	readonly a: number;
	readonly b: number;
}

/** Best value of taking parts of items while `left` of one mixed measure lasts; the items stand by falling worth of it. */
function partsValue(
	items: readonly Weighed[],
	from: number,
	size: (item: Weighed) => number,
	left: number
): number {
	let room = left;
	let value = 0;
	for (let i = from; i < items.length; i++) {
		const item = items[i]!;
		const takes = size(item);
		if (takes <= room) {
			room -= takes;
			value += item.value;
		} else return value + (takes > 0 ? (item.value * room) / takes : item.value);
	}
	return value;
}

const worth = (item: Weighed, mix: number) => {
	const size = mix * item.a + (1 - mix) * item.b;
	return size > 0 ? item.value / size : Infinity;
};

/** Finds the mix of the two measures, 0 to 1, whose relaxed bound is the lowest: it is convex-like, so thirds will do. */
function bestMix(items: readonly Weighed[]): number {
	const boundOf = (mix: number) =>
		partsValue(
			[...items].sort((x, y) => worth(y, mix) - worth(x, mix)),
			0,
			(item) => mix * item.a + (1 - mix) * item.b,
			1
		);
	let best = 0.5;
	let least = Infinity;
	for (let step = 0; step <= 40; step++) {
		const bound = boundOf(step / 40);
		if (bound < least) [least, best] = [bound, step / 40];
	}
	return best;
}

/** The best of filling up greedily by the worth for each of a few mixes: something to beat from the first step on. */
function greedy(order: readonly Weighed[]): { taken: boolean[]; value: number } {
	let best = { taken: new Array<boolean>(order.length).fill(false), value: 0 };
	for (let step = 0; step <= 10; step++) {
		const mix = step / 10;
		const taken = new Array<boolean>(order.length).fill(false);
		let [a, b, value] = [1, 1, 0];
		const ranked = order.map((item, i) => ({ item, i }));
		for (const { item, i } of ranked.sort((x, y) => worth(y.item, mix) - worth(x.item, mix)))
			if (item.a <= a && item.b <= b) {
				taken[i] = true;
				[a, b, value] = [a - item.a, b - item.b, value + item.value];
			}
		if (value > best.value) best = { taken, value };
	}
	return best;
}

/**
 * Chooses what stays when a place is full: the choice of the highest worth whose litres and front run both fit (a
 * knapsack with two measures). Depth first over the items by worth for a mix of both measures, cut by that mix's
 * relaxed bound. Exact for 60 things in a few steps, unless their worth is just in proportion to their size: then the
 * steps may run out, the best found is given, and the bound says how much more there could be at most. Things that must stay are
 * taken first, even when they alone are too much. Ties go to what is found first; same input, same answer.
 * @example cutAtBoundary([{ key: 'ladle', value: 3, volumeMl: 900, runMm: 80 }], { volumeMl: 1000, runMm: 300 }).keep // ['ladle']
 */
export function cutAtBoundary(
	items: readonly BoundaryItem[],
	limits: BoundaryLimits,
	options: Partial<BoundaryOptions> = {}
): BoundaryCut {
	const { steps, stay, go } = { ...DEFAULT_BOUNDARY, ...options };
	const kept = items.map((item) => stay.has(item.key));
	const sum = (of: (item: BoundaryItem) => number) =>
		items.reduce((total, item, i) => total + (kept[i] ? of(item) : 0), 0);
	const roomA = limits.volumeMl - sum((item) => item.volumeMl);
	const roomB = limits.runMm - sum((item) => item.runMm);
	// Sizes as shares of the room that is left, so that both measures weigh alike.
	const free: Weighed[] = items.flatMap((item, index) =>
		kept[index] || go.has(item.key) || item.volumeMl > roomA || item.runMm > roomB
			? []
			: [
					{
						index,
						value: item.value,
						a: item.volumeMl / Math.max(roomA, 1e-9),
						b: item.runMm / Math.max(roomB, 1e-9)
					}
				]
	);
	const mix = bestMix(free);
	const order = [...free].sort(
		(x, y) => worth(y, mix) - worth(x, mix) || y.value - x.value || x.index - y.index
	);
	const mixed = (item: Weighed) => mix * item.a + (1 - mix) * item.b;
	const taken = new Array<boolean>(order.length).fill(false);
	let { taken: best, value: bestValue } = greedy(order);
	let left = steps;
	let openBound = 0;
	const EPS = 1e-9;
	const search = (at: number, value: number, a: number, b: number): void => {
		if (value > bestValue + EPS) [bestValue, best] = [value, taken.slice()];
		if (at === order.length) return;
		const bound = value + partsValue(order, at, mixed, mix * a + (1 - mix) * b);
		if (bound <= bestValue + EPS) return;
		if (left-- <= 0) {
			openBound = Math.max(openBound, bound);
			return;
		}
		const item = order[at]!;
		if (item.a <= a + EPS && item.b <= b + EPS) {
			taken[at] = true;
			search(at + 1, value + item.value, a - item.a, b - item.b);
			taken[at] = false;
		}
		search(at + 1, value, a, b);
	};
	search(0, 0, 1, 1);
	order.forEach((item, i) => (kept[item.index] = kept[item.index] || best[i]!));
	const forced = items.reduce((total, item) => total + (stay.has(item.key) ? item.value : 0), 0);
	const value = sum((item) => item.value);
	return {
		status: left < 0 ? 'limit' : 'optimal',
		keep: items.filter((_, i) => kept[i]).map((item) => item.key),
		value,
		bound: Math.max(value, forced + openBound),
		volumeMl: sum((item) => item.volumeMl),
		runMm: sum((item) => item.runMm)
	};
}
