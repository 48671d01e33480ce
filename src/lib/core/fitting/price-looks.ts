import { activePlan, type Home } from '../model';
import { volumeOf } from '../standing';
import { fitRounds } from './fit-home';
import { looksOf, roomOfNook } from './looks';
import { runRounds, type FitRounds } from './rounds';
import { lacksOf } from './told-apart';

/** What it takes to have one look in a room. */
export interface LookPrice {
	/** Empty: any. */
	readonly look: string;
	/** What is to be bought for it. */
	readonly costMinor: number;
	readonly containers: number;
	/** What does not go in, ml. */
	readonly leftOverMl: number;
	/** What is lacking in its places, whatever it costs; about in minor units. */
	readonly lacks: number;
}

/** Places of a room into which the active plan puts something. */
export const plannedInRoom = (home: Home, roomId: string): string[] =>
	[...new Set(activePlan(home)?.assignments.map(({ nookId }) => nookId as string) ?? [])].filter(
		(nookId) => roomOfNook(home, nookId)?.id === roomId
	);

/** Times that `priceLooks` looks at a place of a room. */
export const looksToPrice = (home: Home, roomId: string): number =>
	(looksOf(home).length + 1) * plannedInRoom(home, roomId).length;

/**
 * The work of pricing the looks of a room: its places fitted together for each look that the home knows, and for any; what one
 * look costs, and what it leaves out. Any look first, then the cheapest.
 */
export function* lookRounds(home: Home, roomId: string): FitRounds<LookPrice[]> {
	const nookIds = plannedInRoom(home, roomId);
	if (!home.rooms[roomId] || !nookIds.length) return [];
	const prices: LookPrice[] = [];
	for (const look of ['', ...looksOf(home)]) {
		const { results, purchase } = yield* fitRounds(home, nookIds, look);
		const chosen = results.flatMap((result) =>
			'arrangements' in result ? [result.arrangements[0]!] : []
		);
		prices.push({
			look,
			costMinor: purchase.costMinor,
			containers: chosen.reduce((sum, { placements }) => sum + placements.length, 0),
			leftOverMl: chosen.reduce((sum, { leftOver }) => sum + volumeOf(leftOver), 0),
			lacks: chosen.reduce((sum, one) => sum + lacksOf(one), 0)
		});
	}
	const [any, ...others] = prices;
	return any ? [any, ...others.sort((a, b) => a.costMinor - b.costMinor)] : [];
}

/** Prices the looks of a room, place after place; `onProgress` hears of each. */
export function priceLooks(
	home: Home,
	roomId: string,
	onProgress?: (done: number, of: number) => void
): LookPrice[] {
	const of = looksToPrice(home, roomId);
	return runRounds(home, lookRounds(home, roomId), (done) => onProgress?.(done, of));
}
