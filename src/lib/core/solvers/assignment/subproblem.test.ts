import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemArb } from './assignment.arb';
import { KnapsackSubproblem, scaleKnapsacks } from './knapsack';
import { hasMore, NookSubproblem } from './nook-subproblem';
import { mixingOf, violations, type AssignmentProblem } from './problem';
import { itemsFor, type Subproblem } from './subproblem';

const caseArb = problemArb(7, 3, false).chain((problem) =>
	fc.record({
		problem: fc.constant(problem),
		pays: fc.array(fc.integer({ min: -20, max: 60 }), {
			minLength: problem.G,
			maxLength: problem.G
		}),
		nook: fc.nat(problem.N - 1),
		/** Nook of a part that is fixed, N for overflow, −1 for most of them. */
		fixed: fc.array(fc.constantFrom(-1, -1, -1, -1, 0, problem.N), {
			minLength: problem.G,
			maxLength: problem.G
		})
	})
);
type Case = typeof caseArb extends fc.Arbitrary<infer T> ? T : never;

/** What pays most in the nook of all sets of free parts, with or without one of them; −Infinity where none is allowed. */
function mostByHand(
	{ problem, pays, nook, fixed }: Case,
	isRight: (set: number) => boolean
): number {
	const { G, N } = problem;
	const only = fixed.map((n) => (n === nook ? nook : -1));
	const before = mixingOf(problem, Int32Array.from(only));
	let most = -Infinity;
	for (let set = 0; set < 1 << G; set++) {
		const plan = only.slice();
		let sum = 0;
		let isFree = isRight(set);
		for (let g = 0; g < G; g++)
			if (set & (1 << g)) {
				if (fixed[g]! >= 0 || problem.cost[g * N + nook] === Infinity) isFree = false;
				plan[g] = nook;
				sum += pays[g]!;
			}
		const whole = Int32Array.from(plan);
		// Other shelves of the zone are out of play.
		if (isFree && !violations({ ...problem, apart: null }, whole).length)
			most = Math.max(most, sum - (mixingOf(problem, whole) - before));
	}
	return most;
}

/** A case is sound when what is fixed goes in together. */
const isSound = ({ problem, fixed }: Case): boolean =>
	!violations(
		{ ...problem, apart: null },
		Int32Array.from(fixed, (n) => (n >= problem.N ? -1 : n))
	).length;

/** Sets up the subproblem of a case; gives the items that may go there and pay. */
function setUp(
	{ problem, pays, nook, fixed }: Case,
	make: (problem: AssignmentProblem) => Subproblem
) {
	const { G, N } = problem;
	const { weights, rooms } = scaleKnapsacks(problem, 80);
	const own = weights[nook]!;
	const room = fixed.reduce((left, n, g) => (n === nook ? left - own[g]! : left), rooms[nook]!);
	const sub = make(problem);
	const items = itemsFor(G);
	const isFree = (g: number) =>
		fixed[g]! < 0 && problem.cost[g * N + nook] !== Infinity && own[g]! <= room;
	for (let g = 0; g < G; g++)
		if (isFree(g) && pays[g]! > 0) {
			items.part[items.count] = g;
			items.pays[items.count++] = pays[g]!;
		}
	sub.begin(Int32Array.from(fixed));
	sub.choose(nook, items, room, true);
	const at = (g: number) => [...items.part.subarray(0, items.count)].indexOf(g);
	return { sub, items, at, isFree };
}

const full = (problem: AssignmentProblem) =>
	new NookSubproblem(problem, scaleKnapsacks(problem, 80));

describe('the choice of what pays most in a nook with all that it knows', () => {
	it('is the best of all sets, of which it names one', () => {
		let several = 0;
		fc.assert(
			fc.property(caseArb, (one) => {
				fc.pre(isSound(one));
				const { sub, items } = setUp(one, full);
				expect(sub.most).toBeCloseTo(
					mostByHand(one, () => true),
					6
				);
				let set = 0;
				for (let i = 0; i < items.count; i++) if (items.taken[i]) set |= 1 << items.part[i]!;
				expect(mostByHand(one, (other) => other === set)).toBeCloseTo(sub.most, 6);
				if (set & (set - 1)) several++;
			}),
			{ seed: 71, numRuns: 800 }
		);
		expect(several).toBeGreaterThan(60);
	});
	it('is known with each part in it, and without', () => {
		fc.assert(
			fc.property(caseArb, (one) => {
				fc.pre(isSound(one));
				const { sub, at, isFree } = setUp(one, full);
				one.pays.forEach((pay, g) => {
					if (!isFree(g)) return;
					const bit = 1 << g;
					const within = sub.withPart(g, at(g), pay, -1e9);
					expect(within).toBeCloseTo(
						mostByHand(one, (set) => (set & bit) !== 0),
						6
					);
					if (at(g) < 0) return;
					const without = sub.without(at(g), -1e9);
					expect(without).toBeCloseTo(
						mostByHand(one, (set) => !(set & bit)),
						6
					);
				});
			}),
			{ seed: 72, numRuns: 200 }
		);
	});
	it('tells nothing apart below the floor, and is right above it', () => {
		fc.assert(
			fc.property(caseArb, fc.integer({ min: 0, max: 30 }), (one, gap) => {
				fc.pre(isSound(one));
				const { sub, at, isFree } = setUp(one, full);
				const floor = sub.most - gap;
				one.pays.forEach((pay, g) => {
					if (!isFree(g)) return;
					const truth = mostByHand(one, (set) => (set & (1 << g)) !== 0);
					const within = sub.withPart(g, at(g), pay, floor);
					if (truth === -Infinity) expect(within).toBeLessThanOrEqual(floor);
					else expect(within).toBeCloseTo(Math.max(floor, truth), 6);
				});
			}),
			{ seed: 73, numRuns: 200 }
		);
	});
});

describe('the knapsack of one capacity', () => {
	it('is the full choice where a nook knows nothing else', () => {
		const plain = caseArb.map((one) => {
			const { problem } = one;
			const { G, N } = problem;
			const first = (all: Float64Array) => all.filter((_, i) => i % 2 === 0);
			return {
				...one,
				problem: {
					...problem,
					K: 1,
					demand: first(problem.demand),
					capacity: first(problem.capacity),
					kinds: new Uint8Array(G),
					conflicts: new Uint8Array(G),
					mixing: null,
					apart: null,
					N
				}
			};
		});
		fc.assert(
			fc.property(plain, (one) => {
				fc.pre(isSound(one));
				expect(hasMore(one.problem)).toBe(false);
				const table = setUp(one, (problem) => new KnapsackSubproblem(scaleKnapsacks(problem, 80)));
				const walk = setUp(one, full);
				expect(table.sub.most).toBeCloseTo(walk.sub.most, 6);
				one.pays.forEach((pay, g) => {
					if (!table.isFree(g)) return;
					const within = table.sub.withPart(g, table.at(g), pay, -1e9);
					expect(within).toBeCloseTo(walk.sub.withPart(g, walk.at(g), pay, -1e9), 6);
					if (table.at(g) < 0) return;
					expect(table.sub.without(table.at(g), -1e9)).toBeCloseTo(
						walk.sub.without(walk.at(g), -1e9),
						6
					);
				});
			}),
			{ seed: 74, numRuns: 300 }
		);
	});
});
