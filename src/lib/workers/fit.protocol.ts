import { z } from 'zod';
import { Home } from '../core/model';
import { fitNook, fitRounds, fitTogether, type FitResult, type HomeFit } from '../core/fitting';
import { fitSideBySide, type StartFitHelper } from './fit-side-by-side';
import { issuesOf, type Handled } from './job.protocol';

export const FitPayload = z.object({
	home: Home,
	options: z.object({ nookIds: z.array(z.string()).min(1).max(500) })
});

export interface FitProgress {
	readonly done: number;
	readonly of: number;
}

/** One place by itself, or several together with what is bought for all of them. */
export interface FitAnswer {
	readonly results: readonly FitResult[];
	/** null for one place. */
	readonly purchase: HomeFit['purchase'] | null;
}

type Parsed = { readonly home: Home; readonly nookIds: readonly string[] };
function readFit(payload: unknown): Handled<Parsed> {
	const parsed = FitPayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, options } = parsed.data;
	const unknown = options.nookIds.filter((id) => !Object.hasOwn(home.nooks, id));
	if (unknown.length)
		return {
			ok: false,
			issues: unknown.map((id) => ({
				code: 'unknown-nook',
				path: 'options.nookIds',
				reason: `No nook ${id} in this home.`
			}))
		};
	return { ok: true, result: { home, nookIds: options.nookIds } };
}

/** One place alone shares with none, and there is no purchase to choose. */
function fitAlone({ home, nookIds }: Parsed): FitAnswer | null {
	if (new Set(nookIds).size > 1) return null;
	return { results: nookIds.map((id) => fitNook(home, id)), purchase: null };
}

/**
 * Fits one nook, or several together: they share what the house has and one purchase. In one thread; the same for the route
 * and the tests.
 */
export function handleFit(
	payload: unknown,
	onProgress?: (progress: FitProgress) => void
): Handled<FitAnswer> {
	const read = readFit(payload);
	if (!read.ok) return read;
	const { home, nookIds } = read.result;
	const result =
		fitAlone(read.result) ??
		fitTogether(home, nookIds, (done, of) => void onProgress?.({ done, of }));
	return { ok: true, result };
}

/** Fits as `handleFit` does, with helpers in other threads for several places; the same answer. */
export async function handleFitSideBySide(
	payload: unknown,
	onProgress: ((progress: FitProgress) => void) | undefined,
	startHelpers: readonly StartFitHelper[]
): Promise<Handled<FitAnswer>> {
	const read = readFit(payload);
	if (!read.ok) return read;
	const { home, nookIds } = read.result;
	const result =
		fitAlone(read.result) ??
		(await fitSideBySide(home, fitRounds(home, nookIds), startHelpers, (done) =>
			onProgress?.({ done, of: new Set(nookIds).size })
		));
	return { ok: true, result };
}
