import { readFileSync } from 'node:fs';
import { z } from 'zod';
import { solvePacking, type PackingProblem } from '../src/lib/core/solvers/packing';
import { round } from './measure';

const Instance = z.object({
	width: z.number().positive(),
	depth: z.number().positive(),
	obstructions: z
		.array(z.object({ x: z.number(), y: z.number(), w: z.number(), d: z.number() }))
		.default([]),
	items: z.array(
		z.object({
			id: z.string(),
			w: z.number().positive(),
			d: z.number().positive(),
			turn: z.boolean().default(true)
		})
	)
});

/** More than any machine does in a ms; the clock ends the search. */
const MOST_PER_MS = 12_000;
/** Share of the budget after which it is ended. */
const IN_HAND = 0.92;

/** Packs one file within a budget, a ceiling in ms. */
export function benchPacking(file: string, budgetMs: number): object {
	const { width, depth, obstructions, items } = Instance.parse(
		JSON.parse(readFileSync(file, 'utf8'))
	);
	const from = performance.now();
	const problem: PackingProblem = { width, depth, obstructions, pieces: items };
	const best = solvePacking(problem, {
		steps: MOST_PER_MS * budgetMs,
		isOver: () => performance.now() - from > budgetMs * IN_HAND
	});
	return {
		file,
		status: best.status,
		placed: best.placed.map(({ piece, x, y, turned }) => ({ id: items[piece]!.id, x, y, turned })),
		area: best.area,
		bound: best.bound,
		ms: round(performance.now() - from)
	};
}
