import type { AssignmentProblem } from './problem';

/** Lets every kind of problem be bounded the same way: its linear part, and one whole-number knapsack a nook. */
export interface Relaxable {
	readonly G: number;
	/** Nooks, and overflow as the last one, which holds everything. */
	readonly M: number;
	/** G × M; Infinity where a part may not go. */
	readonly cost: Float64Array;
	/** Whole weight of every part in nook m; room of each; overflow has none. */
	readonly weights: readonly Int32Array[];
	readonly rooms: Int32Array;
}

interface Knapsack {
	readonly weights: Int32Array;
	readonly room: number;
}

/**
 * Makes one whole-number knapsack a nook over the capacity that binds it most: the one that holds the smallest share
 * of all demand. Any one capacity is a valid relaxation. Demands round down and room rounds up, so the bound holds.
 * `steps` is the number of steps into which the largest capacity is cut; whole demands are kept as they are.
 */
export function scaleKnapsacks(
	{ G, N, K, cost, demand, capacity }: AssignmentProblem,
	steps: number
): Knapsack[] {
	// N × K: what everything that may go to a nook would take there.
	const total = new Float64Array(N * K);
	const largest = new Float64Array(K).fill(1e-9);
	const isWhole = new Uint8Array(K).fill(1);
	for (let g = 0; g < G; g++)
		for (let n = 0; n < N; n++) {
			if (cost[g * N + n] === Infinity) continue;
			for (let k = 0; k < K; k++) {
				const taken = demand[(g * N + n) * K + k]!;
				total[n * K + k]! += taken;
				if (!Number.isInteger(taken)) isWhole[k] = 0;
			}
		}
	// Room beyond all demand binds nothing and would only make the steps coarse.
	const room = total.map((all, i) => Math.min(capacity[i]!, all));
	room.forEach((most, i) => (largest[i % K] = Math.max(largest[i % K]!, most)));
	const unit = largest.map((most, k) => (isWhole[k] && most <= steps * 4 ? 1 : most / steps));
	return Array.from({ length: N }, (_, n) => {
		let tight = 0;
		for (let k = 1; k < K; k++)
			if (
				capacity[n * K + k]! * total[n * K + tight]! <
				capacity[n * K + tight]! * total[n * K + k]!
			)
				tight = k;
		const size = unit[tight]!;
		return {
			weights: Int32Array.from({ length: G }, (_, g) =>
				Math.floor(demand[(g * N + n) * K + tight]! / size + 1e-9)
			),
			room: Math.ceil(room[n * K + tight]! / size - 1e-9)
		};
	});
}

/** Lays the linear costs and the overflow of a problem side by side with its knapsacks. */
export function toRelaxable(
	problem: AssignmentProblem,
	linear: Float64Array,
	spill: Float64Array,
	steps: number
): Relaxable {
	const { G, N } = problem;
	const M = N + 1;
	const cost = new Float64Array(G * M);
	for (let g = 0; g < G; g++) {
		for (let n = 0; n < N; n++) cost[g * M + n] = linear[g * N + n]!;
		cost[g * M + N] = spill[g]!;
	}
	const scaled = scaleKnapsacks(problem, steps);
	return {
		G,
		M,
		cost,
		weights: scaled.map(({ weights }) => weights),
		rooms: Int32Array.from(scaled, ({ room }) => room)
	};
}

export interface ClimbOptions {
	/** Rounds at most. */
	readonly rounds: number;
	/** Objective of a known plan: it steers the length of the steps. */
	readonly known: number;
	/** The work ends when the bound passes this. */
	readonly enough: number;
	/** Length of the first steps; less when the prices are good already. */
	readonly pace?: number;
}

/** From so many times the number of its items on, the steps of a room are worth pruning for. */
const WIDE = 4;
/** A step that has not raised the bound for so many rounds is made shorter. */
const PATIENCE = 12;
const SHORTER = 0.65;
const LEAST_PACE = 0.004;
/** How much of the last direction is kept: it dampens the zigzag of plain subgradients. */
const KEPT = 0.3;

/**
 * Relaxes "each part once" with a price for each part, which leaves one knapsack a nook: every set of prices gives a
 * bound that no plan can go below. A part that is fixed to a nook takes its room and its cost and leaves the game.
 * Scratch arrays are kept between calls; a relaxation belongs to one caller. Deterministic; reads no clock.
 */
export class Relaxation {
	readonly price: Float64Array;
	/** Times each part was taken in the round of the best bound. */
	readonly taken: Int32Array;
	/** Where the best round took each part; −1 where nowhere, the last of them where in several. */
	readonly takenAt: Int32Array;
	bound = -Infinity;
	/** Cells of knapsack tables filled: the measure of work. */
	work = 0;
	private readonly trial: Float64Array;
	private readonly seen: Int32Array;
	private readonly seenAt: Int32Array;
	private readonly way: Float64Array;
	private readonly items: Int32Array;
	private readonly profits: Float64Array;
	private readonly dropped: Uint8Array;
	private readonly row: Float64Array;
	private took: Uint8Array;
	private tables = new Float64Array(0);

	constructor(readonly model: Relaxable) {
		const { G, M, cost, rooms } = model;
		this.price = new Float64Array(G);
		for (let g = 0; g < G; g++) {
			let least = Infinity;
			for (let m = 0; m < M; m++) least = Math.min(least, cost[g * M + m]!);
			this.price[g] = least;
		}
		this.trial = this.price.slice();
		this.taken = new Int32Array(G);
		this.takenAt = new Int32Array(G).fill(-1);
		this.seen = new Int32Array(G);
		this.seenAt = new Int32Array(G);
		this.way = new Float64Array(G);
		this.items = new Int32Array(G);
		this.profits = new Float64Array(G);
		this.dropped = new Uint8Array(G);
		const width = Math.max(0, ...rooms) + 1;
		this.row = new Float64Array(width);
		this.took = new Uint8Array(G * width);
	}

	/** Climbs from the best prices so far. `fixed[g]` is the nook a part is fixed to, −1 where it is free. */
	climb(
		cost: Float64Array,
		rooms: Int32Array,
		fixed: Int32Array,
		{ rounds, known, enough, pace: first = 1.4 }: ClimbOptions
	): number {
		const { G } = this.model;
		let pace = first;
		let stale = 0;
		this.bound = -Infinity;
		this.trial.set(this.price);
		this.way.fill(0);
		for (let round = 0; round < rounds; round++) {
			const value = this.evaluate(cost, rooms, fixed);
			if (value > this.bound + Math.max(1e-9, Math.abs(this.bound) * 2e-6)) stale = 0;
			else stale++;
			if (value > this.bound) {
				this.bound = value;
				this.price.set(this.trial);
				this.taken.set(this.seen);
				this.takenAt.set(this.seenAt);
			}
			if (this.bound >= enough) break;
			if (stale >= PATIENCE) {
				pace *= SHORTER;
				stale = 0;
				if (pace < LEAST_PACE) break;
				this.trial.set(this.price);
				this.way.fill(0);
			}
			let norm = 0;
			for (let g = 0; g < G; g++) {
				if (fixed[g]! >= 0) continue;
				const slope = 1 - this.seen[g]! + KEPT * this.way[g]!;
				this.way[g] = slope;
				norm += slope * slope;
			}
			if (norm < 1e-12) break;
			const step = (pace * Math.max(known - value, Math.abs(known) * 1e-5)) / norm;
			for (let g = 0; g < G; g++) if (fixed[g]! < 0) this.trial[g]! += step * this.way[g]!;
		}
		return this.bound;
	}

	/** Fills the items of nook `m` that pay at the given prices; gives how many. */
	private gather(
		cost: Float64Array,
		fixed: Int32Array,
		price: Float64Array,
		m: number,
		room: number
	): number {
		const { G, M, weights } = this.model;
		const own = weights[m]!;
		let count = 0;
		for (let g = 0; g < G; g++) {
			if (fixed[g]! >= 0 || own[g]! > room) continue;
			const profit = price[g]! - cost[g * M + m]!;
			if (profit <= 1e-12) continue;
			this.items[count] = g;
			this.profits[count++] = profit;
		}
		return count;
	}

	/**
	 * Drops the items that some best filling of the room goes without, and keeps the order of the rest: where the items
	 * that pay as much or more and weigh no more do not fit beside one together, it can change places with one of them.
	 */
	private prune(own: Int32Array, count: number, room: number): number {
		const { items, profits, dropped } = this;
		for (let i = 0; i < count; i++) {
			const w = own[items[i]!]!;
			const profit = profits[i]!;
			let left = room - w;
			for (let j = 0; j < count && left >= 0; j++) {
				const isBetter = profits[j]! > profit || (profits[j] === profit && j < i);
				if (isBetter && own[items[j]!]! <= w) left -= own[items[j]!]!;
			}
			dropped[i] = Number(left < 0);
		}
		let kept = 0;
		for (let i = 0; i < count; i++)
			if (!dropped[i]) {
				items[kept] = items[i]!;
				profits[kept++] = profits[i]!;
			}
		return kept;
	}

	private evaluate(cost: Float64Array, rooms: Int32Array, fixed: Int32Array): number {
		const { G, M, weights } = this.model;
		const { trial, seen, seenAt, items, profits, row } = this;
		const N = M - 1;
		let value = 0;
		for (let g = 0; g < G; g++) {
			seen[g] = 0;
			seenAt[g] = -1;
			if (fixed[g]! >= 0) {
				value += cost[g * M + fixed[g]!]!;
				continue;
			}
			value += trial[g]!;
			const spill = cost[g * M + N]!;
			if (trial[g]! > spill) {
				value += spill - trial[g]!;
				seen[g]!++;
				seenAt[g] = N;
			}
		}
		for (let m = 0; m < N; m++) {
			const room = rooms[m]!;
			const gathered = room < 0 ? 0 : this.gather(cost, fixed, trial, m, room);
			if (!gathered) continue;
			const own = weights[m]!;
			// Where the room is narrow, filling the table costs less than looking for what to leave out of it.
			const count = room > WIDE * gathered ? this.prune(own, gathered, room) : gathered;
			const width = room + 1;
			row.fill(0, 0, width);
			const { took } = this;
			took.fill(0, 0, count * width);
			this.work += gathered * width;
			let later = 0;
			for (let i = 0; i < count; i++) later += own[items[i]!]!;
			for (let i = 0; i < count; i++) {
				const w = own[items[i]!]!;
				const profit = profits[i]!;
				const base = i * width;
				// With less room than all later items leave, nobody asks what this one would do.
				later -= w;
				const least = Math.max(w, room - later);
				for (let r = room; r >= least; r--) {
					const with_ = row[r - w]! + profit;
					if (with_ > row[r]!) {
						row[r] = with_;
						took[base + r] = 1;
					}
				}
			}
			value -= row[room]!;
			for (let i = count - 1, r = room; i >= 0; i--)
				if (took[i * width + r]) {
					const g = items[i]!;
					r -= own[g]!;
					seen[g]!++;
					seenAt[g] = m;
				}
		}
		return value;
	}

	/**
	 * Gives, for every free part and nook, a bound on plans that have the part there (G × M; Infinity where it may not
	 * go), at the best prices: what the nook's knapsack loses by taking it, and the others by going without.
	 */
	forced(cost: Float64Array, rooms: Int32Array, fixed: Int32Array): Float64Array {
		const { G, M, weights } = this.model;
		const { price, items, profits } = this;
		const N = M - 1;
		const inLoss = new Float64Array(G * M).fill(Infinity);
		const outLoss = new Float64Array(G);
		const ownOut = new Float64Array(G * M);
		for (let g = 0; g < G; g++) {
			if (fixed[g]! >= 0) continue;
			const spill = cost[g * M + N]!;
			// Taken into overflow it pays; not taken there, that is lost.
			const pays = Math.max(0, price[g]! - spill);
			inLoss[g * M + N] = pays - (price[g]! - spill);
			ownOut[g * M + N] = pays;
			outLoss[g]! += pays;
		}
		for (let m = 0; m < N; m++) {
			const room = rooms[m]!;
			if (room < 0) continue;
			const count = this.gather(cost, fixed, price, m, room);
			const own = weights[m]!;
			const width = room + 1;
			// Row i of `before` is the best of the items under i, of `after` that of the items from i on.
			const need = 2 * (count + 1) * width;
			if (this.tables.length < need) this.tables = new Float64Array(need);
			const before = this.tables.subarray(0, (count + 1) * width);
			const after = this.tables.subarray((count + 1) * width, need);
			this.work += 3 * count * width;
			before.fill(0, 0, width);
			for (let i = 0; i < count; i++) {
				const w = own[items[i]!]!;
				const from = i * width;
				const to = from + width;
				for (let r = 0; r < width; r++) {
					const without = before[from + r]!;
					before[to + r] =
						r >= w ? Math.max(without, before[from + r - w]! + profits[i]!) : without;
				}
			}
			after.fill(0, count * width, (count + 1) * width);
			for (let i = count - 1; i >= 0; i--) {
				const w = own[items[i]!]!;
				const from = (i + 1) * width;
				const to = i * width;
				for (let r = 0; r < width; r++) {
					const without = after[from + r]!;
					after[to + r] = r >= w ? Math.max(without, after[from + r - w]! + profits[i]!) : without;
				}
			}
			const best = before[count * width + room]!;
			const position = new Int32Array(G).fill(-1);
			for (let i = 0; i < count; i++) position[items[i]!] = i;
			for (let g = 0; g < G; g++) {
				const c = cost[g * M + m]!;
				const w = own[g]!;
				if (fixed[g]! >= 0 || c === Infinity || w > room) continue;
				const i = position[g]!;
				const profit = price[g]! - c;
				if (i < 0) {
					inLoss[g * M + m] = best - (before[count * width + room - w]! + profit);
					continue;
				}
				let withIt = 0;
				let without = 0;
				const b = i * width;
				const a = (i + 1) * width;
				for (let r = 0; r <= room; r++) {
					const rest = before[b + r]! + after[a + room - r]!;
					if (rest > without) without = rest;
					if (r <= room - w) {
						const beside = before[b + r]! + after[a + room - w - r]!;
						if (beside > withIt) withIt = beside;
					}
				}
				inLoss[g * M + m] = best - (withIt + profit);
				ownOut[g * M + m] = best - without;
				outLoss[g]! += best - without;
			}
		}
		const result = new Float64Array(G * M).fill(Infinity);
		for (let g = 0; g < G; g++) {
			if (fixed[g]! >= 0) continue;
			for (let m = 0; m < M; m++) {
				const cell = g * M + m;
				if (cost[cell] === Infinity || inLoss[cell] === Infinity) continue;
				result[cell] = this.bound + inLoss[cell]! + outLoss[g]! - ownOut[cell]!;
			}
		}
		return result;
	}
}
