import { z } from 'zod';
import { Home } from '../core/model';
import { DEFAULT_PLACE, placeHome, type PlaceProgress, type PlaceResult } from '../core/zoning';
import { issuesOf, type Handled } from './job.protocol';

/** Moves tried in a millisecond, measured on a slow machine; turns a time budget into a count, so that a seed decides. */
const MOVES_PER_MS = 400;

export const PlacePayload = z.object({
	home: Home,
	options: z
		.object({
			seed: z
				.int()
				.min(0)
				.max(2 ** 31 - 1),
			moves: z.int().min(1).max(50_000_000),
			budgetMs: z.int().min(1).max(30_000)
		})
		.partial()
		.default({})
});

/** Runs the planner on what came in; the same for the worker, the route and the tests. */
export function handlePlace(
	payload: unknown,
	onProgress?: (progress: PlaceProgress) => void
): Handled<PlaceResult> {
	const parsed = PlacePayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, options } = parsed.data;
	const budget = options.budgetMs ? options.budgetMs * MOVES_PER_MS : DEFAULT_PLACE.moves;
	const result = placeHome(home, {
		seed: options.seed ?? DEFAULT_PLACE.seed,
		moves: options.moves ?? budget,
		onProgress: (progress) => onProgress?.(progress)
	});
	return { ok: true, result };
}
