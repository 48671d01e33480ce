import { purchaseOf, type PurchaseProblem, type PurchaseResult, type Way } from './problem';

export interface PurchaseOptions {
	/** Choices looked at in the tree: the budget. */
	readonly steps: number;
}
export const DEFAULT_PURCHASE: PurchaseOptions = { steps: 200_000 };

/** Rounds in which the prices of what the house has are found. */
const ROUNDS = 400;
const EPS = 1e-7;

/**
 * Chooses a way for each place so that what they lack and what is bought for all of them together is least: prices are
 * put on what the house has (multipliers, by subgradient), which gives a bound; a descent gives a first choice; a tree over
 * the places, pruned by the bound, betters and proves it. Deterministic; of equal choices the first found stays.
 */
export function solvePurchase(
	problem: PurchaseProblem,
	{ steps }: PurchaseOptions = DEFAULT_PURCHASE
): PurchaseResult {
	const { places } = problem;
	let best = descend(problem, places.map(cheapest));
	const thrifty = descend(
		problem,
		places.map((ways) => thriftiest(problem, ways))
	);
	if (thrifty.value < best.value) best = thrifty;
	const prices = pricesOf(problem, best.value);
	const guided = descend(
		problem,
		places.map((ways) => leastOf(ways, prices.multipliers).at)
	);
	if (guided.value < best.value) best = guided;
	const tree = branch(problem, prices.multipliers, prices.constant, best, steps);
	const bound = tree.isWhole ? tree.best.value : Math.min(prices.bound, tree.best.value);
	if (tree.best.value === Infinity) {
		return {
			status: 'too-dear',
			chosen: [],
			buy: problem.owned.map(() => 0),
			spent: 0,
			objective: Infinity,
			bound: prices.bound
		};
	}
	const { buy, spent, objective } = purchaseOf(problem, tree.best.chosen);
	return {
		status: tree.isWhole || objective <= bound + EPS ? 'proven' : 'open',
		chosen: tree.best.chosen,
		buy,
		spent,
		objective,
		bound
	};
}

interface Choice {
	readonly chosen: readonly number[];
	/** ∞ over the budget. */
	readonly value: number;
}
const valueOf = (problem: PurchaseProblem, chosen: readonly number[]): number => {
	const { objective, isWithin } = purchaseOf(problem, chosen);
	return isWithin ? objective : Infinity;
};
/** Over the budget it is the worse the more it is over, so that a descent finds its way down. */
const OVER = 1e9;
const slopeOf = (problem: PurchaseProblem, chosen: readonly number[], buy: number[]): number => {
	const { objective, spent, isWithin } = purchaseOf(problem, chosen, buy);
	return isWithin ? objective : OVER + (spent - problem.budget!) * 1000 + objective / OVER;
};

const cheapest = (ways: readonly Way[]): number =>
	ways.reduce((best, way, i) => (way.cost < ways[best]!.cost ? i : best), 0);
/** The way that asks least to be bought. */
const thriftiest = ({ price }: PurchaseProblem, ways: readonly Way[]): number => {
	const asks = ({ uses }: Way) => uses.reduce((sum, [kind, n]) => sum + n * price[kind]!, 0);
	return ways.reduce((best, way, i) => (asks(way) < asks(ways[best]!) ? i : best), 0);
};

/** Betters a choice place by place, then in pairs, until nothing helps. */
function descend(problem: PurchaseProblem, start: readonly number[]): Choice {
	const chosen = [...start];
	const buy = new Array<number>(problem.owned.length);
	let value = slopeOf(problem, chosen, buy);
	const tryAll = (which: readonly number[], done: () => void): void => {
		const [first, ...rest] = which;
		if (first === undefined) return done();
		const was = chosen[first]!;
		for (let w = 0; w < problem.places[first]!.length; w++) {
			chosen[first] = w;
			tryAll(rest, done);
		}
		chosen[first] = was;
	};
	for (let again = true; again;) {
		again = false;
		const better = (which: readonly number[]) => {
			let found: number[] | null = null;
			tryAll(which, () => {
				const next = slopeOf(problem, chosen, buy);
				if (next < value - EPS) {
					value = next;
					found = [...chosen];
				}
			});
			if (found) {
				chosen.splice(0, chosen.length, ...(found as number[]));
				again = true;
			}
		};
		for (let i = 0; i < chosen.length; i++) better([i]);
		if (!again)
			for (let i = 0; i < chosen.length; i++)
				for (let j = i + 1; j < chosen.length && !again; j++) better([i, j]);
	}
	return { chosen, value: valueOf(problem, chosen) };
}

const priced = ({ cost, uses }: Way, multipliers: Float64Array): number =>
	uses.reduce((sum, [kind, count]) => sum + count * multipliers[kind]!, cost);
function leastOf(ways: readonly Way[], multipliers: Float64Array): { at: number; value: number } {
	let at = 0;
	let value = Infinity;
	ways.forEach((way, i) => {
		const here = priced(way, multipliers);
		if (here < value) [at, value] = [i, here];
	});
	return { at, value };
}

/**
 * What a piece of each kind costs when it is bought: its price, and its part of what a kind more costs in calm, as if as many
 * of it were bought as ever can be. So no purchase costs less than its pieces do.
 */
function eachOf({ places, owned, price, perKind }: PurchaseProblem): number[] {
	const most = owned.map((count) => -count);
	for (const ways of places) {
		const here = new Map<number, number>();
		for (const { uses } of ways)
			for (const [kind, count] of uses) here.set(kind, Math.max(here.get(kind) ?? 0, count));
		for (const [kind, count] of here) most[kind]! += count;
	}
	return price.map((each, kind) => each + perKind / Math.max(1, most[kind]!));
}

/**
 * Prices on what the house has that give the best bound found: each between nothing and what the kind costs in the shop,
 * more where the budget is short. The bound is the sum of each place's cheapest way, less what the owned are worth.
 */
function pricesOf(
	problem: PurchaseProblem,
	target: number
): { multipliers: Float64Array; constant: number; bound: number } {
	const { places, owned, price, budget } = problem;
	const each = eachOf(problem);
	const at = Float64Array.from(each, (p) => p / 2);
	let short = 0;
	let best = { multipliers: at.slice(), constant: 0, bound: -Infinity };
	const goal = Number.isFinite(target) ? target : 0;
	for (let round = 0; round < ROUNDS; round++) {
		const slope = owned.map((count) => -count);
		let bound = 0;
		for (const ways of places) {
			const { at: way, value } = leastOf(ways, at);
			bound += value;
			for (const [kind, count] of ways[way]!.uses) slope[kind]! += count;
		}
		let constant = -owned.reduce((sum, count, kind) => sum + count * at[kind]!, 0);
		// What the ceiling leaves: buying costs a little more than its price when money is short.
		const over = slope.reduce(
			(sum, count, kind) =>
				sum + (at[kind]! >= price[kind]! ? Math.max(0, count) * price[kind]! : 0),
			0
		);
		if (budget !== null) constant -= short * budget;
		bound += constant;
		if (bound > best.bound) best = { multipliers: at.slice(), constant, bound };
		const norm = slope.reduce((sum, s) => sum + s * s, 0) || 1;
		const step = ((Math.max(goal, bound + 1) - bound) / norm) * (1 - round / ROUNDS);
		if (budget !== null)
			short = Math.max(0, short + (over - budget) / Math.max(1, budget) / (round + 2));
		for (let kind = 0; kind < at.length; kind++)
			at[kind] = Math.min(
				each[kind]! + price[kind]! * short,
				Math.max(0, at[kind]! + step * slope[kind]!)
			);
	}
	return best;
}

/** Goes through the choices place by place, the ones with most to lose first; ends when `most` were looked at. */
function branch(
	problem: PurchaseProblem,
	multipliers: Float64Array,
	constant: number,
	start: Choice,
	most: number
): { best: Choice; isWhole: boolean } {
	const { places } = problem;
	const ranked = places.map((ways, place) => {
		const order = ways
			.map((way, at) => ({ at, value: priced(way, multipliers) }))
			.sort((a, b) => a.value - b.value || a.at - b.at);
		const spread = (order[1]?.value ?? order[0]!.value) - order[0]!.value;
		return { place, order, least: order[0]!.value, spread };
	});
	ranked.sort((a, b) => b.spread - a.spread || a.place - b.place);
	const rest = new Float64Array(ranked.length + 1);
	for (let i = ranked.length - 1; i >= 0; i--) rest[i] = rest[i + 1]! + ranked[i]!.least;
	const chosen = new Array<number>(places.length).fill(0);
	let best = start;
	let steps = 0;
	let isWhole = true;
	const walk = (depth: number, sum: number): void => {
		if (depth === ranked.length) {
			const value = valueOf(problem, chosen);
			if (value < best.value - EPS) best = { chosen: [...chosen], value };
			return;
		}
		const { place, order } = ranked[depth]!;
		for (const { at, value } of order) {
			if (sum + value + rest[depth + 1]! + constant >= best.value - EPS) return;
			if (++steps > most) {
				isWhole = false;
				return;
			}
			chosen[place] = at;
			walk(depth + 1, sum + value);
			if (!isWhole) return;
		}
	};
	walk(0, 0);
	return { best, isWhole };
}
