import type { Lot, Thing } from '../model';
import type { EffectiveDate } from './effective-date';

/** A life of so few days, once opened or thawed, is a matter of safety; a longer one is of quality. */
export const SHORT_LIFE_DAYS = 14;

/**
 * Whether a date is one of safety: a use-by date, a medicine's, a short life once opened, made or thawed. Past it goods
 * go; past any other date they are looked at.
 */
export const isSafetyDate = (
	lot: Lot,
	thing: Pick<Thing, 'hazards'>,
	date: EffectiveDate
): boolean =>
	thing.hazards.includes('medicine') ||
	(date.basis === 'printed'
		? lot.dates.printed?.kind === 'use-by'
		: date.basis !== 'frozen' && (date.lifeDays ?? Infinity) <= SHORT_LIFE_DAYS);
