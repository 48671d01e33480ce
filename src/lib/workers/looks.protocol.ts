import { z } from 'zod';
import { lookRounds, looksToPrice, priceLooks, type LookPrice } from '../core/fitting';
import { Home } from '../core/model';
import { fitSideBySide, type StartFitHelper } from './fit-side-by-side';
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

function readLooks(payload: unknown): Handled<{ home: Home; roomId: string }> {
	const parsed = LooksPayload.safeParse(payload);
	if (!parsed.success) return { ok: false, issues: issuesOf(parsed.error) };
	const { home, roomId } = parsed.data;
	if (!Object.hasOwn(home.rooms, roomId))
		return {
			ok: false,
			issues: [{ code: 'unknown-room', path: 'roomId', reason: `No room ${roomId} in this home.` }]
		};
	return { ok: true, result: { home, roomId } };
}

/** Prices the looks of one room in one thread. */
export function handleLooks(
	payload: unknown,
	onProgress?: (progress: LooksProgress) => void
): Handled<LooksAnswer> {
	const read = readLooks(payload);
	if (!read.ok) return read;
	const { home, roomId } = read.result;
	const prices = priceLooks(home, roomId, (done, of) => onProgress?.({ done, of }));
	return { ok: true, result: { prices } };
}

/** Prices the looks of one room as `handleLooks` does, with helpers in other threads; the same answer. */
export async function handleLooksSideBySide(
	payload: unknown,
	onProgress: ((progress: LooksProgress) => void) | undefined,
	startHelpers: readonly StartFitHelper[]
): Promise<Handled<LooksAnswer>> {
	const read = readLooks(payload);
	if (!read.ok) return read;
	const { home, roomId } = read.result;
	const of = looksToPrice(home, roomId);
	const prices = await fitSideBySide(home, lookRounds(home, roomId), startHelpers, (done) =>
		onProgress?.({ done, of })
	);
	return { ok: true, result: { prices } };
}
