import { categoryOf, type HomePart, type Lot, type Thing } from '../model';
import { climateOf } from '../survey';

type Kept = Pick<Thing, 'needs' | 'category'>;
const needs = ({ needs: own, category }: Kept, need: 'chilled' | 'frozen'): boolean =>
	own.includes(need) || categoryOf(category).needs.includes(need);

/** Whether a thing is kept frozen, by its own needs or its kind's. */
export const keptFrozen = (thing: Kept): boolean => needs(thing, 'frozen');
/** Whether a thing is kept in the fridge, and not in the freezer. */
export const keptChilled = (thing: Kept): boolean =>
	!thing.needs.includes('frozen') && needs(thing, 'chilled');

/** Whether a place is in a freezer; the table is not. */
export const isColdPlace = (home: HomePart<'nooks'>, nookId: string | null): boolean => {
	const nook = nookId === null ? undefined : home.nooks[nookId];
	return !!nook && climateOf(nook) === 'frozen';
};

/** Whether a lot is frozen now: since a day that is known, or because it lies in a freezer. */
export const isFrozenLot = (home: HomePart<'nooks'>, { dates, nookId }: Lot): boolean =>
	dates.thawedOn === null && (dates.frozenOn !== null || isColdPlace(home, nookId));
