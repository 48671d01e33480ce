import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { solveShelves } from '../src/lib/core/solvers/shelves';
import { round } from './measure';

const mm = z.number().nonnegative();
const Instance = z.object({
	heightMm: mm,
	widthMm: mm,
	pitchMm: z.number().positive(),
	firstHoleMm: mm,
	thicknessMm: mm,
	maxShelves: z.number().int().nonnegative(),
	groups: z.array(z.object({ id: z.string(), clearMm: mm, runMm: mm, value: mm }))
});

/** More than any machine does in a ms; the clock ends the search. */
const MOST_PER_MS = 50_000;
/** Share of the budget after which it is ended. */
const IN_HAND = 0.92;

/** Sets the shelves of one file within a budget, a ceiling in ms. */
export function benchShelves(file: string, budgetMs: number): object {
	const problem = Instance.parse(JSON.parse(readFileSync(file, 'utf8')));
	const from = performance.now();
	const { status, value, bound, holes, levels } = solveShelves(problem, {
		steps: MOST_PER_MS * budgetMs,
		isOver: () => performance.now() - from > budgetMs * IN_HAND
	});
	return {
		file,
		status,
		value,
		bound,
		shelves: holes,
		levels: levels.map((groups) => groups.map((g) => problem.groups[g]!.id)),
		ms: round(performance.now() - from)
	};
}
