import { activePlan, type Home } from '../model';
import { volumeOf } from '../standing';
import { fitTogether } from './fit-home';
import { looksOf, roomOfNook } from './looks';
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

/**
 * Fits the places of a room together for each look that the home knows, and for any: what one look costs, and what it leaves
 * out. Any look first, then the cheapest. `onProgress` hears of each place and ends the work with a true answer; then only
 * what was looked at to the end is told.
 */
export function priceLooks(
	home: Home,
	roomId: string,
	onProgress?: (done: number, of: number) => boolean | void
): LookPrice[] {
	const room = home.rooms[roomId];
	const nookIds = plannedInRoom(home, roomId);
	if (!room || !nookIds.length) return [];
	const looks = ['', ...looksOf(home)];
	const prices: LookPrice[] = [];
	for (const [i, look] of looks.entries()) {
		const dressed: Home = { ...home, rooms: { ...home.rooms, [room.id]: { ...room, look } } };
		let isOver = false;
		const { results, purchase } = fitTogether(dressed, nookIds, (done) => {
			isOver = !!onProgress?.(i * nookIds.length + done, looks.length * nookIds.length);
			return isOver;
		});
		if (isOver) break;
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
