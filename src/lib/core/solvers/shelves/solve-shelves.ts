import { patternsOf, type Pattern } from './patterns';
import { gapsOf, type ShelvesProblem, type ShelvesResult } from './problem';

export interface ShelvesOptions {
	/** Groups put on levels in all: the budget. 1,000,000 take about 0.1 s. */
	readonly steps: number;
	/** Asked now and then whether to end at once, with the best so far. */
	readonly isOver?: () => boolean;
}
export const DEFAULT_SHELVES: ShelvesOptions = { steps: 5_000_000 };

/** Groups in order, the tallest first, as the tables see them. */
interface Goods {
	/** Index in the problem. */
	readonly id: Int32Array;
	readonly run: Int32Array;
	readonly value: Float64Array;
}

/**
 * Chooses the holes for a cabinet's shelves and the groups for each level, so that what stands in it is worth most;
 * of equal worth with the fewest shelves. Each way to set the shelves is bounded by a knapsack over nested heights (what
 * is taller than a level can only use those above it in height), the most promising is filled first, depth first, and
 * those whose bound is no better are never opened. Runs are rounded up to whole mm. Deterministic.
 * @example solveShelves({ heightMm: 720, widthMm: 560, pitchMm: 32, firstHoleMm: 64, thicknessMm: 18, maxShelves: 1,
 *   groups: [{ clearMm: 300, runMm: 500, value: 1 }, { clearMm: 300, runMm: 500, value: 1 }] }).value // 2
 */
export function solveShelves(
	problem: ShelvesProblem,
	options: ShelvesOptions = DEFAULT_SHELVES
): ShelvesResult {
	const W = Math.floor(problem.widthMm);
	const order = problem.groups
		.map((group, i) => ({ ...group, i, run: Math.ceil(group.runMm) }))
		.filter(({ run, clearMm }) => run <= W && clearMm <= problem.heightMm)
		.sort((a, b) => b.clearMm - a.clearMm || b.value - a.value || a.run - b.run || a.i - b.i);
	const goods: Goods = {
		id: Int32Array.from(order, ({ i }) => i),
		run: Int32Array.from(order, ({ run }) => run),
		value: Float64Array.from(order, ({ value }) => value)
	};
	const patterns = patternsOf(
		problem,
		order.map(({ clearMm }) => clearMm)
	);
	const ranked = boundsOf(patterns, goods, W).sort(
		(a, b) => b.bound - a.bound || a.pattern.holes.length - b.pattern.holes.length
	);
	let best: { value: number; pattern: Pattern; level: Int8Array } | null = null;
	let steps = 0;
	// Short looks at many ways come first: one that ends badly stays bad for long.
	let waiting = ranked;
	for (const patience of PATIENCE) {
		const again: typeof ranked = [];
		for (const each of waiting) {
			const { pattern, bound } = each;
			const fewer = !best || pattern.holes.length < best.pattern.holes.length;
			// To be better it has to be worth more, or as much with fewer shelves.
			if (best && (bound < best.value || (bound === best.value && !fewer))) continue;
			const need: number = best ? best.value + (fewer ? -EPS : EPS) : -EPS;
			const left = Math.min(patience, options.steps - steps);
			const filled: Filled | null =
				left > 0 && !options.isOver?.()
					? fill(pattern, goods, W, need, bound, left, options.isOver)
					: null;
			steps += filled?.steps ?? 0;
			if (filled?.level) best = { value: filled.value, pattern, level: filled.level };
			if (!filled?.isWhole) again.push(each);
		}
		waiting = again;
	}
	const open = Math.max(0, ...waiting.map(({ bound }) => bound));
	if (!best)
		return {
			status: open > 0 ? 'open' : 'proven',
			value: 0,
			bound: open,
			holes: [],
			levels: [[]],
			steps
		};
	const bound = Math.max(best.value, open);
	return {
		status: bound > best.value ? 'open' : 'proven',
		value: best.value,
		bound,
		holes: best.pattern.holes,
		levels: levelsOf(problem, best.pattern, best.level, order),
		steps
	};
}
const EPS = 1e-9;
/** Steps that one way to set the shelves is given, round by round. */
const PATIENCE = [2000, 20_000, 200_000, Infinity];

/** The most each pattern can hold. Patterns that begin with the same levels share the table of what those hold. */
function boundsOf(
	patterns: readonly Pattern[],
	goods: Goods,
	W: number
): { pattern: Pattern; bound: number }[] {
	const n = goods.id.length;
	const known = new Map<string, Float64Array>();
	/** Best worth by used front, of the first `upTo` groups on the first `levels` levels. */
	const table = (tooTall: readonly number[], levels: number, upTo: number): Float64Array => {
		const key = `${tooTall.slice(0, levels).join(',')}|${upTo}`;
		const have = known.get(key);
		if (have) return have;
		const from = tooTall[levels - 1]!;
		const before = levels > 1 ? table(tooTall, levels - 1, from) : new Float64Array(1);
		const worth = new Float64Array(levels * W + 1);
		worth.set(before);
		for (let c = before.length; c < worth.length; c++) worth[c] = worth[before.length - 1]!;
		for (let g = from; g < upTo; g++) {
			const run = goods.run[g]!;
			const value = goods.value[g]!;
			for (let c = worth.length - 1; c >= run; c--) {
				const taken = worth[c - run]! + value;
				if (taken > worth[c]!) worth[c] = taken;
			}
		}
		known.set(key, worth);
		return worth;
	};
	return patterns.map((pattern) => {
		const levels = pattern.tooTall.length;
		const worth = table(pattern.tooTall, levels, n);
		return { pattern, bound: worth[worth.length - 1]! };
	});
}

interface Filled {
	readonly value: number;
	/** Level of each group from the tallest down, −1 out; null when nothing reaches what is needed. */
	readonly level: Int8Array | null;
	readonly isWhole: boolean;
	readonly steps: number;
}

/** Fills the levels of one pattern, depth first; bounded by what is still to be had of the front that is left. */
function fill(
	pattern: Pattern,
	goods: Goods,
	W: number,
	need: number,
	enough: number,
	most: number,
	isOver: () => boolean = () => false
): Filled {
	const n = goods.id.length;
	const { tooTall } = pattern;
	const levels = tooTall.length;
	const rest = restTable(pattern, goods, W);
	const width = levels * W + 1;
	const left = new Int32Array(levels).fill(W);
	const level = new Int8Array(n).fill(-1);
	// Narrowest run of those that come after: less front than this is lost.
	const narrow = new Int32Array(n + 1).fill(W + 1);
	for (let g = n - 1; g >= 0; g--) narrow[g] = Math.min(narrow[g + 1]!, goods.run[g]!);
	let best: Int8Array | null = null;
	let value = need;
	let found = 0;
	let steps = 0;
	let ended = false;
	const place = (g: number, worth: number): void => {
		if (g === n) {
			if (worth < value) return;
			found = worth;
			value = worth + EPS;
			best = level.slice();
			return;
		}
		if (++steps > most || (steps % 4096 === 0 && isOver())) {
			ended = true;
			return;
		}
		let used = 0;
		let reach = 0;
		for (; reach < levels && tooTall[reach]! <= g; reach++) {
			const free = left[reach]!;
			used += free < narrow[g]! ? W : W - free;
		}
		// Levels too low for this one are still whole.
		if (worth + rest[g * width + used]! < value) return;
		const run = goods.run[g]!;
		const withIt = worth + goods.value[g]!;
		const next = (g + 1) * width;
		const take = used + run < width ? withIt + rest[next + used + run]! : -1;
		const isTakenFirst = take >= worth + rest[next + used]!;
		if (!isTakenFirst) {
			place(g + 1, worth);
			if (ended || value > enough) return;
		}
		// The lowest level that takes it first: the tall ones are for what is taller; of equal ones the fullest.
		for (let l = reach - 1; l >= 0; l--) {
			if (left[l]! < run) continue;
			let twice = false;
			for (let other = reach - 1; other > l && !twice; other--) twice = left[other] === left[l];
			if (twice) continue;
			left[l]! -= run;
			level[g] = l;
			place(g + 1, withIt);
			level[g] = -1;
			left[l]! += run;
			if (ended || value > enough) return;
		}
		if (isTakenFirst) place(g + 1, worth);
	};
	place(0, 0);
	return { value: found, level: best, isWhole: !ended, steps };
}

/** Most worth of the groups from `g` on when so much front is used: rows of `levels × W + 1`. */
function restTable({ tooTall }: Pattern, goods: Goods, W: number): Float64Array {
	const n = goods.id.length;
	const width = tooTall.length * W + 1;
	const rest = new Float64Array((n + 1) * width);
	for (let g = n - 1; g >= 0; g--) {
		const run = goods.run[g]!;
		const value = goods.value[g]!;
		let reach = 0;
		while (reach < tooTall.length && tooTall[reach]! <= g) reach++;
		const cap = reach * W;
		const row = g * width;
		const after = row + width;
		for (let used = 0; used < width; used++) {
			const without = rest[after + used]!;
			const taken = used + run <= cap ? value + rest[after + used + run]! : 0;
			rest[row + used] = taken > without ? taken : without;
		}
	}
	return rest;
}

/** Brings levels in order of height back to their places, each group to the lowest of equal height. */
function levelsOf(
	problem: ShelvesProblem,
	pattern: Pattern,
	level: Int8Array,
	order: readonly { readonly i: number }[]
): number[][] {
	const gaps = gapsOf(problem, pattern.holes).map((gap, at) => ({ at, gap }));
	// The tallest first, as in the pattern.
	gaps.sort((a, b) => b.gap - a.gap || a.at - b.at);
	const levels: number[][] = gaps.map(() => []);
	order.forEach(({ i }, g) => {
		if (level[g]! >= 0) levels[gaps[level[g]!]!.at]!.push(i);
	});
	return levels;
}
