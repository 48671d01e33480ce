import { fingerprint, type Home } from '../model';
import { roomOfNook } from './looks';
import { wantsOf } from './wants';

/**
 * Fingerprint of what one nook's fit has to suit: the place, what it is to hold, the look of its room, and the rules. Which containers there are
 * to choose from is none of it: what is bought or counted does not move what stands.
 */
export function fitFingerprint(home: Home, nookId: string): string {
	const wants = wantsOf(home, nookId).map(({ groupId, usesPerWeek, goods, roles }) => [
		groupId,
		usesPerWeek,
		roles,
		goods.map(({ thing, pieces }) => [thing.id, pieces, thing.piece])
	]);
	const look = roomOfNook(home, nookId)?.look;
	return fingerprint([
		home.nooks[nookId],
		wants,
		home.settings.play,
		home.settings.lift,
		home.schools.boxes,
		...(look ? [look] : [])
	]);
}

/** Counts how often each kind stands in something. */
export function countsOf(placements: readonly { readonly kindId: string }[]): Map<string, number> {
	const counts = new Map<string, number>();
	for (const { kindId } of placements) counts.set(kindId, (counts.get(kindId) ?? 0) + 1);
	return counts;
}

/** Counts what the house still has of each kind beside what the fits of all but some nooks use. */
export function ownedLeft(home: Home, ...exceptNookIds: readonly string[]): Map<string, number> {
	const except = new Set(exceptNookIds);
	const used = countsOf(
		Object.values(home.fitPlans).flatMap(({ nookId, placements }) =>
			except.has(nookId) ? [] : placements
		)
	);
	return new Map(
		Object.values(home.containerKinds).map(({ id, owned }) => [
			id as string,
			Math.max(0, owned - (used.get(id) ?? 0))
		])
	);
}
