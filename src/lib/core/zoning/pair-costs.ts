import type { AssignmentProblem } from './problem';

/** Tells whether two parts could ever share nook `n`, by their capacities and their kinds. */
export function canShare(problem: AssignmentProblem, a: number, b: number, n: number): boolean {
	const { K, demand, capacity, kinds, conflicts } = problem;
	if ((kinds[a]! & conflicts[b]!) | (kinds[b]! & conflicts[a]!)) return false;
	for (let k = 0; k < K; k++)
		if (demand[a * K + k]! + demand[b * K + k]! > capacity[n * K + k]! + 1e-6) return false;
	return true;
}

export interface LinearCosts {
	readonly linear: Float64Array;
	readonly spill: Float64Array;
}

/** How far a pass moves the split towards where the two sides of a pair stand level, 1 all the way. */
const DAMP = 0.7;

/**
 * Charges what a pair costs to its two sides, so that linear costs alone bound a plan with pairs: `first[n]` on one
 * side in nook n and `second[m]` on the other in nook m, never more in sum than the pair costs there. Any such split
 * is valid; how good it is decides the bound. It begins with half of the cheapest place on the first side, and
 * `level` moves it to where it counts, after each round of prices. Belongs to one caller; deterministic.
 */
export class PairSplit {
	/** P × N: what the next `charge` begins from. */
	private readonly start: Float64Array;
	/** What the last `charge` charged. */
	private readonly first: Float64Array;
	private readonly second: Float64Array;
	/** P × N: 1 where both sides may share the nook. */
	private readonly shares: Uint8Array;
	/** N × N of one pair: what it costs with its sides in the two nooks. */
	private readonly price: Float64Array;

	constructor(private readonly problem: AssignmentProblem) {
		const { N, pairs, cost } = problem;
		this.start = new Float64Array(pairs.length * N);
		this.first = new Float64Array(pairs.length * N);
		this.second = new Float64Array(pairs.length * N);
		this.shares = new Uint8Array(pairs.length * N);
		this.price = new Float64Array(N * N);
		pairs.forEach(({ a, b }, p) => {
			for (let n = 0; n < N; n++) this.shares[p * N + n] = Number(canShare(problem, a, b, n));
		});
		pairs.forEach(({ a, b }, p) => {
			this.lay(p);
			for (let n = 0; n < N; n++) {
				if (cost[a * N + n] === Infinity) continue;
				let least = Infinity;
				for (let m = 0; m < N; m++)
					if (cost[b * N + m] !== Infinity) least = Math.min(least, this.price[n * N + m]!);
				if (least < Infinity) this.start[p * N + n] = least / 2;
			}
		});
	}

	/** Lays out what pair `p` costs; Infinity where its sides may not share a nook. */
	private lay(p: number): void {
		const { N, pairs, distance } = this.problem;
		const { near, together } = pairs[p]!;
		for (let cell = 0; cell < N * N; cell++) this.price[cell] = near * distance[cell]!;
		for (let n = 0; n < N; n++)
			this.price[n * N + n] = this.shares[p * N + n] ? together : Infinity;
	}

	/**
	 * Gives the linear costs of a problem with its pairs charged to them. `open` (G × N, 1 where a part may still go)
	 * and `fixed` (nook of a part, N for overflow, −1 free) say what is decided: with one side fixed the charge is
	 * exact, and fewer places left raise it. A partner in overflow pays no pair, so the most that was charged for it
	 * comes off its overflow cost. Costs O(pairs × N²).
	 */
	charge(open: Uint8Array, fixed: Int32Array): LinearCosts {
		const { G, N, cost, pairs, overflow } = this.problem;
		const linear = new Float64Array(G * N);
		for (let cell = 0; cell < G * N; cell++) linear[cell] = open[cell] ? cost[cell]! : Infinity;
		const spill = overflow.slice();
		pairs.forEach(({ a, b }, p) => {
			this.lay(p);
			const { price } = this;
			if (fixed[a]! >= 0 || fixed[b]! >= 0) {
				const isFirst = fixed[a]! >= 0;
				const other = isFirst ? b : a;
				const n = fixed[isFirst ? a : b]!;
				if (n >= N) return;
				// With both fixed the charge lands once, on the other's own nook.
				for (let m = 0; m < N; m++)
					if (open[other * N + m])
						linear[other * N + m]! += isFirst ? price[n * N + m]! : price[m * N + n]!;
				return;
			}
			const base = p * N;
			const { first, second } = this;
			for (let n = 0; n < N; n++) first[base + n] = this.start[base + n]!;
			this.fill(p, open, 'second');
			this.fill(p, open, 'first');
			let most = 0;
			let mostOther = 0;
			for (let n = 0; n < N; n++) {
				if (open[a * N + n]) {
					linear[a * N + n]! += first[base + n]!;
					most = Math.max(most, first[base + n]!);
				}
				if (open[b * N + n]) {
					linear[b * N + n]! += second[base + n]!;
					mostOther = Math.max(mostOther, second[base + n]!);
				}
			}
			spill[b]! -= most;
			spill[a]! -= mostOther;
		});
		return { linear, spill };
	}

	/** Makes one side's charge of a pair, whose costs are laid out, as large as the other side's leaves room for. */
	private fill(p: number, open: Uint8Array, side: 'first' | 'second'): void {
		const { N, pairs } = this.problem;
		const isFirst = side === 'first';
		const own = isFirst ? pairs[p]!.a : pairs[p]!.b;
		const other = isFirst ? pairs[p]!.b : pairs[p]!.a;
		const mine = this[side];
		const theirs = isFirst ? this.second : this.first;
		const base = p * N;
		for (let n = 0; n < N; n++) {
			if (!open[own * N + n]) continue;
			let least = Infinity;
			for (let m = 0; m < N; m++) {
				if (!open[other * N + m]) continue;
				const left = this.price[isFirst ? n * N + m : m * N + n]! - theirs[base + m]!;
				if (left < least) least = left;
			}
			// Nothing of the other side goes with it: then only its overflow does, and that pays no pair.
			mine[base + n] = least < Infinity ? least : 0;
		}
	}

	/**
	 * Moves the split of every pair between free parts so that both sides lose alike by what they are charged.
	 * `ways` (G × (N + 1)) is the bound with each part in each nook, at the last charges, and `bound` that without.
	 * `ways` is written to: it follows the new charges.
	 */
	level(ways: Float64Array, bound: number, open: Uint8Array, fixed: Int32Array): void {
		const { N, pairs } = this.problem;
		const M = N + 1;
		const mine = new Float64Array(N);
		const theirs = new Float64Array(N);
		const alone = (g: number, n: number, charged: number) =>
			open[g * N + n] ? ways[g * M + n]! - bound - charged : Infinity;
		pairs.forEach(({ a, b }, p) => {
			if (fixed[a]! >= 0 || fixed[b]! >= 0) return;
			this.lay(p);
			const base = p * N;
			const { first, second, price } = this;
			const before = first.slice(base, base + N);
			const beforeOther = second.slice(base, base + N);
			for (let n = 0; n < N; n++) {
				mine[n] = alone(a, n, before[n]!);
				theirs[n] = alone(b, n, beforeOther[n]!);
			}
			for (let n = 0; n < N; n++) {
				if (mine[n] === Infinity) continue;
				let least = Infinity;
				for (let m = 0; m < N; m++) least = Math.min(least, theirs[m]! + price[n * N + m]!);
				const target = (least - mine[n]!) / 2;
				if (Number.isFinite(target)) first[base + n]! += DAMP * (target - before[n]!);
			}
			this.fill(p, open, 'second');
			this.fill(p, open, 'first');
			for (let n = 0; n < N; n++) {
				this.start[base + n] = first[base + n]!;
				if (open[a * N + n]) ways[a * M + n]! += first[base + n]! - before[n]!;
				if (open[b * N + n]) ways[b * M + n]! += second[base + n]! - beforeOther[n]!;
			}
		});
	}

	/** The split as it stands, to come back to. */
	save(): Float64Array {
		return this.start.slice();
	}
	restore(saved: Float64Array): void {
		this.start.set(saved);
	}
}
