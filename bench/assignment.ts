import { readFileSync } from 'node:fs';
import { searchAssignment, solveAssignment, type AssignmentProblem } from '../src/lib/core/zoning';
import { round } from './measure';

interface Instance {
	readonly G: number;
	readonly N: number;
	readonly cap: number[];
	readonly dem: number[];
	readonly cost: number[][];
	readonly nookDist: number[][];
	readonly pairs: [number, number, number][];
}

/** What a trial of so many moves tells of this machine turns a budget into a count; a part of it is kept in hand. */
const TRIAL_MOVES = 30_000;
const IN_HAND = 0.65;
const LEAST_PER_MS = 600;
const MOST_PER_MS = 3500;
/** Leaving a group out costs more than any plan that has it in. */
const LEFT_OUT = 1e7;

/** Reads a problem file into the solver's arrays; −1 in the costs forbids. */
export function readInstance(instance: Instance): AssignmentProblem {
	const { G, N, cap, dem, cost, nookDist, pairs } = instance;
	return {
		G,
		N,
		K: 1,
		demand: Float64Array.from(dem),
		capacity: Float64Array.from(cap),
		cost: Float64Array.from(cost.flat(), (value) => (value < 0 ? Infinity : value)),
		overflow: new Float64Array(G).fill(LEFT_OUT),
		pairs: pairs.map(([a, b, near]) => ({ a, b, near, together: 0 })),
		distance: Float64Array.from(nookDist.flat()),
		kinds: new Uint8Array(G),
		conflicts: new Uint8Array(G)
	};
}

/** Solves one file within a budget, a ceiling in ms. */
export function benchAssignment(file: string, budgetMs: number): object {
	const problem = readInstance(JSON.parse(readFileSync(file, 'utf8')) as Instance);
	const from = performance.now();
	// The first moves of a process are slow, until they are compiled: they are not counted.
	searchAssignment(problem, { seed: 1, moves: TRIAL_MOVES, restarts: 1 });
	const warm = performance.now();
	// The start of a search costs the same however short it is: the difference of two is the speed of its moves.
	searchAssignment(problem, { seed: 1, moves: 1, restarts: 1 });
	const begun = performance.now();
	searchAssignment(problem, { seed: 1, moves: TRIAL_MOVES, restarts: 1 });
	const perMs = TRIAL_MOVES / Math.max(1, performance.now() - begun - (begun - warm));
	const moves = budgetMs * Math.min(MOST_PER_MS, Math.max(LEAST_PER_MS, perMs)) * IN_HAND;
	const { assignment, objective, bound } = solveAssignment(problem, {
		seed: 1,
		moves: Math.max(1000, Math.round(moves))
	});
	const ms = round(performance.now() - from);
	const whole = assignment.every((n) => n >= 0);
	const status = !whole ? 'not-found' : objective - bound < 1 - 1e-6 ? 'optimal' : 'bounded';
	return {
		file,
		status,
		objective,
		bound: Math.ceil(bound - 1e-6),
		ms,
		assignment: [...assignment]
	};
}
