import { activePlan, wholePacks, type Home } from '../model';
import { volumeOf } from '../standing';
import { fitRounds } from './fit-home';
import { looksOf, roomOfNook } from './looks';
import { runRounds, type FitRounds } from './rounds';
import { countsOf, fitFingerprint, ownedLeft } from './owned';
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

/** What the kept arrangements of some places cost beside what the others use of the house; null: not all are kept and fresh. */
function keptPrice(
	home: Home,
	nookIds: readonly string[]
): Pick<LookPrice, 'costMinor' | 'containers' | 'leftOverMl'> | null {
	const fits = nookIds.map((id) =>
		Object.values(home.fitPlans).find(
			(fit) => fit.nookId === id && fit.fingerprint === fitFingerprint(home, id)
		)
	);
	if (fits.some((fit) => !fit)) return null;
	const placements = fits.flatMap((fit) => fit!.placements);
	const left = ownedLeft(home, ...nookIds);
	const costMinor = [...countsOf(placements)].reduce((sum, [kindId, count]) => {
		const kind = home.containerKinds[kindId];
		if (!kind) return sum;
		return sum + wholePacks(count - (left.get(kindId) ?? 0), kind.soldBy) * kind.priceMinor;
	}, 0);
	return {
		costMinor,
		containers: placements.length,
		leftOverMl: volumeOf(fits.flatMap((fit) => fit!.leftOver))
	};
}

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
	// What is kept in the room is what its own style costs: one figure, here and on the list.
	const room = home.rooms[roomId];
	const kept = keptPrice(home, nookIds);
	const own = prices.findIndex(({ look }) => look === room.look);
	if (kept && own >= 0) prices[own] = { ...prices[own]!, ...kept };
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
