import { activePlan, memoOn, stock, type Home } from '../model';
import { placesOfLots, type LotShare } from './lot-places';

/** Which state of a home is meant: as the plan in force has it, or as things are put away today. */
export type HomeState = 'plan' | 'today';

/** So much of a lot, and where; null: it has no place. */
export interface LotAt extends Omit<LotShare, 'nookId'> {
	readonly nookId: string | null;
}

const KEYS = ['lots', 'things', 'groups', 'nooks', 'zonePlans', 'activePlanId'] as const;

const asToday = (home: Pick<Home, 'lots' | 'things'>): LotAt[] =>
	stock(home as Home).flatMap((lot) => {
		const thing = home.things[lot.thingId];
		return thing
			? [{ lot, thing, nookId: lot.nookId, count: lot.count, pieces: 0, volumeMl: 0 }]
			: [];
	});

const asPlanned = memoOn(KEYS, (part): readonly LotAt[] => {
	const home = part as Home;
	const plan = activePlan(home);
	if (!plan) return asToday(home);
	const placed = [...new Set(plan.assignments.map(({ groupId }) => groupId as string))].flatMap(
		(groupId): LotAt[] => placesOfLots(home, groupId, plan.assignments)
	);
	const known = new Set(placed.map(({ lot }) => lot.id as string));
	// What the plan does not speak of stays where it is.
	return [...placed, ...asToday(home).filter(({ lot }) => !known.has(lot.id))];
});

/**
 * Says where every lot of a home is in one of its two states: as planned (what the plan is silent about stays where it is
 * today; without a plan all of it), or as it is today. The one answer for labels, door maps, sheets and indexes, so that no
 * print is of both.
 * @example lotsAt(home, 'plan').filter(({ nookId }) => nookId === 'larder-2')
 */
export const lotsAt = (home: Home, state: HomeState): readonly LotAt[] =>
	state === 'plan' ? asPlanned(home) : asToday(home);
