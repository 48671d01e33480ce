import { z } from 'zod';
import { Home } from '../core/model';
import { fitNook, fitTogether, type FitResult, type HomeFit } from '../core/fitting';
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

/**
 * Fits one nook, or several together: they share what the house has and one purchase. The same for the worker, the route
 * and the tests.
 */
export function handleFit(
	payload: unknown,
	onProgress?: (progress: FitProgress) => void
): Handled<FitAnswer> {
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
	const [only, ...others] = new Set(options.nookIds);
	if (!others.length)
		return {
			ok: true,
			result: { results: options.nookIds.map(() => fitNook(home, only!)), purchase: null }
		};
	return {
		ok: true,
		result: fitTogether(home, options.nookIds, (done, of) => {
			onProgress?.({ done, of });
		})
	};
}
