import { CAPACITY_TOLERANCE, crowdCost, type Assignment, type AssignmentProblem } from './problem';

const KIND_BITS = 8;

/**
 * A plan under work: where every part stands, what room is left, and what a change would cost.
 * `place` mutates; `delta` and `fits` only read. All are O(pairs of the part + K).
 */
export class Layout {
	readonly assignment: Assignment;
	readonly free: Float64Array;
	/** N × G: the parts in each nook, the first `held[n]` of each row, in no order. */
	readonly members: Int32Array;
	readonly held: Int32Array;
	/** Where a part stands in its nook's row. */
	private readonly seat: Int32Array;
	objective = 0;
	/** How many parts stand nowhere. */
	left: number;
	private readonly kindCount: Int16Array;
	/** Zones × bits: as `kindCount`, for what may not stand in one zone. */
	private readonly zoneCount: Int16Array;
	/** N: what the parts in each nook make of a crowd. */
	private readonly crowd: Int32Array;
	/** N × F: parts of each family in each nook. */
	private readonly familyCount: Int16Array;
	/** Partners of part g stand from `from[g]` up to `from[g + 1]` in the three rows below. */
	private readonly from: Int32Array;
	private readonly partner: Int32Array;
	private readonly near: Float64Array;
	private readonly together: Float64Array;

	constructor(readonly problem: AssignmentProblem) {
		const { G, N, pairs, capacity, overflow } = problem;
		this.assignment = new Int32Array(G).fill(-1);
		this.free = capacity.slice();
		this.members = new Int32Array(N * G);
		this.held = new Int32Array(N);
		this.seat = new Int32Array(G);
		this.kindCount = new Int16Array(N * KIND_BITS);
		this.zoneCount = new Int16Array(problem.apart ? N * KIND_BITS : 0);
		this.crowd = new Int32Array(N);
		this.familyCount = new Int16Array(N * (problem.mixing?.F ?? 0));
		const lists = Array.from({ length: G }, () => [] as number[]);
		pairs.forEach((pair, p) => {
			lists[pair.a]!.push(p);
			lists[pair.b]!.push(p);
		});
		this.from = new Int32Array(G + 1);
		lists.forEach((list, g) => (this.from[g + 1] = this.from[g]! + list.length));
		const rows = lists.flat();
		this.partner = Int32Array.from(
			lists.flatMap((list, g) => list.map((p) => (pairs[p]!.a === g ? pairs[p]!.b : pairs[p]!.a)))
		);
		this.near = Float64Array.from(rows, (p) => pairs[p]!.near);
		this.together = Float64Array.from(rows, (p) => pairs[p]!.together);
		this.left = G;
		for (let g = 0; g < G; g++) this.objective += overflow[g]!;
	}

	/** Effort of part `g` in nook `n` with all others where they are; `n` −1 is overflow. */
	costAt(g: number, n: number): number {
		return this.ownCostAt(g, n) + this.mixingAt(g, n);
	}

	/** What families that meet, and a crowd, cost more in nook `n` with part `g` in it than without. */
	mixingAt(g: number, n: number): number {
		const { mixing } = this.problem;
		if (n < 0 || !mixing) return 0;
		const { F, family, price, crowding } = mixing;
		const isIn = this.assignment[g] === n;
		const adds = crowding[g * this.problem.N + n]!;
		const others = this.crowd[n]! - (isIn ? adds : 0);
		const crowd = crowdCost(mixing, n, others + adds) - crowdCost(mixing, n, others);
		return crowd + this.meetingAt(F, price, n, family[g]!, isIn ? 1 : 0);
	}

	/** What part `g` would cost less in nook `n`, where it does not stand, were so much less of a crowd there. */
	reliefAt(g: number, n: number, less: number): number {
		const { mixing, N } = this.problem;
		if (!mixing) return 0;
		const adds = mixing.crowding[g * N + n]!;
		const more = (crowd: number) =>
			crowdCost(mixing, n, crowd + adds) - crowdCost(mixing, n, crowd);
		return more(this.crowd[n]!) - more(this.crowd[n]! - less);
	}

	/** What a family costs in a nook among the others there; nothing when more than `own` of it stand there. */
	private meetingAt(F: number, price: Float64Array, n: number, f: number, own: number): number {
		const { familyCount } = this;
		const row = n * F;
		if (familyCount[row + f]! > own) return 0;
		let sum = 0;
		for (let other = 0; other < F; other++)
			if (familyCount[row + other]! && other !== f) sum += price[f * F + other]!;
		return sum;
	}

	/** What families that meet, and a crowd, cost more in nook `n` when part `into` takes the place of part `out`. */
	private tradeMixing(n: number, out: number, into: number): number {
		const { mixing } = this.problem;
		if (n < 0 || !mixing) return 0;
		const { F, family, price, crowding } = mixing;
		const { N } = this.problem;
		const crowd = this.crowd[n]!;
		const later = crowd - crowding[out * N + n]! + crowding[into * N + n]!;
		const crowded = crowdCost(mixing, n, later) - crowdCost(mixing, n, crowd);
		const [from, to] = [family[out]!, family[into]!];
		if (from === to) return crowded;
		const less = this.meetingAt(F, price, n, from, 1);
		const isLast = this.familyCount[n * F + from] === 1;
		const more = this.meetingAt(F, price, n, to, 0);
		// The new one does not meet the family that goes.
		const gone = isLast && !this.familyCount[n * F + to] ? price[from * F + to]! : 0;
		return crowded + more - gone - less;
	}

	/** Effort of part `g` in nook `n` with its partners where they are, whatever else stands there. */
	private ownCostAt(g: number, n: number): number {
		const { N, cost, overflow, distance } = this.problem;
		if (n < 0) return overflow[g]!;
		let sum = cost[g * N + n]!;
		const { assignment, partner, near, together } = this;
		for (let i = this.from[g]!, end = this.from[g + 1]!; i < end; i++) {
			const m = assignment[partner[i]!]!;
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
			if (demand[(g * N + n) * K + k]! > this.free[n * K + k]! + CAPACITY_TOLERANCE) return false;
		return this.agrees(g, n);
	}

	/** The cheapest nook with room for a part that stands nowhere, of a list by its own costs; −1 when there is none. */
	cheapestFit(g: number, list: Int32Array): number {
		const { N, K, cost, demand } = this.problem;
		const { free } = this;
		const row = g * N;
		let best = -1;
		let least = Infinity;
		for (let i = 0; i < list.length; i++) {
			const n = list[i]!;
			// Pairs and mixing only add to what a part costs alone.
			if (cost[row + n]! >= least) break;
			// Most nooks are full: that is seen without a call.
			if (free[n * K]! < demand[(row + n) * K]! - CAPACITY_TOLERANCE || !this.fits(g, n)) continue;
			const sum = this.costAt(g, n);
			if (sum < least) {
				best = n;
				least = sum;
			}
		}
		return best;
	}

	/** Whether the capacities hold when two parts, which stand in different nooks, change places. */
	swapFits(g: number, h: number): boolean {
		const { N, K, demand } = this.problem;
		const n = this.assignment[g]!;
		const m = this.assignment[h]!;
		for (let k = 0; k < K; k++) {
			const atN = n < 0 ? 0 : demand[(h * N + n) * K + k]! - demand[(g * N + n) * K + k]!;
			if (n >= 0 && atN > this.free[n * K + k]! + CAPACITY_TOLERANCE) return false;
			const atM = m < 0 ? 0 : demand[(g * N + m) * K + k]! - demand[(h * N + m) * K + k]!;
			if (m >= 0 && atM > this.free[m * K + k]! + CAPACITY_TOLERANCE) return false;
		}
		return true;
	}

	/** What it costs that two parts in different nooks change places; a pair between the two stays as far apart. */
	swapDelta(g: number, h: number): number {
		const { N, distance } = this.problem;
		const n = this.assignment[g]!;
		const m = this.assignment[h]!;
		let delta =
			this.ownCostAt(g, m) -
			this.ownCostAt(g, n) +
			this.ownCostAt(h, n) -
			this.ownCostAt(h, m) +
			this.tradeMixing(n, g, h) +
			this.tradeMixing(m, h, g);
		for (let i = this.from[g]!, end = this.from[g + 1]!; i < end; i++) {
			if (this.partner[i] !== h) continue;
			// `costAt` saw the other where it no longer stands.
			if (n < 0 || m < 0) delta -= this.together[i]!;
			else
				delta +=
					this.near[i]! * (distance[n * N + m]! + distance[m * N + n]!) - 2 * this.together[i]!;
		}
		return delta;
	}

	/** Lets two parts in different nooks change places, whatever the capacities; false when a conflict forbids it. */
	trade(g: number, h: number): boolean {
		const n = this.assignment[g]!;
		const m = this.assignment[h]!;
		const before = this.objective;
		this.place(g, -1);
		this.place(h, -1);
		if (m < 0 || this.agrees(g, m)) {
			this.place(g, m);
			if (n < 0 || this.agrees(h, n)) {
				this.place(h, n);
				return true;
			}
			this.place(g, -1);
		}
		this.place(g, n);
		this.place(h, m);
		this.objective = before;
		return false;
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
		return this.agreesInZone(g, n);
	}

	/** Whether nothing in the zone of nook `n` has to stand apart from part `g`; `g` itself does not count. */
	agreesInZone(g: number, n: number): boolean {
		const { apart } = this.problem;
		if (!apart) return true;
		const { zone, kinds, conflicts } = apart;
		let refused = conflicts[g]!;
		if (!refused) return true;
		const at = this.assignment[g]!;
		const own = at >= 0 && zone[at] === zone[n] ? kinds[g]! : 0;
		for (let bit = 0; refused; bit++, refused >>= 1)
			if (refused & 1 && this.zoneCount[zone[n]! * KIND_BITS + bit]! > ((own >> bit) & 1))
				return false;
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
		if (n < 0) {
			this.left -= sign;
			return;
		}
		const { G, N, K, demand, kinds, mixing, apart } = this.problem;
		if (apart)
			for (let bit = 0, left = apart.kinds[g]!; left; bit++, left >>= 1)
				if (left & 1) this.zoneCount[apart.zone[n]! * KIND_BITS + bit]! -= sign;
		if (mixing) {
			this.familyCount[n * mixing.F + mixing.family[g]!]! -= sign;
			this.crowd[n]! -= sign * mixing.crowding[g * N + n]!;
		}
		if (sign < 0) {
			this.seat[g] = this.held[n]!;
			this.members[n * G + this.held[n]!++] = g;
		} else {
			// The last of the row takes the seat that is left.
			const last = this.members[n * G + --this.held[n]!]!;
			this.members[n * G + this.seat[g]!] = last;
			this.seat[last] = this.seat[g]!;
		}
		for (let k = 0; k < K; k++) this.free[n * K + k]! += sign * demand[(g * N + n) * K + k]!;
		for (let bit = 0, left = kinds[g]!; left; bit++, left >>= 1)
			if (left & 1) this.kindCount[n * KIND_BITS + bit]! -= sign;
	}

	/** Loads a whole assignment. */
	load(assignment: Assignment): void {
		for (let g = 0; g < assignment.length; g++) this.place(g, assignment[g]!);
	}

	/** Places parts where a plan has them, in their order, as long as they fit there; the rest stand nowhere. */
	loadFitting(assignment: Assignment): void {
		for (let g = 0; g < assignment.length; g++)
			this.place(g, this.fits(g, assignment[g]!) ? assignment[g]! : -1);
	}
}
