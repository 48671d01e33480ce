/**
 * A zone plan as plain arrays: G parts of groups go to N nooks. Read-only to every solver.
 * Row-major: `cost[g * N + n]`, `demand[g * K + k]`, `capacity[n * K + k]`, `distance[n * N + m]`.
 */
export interface AssignmentProblem {
	readonly G: number;
	readonly N: number;
	/** Number of capacities that hold at once (litres, front run, load). */
	readonly K: number;
	readonly demand: Float64Array;
	readonly capacity: Float64Array;
	/** Weekly effort of a part in a nook; Infinity = a hard rule forbids it. */
	readonly cost: Float64Array;
	/** Effort of leaving a part without a nook; finite, larger than any place. */
	readonly overflow: Float64Array;
	/** Partner pairs: effort = near × distance between the two nooks (+ together, when it is the same nook). */
	readonly pairs: readonly Pair[];
	readonly distance: Float64Array;
	/** Bits of what a part is, and of what may not stand in the same nook with it. */
	readonly kinds: Uint8Array;
	readonly conflicts: Uint8Array;
}

export interface Pair {
	readonly a: number;
	readonly b: number;
	readonly near: number;
	readonly together: number;
}

/** Nook index of each part; −1: without a nook. */
export type Assignment = Int32Array;

/** Room for rounding when loads are summed, in the capacities' own units. */
export const CAPACITY_TOLERANCE = 1e-6;

/**
 * Sums the objective of an assignment from nothing; the one definition that all solvers are checked against.
 * It does not look at capacities or conflicts: see `violations`.
 */
export function objectiveOf(problem: AssignmentProblem, assignment: Assignment): number {
	const { G, N, cost, overflow, pairs, distance } = problem;
	let sum = 0;
	for (let g = 0; g < G; g++) {
		const n = assignment[g]!;
		sum += n < 0 ? overflow[g]! : cost[g * N + n]!;
	}
	for (const { a, b, near, together } of pairs) {
		const n = assignment[a]!;
		const m = assignment[b]!;
		if (n < 0 || m < 0) continue;
		sum += n === m ? together : near * distance[n * N + m]!;
	}
	return sum;
}

export type Violation =
	| { readonly code: 'forbidden'; readonly part: number; readonly nook: number }
	| {
			readonly code: 'over-capacity';
			readonly nook: number;
			readonly dimension: number;
			readonly over: number;
	  }
	| { readonly code: 'conflict'; readonly nook: number };

/** Lists every hard rule an assignment breaks; empty for a plan that may be proposed. */
export function violations(problem: AssignmentProblem, assignment: Assignment): Violation[] {
	const { G, N, K, demand, capacity, cost, kinds, conflicts } = problem;
	const found: Violation[] = [];
	const used = new Float64Array(N * K);
	for (let g = 0; g < G; g++) {
		const n = assignment[g]!;
		if (n < 0) continue;
		if (!Number.isFinite(cost[g * N + n]!)) found.push({ code: 'forbidden', part: g, nook: n });
		for (let k = 0; k < K; k++) used[n * K + k]! += demand[g * K + k]!;
	}
	for (let n = 0; n < N; n++) {
		for (let k = 0; k < K; k++) {
			const over = used[n * K + k]! - capacity[n * K + k]!;
			if (over > CAPACITY_TOLERANCE * (G + 1))
				found.push({ code: 'over-capacity', nook: n, dimension: k, over });
		}
		let present = 0;
		let refused = 0;
		for (let g = 0; g < G; g++)
			if (assignment[g] === n) {
				present |= kinds[g]!;
				refused |= conflicts[g]!;
			}
		if (present & refused) found.push({ code: 'conflict', nook: n });
	}
	return found;
}
