import { isDraft } from 'immer';
import { addDays, type Lot, type Thing } from '../model';
import { keptChilled } from './cold';
import { lifeOf, UNDATED_OPEN_DAYS } from './life';

export interface EffectiveDate {
	/** ISO date, the last good day. */
	readonly on: string;
	readonly basis: 'printed' | 'opened' | 'thawed' | 'frozen' | 'made';
	/** Days of life that were added to the basis; null for a printed date. */
	readonly lifeDays: number | null;
}

/** Days that thawed goods keep in a fridge when the table has no row (public food-safety guidance). */
const THAWED_DAYS = 1;

function computeDate(lot: Lot, thing: Thing): EffectiveDate | null {
	const { printed, openedOn, frozenOn, thawedOn, madeOn } = lot.dates;
	const life = lifeOf(thing);
	const found: EffectiveDate[] = [];
	const add = (
		from: string | null,
		days: number | null | undefined,
		basis: EffectiveDate['basis']
	) => {
		if (from && days != null)
			found.push({ on: addDays(from, Math.floor(days - lot.lostDays)), basis, lifeDays: days });
	};
	const isFrozen = frozenOn !== null && thawedOn === null;
	const chilled = keptChilled(thing);
	if (printed && !isFrozen) {
		// The date on the pack counts on the cold chain.
		const lost = chilled ? Math.ceil(lot.lostDays) : 0;
		found.push({ on: addDays(printed.on, -lost), basis: 'printed', lifeDays: null });
	}
	if (!isFrozen) {
		const openedDays = chilled ? life?.fridgeDays : (life?.openedDays ?? life?.fridgeDays);
		add(openedOn, openedDays, 'opened');
		add(madeOn, chilled ? life?.fridgeDays : life?.cupboardDays, 'made');
		add(thawedOn, Math.min(life?.fridgeDays ?? THAWED_DAYS, 2), 'thawed');
	}
	if (isFrozen) add(frozenOn, life?.freezerDays, 'frozen');
	return found.reduce<EffectiveDate | null>(
		(first, date) => (!first || date.on < first.on ? date : first),
		null
	);
}

// Lots are never changed in place, so an answer holds as long as the lot and its thing are the same.
const known = new WeakMap<Lot, { thing: Thing; date: EffectiveDate | null }>();

/**
 * Gives the date a lot should be used by: the earliest of the printed date, opening, making or thawing + life,
 * and freezing + frozen life. While frozen, the printed date sleeps: the cold holds it. Warm spells of
 * its fridge or freezer shorten its life. Ties go to the
 * printed date. Null when nothing is known.
 * @example effectiveDate(openKetchup, ketchup) // { on: '2027-06-30', basis: 'opened', lifeDays: 180 }
 */
export function effectiveDate(lot: Lot, thing: Thing): EffectiveDate | null {
	if (isDraft(lot) || isDraft(thing)) return computeDate(lot, thing);
	const found = known.get(lot);
	if (found?.thing === thing) return found.date;
	const date = computeDate(lot, thing);
	known.set(lot, { thing, date });
	return date;
}

/** Days that a thing usually keeps once opened, where it is kept; null: not known, or no limit. */
export function openLifeDays(
	thing: Pick<Thing, 'name' | 'needs' | 'lifeKey' | 'category'>
): number | null {
	const life = lifeOf(thing);
	return (keptChilled(thing) ? life?.fridgeDays : (life?.openedDays ?? life?.fridgeDays)) ?? null;
}

/**
 * Whether a lot is open, or part of a pack, and nobody has said since when, though it keeps for days or weeks only: it is
 * used first until somebody does.
 */
export function isUndatedOpen(lot: Lot, thing: Thing): boolean {
	const { openedOn, madeOn, frozenOn, thawedOn } = lot.dates;
	if (openedOn || madeOn || thawedOn || frozenOn || !thing.category.startsWith('food.'))
		return false;
	const isPart = lot.unit === 'pack' && lot.count < 1;
	if (!isPart && !lot.states.includes('open') && !lot.states.includes('part-used')) return false;
	const days = openLifeDays(thing);
	return days !== null && days <= UNDATED_OPEN_DAYS;
}
