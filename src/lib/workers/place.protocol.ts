import { z } from 'zod';
import { Home } from '../core/model';
import {
	buildZoneModel,
	DEFAULT_PLACE,
	placeHome,
	placeProgress,
	type PlaceProgress,
	type PlaceResult
} from '../core/zoning';
import {
	searchAssignment,
	sidesOf,
	solveBySides,
	type SearchResult
} from '../core/solvers/assignment';
import type { StartHelper } from './helper';
import { issuesOf, type Handled } from './job.protocol';
import type { SearchPayload } from './search.protocol';

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

type Parsed = { readonly home: Home; readonly options: { seed: number; moves: number } };
function readPlace(payload: unknown): Handled<Parsed> {
	const parsed = PlacePayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, options } = parsed.data;
	const budget = options.budgetMs ? options.budgetMs * MOVES_PER_MS : DEFAULT_PLACE.moves;
	const moves = options.moves ?? budget;
	return {
		ok: true,
		result: { home, options: { seed: options.seed ?? DEFAULT_PLACE.seed, moves } }
	};
}

/** Runs the planner on what came in, in one thread; the same for the route and the tests. */
export function handlePlace(
	payload: unknown,
	onProgress?: (progress: PlaceProgress) => void
): Handled<PlaceResult> {
	const read = readPlace(payload);
	if (!read.ok) return read;
	const { home, options } = read.result;
	return {
		ok: true,
		result: placeHome(home, { ...options, onProgress: (progress) => onProgress?.(progress) })
	};
}

/** Starts a helper for the second side of a search. */
export type StartSide = StartHelper<SearchPayload, SearchResult>;

/**
 * Runs the planner with a helper in another thread where the home is so large that it is searched from two sides; the
 * same plan as `handlePlace`. A helper that breaks down is done without.
 */
export async function handlePlaceBySides(
	payload: unknown,
	onProgress: ((progress: PlaceProgress) => void) | undefined,
	startSide: StartSide
): Promise<Handled<PlaceResult>> {
	const read = readPlace(payload);
	if (!read.ok) return read;
	const { home, options } = read.result;
	const model = buildZoneModel(home);
	const { problem } = model;
	const side = sidesOf(problem) > 1 ? await startSide() : null;
	if (!side) return handlePlace(payload, onProgress);
	const solved = await solveBySides(
		problem,
		{
			...options,
			onProgress: (progress) => onProgress?.(placeProgress(model, options.seed, progress))
		},
		(task) =>
			side
				.ask({ problem, task })
				.catch(() => searchAssignment(problem, task))
				.finally(() => side.end())
	);
	return { ok: true, result: placeHome(home, { ...options, solved }, model) };
}
