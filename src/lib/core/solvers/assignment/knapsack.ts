import type { AssignmentProblem } from './problem';
import { itemsFor, type Items, type Subproblem } from './subproblem';

/** One whole-number knapsack a nook. */
export interface Knapsacks {
	/** Whole weight of every part in nook n. */
	readonly weights: readonly Int32Array[];
	readonly rooms: Int32Array;
}

/**
 * Makes one whole-number knapsack a nook over the capacity that binds it most: the one that holds the smallest share
 * of all demand. Any one capacity is a valid relaxation. Demands round down and room rounds up, so the bound holds.
 * `steps` is the number of steps into which the largest capacity is cut; whole demands are kept as they are.
 */
export function scaleKnapsacks(
	{ G, N, K, cost, demand, capacity }: AssignmentProblem,
	steps: number
): Knapsacks {
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
	const scaled = Array.from({ length: N }, (_, n) => {
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
	return {
		weights: scaled.map(({ weights }) => weights),
		rooms: Int32Array.from(scaled, ({ room }) => room)
	};
}

/** From so many times the number of its items on, the steps of a room are worth pruning for. */
const WIDE = 4;

/** The knapsack of one capacity, by tables: all there is to know of a nook with one capacity and nothing else. */
export class KnapsackSubproblem implements Subproblem {
	most = 0;
	private readonly dropped: Uint8Array;
	private readonly row: Float64Array;
	private readonly took: Uint8Array;
	private readonly order: Int32Array;
	/** Row i of `before` is the best of the items under i, of `after` that of the items from i on. */
	private tables = new Float64Array(0);
	private before = this.tables;
	private after = this.tables;
	private own: Int32Array = new Int32Array(0);
	private items: Items = itemsFor(0);
	private room = 0;

	constructor(private readonly knapsacks: Knapsacks) {
		const G = knapsacks.weights[0]?.length ?? 0;
		const width = Math.max(0, ...knapsacks.rooms) + 1;
		this.dropped = new Uint8Array(G);
		this.order = new Int32Array(G);
		this.row = new Float64Array(width);
		this.took = new Uint8Array(G * width);
	}

	/** What is fixed takes room, and the caller says how much is left: nothing else is known here. */
	begin(): void {}

	choose(nook: number, items: Items, room: number, withBoth: boolean): number {
		this.own = this.knapsacks.weights[nook]!;
		[this.items, this.room] = [items, room];
		items.taken.fill(0, 0, items.count);
		if (withBoth) return this.fillBoth();
		const { own, row, took, order } = this;
		const { count: gathered, part, pays, taken } = items;
		// Where the room is narrow, filling the table costs less than looking for what to leave out of it.
		const count = this.prune(items, room > WIDE * gathered);
		const width = room + 1;
		row.fill(0, 0, width);
		took.fill(0, 0, count * width);
		let later = 0;
		for (let i = 0; i < count; i++) later += own[part[order[i]!]!]!;
		for (let i = 0; i < count; i++) {
			const w = own[part[order[i]!]!]!;
			const profit = pays[order[i]!]!;
			const base = i * width;
			// With less room than all later items leave, nobody asks what this one would do.
			later -= w;
			const least = Math.max(w, room - later);
			for (let r = room; r >= least; r--) {
				const beside = row[r - w]! + profit;
				if (beside > row[r]!) {
					row[r] = beside;
					took[base + r] = 1;
				}
			}
		}
		this.most = row[room]!;
		for (let i = count - 1, r = room; i >= 0; i--)
			if (took[i * width + r]) {
				taken[order[i]!] = 1;
				r -= own[part[order[i]!]!]!;
			}
		return gathered * width;
	}

	/**
	 * Lists the items in `order`, without those that some best filling of the room goes without (if `isWorth`): where
	 * the items that pay as much or more and weigh no more do not fit beside one together, it can change places with
	 * one of them. Gives how many are listed.
	 */
	private prune({ count, part, pays }: Items, isWorth: boolean): number {
		const { own, dropped, order, room } = this;
		dropped.fill(0, 0, count);
		for (let i = 0; i < count && isWorth; i++) {
			const w = own[part[i]!]!;
			const profit = pays[i]!;
			let left = room - w;
			for (let j = 0; j < count && left >= 0; j++) {
				const isBetter = pays[j]! > profit || (pays[j] === profit && j < i);
				if (isBetter && own[part[j]!]! <= w) left -= own[part[j]!]!;
			}
			dropped[i] = Number(left < 0);
		}
		let kept = 0;
		for (let i = 0; i < count; i++) if (!dropped[i]) order[kept++] = i;
		return kept;
	}

	private fillBoth(): number {
		const { own, room } = this;
		const { count, part, pays } = this.items;
		const width = room + 1;
		const half = (count + 1) * width;
		if (this.tables.length < 2 * half) this.tables = new Float64Array(2 * half);
		const before = (this.before = this.tables.subarray(0, half));
		const after = (this.after = this.tables.subarray(half, 2 * half));
		const step = (i: number, rows: Float64Array, from: number, to: number) => {
			const w = own[part[i]!]!;
			for (let r = 0; r < width; r++) {
				const without = rows[from + r]!;
				rows[to + r] = r >= w ? Math.max(without, rows[from + r - w]! + pays[i]!) : without;
			}
		};
		before.fill(0, 0, width);
		for (let i = 0; i < count; i++) step(i, before, i * width, (i + 1) * width);
		after.fill(0, count * width, half);
		for (let i = count - 1; i >= 0; i--) step(i, after, (i + 1) * width, i * width);
		this.most = before[count * width + room]!;
		return 3 * count * width;
	}

	withPart(g: number, at: number, profit: number): number {
		const left = this.room - this.own[g]!;
		return left < 0 ? -Infinity : profit + this.rest(at, left);
	}
	without(at: number): number {
		return this.rest(at, this.room);
	}
	/** The best of all items but one in so much room. */
	private rest(at: number, room: number): number {
		const { before, after } = this;
		const width = this.room + 1;
		if (at < 0) return before[this.items.count * width + room]!;
		let most = 0;
		const b = at * width;
		const a = (at + 1) * width;
		for (let r = 0; r <= room; r++) {
			const sum = before[b + r]! + after[a + room - r]!;
			if (sum > most) most = sum;
		}
		return most;
	}
}
