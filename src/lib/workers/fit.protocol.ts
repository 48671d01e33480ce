import { z } from 'zod';
import { Home } from '../core/model';
import { fitNook, type FitResult } from '../core/fitting';
import { issuesOf, type Handled } from './job.protocol';

export const FitPayload = z.object({
	home: Home,
	options: z.object({ nookIds: z.array(z.string()).min(1).max(500) })
});

export interface FitProgress {
	readonly done: number;
	readonly of: number;
}

/**
 * Fits nooks one after another; each takes its containers from what the ones before have left in the house.
 * The same for the worker, the route and the tests.
 */
export function handleFit(
	payload: unknown,
	onProgress?: (progress: FitProgress) => void
): Handled<FitResult[]> {
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
	// A place that is asked for twice is fitted once.
	const ids = [...new Set(options.nookIds)];
	const fitted = new Map(
		ids.map((nookId, index) => {
			const result = fitNook(home, nookId);
			onProgress?.({ done: index + 1, of: ids.length });
			return [nookId, result] as const;
		})
	);
	const results = options.nookIds.map((nookId) => fitted.get(nookId)!);
	return { ok: true, result: results };
}
