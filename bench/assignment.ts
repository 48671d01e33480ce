import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import {
	searchAssignment,
	takenEverywhere,
	solveBySides,
	type AssignmentProblem,
	type SearchResult,
	type SearchTask
} from '../src/lib/core/solvers/assignment';
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
		demand: takenEverywhere(dem, N, 1),
		capacity: Float64Array.from(cap),
		cost: Float64Array.from(cost.flat(), (value) => (value < 0 ? Infinity : value)),
		overflow: new Float64Array(G).fill(LEFT_OUT),
		pairs: pairs.map(([a, b, near]) => ({ a, b, near, together: 0 })),
		distance: Float64Array.from(nookDist.flat()),
		kinds: new Uint8Array(G),
		conflicts: new Uint8Array(G),
		apart: null,
		mixing: null
	};
}

/** A second thread for the second side of a search. */
export class SideThread {
	private readonly worker = new Worker(new URL('./side-thread.mjs', import.meta.url));
	private async next<T>(): Promise<T> {
		const [message] = (await once(this.worker, 'message')) as [T];
		return message;
	}
	/** Starts a thread and waits until it listens, since a main thread at work starts none. */
	static async start(): Promise<SideThread> {
		const thread = new SideThread();
		await thread.next();
		return thread;
	}
	/** Runs a search there; it begins at once, whatever this thread does. */
	run(problem: AssignmentProblem, task: SearchTask): Promise<SearchResult> {
		this.worker.postMessage({ problem, task });
		return this.next();
	}
	end(): Promise<number> {
		return this.worker.terminate();
	}
}

/** From so many parts with pairs on, a file is searched from two sides. */
const TWO_SIDES_FROM = 45;

/** Solves one file within a budget, a ceiling in ms; large files with pairs from two sides, one of them in `side`. */
export async function benchAssignment(
	file: string,
	budgetMs: number,
	side: SideThread
): Promise<object> {
	const problem = readInstance(JSON.parse(readFileSync(file, 'utf8')) as Instance);
	const from = performance.now();
	const trial: SearchTask = { seed: 1, moves: TRIAL_MOVES, restarts: 1 };
	const sides = problem.pairs.length && problem.G > TWO_SIDES_FROM ? 2 : 1;
	// The first moves of a process are slow, until they are compiled: they are not counted.
	const warmed = sides > 1 ? side.run(problem, trial) : null;
	searchAssignment(problem, trial);
	await warmed;
	const warm = performance.now();
	// The start of a search costs the same however short it is: the difference of two is the speed of its moves.
	searchAssignment(problem, { ...trial, moves: 1 });
	// Two threads slow each other down: the speed is that of both at work.
	const beside = sides > 1 ? side.run(problem, trial) : null;
	const begun = performance.now();
	searchAssignment(problem, trial);
	const perMs = TRIAL_MOVES / Math.max(1, performance.now() - begun - (begun - warm));
	await beside;
	const moves = budgetMs * Math.min(MOST_PER_MS, Math.max(LEAST_PER_MS, perMs)) * IN_HAND;
	const { assignment, objective, bound } = await solveBySides(
		problem,
		{ seed: 1, moves: Math.max(1000, Math.round(moves)), sides },
		(task) => side.run(problem, task)
	);
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
