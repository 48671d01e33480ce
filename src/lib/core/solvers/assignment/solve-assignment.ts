import { branchAndBound, DEFAULT_BRANCH } from './branch';
import { hasMore } from './nook-subproblem';
import { objectiveOf, type Assignment, type AssignmentProblem } from './problem';
import { recombine } from './recombine';
import { KEEN_PACE, searchAssignment, type SearchOptions, type SearchResult } from './search';

/** Relative gap below which a plan counts as proven. */
export const PROVEN = 1e-6;

export interface SolveResult {
	readonly assignment: Assignment;
	readonly objective: number;
	readonly bound: number;
	readonly stopped: boolean;
}

export interface SolveProgress {
	readonly doneShare: number;
	readonly objective: number;
	readonly bound: number;
	readonly assignment: Assignment;
}
export interface SolveOptions {
	readonly seed: number;
	/** Moves of each side. */
	readonly moves: number;
	/** Searches beside each other; what the problem asks for when it is left out. */
	readonly sides?: number;
	readonly onProgress?: (progress: SolveProgress) => boolean | void;
}

/** Cells of knapsack tables that are filled in the time of one move. */
const WORK_PER_MOVE = 110;
/** Shares of the budget: a quick plan first, then the tree, which proves plans without pairs, and small ones with. */
const QUICK_SHARE = 0.03;
/** With pairs, and nooks that know more than one capacity: the bound of the root costs more, and tells more. */
const FULL_SHARE = 0.4;
const treeShareOf = (problem: AssignmentProblem): number => {
	const { G, pairs } = problem;
	if (!pairs.length) return 0.72;
	if (hasMore(problem)) return G <= 30 ? 0.6 : FULL_SHARE;
	return G <= 30 ? 0.6 : G <= 45 ? 0.3 : G <= 90 ? 0.12 : 0.07;
};

/**
 * Small problems are walked through many times from the start, large ones once and slowly, and where the ranks are
 * good in several short walks, each taken over where it is better: measured on pair files and homes.
 */
const restartsFor = (problem: AssignmentProblem) =>
	problem.G <= 30 ? 12 : hasMore(problem) ? 8 : problem.G <= 45 ? 4 : 1;

/** Problems with more parts are searched from two sides at once: their searches scatter most. */
const TWO_SIDES_FROM = 90;
/** How many searches of a problem may run beside each other; a matter of the problem alone, so that a seed decides. */
export const sidesOf = ({ G, pairs }: AssignmentProblem): number =>
	pairs.length && G > TWO_SIDES_FROM ? 2 : 1;
/** Seeds of two sides lie so far apart. */
const SIDE_SEED = 7919;

/** A search that needs nothing but its problem; plain data, so that it crosses to another thread as it is. */
export type SearchTask = Omit<SearchOptions, 'onProgress'>;

/** What is known before the long searches: all of it, or the searches that are left. */
export interface PreparedSolve {
	/** The tree's plan, and what no plan goes below. */
	readonly known: SolveResult;
	/** None: the plan is proven, or the work was stopped. */
	readonly tasks: readonly SearchTask[];
	/** Share of the budget that is used. */
	readonly doneShare: number;
}

/** Finds a quick plan by annealing, then goes through the tree from it, which gives the bound and often the proof. */
export function prepareSolve(
	problem: AssignmentProblem,
	{ seed, moves, sides = sidesOf(problem), onProgress }: SolveOptions,
	start?: Assignment
): PreparedSolve {
	const treeShare = treeShareOf(problem);
	const quick = searchAssignment(problem, {
		seed,
		moves: Math.ceil(moves * QUICK_SHARE),
		restarts: 1,
		start
	});
	const tree = branchAndBound(problem, {
		...DEFAULT_BRANCH,
		start: quick.assignment,
		work: moves * treeShare * WORK_PER_MOVE,
		onProgress: ({ doneShare, ...found }) =>
			onProgress?.({ doneShare: QUICK_SHARE + treeShare * doneShare, ...found })
	});
	const { assignment, objective, bound, stopped } = tree;
	const doneShare = QUICK_SHARE + treeShare;
	const isOver = stopped || objective - bound <= Math.abs(objective) * PROVEN;
	return {
		known: { assignment, objective, bound, stopped },
		doneShare,
		tasks: Array.from({ length: isOver ? 0 : sides }, (_, side) => ({
			seed: seed + side * SIDE_SEED,
			moves: Math.ceil(moves * (1 - doneShare)),
			restarts: restartsFor(problem),
			start: assignment,
			only: tree.open,
			rank: tree.ways ?? undefined,
			provenAt: bound + Math.abs(bound) * PROVEN,
			pace: hasMore(problem) ? KEEN_PACE : undefined
		}))
	};
}

/** Runs one of the searches in this thread, with progress in the terms of the whole. */
export function runTask(
	problem: AssignmentProblem,
	{ known: { bound }, doneShare, tasks }: PreparedSolve,
	side: number,
	onProgress: SolveOptions['onProgress']
): SearchResult {
	const task = tasks[side]!;
	return searchAssignment(problem, {
		...task,
		onProgress: ({ movesDone, objective, assignment }) =>
			onProgress?.({
				doneShare: doneShare + ((1 - doneShare) * (side + movesDone / task.moves)) / tasks.length,
				objective,
				bound,
				assignment
			})
	});
}

/** Takes the best of what the searches found, with what is better in the others; ties go to the first. */
export function finishSolve(
	problem: AssignmentProblem,
	{ known }: PreparedSolve,
	found: readonly SearchResult[]
): SolveResult {
	if (!found.length) return known;
	const best = found.reduce((least, one) => (one.objective < least.objective ? one : least));
	const assignment = found.reduce(
		(plan, one) => recombine(problem, plan, one.assignment),
		best.assignment
	);
	const objective = objectiveOf(problem, assignment);
	return {
		assignment,
		objective,
		bound: Math.min(known.bound, objective),
		stopped: found.some(({ stopped }) => stopped)
	};
}

/**
 * Solves an assignment problem in one thread: a quick plan, the tree, then the searches one after the other on the
 * places that can still be better.
 */
export function solveAssignment(
	problem: AssignmentProblem,
	options: SolveOptions,
	start?: Assignment
): SolveResult {
	const prepared = prepareSolve(problem, options, start);
	const found: SearchResult[] = [];
	for (let side = 0; side < prepared.tasks.length; side++) {
		found.push(runTask(problem, prepared, side, options.onProgress));
		if (found.at(-1)!.stopped) break;
	}
	return finishSolve(problem, prepared, found);
}

/**
 * Solves it with the second side elsewhere: `elsewhere` starts a search in another thread at once, while this one
 * goes on. The same plan as in one thread.
 */
export async function solveBySides(
	problem: AssignmentProblem,
	options: SolveOptions,
	elsewhere: (task: SearchTask) => Promise<SearchResult>
): Promise<SolveResult> {
	const prepared = prepareSolve(problem, options);
	if (!prepared.tasks.length) return prepared.known;
	const far = prepared.tasks.slice(1).map(elsewhere);
	const near = runTask(problem, prepared, 0, options.onProgress);
	return finishSolve(problem, prepared, [near, ...(await Promise.all(far))]);
}
