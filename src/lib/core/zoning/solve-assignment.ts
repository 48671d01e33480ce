import { branchAndBound, DEFAULT_BRANCH } from './branch';
import type { Assignment, AssignmentProblem } from './problem';
import { searchAssignment } from './search';

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
	readonly moves: number;
	readonly onProgress?: (progress: SolveProgress) => boolean | void;
}

/** Cells of knapsack tables that are filled in the time of one move. */
const WORK_PER_MOVE = 110;
/** Shares of the budget: a quick plan first, then the tree, which proves plans without pairs, and small ones with. */
const QUICK_SHARE = 0.03;
const treeShareOf = ({ G, pairs }: AssignmentProblem): number => {
	if (!pairs.length) return 0.72;
	return G <= 30 ? 0.6 : G <= 45 ? 0.3 : G <= 90 ? 0.12 : 0.07;
};

/** Small problems are walked through many times from the start, large ones once and slowly: measured on pair files. */
const restartsFor = (parts: number) => (parts <= 30 ? 12 : parts <= 45 ? 4 : parts <= 90 ? 2 : 1);

/**
 * Solves an assignment problem: a quick plan by annealing, then branch and bound from it, which gives the bound and
 * often the proof, then the rest of the moves on the places that can still be better.
 */
export function solveAssignment(
	problem: AssignmentProblem,
	{ seed, moves, onProgress }: SolveOptions,
	start?: Assignment
): SolveResult {
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
	const { bound } = tree;
	if (tree.stopped || tree.objective - bound <= Math.abs(tree.objective) * PROVEN) return tree;
	const doneShare = QUICK_SHARE + treeShare;
	const best = searchAssignment(problem, {
		seed,
		moves: Math.ceil(moves * (1 - doneShare)),
		restarts: restartsFor(problem.G),
		start: tree.assignment,
		only: tree.open,
		provenAt: bound + Math.abs(bound) * PROVEN,
		onProgress: ({ movesDone, objective, assignment }) =>
			onProgress?.({ doneShare: doneShare + movesDone / moves, objective, bound, assignment })
	});
	return { ...best, bound: Math.min(bound, best.objective) };
}
