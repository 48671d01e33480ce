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
const fullYear = (year: number) => (year < 100 ? 2000 + year : year);

/**
 * Reads a printed date: `2027-03-31`, `31/03/27`, `31 mar 2027`, `03/27`, `mar 27`.
 * A month alone means its last day. A date that two orders read differently is ambiguous until
 * the home's order is known.
 * @example parsePrintedDate('03/27', null) // { ok: true, on: '2027-03-31', monthOnly: true }
 */
export function parsePrintedDate(text: string, order: DateOrder): DateResult {
	const parts = text
		.trim()
		.toLowerCase()
		.split(/[\s./-]+/)
		.filter(Boolean);
	const named = parts.findIndex(
		(part) => MONTHS.includes(part.slice(0, 3)) && /^[a-z]+$/.test(part)
	);
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
		const number = MONTHS.indexOf(parts[named]!.slice(0, 3)) + 1;
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
