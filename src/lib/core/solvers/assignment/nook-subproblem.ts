import type { Knapsacks } from './knapsack';
import { CAPACITY_TOLERANCE, crowdCost, type AssignmentProblem } from './problem';
import { itemsFor, type Items, type Subproblem } from './subproblem';

/** Looks at so many choices for one answer at most; what is left unseen then counts at its bound. */
const MOST_LOOKS = 3_000;
/** What a look costs, in cells of a table. */
const LOOK = 12;

/** Whether a nook knows more than one capacity: then its knapsack alone says too little. */
export const hasMore = ({ K, mixing, conflicts }: AssignmentProblem): boolean =>
	K > 1 || !!mixing || conflicts.some((bits) => bits);

/**
 * A nook with all that it knows: every capacity, what may not stand together, the families that meet and the crowd.
 * Walks depth-first through the choices, what pays most first; a table of the capacity that binds most says what the
 * rest can pay at most, and rules out nearly all of them.
 */
export class NookSubproblem implements Subproblem {
	most = 0;
	/** N × K, N × F, N, N, N: what the parts that are fixed leave of each nook, and what they are. */
	private readonly free: Float64Array;
	private readonly families: Uint8Array;
	private readonly crowds: Int32Array;
	private readonly present: Uint8Array;
	private readonly refused: Uint8Array;
	/** Row i: the most that the items from i on pay in so much room. */
	private table = new Float64Array(0);
	private items: Items = itemsFor(0);
	private own: Int32Array = new Int32Array(0);
	private width = 1;
	private nook = 0;
	/** Of the walk: room left of each capacity, the families inside (a stack), what they make of a crowd, the choice. */
	private readonly left: Float64Array;
	private readonly stack: Uint8Array;
	private depth = 0;
	private crowd = 0;
	private readonly trial: Uint8Array;
	/** The best choice seen, the most that the unseen could pay, the item that is not to be had. */
	private best = 0;
	private unseen = 0;
	private skip = -1;
	private isChoosing = false;
	private looks = 0;

	constructor(
		private readonly problem: AssignmentProblem,
		private readonly knapsacks: Knapsacks
	) {
		const { G, N, K, capacity, mixing } = problem;
		const F = mixing?.F ?? 0;
		this.free = capacity.slice();
		this.families = new Uint8Array(N * F);
		this.crowds = new Int32Array(N);
		this.present = new Uint8Array(N);
		this.refused = new Uint8Array(N);
		this.trial = new Uint8Array(G);
		this.left = new Float64Array(K);
		this.stack = new Uint8Array(F + 1);
	}

	begin(fixed: Int32Array): void {
		const { G, N, K, capacity, demand, kinds, conflicts, mixing } = this.problem;
		this.free.set(capacity);
		for (const none of [this.families, this.crowds, this.present, this.refused]) none.fill(0);
		for (let g = 0; g < G; g++) {
			const n = fixed[g]!;
			if (n < 0 || n >= N) continue;
			for (let k = 0; k < K; k++) this.free[n * K + k]! -= demand[(g * N + n) * K + k]!;
			if (mixing) this.families[n * mixing.F + mixing.family[g]!] = 1;
			if (mixing) this.crowds[n]! += mixing.crowding[g * N + n]!;
			this.present[n]! |= kinds[g]!;
			this.refused[n]! |= conflicts[g]!;
		}
	}

	choose(nook: number, items: Items, room: number): number {
		const { K, mixing } = this.problem;
		[this.nook, this.items] = [nook, items];
		this.own = this.knapsacks.weights[nook]!;
		sortByPay(items);
		for (let k = 0; k < K; k++) this.left[k] = this.free[nook * K + k]! + CAPACITY_TOLERANCE;
		this.crowd = this.crowds[nook]!;
		this.depth = 0;
		if (mixing)
			for (let f = 0; f < mixing.F; f++)
				if (this.families[nook * mixing.F + f]) this.stack[this.depth++] = f;
		this.fillTable(room);
		items.taken.fill(0, 0, items.count);
		this.trial.fill(0, 0, items.count);
		const looks = this.looks;
		this.isChoosing = true;
		this.most = this.walkFrom(0, room, 0, this.present[nook]!, this.refused[nook]!);
		this.isChoosing = false;
		return items.count * this.width + LOOK * (this.looks - looks);
	}

	private fillTable(room: number): void {
		const { own } = this;
		const { count, part, pays } = this.items;
		const width = (this.width = room + 1);
		if (this.table.length < (count + 1) * width) this.table = new Float64Array((count + 1) * width);
		const { table } = this;
		table.fill(0, count * width, (count + 1) * width);
		for (let i = count - 1; i >= 0; i--) {
			const w = own[part[i]!]!;
			const profit = pays[i]!;
			const to = i * width;
			const from = to + width;
			table.copyWithin(to, from, from + Math.min(w, width));
			for (let r = w; r < width; r++) {
				const without = table[from + r]!;
				const beside = table[from + r - w]! + profit;
				table[to + r] = beside > without ? beside : without;
			}
		}
	}

	withPart(g: number, at: number, profit: number, floor: number): number {
		const { N, K, demand, kinds, conflicts, mixing } = this.problem;
		const { nook, left } = this;
		const room = this.width - 1 - this.own[g]!;
		const from = (g * N + nook) * K;
		const [present, refused] = [this.present[nook]!, this.refused[nook]!];
		if (room < 0 || (present & conflicts[g]!) | (refused & kinds[g]!)) return -Infinity;
		for (let k = 0; k < K; k++) if (demand[from + k]! > left[k]!) return -Infinity;
		const paid = profit - this.mixing(g);
		const depth = this.depth;
		for (let k = 0; k < K; k++) left[k]! -= demand[from + k]!;
		if (mixing) {
			this.crowd += mixing.crowding[g * N + nook]!;
			this.push(mixing.family[g]!);
		}
		this.skip = at;
		const most = this.walkFrom(paid, room, floor, present | kinds[g]!, refused | conflicts[g]!);
		this.skip = -1;
		for (let k = 0; k < K; k++) left[k]! += demand[from + k]!;
		if (mixing) this.crowd -= mixing.crowding[g * N + nook]!;
		this.depth = depth;
		return most;
	}

	without(at: number, floor: number): number {
		this.skip = at;
		const most = this.walkFrom(
			0,
			this.width - 1,
			floor,
			this.present[this.nook]!,
			this.refused[this.nook]!
		);
		this.skip = -1;
		return most;
	}

	private walkFrom(
		value: number,
		room: number,
		floor: number,
		present: number,
		refused: number
	): number {
		this.best = this.unseen = floor;
		const stop = this.looks + MOST_LOOKS;
		this.walk(0, room, value, present, refused, stop);
		return Math.max(this.best, this.unseen);
	}

	private walk(
		i: number,
		room: number,
		value: number,
		present: number,
		refused: number,
		stop: number
	): void {
		const { count, part, pays, taken } = this.items;
		if (value > this.best) {
			this.best = value;
			if (this.isChoosing) taken.set(this.trial.subarray(0, count));
		}
		if (i === count) return;
		const most = value + this.table[i * this.width + room]!;
		if (most <= this.best + 1e-9) return;
		if (this.looks >= stop) {
			this.unseen = Math.max(this.unseen, most);
			return;
		}
		this.looks++;
		const g = part[i]!;
		const w = this.own[g]!;
		const { N, K, demand, kinds, conflicts, mixing } = this.problem;
		const { left } = this;
		const from = (g * N + this.nook) * K;
		let fits = w <= room && i !== this.skip && !((present & conflicts[g]!) | (refused & kinds[g]!));
		for (let k = 0; k < K && fits; k++) fits = demand[from + k]! <= left[k]!;
		if (fits) {
			const depth = this.depth;
			const paid = value + pays[i]! - this.mixing(g);
			for (let k = 0; k < K; k++) left[k]! -= demand[from + k]!;
			if (mixing) {
				this.crowd += mixing.crowding[g * N + this.nook]!;
				this.push(mixing.family[g]!);
			}
			this.trial[i] = 1;
			this.walk(i + 1, room - w, paid, present | kinds[g]!, refused | conflicts[g]!, stop);
			this.trial[i] = 0;
			for (let k = 0; k < K; k++) left[k]! += demand[from + k]!;
			if (mixing) this.crowd -= mixing.crowding[g * N + this.nook]!;
			this.depth = depth;
		}
		this.walk(i + 1, room, value, present, refused, stop);
	}

	/** A family that is inside already is not pushed twice. */
	private push(f: number): void {
		for (let d = 0; d < this.depth; d++) if (this.stack[d] === f) return;
		this.stack[this.depth++] = f;
	}

	/** What the families that meet and the crowd cost more with part `g`. */
	private mixing(g: number): number {
		const { mixing } = this.problem;
		if (!mixing) return 0;
		const own = mixing.family[g]!;
		let sum = 0;
		for (let d = 0; d < this.depth; d++) {
			const other = this.stack[d]!;
			if (other === own) {
				sum = 0;
				break;
			}
			sum += mixing.price[own * mixing.F + other]!;
		}
		const { nook, crowd } = this;
		const adds = mixing.crowding[g * this.problem.N + nook]!;
		return sum + crowdCost(mixing, nook, crowd + adds) - crowdCost(mixing, nook, crowd);
	}
}

/** Brings the items into the order of what they pay, the most first; ties keep theirs. */
function sortByPay({ count, part, pays }: Items): void {
	for (let i = 1; i < count; i++) {
		const g = part[i]!;
		const pay = pays[i]!;
		let j = i - 1;
		for (; j >= 0 && pays[j]! < pay; j--) {
			part[j + 1] = part[j]!;
			pays[j + 1] = pays[j]!;
		}
		part[j + 1] = g;
		pays[j + 1] = pay;
	}
}
