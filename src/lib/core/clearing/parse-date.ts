import { calendarDate, lastDayOfMonth, type HomeHead } from '../model';

export type DateOrder = HomeHead['dateOrder'];
export type DateResult =
	| { readonly ok: true; readonly on: string; readonly monthOnly: boolean }
	| {
			readonly ok: false;
			readonly code: 'date-unreadable' | 'date-does-not-exist';
			readonly text: string;
	  }
	| {
			readonly ok: false;
			readonly code: 'date-ambiguous';
			readonly text: string;
			readonly readings: { readonly dmy: string; readonly mdy: string };
	  };

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** A month by name, for a pattern: three letters or the whole word. */
export const MONTH_WORD =
	'(?:jan(?:uary)?|feb(?:ruary)?|mar(?:ch)?|apr(?:il)?|may|june?|july?|aug(?:ust)?|sept?(?:ember)?|oct(?:ober)?|nov(?:ember)?|dec(?:ember)?)';
/** A year of two digits is one of this century. */
export const fullYear = (year: number) => (year < 100 ? 2000 + year : year);
const IS_MONTH = new RegExp(`^${MONTH_WORD}$`);
/** Number of a month by its name, 1 to 12; null: it is none. */
export const monthNumber = (part: string): number | null =>
	IS_MONTH.test(part) ? MONTHS.indexOf(part.slice(0, 3)) + 1 : null;
const isMonth = (part: string) => monthNumber(part) !== null;

/** Splits `31mar27`, `mar 31, 2027` or `31.03.27` into its parts. */
export const partsOf = (text: string) =>
	text
		.trim()
		.toLowerCase()
		.replace(/(\d)([a-z])/g, '$1 $2')
		.replace(/([a-z])(\d)/g, '$1 $2')
		.split(/[\s,./-]+/)
		.filter(Boolean);

/** Splits six or eight digits without signs between them, by the order that holds. */
function unpack(digits: string, order: DateOrder): string[] {
	const yearFirst =
		digits.length === 8 ? /^(19|20)\d\d(0[1-9]|1[0-2])/.test(digits) : order === 'ymd';
	const long = digits.length === 8 ? 4 : 2;
	const at = yearFirst ? [0, long, long + 2] : [0, 2, 4];
	return at.map((from, i) => digits.slice(from, at[i + 1] ?? digits.length));
}

/**
 * Reads a printed date: `2027-03-31`, `31/03/27`, `31 mar 2027`, `Mar 31, 2027`, `31MAR27`, `310327`, `03/27`,
 * `mar 27`, `2027-03`. A month alone means its last day. A date that two orders read differently is ambiguous until
 * the home's order is known.
 * @example parsePrintedDate('03/27', null) // { ok: true, on: '2027-03-31', monthOnly: true }
 */
export function parsePrintedDate(text: string, order: DateOrder): DateResult {
	const compact = /^\s*(\d{6}|\d{8})\s*$/.exec(text);
	const parts = compact ? unpack(compact[1]!, order) : partsOf(text);
	const named = parts.findIndex(isMonth);
	const numbers = parts.filter((_, i) => i !== named).map(Number);
	const readable =
		parts.length >= 2 && parts.length <= 3 && numbers.every((n) => Number.isInteger(n) && n >= 0);
	if (!readable) return { ok: false, code: 'date-unreadable', text };
	const day = (year: number, month: number, date: number): DateResult => {
		const on = calendarDate(fullYear(year), month, date);
		return on
			? { ok: true, on, monthOnly: false }
			: { ok: false, code: 'date-does-not-exist', text };
	};
	const month = (year: number, number: number): DateResult =>
		number >= 1 && number <= 12
			? { ok: true, on: lastDayOfMonth(fullYear(year), number), monthOnly: true }
			: { ok: false, code: 'date-does-not-exist', text };
	const [a = 0, b = 0, c = 0] = numbers;
	if (named >= 0) {
		const number = monthNumber(parts[named]!)!;
		if (numbers.length === 1) return month(a, number);
		return a > 31 ? day(a, number, b) : day(b, number, a);
	}
	if (parts.length === 2) return a > 12 ? month(a, b) : month(b, a);
	if (a > 31 || order === 'ymd') return day(a, b, c);
	if (order) return order === 'dmy' ? day(c, b, a) : day(c, a, b);
	const dmy = day(c, b, a);
	const mdy = day(c, a, b);
	if (dmy.ok && mdy.ok && dmy.on !== mdy.on)
		return { ok: false, code: 'date-ambiguous', text, readings: { dmy: dmy.on, mdy: mdy.on } };
	return dmy.ok ? dmy : mdy;
}
