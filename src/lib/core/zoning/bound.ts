import type { AssignmentProblem } from './problem';

export interface BoundOptions {
	readonly rounds: number;
	/** Steps into which the largest capacity is cut; capacities round up and demands down, so the bound stays valid. */
	readonly steps: number;
	/** Objective of a known plan; steers the step length and ends the work when reached. */
	readonly known: number;
}
export const DEFAULT_BOUND = { rounds: 150, steps: 240 } as const;

/** Tells whether two parts could ever share nook `n`, by their first capacity and their kinds. */
function canShare(problem: AssignmentProblem, a: number, b: number, n: number): boolean {
	const { K, demand, capacity, kinds, conflicts } = problem;
	if ((kinds[a]! & conflicts[b]!) | (kinds[b]! & conflicts[a]!)) return false;
	return demand[a * K]! + demand[b * K]! <= capacity[n * K]! + 1e-6;
}

/**
 * Moves to the linear costs what every pair must cost at least: for part a in nook n, half of the cheapest
 * place that its partner could take. Whatever the plan, the sum is not above what the pairs really cost:
 * a partner in overflow pays no pair, so the most that was charged for it comes off its overflow cost.
 * Pair weights are zero or more.
 */
function linearCosts(problem: AssignmentProblem): { linear: Float64Array; spill: Float64Array } {
	const { N, cost, distance, pairs, overflow } = problem;
	const linear = cost.slice();
	const spill = overflow.slice();
	const charge = (a: number, b: number, near: number, together: number) => {
		let most = 0;
		for (let n = 0; n < N; n++) {
			if (linear[a * N + n] === Infinity) continue;
			let least = Infinity;
			for (let m = 0; m < N; m++) {
				if (cost[b * N + m] === Infinity) continue;
				if (n === m && !canShare(problem, a, b, n)) continue;
				least = Math.min(least, n === m ? together : near * distance[n * N + m]!);
			}
			if (least === Infinity) continue;
			linear[a * N + n]! += least / 2;
			most = Math.max(most, least / 2);
		}
		spill[b]! -= most;
	};
	for (const { a, b, near, together } of pairs) {
		charge(a, b, near, together);
		charge(b, a, near, together);
	}
	return { linear, spill };
}

/** Which items the best knapsack takes: profits are positive, weights whole; O(items × room). */
function knapsackTaken(
	weights: Int32Array,
	profits: Float64Array,
	count: number,
	room: number
): Uint8Array {
	const width = room + 1;
	const best = new Float64Array(width);
	const took = new Uint8Array(count * width);
	for (let i = 0; i < count; i++)
		for (let r = room; r >= weights[i]!; r--) {
			const value = best[r - weights[i]!]! + profits[i]!;
			if (value > best[r]!) {
				best[r] = value;
				took[i * width + r] = 1;
			}
		}
	const taken = new Uint8Array(count);
	for (let i = count - 1, r = room; i >= 0; i--)
		if (took[i * width + r]) {
			taken[i] = 1;
			r -= weights[i]!;
		}
	return taken;
}

interface Knapsack {
	/** Whole weight of every part. */
	readonly weights: Int32Array;
	readonly room: number;
}

/**
 * Makes one whole-number knapsack a nook over the capacity that binds it most: the one that holds the smallest share
 * of all demand. Any one capacity is a valid relaxation. Demands round down and room rounds up, so the bound holds.
 */
function scaleKnapsacks(
	{ G, N, K, demand, capacity }: AssignmentProblem,
	steps: number
): Knapsack[] {
	const total = new Float64Array(K);
	const largest = new Float64Array(K).fill(1e-9);
	for (let k = 0; k < K; k++) {
		for (let g = 0; g < G; g++) total[k]! += demand[g * K + k]!;
		// Room beyond all demand binds nothing and would only make the steps coarse.
		for (let n = 0; n < N; n++)
			largest[k] = Math.max(largest[k]!, Math.min(capacity[n * K + k]!, total[k]!));
	}
	const unit = largest.map((most, k) => {
		let whole = most <= steps * 4;
		for (let g = 0; g < G && whole; g++) whole = Number.isInteger(demand[g * K + k]!);
		return whole ? 1 : most / steps;
	});
	const weights = Array.from(unit, (size, k) =>
		Int32Array.from({ length: G }, (_, g) => Math.floor(demand[g * K + k]! / size + 1e-9))
	);
	return Array.from({ length: N }, (_, n) => {
		let tight = 0;
		for (let k = 1; k < K; k++)
			if (capacity[n * K + k]! * total[tight]! < capacity[n * K + tight]! * total[k]!) tight = k;
		const room = Math.min(capacity[n * K + tight]!, total[tight]!);
		return { weights: weights[tight]!, room: Math.ceil(room / unit[tight]! - 1e-9) };
	});
}

/**
 * Computes a lower bound on every plan's effort. "Each part once" is relaxed with prices u, which leaves one
 * knapsack a nook over the capacity that binds it most; the prices climb by subgradients. The bound is valid at
 * every round: other capacities and conflicts only raise the true optimum. Deterministic.
 */
export function lowerBound(
	problem: AssignmentProblem,
	{ rounds, steps, known }: BoundOptions
): number {
	const { G, N } = problem;
	if (!G) return 0;
	const { linear, spill } = linearCosts(problem);
	const scaled = scaleKnapsacks(problem, steps);

	const price = new Float64Array(G);
	for (let g = 0; g < G; g++) {
		let least = spill[g]!;
		for (let n = 0; n < N; n++) least = Math.min(least, linear[g * N + n]!);
		price[g] = least;
	}
	const itemWeights = new Int32Array(G);
	const profits = new Float64Array(G);
	const index = new Int32Array(G);
	const taken = new Int32Array(G);
	let best = -Infinity;
	let pace = 1.2;
	let stale = 0;
	for (let round = 0; round < rounds; round++) {
		taken.fill(0);
		let value = 0;
		for (let g = 0; g < G; g++) {
			value += price[g]!;
			// Overflow has room for all: a part whose price passes it would be taken there.
			if (price[g]! > spill[g]!) {
				value += spill[g]! - price[g]!;
				taken[g]!++;
			}
		}
		for (let n = 0; n < N; n++) {
			const { weights, room } = scaled[n]!;
			let count = 0;
			for (let g = 0; g < G; g++) {
				const profit = price[g]! - linear[g * N + n]!;
				if (profit <= 1e-12 || weights[g]! > room) continue;
				itemWeights[count] = weights[g]!;
				profits[count] = profit;
				index[count++] = g;
			}
			if (!count) continue;
			const took = knapsackTaken(itemWeights, profits, count, room);
			for (let i = 0; i < count; i++)
				if (took[i]) {
					value -= profits[i]!;
					taken[index[i]!]!++;
				}
		}
		if (value > best + Math.abs(best) * 1e-5 || best === -Infinity) stale = 0;
		else stale++;
		best = Math.max(best, value);
		if (known - best <= Math.abs(known) * 1e-9) break;
		if (stale >= 8) [pace, stale] = [pace * 0.6, 0];
		let norm = 0;
		for (let g = 0; g < G; g++) norm += (1 - taken[g]!) ** 2;
		if (norm === 0) break;
		const step = (pace * Math.max(known - value, Math.abs(known) * 1e-4)) / norm;
		for (let g = 0; g < G; g++) price[g]! += step * (1 - taken[g]!);
	}
	return Math.min(best, known);
}
