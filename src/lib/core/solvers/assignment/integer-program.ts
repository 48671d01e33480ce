import { canShare } from './pair-costs';
import { Rows, type IntegerProgram } from '../integer';
import type { Assignment, AssignmentProblem } from './problem';

/** Where parts may go: cells (G × N) and overflow (G), 1 where open. */
export interface OpenPlaces {
	readonly open: Uint8Array;
	readonly spillOpen: Uint8Array;
}

/** An assignment problem as an integer program over the places that are open, with the way there and back. */
export class AssignmentProgram {
	readonly program: IntegerProgram;
	/** G × (N + 1): the column of a part in a nook, overflow last; −1 where it is closed. */
	private readonly at: Int32Array;
	/** Columns of pairs: both ends in their nooks (N is overflow). */
	private readonly ends: { column: number; p: number; n: number; m: number }[] = [];
	/** Columns that follow from where the parts stand, with how. */
	private readonly derived: { column: number; of: (plan: Assignment) => number }[] = [];

	/**
	 * Each part once, capacities, conflicts. A pair that costs by distance gets one column for each two open places of
	 * its ends, whose sums are the places themselves: whole places make them whole, and the bound is far better than
	 * that of products bounded one by one. With `oneEmpty` at least one of those nooks stays empty.
	 */
	constructor(
		private readonly problem: AssignmentProblem,
		{ open, spillOpen }: OpenPlaces,
		oneEmpty: readonly number[] = []
	) {
		const { G, N, K, pairs } = problem;
		const cost: number[] = [];
		const whole: number[] = [];
		const rows = new Rows();
		const empties: number[] = [];
		const column = (price: number, isWhole: boolean) => {
			whole.push(Number(isWhole));
			return cost.push(price) - 1;
		};
		this.at = new Int32Array(G * (N + 1)).fill(-1);
		for (let g = 0; g < G; g++) {
			for (let n = 0; n < N; n++)
				if (open[g * N + n] && problem.cost[g * N + n] !== Infinity)
					this.at[g * (N + 1) + n] = column(problem.cost[g * N + n]!, true);
			if (spillOpen[g]) this.at[g * (N + 1) + N] = column(problem.overflow[g]!, true);
			rows.add(
				1,
				1,
				this.placesOf(g).map((n) => [this.columnOf(g, n), 1])
			);
		}
		for (let n = 0; n < N; n++) {
			const here = Array.from({ length: G }, (_, g) => g).filter((g) => this.columnOf(g, n) >= 0);
			for (let k = 0; k < K; k++) this.addCapacity(rows, here, n, k);
			this.addConflicts(rows, here, n);
			this.addMixing(rows, here, n, column);
			if (oneEmpty.includes(n)) {
				const empty = column(0, true);
				empties.push(empty);
				this.derived.push({ column: empty, of: (plan) => Number(!plan.includes(n)) });
				rows.add(-Infinity, here.length, [
					[empty, here.length],
					...here.map((g) => [this.columnOf(g, n), 1] as const)
				]);
			}
		}
		this.addApart(rows);
		if (empties.length)
			rows.add(
				1,
				Infinity,
				empties.map((empty) => [empty, 1])
			);
		pairs.forEach((_, p) => this.addPair(rows, p, column));
		this.program = { cost: Float64Array.from(cost), whole: Uint8Array.from(whole), ...rows.done() };
	}

	private columnOf(g: number, n: number): number {
		return this.at[g * (this.problem.N + 1) + n]!;
	}
	private placesOf(g: number): number[] {
		return Array.from({ length: this.problem.N + 1 }, (_, n) => n).filter(
			(n) => this.columnOf(g, n) >= 0
		);
	}

	private addCapacity(rows: Rows, here: readonly number[], n: number, k: number): void {
		const { N, K, demand, capacity } = this.problem;
		const taken = (g: number) => demand[(g * N + n) * K + k]!;
		const room = capacity[n * K + k]!;
		const sum = here.reduce((total, g) => total + taken(g), 0);
		if (sum <= room) return;
		// In shares of the room: millilitres and grams in one program would strain its tolerances.
		const unit = room > 0 ? room : 1;
		rows.add(
			-Infinity,
			room / unit,
			here.map((g) => [this.columnOf(g, n), taken(g) / unit])
		);
	}

	private addConflicts(rows: Rows, here: readonly number[], n: number): void {
		const { kinds, conflicts } = this.problem;
		here.forEach((g, i) => {
			for (const h of here.slice(i + 1))
				if ((kinds[g]! & conflicts[h]!) | (kinds[h]! & conflicts[g]!))
					rows.add(-Infinity, 1, [
						[this.columnOf(g, n), 1],
						[this.columnOf(h, n), 1]
					]);
		});
	}

	/** Two parts that may not stand in one zone: at most one of them in each. */
	private addApart(rows: Rows): void {
		const { G, N, apart } = this.problem;
		if (!apart) return;
		const { zone, kinds, conflicts } = apart;
		for (let g = 0; g < G; g++)
			for (let h = g + 1; h < G; h++) {
				if (!((kinds[g]! & conflicts[h]!) | (kinds[h]! & conflicts[g]!))) continue;
				for (const z of new Set(zone)) {
					const columns = [g, h].flatMap((part) =>
						Array.from({ length: N }, (_, n) => n)
							.filter((n) => zone[n] === z && this.columnOf(part, n) >= 0)
							.map((n) => [this.columnOf(part, n), 1] as const)
					);
					if (columns.length > 1) rows.add(-Infinity, 1, columns);
				}
			}
	}

	/** A column a family that may stand in the nook, one for each two that cost something together, one for the crowd. */
	private addMixing(
		rows: Rows,
		here: readonly number[],
		n: number,
		column: (price: number, isWhole: boolean) => number
	): void {
		const { mixing } = this.problem;
		if (!mixing) return;
		const { F, family, price, crowding, crowdFrom, crowdPrice } = mixing;
		const derive = (cost: number, of: (plan: Assignment) => number) => {
			const at = column(cost, false);
			this.derived.push({ column: at, of });
			return at;
		};
		const { N } = this.problem;
		const adds = (g: number) => crowding[g * N + n]!;
		const crowd = (plan: Assignment) =>
			plan.reduce((sum, m, g) => sum + (m === n ? adds(g) : 0), 0);
		// Columns end at 1: the crowd is counted in shares of the most that it can be.
		const most = here.reduce((sum, g) => sum + adds(g), 0) - crowdFrom[n]!;
		if (crowdPrice > 0 && most > 0) {
			const over = (plan: Assignment) => Math.max(0, crowd(plan) - crowdFrom[n]!) / most;
			rows.add(-Infinity, crowdFrom[n]!, [
				[derive(crowdPrice * most, over), -most],
				...here.map((g) => [this.columnOf(g, n), adds(g)] as const)
			]);
		}
		const families = [...new Set(here.map((g) => family[g]!))].sort((a, b) => a - b);
		const holds = (plan: Assignment, f: number) =>
			Number(plan.some((m, g) => m === n && family[g] === f));
		const columns = new Map(
			families.map((f) => {
				const own = here.filter((g) => family[g] === f);
				if (own.length === 1) return [f, this.columnOf(own[0]!, n)] as const;
				const at = derive(0, (plan) => holds(plan, f));
				for (const g of own)
					rows.add(-Infinity, 0, [
						[this.columnOf(g, n), 1],
						[at, -1]
					]);
				return [f, at] as const;
			})
		);
		families.forEach((one, i) => {
			for (const two of families.slice(i + 1)) {
				const cost = price[one * F + two]!;
				if (cost <= 0) continue;
				rows.add(-Infinity, 1, [
					[columns.get(one)!, 1],
					[columns.get(two)!, 1],
					[derive(cost, (plan) => holds(plan, one) * holds(plan, two)), -1]
				]);
			}
		});
	}

	private addPair(
		rows: Rows,
		p: number,
		column: (price: number, isWhole: boolean) => number
	): void {
		const { problem } = this;
		const { N, distance } = problem;
		const { a, b, near, together } = problem.pairs[p]!;
		const from = this.placesOf(a);
		const to = this.placesOf(b);
		const add = (n: number, m: number, price: number) => {
			const at = column(price, false);
			this.ends.push({ column: at, p, n, m });
			return at;
		};
		if (near === 0 && together >= 0) {
			// Only a shared nook costs anything.
			for (const n of from)
				if (n < N && together > 0 && to.includes(n) && canShare(problem, a, b, n))
					rows.add(-Infinity, 1, [
						[this.columnOf(a, n), 1],
						[this.columnOf(b, n), 1],
						[add(n, n, together), -1]
					]);
			return;
		}
		const columns = from.map((n) =>
			to.map((m) => {
				if (n === N || m === N) return add(n, m, 0);
				if (n !== m) return add(n, m, near * distance[n * N + m]!);
				return canShare(problem, a, b, n) ? add(n, n, together) : -1;
			})
		);
		const sums = (own: number, n: number, list: readonly number[]) =>
			rows.add(0, 0, [
				[this.columnOf(own, n), -1],
				...list.filter((at) => at >= 0).map((at) => [at, 1] as const)
			]);
		from.forEach((n, i) => sums(a, n, columns[i]!));
		to.forEach((m, j) =>
			sums(
				b,
				m,
				columns.map((row) => row[j]!)
			)
		);
	}

	/** Gives the values of all columns for a plan whose places are open. */
	write(assignment: Assignment): Float64Array {
		const { N, pairs } = this.problem;
		const values = new Float64Array(this.program.cost.length);
		const place = (g: number) => (assignment[g]! < 0 ? N : assignment[g]!);
		assignment.forEach((_, g) => {
			const at = this.columnOf(g, place(g));
			if (at >= 0) values[at] = 1;
		});
		for (const { column, p, n, m } of this.ends)
			values[column] = Number(place(pairs[p]!.a) === n && place(pairs[p]!.b) === m);
		for (const { column, of } of this.derived) values[column] = of(assignment);
		return values;
	}

	/** Reads a plan from the values of a solution: each part where its column is largest. */
	read(values: ArrayLike<number>): Assignment {
		const { G, N } = this.problem;
		return Int32Array.from({ length: G }, (_, g) => {
			const [first, ...others] = this.placesOf(g);
			const best = others.reduce(
				(most, n) => (values[this.columnOf(g, n)]! > values[this.columnOf(g, most)]! ? n : most),
				first!
			);
			return best === N ? -1 : best;
		});
	}
}
