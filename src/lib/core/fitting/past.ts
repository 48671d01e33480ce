import { activePlan, dayOf, decisionsOn, memoOn, type Home, type Lot } from '../model';
import { effectiveDate } from '../rotation';
import { placesOfLots } from '../zoning';

/** Words in Clear after which something past its date has its place all the same. */
const STAYS: ReadonlySet<string> = new Set(['keep', 'use-first', 'back-stock']);

/**
 * Lists the lots that are past their date on `today`, an ISO date, and were not decided on since: nothing is bought for
 * them, and no row is kept free.
 */
export const pastLots = memoOn(
	['lots', 'things', 'decisions'],
	(home, today: string): readonly Lot[] =>
		Object.values(home.lots).filter((lot) => {
			const thing = home.things[lot.thingId];
			const date = thing && lot.count > 0 ? effectiveDate(lot, thing) : null;
			if (!date || date.on >= today) return false;
			return !decisionsOn(home as Home, lot.id).some(
				({ at, verdict }) => STAYS.has(verdict) && dayOf(at) > date.on
			);
		})
);

/** The home without what is past its date: what is fitted. The same home where nothing is past. */
export function fittable(home: Home, today: string): Home {
	const past = pastLots(home, today);
	return past.length ? { ...home, lots: lotsLeft(home, today) } : home;
}
const lotsLeft = memoOn(['lots', 'things', 'decisions'], (home, today: string): Home['lots'] => {
	const past = new Set(pastLots(home, today).map(({ id }) => id as string));
	return Object.fromEntries(Object.entries(home.lots).filter(([id]) => !past.has(id)));
});

/** What the plan puts in a place and is left out of its fit, since it is past its date. */
export function pastIn(home: Home, nookId: string, today: string): readonly Lot[] {
	const past = new Set(pastLots(home, today).map(({ id }) => id));
	const assignments = activePlan(home)?.assignments ?? [];
	const groups = new Set(assignments.flatMap((a) => (a.nookId === nookId ? [a.groupId] : [])));
	return [...groups].flatMap((id) =>
		placesOfLots(home, id, assignments).flatMap(({ lot, nookId: at }) =>
			at === nookId && past.has(lot.id) ? [lot] : []
		)
	);
}
