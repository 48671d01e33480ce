import { CAPACITY_TOLERANCE, type Assignment, type AssignmentProblem } from './problem';

const KIND_BITS = 8;

/**
 * A plan under work: where every part stands, what room is left, and what a change would cost.
 * `place` mutates; `delta` and `fits` only read. All are O(pairs of the part + K).
 */
export class Layout {
	readonly assignment: Assignment;
	readonly free: Float64Array;
	objective = 0;
	private readonly kindCount: Int16Array;
	private readonly partners: Int32Array[];
	private readonly near: Float64Array[];
	private readonly together: Float64Array[];

	constructor(readonly problem: AssignmentProblem) {
		const { G, N, pairs, capacity, overflow } = problem;
		this.assignment = new Int32Array(G).fill(-1);
		this.free = capacity.slice();
		this.kindCount = new Int16Array(N * KIND_BITS);
		const lists = Array.from({ length: G }, () => [] as number[]);
		pairs.forEach((pair, p) => {
			lists[pair.a]!.push(p);
			lists[pair.b]!.push(p);
		});
		this.partners = lists.map((list, g) =>
			Int32Array.from(list, (p) => (pairs[p]!.a === g ? pairs[p]!.b : pairs[p]!.a))
		);
		this.near = lists.map((list) => Float64Array.from(list, (p) => pairs[p]!.near));
		this.together = lists.map((list) => Float64Array.from(list, (p) => pairs[p]!.together));
		for (let g = 0; g < G; g++) this.objective += overflow[g]!;
	}

	/** Effort of part `g` in nook `n` with its partners where they are; `n` −1 is overflow. */
	costAt(g: number, n: number): number {
		const { N, cost, overflow, distance } = this.problem;
		if (n < 0) return overflow[g]!;
		let sum = cost[g * N + n]!;
		const partners = this.partners[g]!;
		const near = this.near[g]!;
		const together = this.together[g]!;
		for (let i = 0; i < partners.length; i++) {
			const m = this.assignment[partners[i]!]!;
			if (m >= 0) sum += m === n ? together[i]! : near[i]! * distance[n * N + m]!;
		}
		return sum;
	}

	/** Whether part `g`, which is not in `n`, may go there with everything else as it is. */
	fits(g: number, n: number): boolean {
		const { N, K, cost, demand } = this.problem;
		if (n < 0) return true;
		if (cost[g * N + n] === Infinity) return false;
		for (let k = 0; k < K; k++)
			if (demand[g * K + k]! > this.free[n * K + k]! + CAPACITY_TOLERANCE) return false;
		return this.agrees(g, n);
	}

	/** Whether nothing in nook `n` conflicts with part `g`; `g` itself does not count. */
	agrees(g: number, n: number): boolean {
		const { kinds, conflicts } = this.problem;
		const own = this.assignment[g] === n ? kinds[g]! : 0;
		let refused = conflicts[g]!;
		for (let bit = 0; refused; bit++, refused >>= 1) {
			if (!(refused & 1)) continue;
			if (this.kindCount[n * KIND_BITS + bit]! > ((own >> bit) & 1)) return false;
		}
		return true;
	}

	/** Puts part `g` into nook `n` (−1: nowhere) and keeps the sums true; it does not ask whether it fits. */
	place(g: number, n: number): void {
		const from = this.assignment[g]!;
		if (from === n) return;
		this.objective += this.costAt(g, n) - this.costAt(g, from);
		this.shift(g, from, 1);
		this.shift(g, n, -1);
		this.assignment[g] = n;
	}

	private shift(g: number, n: number, sign: 1 | -1): void {
		if (n < 0) return;
		const { K, demand, kinds } = this.problem;
		for (let k = 0; k < K; k++) this.free[n * K + k]! += sign * demand[g * K + k]!;
		for (let bit = 0, left = kinds[g]!; left; bit++, left >>= 1)
			if (left & 1) this.kindCount[n * KIND_BITS + bit]! -= sign;
	}

	/** Loads a whole assignment. */
	load(assignment: Assignment): void {
		for (let g = 0; g < assignment.length; g++) this.place(g, assignment[g]!);
	}
}
