import { parseDay, SPOKEN_DAY } from './parse-day';
import { MONTH_WORD, type DateOrder, type DateResult } from './parse-date';
import type { Rest } from './intake-rest';

/** What a date on the line is of. */
export const DATE_KINDS = [
	'use-by',
	'best-before',
	'opened',
	'frozen',
	'thawed',
	'made',
	'last-used'
] as const;
export type DateKind = (typeof DATE_KINDS)[number];

/** Where the dates of a lot other than the printed one stand. */
export const DATE_FIELDS = {
	opened: 'openedOn',
	frozen: 'frozenOn',
	thawed: 'thawedOn',
	made: 'madeOn',
	'last-used': 'lastUsedOn'
} as const;

export interface ReadDate {
	readonly on: string;
	readonly kind: DateKind;
	/** Stood without a word that says its kind: which it is should be easy to change. */
	readonly bare: boolean;
}
export type DateProblem = Exclude<DateResult, { ok: true }>;

const DAY = String.raw`\d{1,2}(?:st|nd|rd|th)?`;
const FIGURES = [
	String.raw`\d{4}[-./]\d{1,2}(?:[-./]\d{1,2})?`,
	String.raw`\d{1,2}\s?[-./]\s?\d{1,2}\s?[-./]\s?(?:\d{4}|\d{2})`,
	String.raw`\d{1,2}\s\d{1,2}\s(?:20\d\d|\d{2})`,
	String.raw`(?:end |mid |early |late )?(?:of )?(?:${DAY})[\s.-]?(?:of )?${MONTH_WORD}\.?(?:[\s.,'’/-]*(?:20\d{2}|\d{2}))?`,
	String.raw`(?:end |mid |early |late )?(?:of )?${MONTH_WORD}\.?[\s.-]*${DAY},?\s+(?:20)\d{2}`,
	String.raw`(?:end |mid |early |late )?(?:of )?${MONTH_WORD}\.?[\s./'’-]*(?:20\d{2}|${DAY})`,
	String.raw`\d{1,2}\s?[-./]\s?(?:\d{4}|\d{1,2})`,
	String.raw`\d{8}|\d{6}`,
	String.raw`20[12]\d`
].join('|');
/** Forms that only a word before them makes a date. */
const WITH_WORD = [
	FIGURES,
	SPOKEN_DAY,
	String.raw`(?:end |mid |early |late )?(?:of )?${MONTH_WORD}`,
	String.raw`(?:end )?(?:of )?20\d\d`,
	String.raw`\d{1,2} \d{2}`
].join('|');

const WORDS: readonly (readonly [string, DateKind])[] = [
	[String.raw`use[ -]by(?: date)?|ub|eat by|consume by`, 'use-by'],
	[
		String.raw`best[ -]?before(?: end)?|best by|bbe?d?|b/b|b\.b\.?|exp(?:iry|ires|ired|iration)?\.?(?: date)?(?: on)?|good (?:until|till|to)|sell by|display until|until|till|date`,
		'best-before'
	],
	[String.raw`open(?:ed)?(?: on| since| in)?|op`, 'opened'],
	[String.raw`(?:home[ -])?froze(?:n)?(?: on| since| in)?|fz|in the freezer since`, 'frozen'],
	[String.raw`thawed(?: on| since)?|defrosted(?: on)?`, 'thawed'],
	[
		String.raw`(?:home[ -]?)?made(?: on)?|cooked(?: on)?|baked(?: on)?|prepared(?: on)?|bottled(?: on)?|jarred(?: on)?|boiled(?: on)?|roasted(?: on)?|leftover from|from|since`,
		'made'
	],
	[String.raw`(?:last )?used(?: on)?`, 'last-used']
];
const AHEAD: ReadonlySet<DateKind> = new Set(['use-by', 'best-before']);
const EDGE = String.raw`(?<![\p{L}\d-])`;
const PATTERNS = WORDS.map(([words, kind]) => ({
	kind,
	pattern: new RegExp(
		String.raw`${EDGE}(?:${words}):?\s*(?<=[\s:.])(${WITH_WORD})(?![\p{L}\d/])`,
		'iu'
	),
	/** A date word with something that has a figure and is no date. */
	slip: new RegExp(String.raw`${EDGE}(?:${words}):?\s+(\S*\d\S*)`, 'iu')
}));
/** Words of days after which it is said what they are of: `4 weeks ago opened` is not written, `12 jan frozen` is. */
const AFTER: readonly (readonly [RegExp, DateKind])[] = [
	[new RegExp(String.raw`${EDGE}(${FIGURES}|${SPOKEN_DAY})\s+(?:opened)(?!\p{L})`, 'iu'), 'opened'],
	[new RegExp(String.raw`${EDGE}(${FIGURES}|${SPOKEN_DAY})\s+(?:frozen)(?!\p{L})`, 'iu'), 'frozen']
];
/**
 * A date without a word. A slash or a dot between two small figures is one only where no fraction can stand: not at the
 * front of the line, and not before a measure.
 */
const BARE = new RegExp(
	String.raw`(?<![\p{L}\d.,/-])(${FIGURES})(?![\p{L}\d/-]|[.,]\d|\s?(?:%|["”″]|(?:kg|g|mg|ml|cl|l|oz|lb|cm|mm|inch(?:es)?|cups?|pints?)(?!\p{L})))`,
	'iu'
);
const SPOKEN_BARE = new RegExp(
	String.raw`${EDGE}(yesterday(?:['’]s)?|today(?:['’]s)?|last night(?:['’]s)?|this morning|last (?:week|mon|tues|wednes|thurs|fri|satur|sun)(?:day)?|\d+ (?:day|week|month)s? (?:ago|old))(?![\p{L}\d])`,
	'iu'
);
/** Looks like a date and has figures that no date has. */
const BARE_SLIP =
	/(?<![\p{L}\d.,/-])(\d{1,4}[/.-]\d{1,2}[/.-]\d{1,4}|\d{1,2}\/\d{1,4})(?![\p{L}\d/-])/u;
const FRACTION = /^\s*(?:\d\s+)?[1-9]\s?\/\s?[2-9](?=\s+\p{L})/u;

/**
 * Takes every date off a line. A figure without a word is taken for a best before and marked as such; what looks like a
 * date and is none is given as a problem, and does not stay in the name.
 */
export function takeDates(
	rest: Rest,
	order: DateOrder,
	today: string
): { dates: readonly ReadDate[]; problems: readonly DateProblem[] } {
	const dates: ReadDate[] = [];
	const problems: DateProblem[] = [];
	const add = (text: string, kind: DateKind, bare: boolean) => {
		const date = parseDay(text, { order, today, past: !AHEAD.has(kind) });
		if (date.ok) dates.push({ on: date.on, kind, bare });
		else problems.push(date);
	};
	for (const { kind, pattern } of PATTERNS) {
		const found = rest.take(pattern, 'date');
		if (found) add(found[1]!, kind, false);
	}
	if (!dates.length && !problems.length)
		for (const [pattern, kind] of AFTER) {
			const found = rest.take(pattern, 'date');
			if (found) add(found[1]!, kind, false);
		}
	if (!dates.length && !problems.length)
		for (const { kind, slip } of PATTERNS) {
			const found = AHEAD.has(kind) ? rest.take(slip, 'date') : null;
			if (found) add(found[1]!, kind, false);
		}
	const isPrinted = dates.some(({ kind }) => AHEAD.has(kind)) || problems.length > 0;
	if (!isPrinted) takeBare(rest, order, today, add);
	return { dates, problems };
}

/**
 * Whether figures that could be a day stand for something else: a decimal, or the month that is also a word, with more
 * to come after it.
 */
const isOtherThanDate = (text: string, after: string): boolean =>
	/^(?:\d{1,2}\.\d{1,2}|\d{1,2} ?(?:may|mar|march))$/i.test(text.trim()) &&
	/^\s*\p{L}/u.test(after);

function takeBare(
	rest: Rest,
	order: DateOrder,
	today: string,
	add: (text: string, kind: DateKind, bare: boolean) => void
): void {
	const spoken = rest.take(SPOKEN_BARE, 'date');
	if (spoken) return add(spoken[1]!.replace(/['’]s$/, ''), 'made', true);
	const front = FRACTION.exec(rest.text);
	const at = front ? front.index + front[0].length : 0;
	const hidden = ' '.repeat(at) + rest.text.slice(at);
	const bare = BARE.exec(hidden);
	const found =
		bare && !isOtherThanDate(bare[1]!, hidden.slice(bare.index + bare[0].length)) ? bare : null;
	const date = found && parseDay(found[1]!, { order, today, past: false });
	if (found && (date?.ok || date?.code === 'date-ambiguous' || !/^\d+$/.test(found[1]!))) {
		rest.cut(found.index, found[0], 'date');
		return add(found[1]!, 'best-before', true);
	}
	const slip = BARE_SLIP.exec(hidden);
	if (slip) {
		rest.cut(slip.index, slip[0], 'date');
		add(slip[1]!, 'best-before', true);
	}
}
