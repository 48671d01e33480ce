import { branchAndBound, DEFAULT_BRANCH } from './branch';
import type { IntegerSolver } from '../integer';
import { AssignmentProgram } from './integer-program';
import { searchAssignment } from './search';
import { objectiveOf, violations, type Assignment, type AssignmentProblem } from './problem';

export interface ProveOptions {
	readonly solver: IntegerSolver;
	/** Ceiling for the general solver, s. */
	readonly seconds: number;
	/** Work of the own tree before it, in cells of knapsack tables: its root closes most places. */
	readonly treeWork: number;
	/** Moves of a search before it, from the known plan: where nothing can be proven something may yet be found; 0: none. */
	readonly searchMoves: number;
	/** A program with more columns is not begun: it would fill the memory and not end. */
	readonly maxColumns: number;
	/** Nooks of which one stays empty; none: no such wish. */
	readonly oneEmpty: readonly number[];
	readonly onBound?: (bound: number) => boolean | void;
}
export const DEFAULT_PROVE = {
	seconds: 30,
	treeWork: 20_000_000,
	searchMoves: 0,
	maxColumns: 40_000,
	oneEmpty: []
} as const;

export interface ProveResult {
	readonly status: 'proven' | 'open' | 'too-large';
	/** The plan that was known, or a better one. */
	readonly assignment: Assignment;
	readonly objective: number;
	readonly bound: number;
	/** Columns of the program that is left when everything is closed that cannot be better. */
	readonly columns: number;
}

/** Relative room for the rounding of a general solver: what it calls its bound is taken so much lower. */
const TRUST = 1e-6;

/** Seed and restarts of the search before a proof. */
const BETTER = { seed: 17, restarts: 4 };

/** Looks long for a plan better than the known one; of the nooks that are to keep one empty, the first empty one stays so. */
function bettered(
	problem: AssignmentProblem,
	start: Assignment,
	moves: number,
	oneEmpty: readonly number[]
): Assignment {
	const { G, N } = problem;
	const empty = oneEmpty.find((n) => !start.includes(n));
	const only = new Uint8Array(G * N).fill(1);
	if (empty !== undefined) for (let g = 0; g < G; g++) only[g * N + empty] = 0;
	const found = searchAssignment(problem, { ...BETTER, moves, start, only });
	return found.objective < objectiveOf(problem, start) - 1e-9 ? found.assignment : start;
}

/**
 * Proves that a plan is the best, or finds a better one. The own bounds close every place that no better plan can use;
 * what is left, most often a tenth, goes to a general solver of integer programs with the pairs made linear. Its answer
 * is trusted as far as the plan it gives keeps every rule and costs what it says. The known plan has to keep them too.
 */
export function proveAssignment(
	problem: AssignmentProblem,
	known: { readonly assignment: Assignment; readonly bound: number },
	{ solver, seconds, treeWork, searchMoves, maxColumns, oneEmpty, onBound }: ProveOptions
): ProveResult {
	const { N } = problem;
	const isKept = (plan: Assignment) => !oneEmpty.length || oneEmpty.some((n) => !plan.includes(n));
	const root = branchAndBound(problem, {
		...DEFAULT_BRANCH,
		work: treeWork,
		start: searchMoves
			? bettered(problem, known.assignment, searchMoves, oneEmpty)
			: known.assignment,
		accepts: isKept
	});
	const { assignment: best, objective: least } = root;
	const before = Math.max(known.bound, root.bound);
	const answer = (status: ProveResult['status'], bound: number, columns: number): ProveResult => ({
		status,
		assignment: best,
		objective: least,
		bound: Math.min(bound, least),
		columns
	});
	if (least - before <= Math.abs(least) * TRUST) return answer('proven', least, 0);
	const open = root.open.slice();
	const spillOpen = root.spillOpen.slice();
	best.forEach((n, g) => (n < 0 ? (spillOpen[g] = 1) : (open[g * N + n] = 1)));
	const linear = new AssignmentProgram(problem, { open, spillOpen }, oneEmpty);
	const columns = linear.program.cost.length;
	if (columns > maxColumns) return answer('too-large', before, columns);
	const found = solver(linear.program, {
		start: linear.write(best),
		seconds,
		onBound: (bound) => onBound?.(Math.min(least, Math.max(before, bound)))
	});
	// Closed places hold nothing better than the plan at hand, so the bound of the rest is that of all.
	const bound = Number.isFinite(found.bound)
		? Math.max(before, found.bound - Math.abs(found.bound) * TRUST)
		: before;
	if (found.status !== 'optimal') return answer('open', bound, columns);
	const plan = linear.read(found.values);
	const value = objectiveOf(problem, plan);
	if (value >= least || violations(problem, plan).length || !isKept(plan))
		return answer(least - bound <= Math.abs(least) * 2 * TRUST ? 'proven' : 'open', bound, columns);
	return { status: 'proven', assignment: plan, objective: value, bound: value, columns };
}
