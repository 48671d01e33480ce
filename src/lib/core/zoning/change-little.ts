import {
	Layout,
	objectiveOf,
	placeByRegret,
	searchAssignment,
	solveAssignment,
	type NookIndices as Assignment,
	type AssignmentProblem,
	type SolveOptions,
	type SolveResult
} from '../solvers/assignment';
import type { ZoneModel } from './build';

/** "Change as little as possible": of the parts that stand where no hard rule forbids them, so many move at most. */
export const LITTLE_SHARE = 0.25;

/**
 * What stands well today: nook of each such part, −1 for the others. It stands where no hard rule forbids it, and all of
 * it together has room: of what is too much for a place the largest stays.
 */
export function standingWell({ problem, current }: ZoneModel): Int32Array {
	const { G, K, demand, cost, N } = problem;
	const layout = new Layout(problem);
	const order = Array.from({ length: G }, (_, g) => g).sort(
		(a, b) => demand[b * N * K]! - demand[a * N * K]! || a - b
	);
	for (const g of order) {
		const n = current[g]!;
		if (n >= 0 && cost[g * N + n] !== Infinity && layout.fits(g, n)) layout.place(g, n);
	}
	return layout.assignment.slice();
}

/** How many of what stands well a plan puts elsewhere. */
export const countMoved = (well: Int32Array, plan: Assignment): number =>
	well.reduce((sum, n, g) => sum + Number(n >= 0 && plan[g] !== n), 0);

/** The problem with a toll on every move of what stands well; no number of moves is worth leaving a part out. */
function withToll(problem: AssignmentProblem, well: Int32Array, toll: number): AssignmentProblem {
	const { G, N } = problem;
	const cost = problem.cost.slice();
	const overflow = problem.overflow.slice();
	for (let g = 0; g < G; g++) {
		overflow[g]! += toll * G;
		if (well[g]! < 0) continue;
		for (let n = 0; n < N; n++) if (n !== well[g]) cost[g * N + n]! += toll;
	}
	return { ...problem, cost, overflow };
}

/** Today's arrangement as far as it stands well, and the rest where it costs least. */
function startFrom(problem: AssignmentProblem, well: Int32Array): Assignment {
	const { G, N, cost } = problem;
	const layout = new Layout(problem);
	layout.load(well);
	placeByRegret(
		layout,
		Array.from({ length: G }, (_, g) =>
			Array.from({ length: N }, (_, n) => n).filter((n) => cost[g * N + n] !== Infinity)
		)
	);
	return layout.assignment.slice();
}

/** Tolls that are tried, m a week; with the last nothing moves that need not. */
const TOLLS = { first: 8, times: 2.5, most: 20_000 };
const HALVINGS = 3;
/** Share of the moves that one trial of a toll gets. */
const TRIAL_SHARE = 0.06;

/**
 * Solves a plan in which at most a quarter of what stands well moves. A toll on each move is raised until the best plan
 * under it moves no more than that; the bound of that problem less the tolls of the moves that are allowed bounds every
 * such plan that leaves out no more. Where more has to move because places are over-full, the fewest that were found do. Deterministic.
 */
export function solveChangingLittle(
	model: ZoneModel,
	options: SolveOptions
): SolveResult & { readonly toll: number } {
	const { problem } = model;
	const well = standingWell(model);
	const most = Math.floor(LITTLE_SHARE * well.reduce((sum, n) => sum + Number(n >= 0), 0));
	const start = startFrom(problem, well);
	const moved = (plan: Assignment) => countMoved(well, plan);
	const trial = (toll: number) =>
		searchAssignment(withToll(problem, well, toll), {
			seed: options.seed,
			moves: Math.max(1000, Math.ceil(options.moves * TRIAL_SHARE)),
			restarts: 1,
			start
		}).assignment;
	let low = 0;
	let high: number = TOLLS.first;
	while (high < TOLLS.most && moved(trial(high)) > most) [low, high] = [high, high * TOLLS.times];
	for (let i = 0; i < HALVINGS && high < TOLLS.most; i++) {
		const middle = (low + high) / 2;
		if (moved(trial(middle)) > most) low = middle;
		else high = middle;
	}
	for (;;) {
		const toll = high;
		const solved = solveAssignment(withToll(problem, well, toll), options, start);
		const count = moved(solved.assignment);
		if (count > most && high < TOLLS.most && !solved.stopped) {
			high *= TOLLS.times;
			continue;
		}
		const objective = objectiveOf(problem, solved.assignment);
		const left = solved.assignment.reduce((sum, n) => sum + Number(n < 0), 0);
		return {
			...solved,
			toll,
			objective,
			bound: Math.min(
				objective,
				Math.max(0, solved.bound - toll * (Math.max(most, count) + problem.G * left))
			)
		};
	}
}
