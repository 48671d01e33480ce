import { REGIONS, type HomeHead, type WeekStart } from '../core/model';

export const DATE_ORDER_WORDS: Readonly<Record<NonNullable<HomeHead['dateOrder']>, string>> = {
	dmy: 'day, month, year',
	mdy: 'month, day, year',
	ymd: 'year, month, day'
};
export const WEEK_START_WORDS: Readonly<Record<WeekStart, string>> = {
	monday: 'Monday',
	saturday: 'Saturday',
	sunday: 'Sunday'
};
/** Codes of the money of all regions, by letter. */
export const CURRENCIES: readonly string[] = [
	...new Set(REGIONS.map(({ currency }) => currency))
].sort();
