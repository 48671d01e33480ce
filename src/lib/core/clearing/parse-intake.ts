import {
	categoryFromName,
	quantityUnit,
	QUANTITY_UNITS,
	QUANTITY_UNIT_WORDS,
	type LotState,
	type Quantity
} from '../model';
import { COUNT_WORDS, NUMBER_WORDS, STATE_WORDS } from './intake-words';
import { MONTH_WORD, parsePrintedDate, type DateOrder, type DateResult } from './parse-date';

export interface IntakeLine {
	readonly count: number;
	/** The word that was counted, `tins`; empty when none was typed. */
	readonly countWord: string;
	readonly name: string;
	readonly size: Quantity | null;
	readonly printed: { readonly on: string; readonly kind: 'use-by' | 'best-before' } | null;
	readonly openedOn: string | null;
	readonly frozenOn: string | null;
	readonly thawedOn: string | null;
	readonly lastUsedOn: string | null;
	readonly states: readonly LotState[];
	/** Whose it is; empty: the household's. */
	readonly owner: string;
	/** The place as it was typed after `@`; empty: the place at hand. */
	readonly place: string;
	readonly batch: string;
	/** Price of one, minor units. */
	readonly priceMinor: number | null;
	/** Code of the category its name falls in; null when no word is known. */
	readonly category: string | null;
}
export type IntakeIssue =
	| { readonly code: 'intake-empty' }
	| { readonly code: 'intake-no-name'; readonly text: string }
	| { readonly code: 'intake-count'; readonly text: string }
	| { readonly code: 'intake-size'; readonly text: string }
	| { readonly code: 'intake-price'; readonly text: string }
	| { readonly code: 'place-unknown'; readonly text: string }
	| { readonly code: 'place-ambiguous'; readonly text: string; readonly names: readonly string[] }
	| Exclude<DateResult, { ok: true }>;
export interface IntakeResult {
	readonly line: IntakeLine;
	readonly issues: readonly IntakeIssue[];
}

const DATE = [
	String.raw`\d{4}[-./]\d{1,2}(?:[-./]\d{1,2})?`,
	String.raw`\d{1,2}[-./\s]\d{1,2}[-./\s]\d{2,4}`,
	String.raw`\d{1,2}[\s.-]?${MONTH_WORD}[\s.,-]*\d{2,4}`,
	String.raw`${MONTH_WORD}[\s.-]*\d{1,2},?\s+\d{4}`,
	String.raw`${MONTH_WORD}[\s./-]*\d{2,4}`,
	String.raw`\d{1,2}[-./]\d{2,4}`,
	String.raw`\d{8}|\d{6}`
].join('|');
type DateField = 'use-by' | 'best-before' | 'openedOn' | 'frozenOn' | 'thawedOn' | 'lastUsedOn';
const DATE_WORDS: readonly (readonly [string, DateField])[] = [
	[String.raw`use[ -]by|ub`, 'use-by'],
	[String.raw`best before(?: end)?|bbe?|exp(?:iry|ires)?`, 'best-before'],
	[String.raw`open(?:ed)?(?: on)?`, 'openedOn'],
	[String.raw`frozen(?: on)?|fz`, 'frozenOn'],
	[String.raw`thawed(?: on)?`, 'thawedOn'],
	[String.raw`(?:last )?used(?: on)?`, 'lastUsedOn']
];
const DATE_PATTERNS = DATE_WORDS.map(
	([words, field]) =>
		[
			new RegExp(String.raw`(?<![\w-])(?:${words}):?\s+(${DATE})(?![\w/])`, 'i'),
			// A date word with something that has a digit and is no date.
			new RegExp(String.raw`(?<![\w-])(?:${words}):?\s+(\S*\d\S*)`, 'i'),
			field
		] as const
);
/**
 * A date without a word before it, in a form that nothing else has: with its year in four digits, of three parts, by the
 * month's name, or as a month of two digits with the year. What is on a pack without a word is its best before.
 */
const BARE_DATE = new RegExp(
	String.raw`(?<![\w.,/-])(${[
		String.raw`\d{4}[-./]\d{1,2}(?:[-./]\d{1,2})?`,
		String.raw`\d{1,2}[-./]\d{1,2}[-./](?:\d{4}|\d{2})`,
		String.raw`\d{1,2}[\s.-]?${MONTH_WORD}[\s.,-]*(?:\d{4}|\d{2})`,
		String.raw`${MONTH_WORD}[\s./-]*\d{4}`,
		String.raw`(?:0[1-9]|1[0-2])(?:/(?:20[2-9]\d|[2-9]\d)|\.20[2-9]\d)`,
		String.raw`[1-9]/20[2-9]\d`
	].join('|')})(?![\w/.-]*\w)`,
	'i'
);
const SIZE = new RegExp(
	String.raw`(?<![\w.,])(\d+(?:[.,]\d+)?)\s*(${QUANTITY_UNIT_WORDS})(?![\w])`,
	'i'
);
/** What was meant as a size and is none: `400gg`, `1.2.3kg`, `0 g`. */
const SIZE_SLIP = /(?<!\w)\d+(?:[.,]\d+)*(?:kg|g|ml|cl|l|oz|lb)[a-z]{0,2}(?!\w)/i;
const MOST_SIZE = 1_000_000;
const TIMES = new RegExp(
	String.raw`(?<![\w.,])(\d+)\s*[x×]\s*(?=\d+(?:[.,]\d+)?\s*(?:${QUANTITY_UNIT_WORDS})(?!\w))`,
	'i'
);
const COUNT = /^(-?\d+(?:[.,]\d+)?)(?:\s*[x×](?=\s))?(?=\s|$)/;
const NUMBER_WORD = new RegExp(String.raw`^(?:${Object.keys(NUMBER_WORDS).join('|')})(?=\s)`, 'i');
const MAX_COUNT = 10_000;
const OWNER = /(?<![\w-])(?:owner|belongs to)[: ]\s*(?:"([^"]*)"|(\S+))/i;
const PLACE = /(?<!\S)@\s*(?:"([^"]*)"|(\S+))/;
const BATCH = /(?<![\w-])batch[: ]\s*(\S+)/i;
const PRICE = /(?<![\w-])price[: ]\s*(\S+)/i;

const toNumber = (text: string) => Number(text.replace(',', '.'));

/** Takes patterns out of a text one after the other; what is left is the name. */
class Rest {
	text: string;
	constructor(text: string) {
		this.text = ` ${text.trim().replace(/\s+/g, ' ')} `;
	}
	take(pattern: RegExp): RegExpExecArray | null {
		const found = pattern.exec(this.text);
		if (found) {
			const end = found.index + found[0].length;
			this.text = `${this.text.slice(0, found.index)} ${this.text.slice(end)}`;
		}
		return found;
	}
	trim(): void {
		this.text = this.text.trim();
	}
}

function takeDates(rest: Rest, order: DateOrder, issues: IntakeIssue[]) {
	const dates: Partial<Record<DateField, string>> = {};
	for (const [pattern, slip, field] of DATE_PATTERNS) {
		const found = rest.take(pattern);
		const date = found
			? parsePrintedDate(found[1]!, order)
			: ((bad) => bad && parsePrintedDate(bad[1]!, order))(rest.take(slip));
		if (date?.ok) dates[field] = date.on;
		else if (date) issues.push(date);
	}
	if (dates['use-by'] || dates['best-before'] || issues.length) return dates;
	const bare = rest.take(BARE_DATE);
	const date = bare && parsePrintedDate(bare[1]!, order);
	if (date?.ok) dates['best-before'] = date.on;
	else if (date) issues.push(date);
	return dates;
}

function takeSize(
	rest: Rest,
	issues: IntakeIssue[]
): { size: Quantity | null; times: number | null } {
	const times = rest.take(TIMES);
	const found = rest.take(SIZE);
	const [scale, unit] = QUANTITY_UNITS[found ? quantityUnit(found[2]!) : 'g']!;
	const value = found ? Math.round(toNumber(found[1]!) * scale) : 0;
	if (found && (value <= 0 || value > MOST_SIZE))
		issues.push({ code: 'intake-size', text: found[0].trim() });
	const slip = found ? null : rest.take(SIZE_SLIP);
	if (slip) issues.push({ code: 'intake-size', text: slip[0].trim() });
	const good = found && value > 0 && value <= MOST_SIZE;
	return { size: good ? { value, unit } : null, times: times ? Number(times[1]) : null };
}

function takeCount(rest: Rest, issues: IntakeIssue[]): number {
	rest.trim();
	const word = rest.take(NUMBER_WORD);
	if (word) return NUMBER_WORDS[word[0].toLowerCase()]!;
	const found = rest.take(COUNT);
	const count = found ? toNumber(found[1]!) : 1;
	if (!(count > 0) || count > MAX_COUNT)
		issues.push({ code: 'intake-count', text: found?.[1] ?? '' });
	return count;
}

function takePrice(rest: Rest, issues: IntakeIssue[]): number | null {
	const found = rest.take(PRICE);
	if (!found) return null;
	const digits = found[1]!.replace(/^[^\d]+/, '');
	const minor = digits ? Math.round(toNumber(digits) * 100) : NaN;
	if (Number.isFinite(minor) && minor >= 0) return minor;
	issues.push({ code: 'intake-price', text: found[1]! });
	return null;
}

/**
 * Reads one line of the entry line into a count, a name, a size, dates, states, owner, place, batch and price; what
 * is left over is the name. A date without a word is a best before. Nothing throws: what could not be read stands in `issues`, with the rest still understood.
 * @example parseIntake('3 tins chopped tomatoes 400g bb 03/27 dent', 'dmy').line.name // 'chopped tomatoes'
 */
export function parseIntake(text: string, order: DateOrder): IntakeResult {
	const issues: IntakeIssue[] = [];
	const rest = new Rest(text);
	const place = rest.take(PLACE);
	const owner = rest.take(OWNER);
	const batch = rest.take(BATCH);
	const priceMinor = takePrice(rest, issues);
	const dates = takeDates(rest, order, issues);
	const { size, times } = takeSize(rest, issues);
	const states: LotState[] = STATE_WORDS.filter(({ pattern }) => rest.take(pattern)).map(
		({ state }) => state
	);
	const imply = (on: string | undefined, state: LotState) => {
		if (on && !states.includes(state)) states.push(state);
	};
	imply(dates.openedOn, 'open');
	imply(dates.thawedOn, 'thawed');
	imply(dates.frozenOn, 'frozen');
	const count = times ?? takeCount(rest, issues);
	const words = rest.text.trim().split(/\s+/).filter(Boolean);
	const hasCountWord = words.length > 1 && COUNT_WORDS.test(words[0]!);
	const countWord = hasCountWord ? words.shift()! : '';
	if (words[0]?.toLowerCase() === 'of') words.shift();
	const name = words
		.join(' ')
		.replace(/^[,;]+|[,;]+$/g, '')
		.trim();
	if (!text.trim()) issues.push({ code: 'intake-empty' });
	else if (!name) issues.push({ code: 'intake-no-name', text });
	const printed = dates['use-by']
		? { on: dates['use-by'], kind: 'use-by' as const }
		: dates['best-before']
			? { on: dates['best-before'], kind: 'best-before' as const }
			: null;
	return {
		line: {
			count,
			countWord,
			name,
			size,
			printed,
			openedOn: dates.openedOn ?? null,
			frozenOn: dates.frozenOn ?? null,
			thawedOn: dates.thawedOn ?? null,
			lastUsedOn: dates.lastUsedOn ?? null,
			states,
			owner: (owner?.[1] ?? owner?.[2] ?? '').trim(),
			place: (place?.[1] ?? place?.[2] ?? '').trim(),
			batch: batch?.[1] ?? '',
			priceMinor,
			category: categoryFromName(hasCountWord ? `${countWord} ${name}` : name)?.code ?? null
		},
		issues
	};
}
