/**
 * A zone plan as plain arrays: G parts of groups go to N nooks. Read-only to every solver.
 * Row-major: `cost[g * N + n]`, `demand[(g * N + n) * K + k]`, `capacity[n * K + k]`, `distance[n * N + m]`.
 */
export interface AssignmentProblem {
	readonly G: number;
	readonly N: number;
	/** Number of capacities that hold at once (litres, front run, load). */
	readonly K: number;
	/** What a part takes of a nook: a row of jars takes more floor where the shelf above is low. */
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
	/** What may not stand in one cabinet, on whatever shelf; null: no such rule. */
	readonly apart: Apart | null;
	/** What it costs that unlike parts share a nook; null: nothing. */
	readonly mixing: Mixing | null;
}

/** As `kinds` and `conflicts`, but for all nooks of one zone together. */
export interface Apart {
	/** N: the zone of each nook, from 0 without gaps. */
	readonly zone: Int32Array;
	/** G each. */
	readonly kinds: Uint8Array;
	readonly conflicts: Uint8Array;
}

/** Families of parts, and what it costs that they meet: a nook of one family costs nothing, whatever it holds of it. */
export interface Mixing {
	/** Number of families. */
	readonly F: number;
	/** G: the family of each part, below F. */
	readonly family: Uint8Array;
	/** F × F, symmetric, none below 0, 0 on the diagonal: charged once for each nook in which two families meet. */
	readonly price: Float64Array;
	/** G × N: what a part adds to the crowd of a nook; whole numbers. */
	readonly crowding: Uint16Array;
	/** N: what a nook takes of that without a crowd; each unit more costs `crowdPrice`. */
	readonly crowdFrom: Uint16Array;
	readonly crowdPrice: number;
}

export interface Pair {
	readonly a: number;
	readonly b: number;
	readonly near: number;
	readonly together: number;
}

/** Nook index of each part; −1: without a nook. */
export type Assignment = Int32Array;

/**
 * Writes what parts take that take the same everywhere, G × K, as the demand of a problem, G × N × K.
 * @example takenEverywhere([5, 2], 2, 1) // [5, 5, 2, 2]
 */
export function takenEverywhere(taken: ArrayLike<number>, N: number, K: number): Float64Array {
	const demand = new Float64Array(taken.length * N);
	for (let i = 0; i < demand.length; i++) demand[i] = taken[Math.floor(i / (N * K)) * K + (i % K)]!;
	return demand;
}

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
	return sum + mixingOf(problem, assignment);
}

/** What a nook costs in which parts make so much of a crowd. */
export const crowdCost = ({ crowdFrom, crowdPrice }: Mixing, n: number, crowd: number): number =>
	crowdPrice * Math.max(0, crowd - crowdFrom[n]!);

/**
 * Sums what the families that meet in one nook, and crowds, cost in an assignment; parts without a nook (−1, or N and
 * above) count nowhere. More parts never cost less. Costs O(G + N × F²).
 */
export function mixingOf({ G, N, mixing }: AssignmentProblem, assignment: Assignment): number {
	if (!mixing) return 0;
	const { F, family, price, crowding } = mixing;
	const isHere = new Uint8Array(N * F);
	const crowd = new Int32Array(N);
	for (let g = 0; g < G; g++) {
		const n = assignment[g]!;
		if (n < 0 || n >= N) continue;
		isHere[n * F + family[g]!] = 1;
		crowd[n]! += crowding[g * N + n]!;
	}
	let sum = 0;
	for (let n = 0; n < N; n++) {
		sum += crowdCost(mixing, n, crowd[n]!);
		for (let one = 0; one < F; one++) {
			if (!isHere[n * F + one]) continue;
			for (let two = one + 1; two < F; two++) if (isHere[n * F + two]) sum += price[one * F + two]!;
		}
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
	| { readonly code: 'conflict'; readonly nook: number }
	/** Parts that may not stand in one zone; `nook` is the first of it that holds one. */
	| { readonly code: 'apart'; readonly nook: number };

/** Lists every hard rule an assignment breaks; empty for a plan that may be proposed. */
export function violations(problem: AssignmentProblem, assignment: Assignment): Violation[] {
	const { G, N, K, demand, capacity, cost, kinds, conflicts } = problem;
	const found: Violation[] = [];
	const used = new Float64Array(N * K);
	for (let g = 0; g < G; g++) {
		const n = assignment[g]!;
		if (n < 0) continue;
		if (!Number.isFinite(cost[g * N + n]!)) found.push({ code: 'forbidden', part: g, nook: n });
		for (let k = 0; k < K; k++) used[n * K + k]! += demand[(g * N + n) * K + k]!;
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
	if (problem.apart) found.push(...zoneFaults(problem.apart, assignment));
	return found;
}

function zoneFaults({ zone, kinds, conflicts }: Apart, assignment: Assignment): Violation[] {
	const zones = new Map<number, { nook: number; present: number; refused: number }>();
	assignment.forEach((n, g) => {
		if (n < 0 || !(kinds[g]! | conflicts[g]!)) return;
		const at = zones.get(zone[n]!) ?? { nook: n, present: 0, refused: 0 };
		at.present |= kinds[g]!;
		at.refused |= conflicts[g]!;
		zones.set(zone[n]!, at);
	});
	return [...zones.values()]
		.filter(({ present, refused }) => present & refused)
		.map(({ nook }) => ({ code: 'apart', nook }));
}
