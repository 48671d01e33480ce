import { z } from 'zod';
import { setShelvesFor, type ShelfSetting } from '../core/fitting';
import { Home } from '../core/model';
import { issuesOf, type Handled } from './job.protocol';

export const HeightsPayload = z.object({ home: Home, nookId: z.string() });

/** Which heights the shelves of a cabinet are best set to; `setting` is null where they stand well as they are. */
export interface HeightsAnswer {
	readonly setting: ShelfSetting | null;
}

/** Looks at the shelves of one place; the same for the worker and the tests. */
export function handleHeights(payload: unknown): Handled<HeightsAnswer> {
	const parsed = HeightsPayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, nookId } = parsed.data;
	if (!Object.hasOwn(home.nooks, nookId))
		return {
			ok: false,
			issues: [{ code: 'unknown-nook', path: 'nookId', reason: `No nook ${nookId} in this home.` }]
		};
	return { ok: true, result: { setting: setShelvesFor(home, nookId) } };
}
