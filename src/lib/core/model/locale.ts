import { regionOf } from './customs';

/** Figures and dates of a home that has not said where it is. */
const USUAL = { figures: 'en', dates: 'en-GB' };
let now = USUAL;

/**
 * Says how figures and dates are written from now on: as in the region of the home that is open. One for the whole
 * program, since one home is on screen at a time and every text would have to be handed it otherwise.
 * `region` null or not known: as usual.
 */
export function writeAsIn(region: string | null): void {
	const known = regionOf(region);
	now = known ? { figures: known.locale, dates: known.locale } : USUAL;
}

/** Gives a formatter of the region at hand; made once for each, since making one takes a hundred times as long as using it. */
function cached<Format>(make: (locale: string) => Format, of: 'figures' | 'dates'): () => Format {
	const made = new Map<string, Format>();
	return () => {
		const locale = now[of];
		const known = made.get(locale);
		if (known) return known;
		const format = make(locale);
		made.set(locale, format);
		return format;
	};
}
/** @example numberFormat({ maximumFractionDigits: 0 })().format(1234) // '1,234'; in Germany '1.234' */
export const numberFormat = (options: Intl.NumberFormatOptions): (() => Intl.NumberFormat) =>
	cached((locale) => new Intl.NumberFormat(locale, options), 'figures');

/** The signs that a region writes in figures: its formats of money do not always go by them. */
export const figureSigns = cached((locale) => {
	const parts = new Intl.NumberFormat(locale).formatToParts(12_345.5);
	const signOf = (type: 'decimal' | 'group') =>
		parts.find((part) => part.type === type)?.value ?? '';
	return { decimal: signOf('decimal'), group: signOf('group') };
}, 'figures');

/** A format of days: ISO dates are read as UTC. @example dateFormat({ month: 'long' })().format(new Date('2027-03-31')) // 'March' */
export const dateFormat = (options: Intl.DateTimeFormatOptions): (() => Intl.DateTimeFormat) =>
	cached((locale) => new Intl.DateTimeFormat(locale, { timeZone: 'UTC', ...options }), 'dates');
