import { NUMBER_WORDS } from './intake-words';
import { addDays, calendarDate, daysBetween, lastDayOfMonth } from '../model';
import {
	fullYear,
	monthNumber,
	parsePrintedDate,
	partsOf,
	type DateOrder,
	type DateResult
} from './parse-date';

export interface DayContext {
	readonly order: DateOrder;
	/** ISO date. */
	readonly today: string;
	/** Whether it lies behind: opened, frozen or made, not a date until which something keeps. */
	readonly past: boolean;
}

/** A day without its year lies at most so far back. */
const MONTHS_BACK = 3;
/** A year of two digits after a month lies at most so many years from this one. */
const YEARS_AROUND = { back: 8, ahead: 15 };

const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const SPANS: Readonly<Record<string, number>> = {
	day: 1,
	week: 7,
	fortnight: 14,
	month: 30.44,
	year: 365.25
};
/** Days that people name without figures, as a pattern; the same words are read by `parseDay`. */
export const SPOKEN_DAY = String.raw`christmas(?: day| eve)?|new year(?:['’]?s)?(?: day| eve)?|today|tonight|yesterday|tomorrow|last night|this morning|(?:(?:last|this|next|on)\s+)?(?:mon|tues?|wed(?:nes)?|thur?s?|fri|sat(?:ur)?|sun)(?:day)?|(?:last|next)\s+(?:week|month|year)|(?:in\s+)?(?:\d+|an?|one|two|three|four|five|six|seven|eight|nine|ten|a couple of|a few)\s+(?:day|week|fortnight|month|year)s?(?:\s+ago|\s+time|\s+back|\s+old)?`;

const monthsBefore = (iso: string, months: number): string => {
	const [year = 0, month = 1, day = 1] = iso.split('-').map(Number);
	const index = year * 12 + month - 1 - months;
	const [y, m] = [Math.floor(index / 12), (index % 12) + 1];
	return calendarDate(y, m, day) ?? lastDayOfMonth(y, m);
};

const ok = (on: string, monthOnly = false): DateResult => ({ ok: true, on, monthOnly });

/** A day and month without a year: for what lies behind the last such day, else the nearest at most three months back. */
function withoutYear(
	day: number,
	month: number,
	text: string,
	{ today, past }: DayContext
): DateResult {
	const year = Number(today.slice(0, 4));
	const from = monthsBefore(today, MONTHS_BACK);
	const fits = (on: string) => (past ? on <= today : on >= from);
	const found = (
		past
			? [year, year - 1, year - 2, year - 3, year - 4]
			: [year - 1, year, year + 1, year + 2, year + 3, year + 4]
	)
		.flatMap((y) => calendarDate(y, month, day) ?? [])
		.find(fits);
	return found ? ok(found) : { ok: false, code: 'date-does-not-exist', text };
}

function monthAlone(month: number, { today, past }: DayContext): string {
	const year = Number(today.slice(0, 4));
	const from = monthsBefore(today, MONTHS_BACK);
	const years = past ? [year, year - 1] : [year - 1, year, year + 1];
	return (
		years.map((y) => lastDayOfMonth(y, month)).find((on) => (past ? on <= today : on >= from)) ??
		lastDayOfMonth(past ? year - 1 : year + 1, month)
	);
}

function weekday(word: string, lead: string, { today, past }: DayContext): string {
	const at = WEEKDAYS.indexOf(word.slice(0, 3));
	const now = new Date(`${today}T00:00:00Z`).getUTCDay();
	if (past || lead === 'last') {
		const since = (now - at + 7) % 7;
		return addDays(today, -(since || (lead === 'last' ? 7 : 0)));
	}
	const ahead = (at - now + 7) % 7;
	return addDays(today, lead === 'next' && ahead === 0 ? 7 : ahead);
}

function spoken(text: string, context: DayContext): DateResult | null {
	const { today, past } = context;
	if (/^(?:today|tonight|this morning)$/.test(text)) return ok(today);
	if (/^(?:yesterday|last night)$/.test(text)) return ok(addDays(today, -1));
	if (text === 'tomorrow') return ok(addDays(today, 1));
	const feast = /^(christmas|new year)/.exec(text);
	if (feast) {
		const isEve = text.endsWith('eve');
		if (feast[1] === 'christmas') return withoutYear(isEve ? 24 : 25, 12, text, context);
		return isEve ? withoutYear(31, 12, text, context) : withoutYear(1, 1, text, context);
	}
	const day = /^(?:(last|this|next|on)\s+)?((?:mon|tue|wed|thu|fri|sat|sun)[a-z]*)$/.exec(text);
	if (day) return ok(weekday(day[2]!, day[1] ?? '', context));
	const unit = /^(last|next)\s+(week|month|year)$/.exec(text);
	if (unit)
		return spoken(`1 ${unit[2]!}${unit[1] === 'last' ? ' ago' : ' time'}`, {
			...context,
			past: unit[1] === 'last'
		});
	const span =
		/^(in\s+)?(\d+|[a-z ]+?)\s+(day|week|fortnight|month|year)s?(\s+ago|\s+time|\s+back|\s+old)?$/.exec(
			text
		);
	if (!span) return null;
	const count = NUMBER_WORDS[span[2]!] ?? Number(span[2]);
	if (!Number.isFinite(count)) return null;
	const back = /ago|back|old/.test(span[4] ?? '') || (past && !span[1]);
	const sign = back ? -1 : 1;
	const months = { month: 1, year: 12 }[span[3]!];
	if (months && Number.isInteger(count)) return ok(monthsBefore(today, -sign * months * count));
	return ok(addDays(today, sign * Math.round(count * SPANS[span[3]!]!)));
}

/**
 * Reads a day as people write it: a printed date, one without its year (`28 Nov`, `28/11`), a month (`november`), a year
 * alone, or in words (`yesterday`, `last sunday`, `4 weeks ago`). A day and month without a year is the nearest that lies
 * at most three months back; for what lies behind, the last one.
 * @example parseDay('28/11', { order: 'dmy', today: '2026-03-02', past: false }) // on 2026-11-28
 */
export function parseDay(typed: string, context: DayContext): DateResult {
	const text = typed
		.trim()
		.toLowerCase()
		.replace(/\s+/g, ' ')
		.replace(/(\d)(?:st|nd|rd|th)\b/g, '$1')
		.replace(/\bof\b\s*/g, '');
	const said = spoken(text, context);
	if (said) return said;
	const end = /^(end|mid|early|late)\s+(.+)$/.exec(text);
	if (end) return parseDay(end[2]!, context);
	const { order, today, past } = context;
	const parts = partsOf(text);
	const named = parts.findIndex((part) => monthNumber(part) !== null);
	const numbers = parts.filter((_, i) => i !== named).map(Number);
	const thisYear = Number(today.slice(0, 4));
	const isYear = (n: number) => {
		const year = fullYear(n);
		return year >= thisYear - YEARS_AROUND.back && year <= thisYear + YEARS_AROUND.ahead;
	};
	if (named >= 0 && parts.length === 1)
		return ok(monthAlone(monthNumber(parts[0]!)!, context), true);
	if (parts.length === 1 && /^20\d\d$/.test(text)) return ok(`${text}-12-31`, true);
	if (named >= 0 && numbers.length === 1 && Number.isInteger(numbers[0])) {
		const [number] = numbers as [number];
		const month = monthNumber(parts[named]!)!;
		// `28 nov` is a day; `nov 26` a month with its year, unless days come second here, or it lies behind.
		const isDay =
			number >= 1 && number <= 31 && (named === 1 || order === 'mdy' || past || !isYear(number));
		if (isDay && !/\d{4}/.test(text)) return withoutYear(number, month, typed, context);
	}
	if (named < 0 && parts.length === 2 && numbers.every((n) => n >= 1 && n <= 31)) {
		const [a, b] = numbers as [number, number];
		const [day, month] = order === 'mdy' ? [b, a] : [a, b];
		const isDay = month <= 12 && day <= 31;
		const isMonthAndYear = a <= 12 && b > 12 && isYear(b);
		if (isDay && (!isMonthAndYear || past)) return withoutYear(day, month, typed, context);
		if (!isMonthAndYear && b <= 12 && a <= 31) return withoutYear(a, b, typed, context);
		if (!isMonthAndYear && a <= 12 && b <= 31 && !isYear(b))
			return withoutYear(b, a, typed, context);
	}
	const printed = parsePrintedDate(text, order);
	if (!printed.ok || !past || printed.on <= today || daysBetween(today, printed.on) > 31)
		return printed;
	return printed.monthOnly ? ok(today) : printed;
}
