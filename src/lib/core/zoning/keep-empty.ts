import { climateOf } from '../survey';
import type { ZoneModel } from './build';
import {
	Layout,
	type NookIndices as Assignment,
	type AssignmentProblem,
	descend,
	placeByRegret,
	searchAssignment,
	type SolveOptions,
	type SolveResult
} from '../solvers/assignment';

/** An empty place of less than this is no room to grow, ml. */
const LEAST_ML = 4000;

/**
 * Lists the nooks that are room to grow while they are empty: dry ones of some size inside a cabinet that nobody
 * needs a stool for. In nook order.
 */
export function roomToGrow({ problem, places, spaces, cells }: ZoneModel): number[] {
	const { G, N } = problem;
	return Array.from({ length: N }, (_, n) => n).filter((n) => {
		const { nook } = places[n]!;
		const space = spaces[n]!;
		if (!space.ok || space.usableMl < LEAST_ML || nook.kind === 'worktop') return false;
		if (climateOf(nook) !== 'room' || nook.tags.includes('satellite')) return false;
		for (let g = 0; g < G; g++) if (cells[g * N + n]!.reach.band === 'stool') return false;
		return true;
	});
}

export interface KeptEmpty extends SolveResult {
	/** The nook that stays empty; −1: none can without leaving more out. */
	readonly kept: number;
}

/** So many nooks are tried in earnest, those that look cheapest to clear. */
const TRIED = 3;

/** What it costs about to clear a nook, with everything that stood there put where it costs least. */
function clearRoughly(problem: AssignmentProblem, from: Assignment, n: number): Layout {
	const { G, N } = problem;
	const layout = new Layout(problem);
	layout.load(from);
	const lists = Array.from({ length: G }, (_, g) =>
		Array.from({ length: N }, (_, m) => m).filter(
			(m) => m !== n && Number.isFinite(problem.cost[g * N + m]!)
		)
	);
	for (let g = 0; g < G; g++) if (layout.assignment[g] === n) layout.place(g, -1);
	placeByRegret(layout, lists);
	descend(layout, lists);
	return layout;
}

/** The same problem with a nook closed to everything. */
function closed(problem: AssignmentProblem, n: number): AssignmentProblem {
	const cost = problem.cost.slice();
	for (let g = 0; g < problem.G; g++) cost[g * problem.N + n] = Infinity;
	return { ...problem, cost };
}

/**
 * Keeps one of some nooks empty. The plan it begins from is kept when it leaves one empty as it is; else the nooks
 * that look cheapest to clear are closed one at a time and the plan is searched anew from there. A nook that can only be
 * emptied by leaving out more parts is not emptied. The bound stays that of the plan before: keeping a nook empty
 * takes plans away, so nothing that is left goes below it. Ties go to the first nook; as deterministic as the solver.
 */
export function keepOneEmpty(
	problem: AssignmentProblem,
	nooks: readonly number[],
	solved: SolveResult,
	options: Pick<SolveOptions, 'seed' | 'moves'>
): KeptEmpty {
	const { assignment } = solved;
	const empty = nooks.find((n) => !assignment.includes(n));
	if (empty !== undefined || solved.stopped) return { ...solved, kept: empty ?? -1 };
	const leftOut = (plan: Assignment) => plan.reduce((sum, n) => sum + Number(n < 0), 0);
	const most = leftOut(assignment);
	const cleared = nooks
		.map((n) => ({ n, layout: clearRoughly(problem, assignment, n) }))
		.sort((a, b) => a.layout.objective - b.layout.objective || a.n - b.n)
		.slice(0, TRIED);
	let best: KeptEmpty = { ...solved, kept: -1 };
	for (const { n, layout } of cleared) {
		// No tree: its bound would be of this one nook alone.
		const found = searchAssignment(closed(problem, n), {
			seed: options.seed,
			moves: Math.max(1000, Math.floor(options.moves / TRIED)),
			restarts: 1,
			start: layout.assignment
		});
		if (leftOut(found.assignment) > most) continue;
		if (best.kept < 0 || found.objective < best.objective - 1e-9)
			best = {
				assignment: found.assignment,
				objective: found.objective,
				bound: solved.bound,
				stopped: false,
				kept: n
			};
	}
	return best;
}
