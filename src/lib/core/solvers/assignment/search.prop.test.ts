import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bruteForce, problemArb } from './assignment.arb';
import { branchAndBound, DEFAULT_BRANCH } from './branch';
import { Layout } from './layout';
import { objectiveOf, violations, type AssignmentProblem } from './problem';
import { searchAssignment } from './search';
import { solveAssignment } from './solve-assignment';

const OPTIONS = { seed: 5, moves: 4000, restarts: 2 };

describe('the search', () => {
	it('breaks no rule, counts what it says, and is never better than the optimum', () => {
		fc.assert(
			fc.property(problemArb(), (problem) => {
				const optimum = bruteForce(problem);
				const { assignment, objective } = searchAssignment(problem, OPTIONS);
				expect(violations(problem, assignment)).toEqual([]);
				expect(objective).toBeCloseTo(objectiveOf(problem, assignment), 6);
				expect(objective).toBeGreaterThanOrEqual(optimum - 1e-6);
			}),
			{ seed: 61, numRuns: 150 }
		);
	});
	it('breaks no rule whatever plan it begins from', () => {
		fc.assert(
			fc.property(
				problemArb(),
				fc.array(fc.integer({ min: -1, max: 3 }), { minLength: 6, maxLength: 6 }),
				(problem, nooks) => {
					const start = Int32Array.from({ length: problem.G }, (_, g) =>
						Math.min(problem.N - 1, nooks[g]!)
					);
					const { assignment, objective } = searchAssignment(problem, {
						...OPTIONS,
						moves: 60,
						restarts: 1,
						start
					});
					expect(violations(problem, assignment)).toEqual([]);
					expect(objective).toBeCloseTo(objectiveOf(problem, assignment), 6);
				}
			),
			{ seed: 60, numRuns: 200 }
		);
	});
	it('finds the optimum of nearly all small cases', () => {
		let hits = 0;
		let cases = 0;
		fc.assert(
			fc.property(problemArb(), (problem) => {
				cases++;
				if (searchAssignment(problem, OPTIONS).objective <= bruteForce(problem) + 1e-6) hits++;
			}),
			{ seed: 62, numRuns: 150 }
		);
		expect(hits / cases).toBeGreaterThan(0.97);
	});
	it('gives the same plan for the same seed', () => {
		fc.assert(
			fc.property(problemArb(), fc.integer({ min: 0, max: 1000 }), (problem, seed) => {
				const once = searchAssignment(problem, { ...OPTIONS, seed });
				expect(searchAssignment(problem, { ...OPTIONS, seed })).toEqual(once);
			}),
			{ seed: 63, numRuns: 25 }
		);
	});
	it('stops when it is told to and keeps the best so far', () => {
		const [problem] = fc.sample(problemArb(), { seed: 64, numRuns: 1 });
		const result = searchAssignment(problem!, {
			seed: 1,
			moves: 500_000,
			restarts: 1,
			onProgress: () => true
		});
		expect(result.stopped).toBe(true);
		expect(result.movesDone).toBeLessThan(50_000);
		expect(violations(problem!, result.assignment)).toEqual([]);
	});
});

describe('a layout', () => {
	it('knows after any moves what the plan costs, what a move and a trade would change, and what mixes', () => {
		const moves = fc.array(fc.tuple(fc.nat(5), fc.nat(5), fc.nat(4)), { maxLength: 30 });
		fc.assert(
			fc.property(problemArb(), moves, (whole, steps) => {
				// No cell is forbidden here: the sums are looked at, not the rules.
				const problem = { ...whole, cost: whole.cost.map((c) => (c === Infinity ? 50 : c)) };
				const { G, N } = problem;
				const layout = new Layout({ ...problem, conflicts: new Uint8Array(G), apart: null });
				for (const [one, two, to] of steps) {
					const [g, h, n] = [one % G, two % G, (to % (N + 1)) - 1];
					if (n >= 0 && g !== h && layout.assignment[h] === n && layout.assignment[g] !== n) {
						// What a part would cost less without another is what leaves with that one's crowd.
						const less = problem.mixing?.crowding[h * N + n] ?? 0;
						const apart = new Layout({ ...problem, pairs: [], mixing: crowdOnly(problem) });
						for (let each = 0; each < G; each++) apart.place(each, layout.assignment[each]!);
						const cost = apart.costAt(g, n);
						apart.place(h, -1);
						expect(layout.reliefAt(g, n, less)).toBeCloseTo(cost - apart.costAt(g, n), 6);
					}
					const before = layout.objective;
					const extra = layout.costAt(g, n) - layout.costAt(g, layout.assignment[g]!);
					layout.place(g, n);
					expect(layout.objective).toBeCloseTo(objectiveOf(problem, layout.assignment), 6);
					expect(layout.objective - before).toBeCloseTo(extra, 6);
					if (g === h || layout.assignment[g] === layout.assignment[h]) continue;
					const traded = layout.objective + layout.swapDelta(g, h);
					layout.trade(g, h);
					expect(layout.objective).toBeCloseTo(traded, 6);
				}
			}),
			{ seed: 60, numRuns: 300 }
		);
	});
});

/** A problem's mixing without what families cost. */
function crowdOnly({ mixing }: AssignmentProblem): AssignmentProblem['mixing'] {
	return mixing && { ...mixing, price: mixing.price.map(() => 0) };
}

/** Everything left out: the poorest plan that keeps every rule. */
const nothing = ({ G }: AssignmentProblem) => new Int32Array(G).fill(-1);

describe('branch and bound', () => {
	it('finds the optimum of brute force and proves it, pairs, conflicts and overflow included', () => {
		fc.assert(
			fc.property(problemArb(), (problem) => {
				const optimum = bruteForce(problem);
				const found = branchAndBound(problem, { ...DEFAULT_BRANCH, start: nothing(problem) });
				expect(found.objective).toBeCloseTo(optimum, 6);
				expect(found.bound).toBeCloseTo(optimum, 6);
				expect(violations(problem, found.assignment)).toEqual([]);
				expect(objectiveOf(problem, found.assignment)).toBeCloseTo(optimum, 6);
			}),
			{ seed: 65, numRuns: 300 }
		);
	});
	it('does so too where costs are no whole numbers', () => {
		fc.assert(
			fc.property(problemArb(), (whole) => {
				const problem = { ...whole, cost: whole.cost.map((c) => c * 0.37) };
				const found = branchAndBound(problem, { ...DEFAULT_BRANCH, start: nothing(problem) });
				expect(found.objective).toBeCloseTo(bruteForce(problem), 6);
			}),
			{ seed: 66, numRuns: 150 }
		);
	});
	it('never gives a bound above the optimum when it is cut short', () => {
		fc.assert(
			fc.property(problemArb(), fc.nat(2000), (problem, work) => {
				const optimum = bruteForce(problem);
				const { bound, objective } = branchAndBound(problem, {
					...DEFAULT_BRANCH,
					rootRounds: 3,
					nodeRounds: 1,
					work,
					start: nothing(problem)
				});
				expect(bound).toBeLessThanOrEqual(optimum + 1e-6);
				expect(objective).toBeGreaterThanOrEqual(optimum - 1e-6);
			}),
			{ seed: 69, numRuns: 300 }
		);
	});
	it('closes no place at the root that a better plan needs', () => {
		fc.assert(
			fc.property(problemArb(), (problem) => {
				const optimum = bruteForce(problem);
				const start = nothing(problem);
				const { open } = branchAndBound(problem, { ...DEFAULT_BRANCH, work: 0, start });
				const cost = problem.cost.map((c, cell) => (open[cell] ? c : Infinity));
				// The root's own plan may be the optimum already; then nothing better is left to find.
				const mended = branchAndBound(problem, { ...DEFAULT_BRANCH, work: 0, start }).objective;
				expect(Math.min(bruteForce({ ...problem, cost }), mended)).toBeCloseTo(optimum, 6);
			}),
			{ seed: 70, numRuns: 200 }
		);
	});
});

describe('the whole solver', () => {
	it('gives the optimum of small problems, the same for the same seed, and never less than its bound', () => {
		fc.assert(
			fc.property(problemArb(), fc.nat(5), (problem, seed) => {
				const found = solveAssignment(problem, { seed, moves: 4000 });
				expect(found.objective).toBeCloseTo(bruteForce(problem), 6);
				expect(found.bound).toBeLessThanOrEqual(found.objective + 1e-9);
				expect(solveAssignment(problem, { seed, moves: 4000 })).toEqual(found);
			}),
			{ seed: 71, numRuns: 100 }
		);
	});
});

describe('the exact optimum', () => {
	it('never gets worse with more room or another nook', () => {
		fc.assert(
			fc.property(problemArb(5, 3), fc.nat(20), (problem, more) => {
				const roomier = { ...problem, capacity: problem.capacity.map((c) => c + more) };
				expect(bruteForce(roomier)).toBeLessThanOrEqual(bruteForce(problem));
			}),
			{ seed: 67, numRuns: 60 }
		);
	});
});

describe('a layout', () => {
	it('keeps its sums true through any moves', () => {
		fc.assert(
			fc.property(
				problemArb(),
				fc.array(fc.tuple(fc.nat(50), fc.nat(50)), { maxLength: 30 }),
				(problem, moves) => {
					const layout = new Layout(problem);
					for (const [a, b] of moves) {
						const g = a % problem.G;
						const n = (b % (problem.N + 1)) - 1;
						if (layout.assignment[g] === n || !layout.fits(g, n)) continue;
						const promised =
							layout.objective + layout.costAt(g, n) - layout.costAt(g, layout.assignment[g]!);
						layout.place(g, n);
						expect(layout.objective).toBeCloseTo(promised, 6);
					}
					expect(layout.objective).toBeCloseTo(objectiveOf(problem, layout.assignment), 6);
					expect(violations(problem, layout.assignment)).toEqual([]);
				}
			),
			{ seed: 68 }
		);
	});
});
