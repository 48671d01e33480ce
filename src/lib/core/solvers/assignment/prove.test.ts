import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadIntegerSolver } from '../../../workers/integer-solver';
import { bruteForce, problemArb } from './assignment.arb';
import type { IntegerSolver } from '../integer';
import { AssignmentProgram } from './integer-program';
import { objectiveOf, takenEverywhere, violations, type AssignmentProblem } from './problem';
import { DEFAULT_PROVE, proveAssignment } from './prove';

let solver: IntegerSolver;
beforeAll(async () => void (solver = await loadIntegerSolver()));

const everywhere = ({ G, N }: AssignmentProblem) => ({
	open: new Uint8Array(G * N).fill(1),
	spillOpen: new Uint8Array(G).fill(1)
});
const nowhere = ({ G }: AssignmentProblem) => new Int32Array(G).fill(-1);
/** A part that refuses itself may stand nowhere by the rules; the arbitraries make none. */
const whole = (problem: AssignmentProblem, plan: Int32Array) => ({
	cost: objectiveOf(problem, plan),
	broken: violations(problem, plan).length
});

describe('an assignment as an integer program', () => {
	it('has the optimum that trying everything finds, pairs, conflicts and an empty nook included', () => {
		fc.assert(
			fc.property(problemArb(5, 3), fc.boolean(), (problem, wantsEmpty) => {
				const nooks = wantsEmpty ? [...Array(problem.N).keys()] : [];
				const linear = new AssignmentProgram(problem, everywhere(problem), nooks);
				const start = linear.write(nowhere(problem));
				const found = solver(linear.program, { start, seconds: 10 });
				if (found.status !== 'optimal') throw new Error('not solved');
				const plan = linear.read(found.values);
				const least = bruteForce(
					problem,
					(each) => !wantsEmpty || nooks.some((n) => !each.includes(n))
				);
				expect(whole(problem, plan)).toEqual({ cost: expect.closeTo(least, 6), broken: 0 });
				expect(found.bound).toBeCloseTo(least, 4);
			}),
			{ seed: 161, numRuns: 80 }
		);
	});
	it('reads back the plan that it was given', () => {
		fc.assert(
			fc.property(
				problemArb(),
				fc.array(fc.nat(9), { minLength: 6, maxLength: 6 }),
				(problem, at) => {
					const plan = nowhere(problem).map((_, g) => (at[g]! % (problem.N + 1)) - 1);
					const isOpen = (n: number, g: number) =>
						n < 0 || Number.isFinite(problem.cost[g * problem.N + n]);
					if (!plan.every(isOpen)) return;
					const linear = new AssignmentProgram(problem, everywhere(problem));
					expect(linear.read(linear.write(plan))).toEqual(plan);
				}
			),
			{ seed: 162 }
		);
	});
});

describe('proving a plan', () => {
	it('ends with the optimum from any plan that keeps the rules', () => {
		let asked = 0;
		const counted: IntegerSolver = (...task) => {
			asked++;
			return solver(...task);
		};
		fc.assert(
			fc.property(problemArb(5, 3), fc.boolean(), (problem, wantsEmpty) => {
				const oneEmpty = wantsEmpty ? [...Array(problem.N).keys()] : [];
				const least = bruteForce(
					problem,
					(each) => !wantsEmpty || oneEmpty.some((n) => !each.includes(n))
				);
				const { status, objective, bound, assignment } = proveAssignment(
					problem,
					{ assignment: nowhere(problem), bound: -Infinity },
					{ ...DEFAULT_PROVE, treeWork: 0, solver: counted, oneEmpty }
				);
				expect(status).toBe('proven');
				expect(objective).toBeCloseTo(least, 6);
				expect(bound).toBeLessThanOrEqual(objective);
				expect(whole(problem, assignment)).toEqual({ cost: objective, broken: 0 });
			}),
			{ seed: 163, numRuns: 80 }
		);
		expect(asked).toBeGreaterThan(20);
	});

	/** Parts that want the same nook and each other: the own tree's root cannot close it. */
	const knot: AssignmentProblem = {
		G: 6,
		N: 4,
		K: 1,
		demand: takenEverywhere([3, 4, 5, 3, 4, 5], 4, 1),
		capacity: Float64Array.from([7, 8, 6, 9]),
		cost: Float64Array.from({ length: 24 }, (_, i) => ((i * 37) % 23) + 1),
		overflow: new Float64Array(6).fill(500),
		pairs: [0, 1, 2, 3, 4].map((a) => ({ a, b: a + 1, near: 3, together: 0 })),
		distance: Float64Array.from({ length: 16 }, (_, i) => Math.abs((i >> 2) - (i & 3)) * 5),
		kinds: new Uint8Array(6),
		conflicts: new Uint8Array(6),
		apart: null,
		mixing: null
	};
	const known = { assignment: nowhere(knot), bound: -Infinity };
	const optimum = bruteForce(knot);
	it('does not begin what is too large, and keeps the better bound', () => {
		const found = proveAssignment(
			knot,
			{ assignment: nowhere(knot), bound: optimum - 1 },
			{ ...DEFAULT_PROVE, treeWork: 0, solver: () => expect.unreachable(), maxColumns: 0 }
		);
		expect(found.status).toBe('too-large');
		expect(found.bound).toBeGreaterThanOrEqual(optimum - 1);
		expect(found.bound).toBeLessThanOrEqual(optimum + 1e-9);
	});
	it('keeps the bound it had when a solver knows none', () => {
		for (const none of [Infinity, -Infinity, NaN]) {
			const lost: IntegerSolver = () => ({ status: 'stopped', bound: none });
			const { bound, status } = proveAssignment(knot, known, {
				...DEFAULT_PROVE,
				treeWork: 0,
				solver: lost
			});
			expect(status).toBe('open');
			expect(bound).toBeLessThanOrEqual(optimum + 1e-9);
			expect(bound).toBeGreaterThan(0);
		}
	});
	it('trusts no solver further than its plan holds', () => {
		const liar: IntegerSolver = ({ cost }) => ({
			status: 'optimal',
			values: new Float64Array(cost.length).fill(1),
			bound: -1e9
		});
		const found = proveAssignment(knot, known, { ...DEFAULT_PROVE, treeWork: 0, solver: liar });
		expect(found.status).toBe('open');
		expect(violations(knot, found.assignment)).toEqual([]);
		expect(objectiveOf(knot, found.assignment)).toBeCloseTo(found.objective, 9);
		expect(found.bound).toBeLessThanOrEqual(optimum + 1e-9);
	});
});
