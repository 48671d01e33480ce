import { z } from 'zod';
import { priceLooks, type LookPrice } from '../core/fitting';
import { Home } from '../core/model';
import { issuesOf, type Handled } from './job.protocol';

export const LooksPayload = z.object({ home: Home, roomId: z.string() });

export interface LooksProgress {
	readonly done: number;
	readonly of: number;
}
/** What each look of a room costs; any look first. */
export interface LooksAnswer {
	readonly prices: readonly LookPrice[];
}

/** Prices the looks of one room; the same for the worker and the tests. */
export function handleLooks(
	payload: unknown,
	onProgress?: (progress: LooksProgress) => void
): Handled<LooksAnswer> {
	const parsed = LooksPayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, roomId } = parsed.data;
	if (!Object.hasOwn(home.rooms, roomId))
		return {
			ok: false,
			issues: [{ code: 'unknown-room', path: 'roomId', reason: `No room ${roomId} in this home.` }]
		};
	const prices = priceLooks(home, roomId, (done, of) => void onProgress?.({ done, of }));
	return { ok: true, result: { prices } };
}
