import { KnapsackSubproblem, scaleKnapsacks, type Knapsacks } from './knapsack';
import { hasMore, NookSubproblem } from './nook-subproblem';
import type { AssignmentProblem } from './problem';
import { itemsFor, type Items, type Subproblem } from './subproblem';

/** Lets every kind of problem be bounded the same way: its linear part, and one subproblem a nook. */
export interface Relaxable extends Knapsacks {
	readonly G: number;
	/** Nooks, and overflow as the last one, which holds everything. */
	readonly M: number;
	/** G × M; Infinity where a part may not go. */
	readonly cost: Float64Array;
	readonly nook: Subproblem;
}

/** Steps of the tables that only guide. */
const GUIDE_STEPS = 80;

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
	const isFull = hasMore(problem);
	// Where a walk through the choices follows, the table only guides it, and may be coarser.
	const knapsacks = scaleKnapsacks(problem, isFull ? Math.min(steps, GUIDE_STEPS) : steps);
	const nook = isFull ? new NookSubproblem(problem, knapsacks) : new KnapsackSubproblem(knapsacks);
	return { G, M, cost, ...knapsacks, nook };
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
	private readonly items: Items;

	constructor(readonly model: Relaxable) {
		const { G, M, cost } = model;
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
		this.items = itemsFor(G);
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
		this.model.nook.begin(fixed);
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

	/** Gathers the items of nook `m` that pay at the given prices; gives how many. */
	private gather(
		cost: Float64Array,
		fixed: Int32Array,
		price: Float64Array,
		m: number,
		room: number
	): number {
		const { items } = this;
		const { G, M, weights } = this.model;
		const own = weights[m]!;
		items.count = 0;
		for (let g = 0; g < G; g++) {
			if (fixed[g]! >= 0 || own[g]! > room) continue;
			const profit = price[g]! - cost[g * M + m]!;
			if (profit <= 1e-12) continue;
			items.part[items.count] = g;
			items.pays[items.count++] = profit;
		}
		return items.count;
	}

	private evaluate(cost: Float64Array, rooms: Int32Array, fixed: Int32Array): number {
		const { G, M, nook } = this.model;
		const { trial, seen, seenAt, items } = this;
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
			if (room < 0 || !this.gather(cost, fixed, trial, m, room)) continue;
			this.work += nook.choose(m, items, room, false);
			value -= nook.most;
			for (let i = 0; i < items.count; i++)
				if (items.taken[i]) {
					seen[items.part[i]!]!++;
					seenAt[items.part[i]!] = m;
				}
		}
		return value;
	}

	/**
	 * Gives, for every free part and nook, a bound on plans that have the part there (G × M; Infinity where it may not
	 * go), at the best prices: what the nook loses by taking it, and the others by going without. Bounds further than
	 * `gap` above the best are only said to be so far.
	 */
	forced(cost: Float64Array, rooms: Int32Array, fixed: Int32Array, gap = Infinity): Float64Array {
		const { G, M, weights, nook } = this.model;
		const { price, items } = this;
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
		const at = new Int32Array(G);
		for (let m = 0; m < N; m++) {
			const room = rooms[m]!;
			if (room < 0) continue;
			this.gather(cost, fixed, price, m, room);
			this.work += nook.choose(m, items, room, true);
			const best = nook.most;
			const floor = best - gap;
			at.fill(-1);
			for (let i = 0; i < items.count; i++) at[items.part[i]!] = i;
			for (let g = 0; g < G; g++) {
				const c = cost[g * M + m]!;
				if (fixed[g]! >= 0 || c === Infinity || weights[m]![g]! > room) continue;
				const i = at[g]!;
				// What was taken loses nothing by being in, and what was not, nothing by being out.
				if (i < 0 || !items.taken[i]) {
					inLoss[g * M + m] = best - nook.withPart(g, i, price[g]! - c, floor);
					continue;
				}
				inLoss[g * M + m] = 0;
				ownOut[g * M + m] = best - nook.without(i, floor);
				outLoss[g]! += ownOut[g * M + m]!;
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
