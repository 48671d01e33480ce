import { fingerprint, type Home } from '../model';
import { wantsOf } from './wants';

/** Fingerprint of everything one nook's fit is computed from. */
export function fitFingerprint(home: Home, nookId: string): string {
	const wants = wantsOf(home, nookId).map(({ groupId, usesPerWeek, goods, roles }) => [
		groupId,
		usesPerWeek,
		roles,
		goods.map(({ thing, pieces }) => [thing.id, pieces, thing.piece])
	]);
	return fingerprint([
		home.nooks[nookId],
		wants,
		home.containerKinds,
		home.settings.play,
		home.settings.lift,
		home.schools.boxes
	]);
}

/** Counts what the house still has of each kind beside what other nooks' fits use. */
export function ownedLeft(home: Home, exceptNookId: string): Map<string, number> {
	const left = new Map(
		Object.values(home.containerKinds).map((kind) => [kind.id as string, kind.owned])
	);
	for (const plan of Object.values(home.fitPlans)) {
		if (plan.nookId === exceptNookId) continue;
		for (const { kindId } of plan.placements) left.set(kindId, (left.get(kindId) ?? 0) - 1);
	}
	for (const [kindId, count] of left) left.set(kindId, Math.max(0, count));
	return left;
}
