import type { AssignmentProblem } from './problem';

/** Tells whether two parts could ever share nook `n`, by their capacities and their kinds. */
export function canShare(problem: AssignmentProblem, a: number, b: number, n: number): boolean {
	const { N, K, demand, capacity, kinds, conflicts } = problem;
	if ((kinds[a]! & conflicts[b]!) | (kinds[b]! & conflicts[a]!)) return false;
	for (let k = 0; k < K; k++)
		if (demand[(a * N + n) * K + k]! + demand[(b * N + n) * K + k]! > capacity[n * K + k]! + 1e-6)
			return false;
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
	/** P × N: what the pair costs with both sides in the nook; Infinity where they may not share it. */
	private readonly shared: Float64Array;
	/** P × 2 × N: the places that were open to its sides when its charges were last made to fit. */
	private readonly openThen: Uint8Array;
	/** N: scratch of `fill`. */
	private readonly least: Float64Array;
	/** P: whether the charges fit the start and the places that were open. */
	private readonly fits: Uint8Array;

	constructor(private readonly problem: AssignmentProblem) {
		const { N, pairs, cost, distance } = problem;
		this.start = new Float64Array(pairs.length * N);
		this.first = new Float64Array(pairs.length * N);
		this.second = new Float64Array(pairs.length * N);
		this.shared = new Float64Array(pairs.length * N);
		this.openThen = new Uint8Array(2 * pairs.length * N);
		this.fits = new Uint8Array(pairs.length);
		this.least = new Float64Array(N);
		pairs.forEach(({ a, b, near, together }, p) => {
			for (let n = 0; n < N; n++)
				this.shared[p * N + n] = canShare(problem, a, b, n) ? together : Infinity;
			for (let n = 0; n < N; n++) {
				if (cost[a * N + n] === Infinity) continue;
				let least = cost[b * N + n] === Infinity ? Infinity : this.shared[p * N + n]!;
				for (let m = 0; m < N; m++)
					if (m !== n && cost[b * N + m] !== Infinity)
						least = Math.min(least, near * distance[n * N + m]!);
				if (least < Infinity) this.start[p * N + n] = least / 2;
			}
		});
	}

	/** What pair `p` costs with its first side in nook n and its second in m. */
	private price(p: number, n: number, m: number): number {
		const { N, pairs, distance } = this.problem;
		return n === m ? this.shared[p * N + n]! : pairs[p]!.near * distance[n * N + m]!;
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
		for (let p = 0; p < pairs.length; p++) {
			const { a, b } = pairs[p]!;
			if (fixed[a]! >= 0 || fixed[b]! >= 0) {
				const isFirst = fixed[a]! >= 0;
				const other = isFirst ? b : a;
				const n = fixed[isFirst ? a : b]!;
				if (n >= N) continue;
				// With both fixed the charge lands once, on the other's own nook.
				for (let m = 0; m < N; m++)
					if (open[other * N + m])
						linear[other * N + m]! += isFirst ? this.price(p, n, m) : this.price(p, m, n);
				continue;
			}
			const base = p * N;
			const { first, second } = this;
			if (!this.stillFits(p, open)) {
				for (let n = 0; n < N; n++) first[base + n] = this.start[base + n]!;
				this.fill(p, open, 'second');
				this.fill(p, open, 'first');
			}
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
		}
		return { linear, spill };
	}

	/**
	 * Whether the charges of a pair are those that its start gives with these places open: filling up one side from the
	 * other and back changes nothing the second time. If not, they will be.
	 */
	private stillFits(p: number, open: Uint8Array): boolean {
		const { N, pairs } = this.problem;
		const { a, b } = pairs[p]!;
		const then = 2 * p * N;
		let isSame = this.fits[p] === 1;
		for (let n = 0; n < N; n++) {
			const [one, two] = [open[a * N + n]!, open[b * N + n]!];
			if (this.openThen[then + n] !== one || this.openThen[then + N + n] !== two) isSame = false;
			this.openThen[then + n] = one;
			this.openThen[then + N + n] = two;
		}
		this.fits[p] = 1;
		return isSame;
	}

	/** Makes one side's charge of a pair as large as the other side's leaves room for. */
	private fill(p: number, open: Uint8Array, side: 'first' | 'second'): void {
		const { N, pairs, distance } = this.problem;
		const { near, a, b } = pairs[p]!;
		const isFirst = side === 'first';
		const own = (isFirst ? a : b) * N;
		const other = (isFirst ? b : a) * N;
		const mine = this[side];
		const theirs = isFirst ? this.second : this.first;
		const { least } = this;
		const base = p * N;
		least.fill(Infinity);
		// Row by row of the distances, which are laid out by the first side's nook; the shared nook is dealt with below.
		for (let n = 0; n < N; n++) {
			if (!open[a * N + n]) continue;
			const row = n * N;
			let most = Infinity;
			if (isFirst) {
				for (let m = 0; m < N; m++) {
					const left = near * distance[row + m]! - theirs[base + m]!;
					if (left < most && m !== n && open[other + m]) most = left;
				}
				least[n] = most;
			} else {
				const charged = theirs[base + n]!;
				for (let m = 0; m < N; m++) {
					const left = near * distance[row + m]! - charged;
					if (left < least[m]! && m !== n && open[own + m]) least[m] = left;
				}
			}
		}
		for (let n = 0; n < N; n++) {
			if (!open[own + n]) continue;
			const both = open[other + n] ? this.shared[base + n]! - theirs[base + n]! : Infinity;
			const left = Math.min(least[n]!, both);
			// Nothing of the other side goes with it: then only its overflow does, and that pays no pair.
			mine[base + n] = left < Infinity ? left : 0;
		}
	}

	/**
	 * Moves the split of every pair between free parts so that both sides lose alike by what they are charged.
	 * `ways` (G × (N + 1)) is the bound with each part in each nook, at the last charges, and `bound` that without.
	 * `ways` is written to: it follows the new charges.
	 */
	level(ways: Float64Array, bound: number, open: Uint8Array, fixed: Int32Array): void {
		const { N, pairs, distance } = this.problem;
		const M = N + 1;
		const mine = new Float64Array(N);
		const theirs = new Float64Array(N);
		const alone = (g: number, n: number, charged: number) =>
			open[g * N + n] ? ways[g * M + n]! - bound - charged : Infinity;
		for (let p = 0; p < pairs.length; p++) {
			const { a, b, near } = pairs[p]!;
			if (fixed[a]! >= 0 || fixed[b]! >= 0) continue;
			const base = p * N;
			const { first, second } = this;
			const before = first.slice(base, base + N);
			const beforeOther = second.slice(base, base + N);
			for (let n = 0; n < N; n++) {
				mine[n] = alone(a, n, before[n]!);
				theirs[n] = alone(b, n, beforeOther[n]!);
			}
			for (let n = 0; n < N; n++) {
				if (mine[n] === Infinity) continue;
				let least = theirs[n]! + this.shared[base + n]!;
				const row = n * N;
				for (let m = 0; m < N; m++) {
					const both = theirs[m]! + near * distance[row + m]!;
					if (m !== n && both < least) least = both;
				}
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
			// Filled up from each other, the two sides fit what is open: the next charge has nothing to do.
			this.fits[p] = 0;
			this.stillFits(p, open);
		}
	}

	/** The split as it stands, to come back to. */
	save(): Float64Array {
		return this.start.slice();
	}
	restore(saved: Float64Array): void {
		this.start.set(saved);
		this.fits.fill(0);
	}
}
