import { isKnownName, kindOf, type Kind, type Readings } from '../kinds';
import type { LotState, Quantity } from '../model';
import { isOfName, MAX_COUNT, takeCount, takeSize, type ReadCount } from './intake-counts';
import { takeDates, type DateKind, type DateProblem, type ReadDate } from './intake-dates';
import { Rest, type Reading } from './intake-rest';
import { COUNT_WORDS, PIECE_WORDS, SAYS_NOTHING, STATE_WORDS } from './intake-words';
import { usualCount } from './pack-counts';
import type { DateOrder } from './parse-date';

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
	/** Cooked, baked or put up at home. */
	readonly madeOn: string | null;
	readonly lastUsedOn: string | null;
	readonly states: readonly LotState[];
	/** Whose it is; empty: the household's. */
	readonly owner: string;
	/** The place as it was typed after `@`; empty: the place at hand. */
	readonly place: string;
	readonly batch: string;
	/** Price of one, minor units. */
	readonly priceMinor: number | null;
	/** Code of the category that its name surely is of; null: of unknown kind, until somebody says. */
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
	| DateProblem;
export interface IntakeResult {
	readonly line: IntakeLine;
	readonly issues: readonly IntakeIssue[];
	/** What its kind was taken for, and how surely. */
	readonly kind: Kind;
	/** Every part that was understood, as it was typed. */
	readonly readings: readonly Reading[];
	/** Words that were not understood; they are in no other part. */
	readonly unread: readonly string[];
	/** Dates as they were read; a bare one may be of another kind. */
	readonly dates: readonly ReadDate[];
}
export interface IntakeContext {
	readonly order: DateOrder;
	/** ISO date: a day without its year is read from it. */
	readonly today: string;
	/** Kinds that the home was told. */
	readonly readings?: Readings;
}

const OWNER =
	/(?<![\p{L}\d-])(?:owner|belongs to|borrowed from|owned by)[: ]\s*(?:"([^"]*)"|(\S+))/iu;
const PLACE = /(?<!\S)@\s*(?:"([^"]*)"|(\S+))/;
const BATCH = /(?<![\p{L}\d-])(?:batch|lot no\.?)[: ]\s*(\S+)/iu;
const PRICE = /(?<![\p{L}\d-])price[: ]\s*(\S+)/iu;

function takePrice(rest: Rest, issues: IntakeIssue[]): number | null {
	const found = rest.take(PRICE, 'price');
	if (!found) return null;
	const digits = found[1]!.replace(/^[^\d]+/, '');
	const minor = digits ? Math.round(Number(digits.replace(',', '.')) * 100) : NaN;
	if (Number.isFinite(minor) && minor >= 0) return minor;
	issues.push({ code: 'intake-price', text: found[1]! });
	return null;
}

/** Whether a word of condition stands before a name: frozen peas are called so, and their kind says the rest. */
const isPartOfName = (rest: Rest, at: number, state: LotState, found: string): boolean =>
	state === 'frozen' &&
	/^\s*frozen$/i.test(found) &&
	!/\p{L}/u.test(rest.text.slice(0, at).replace(COUNTS_BEFORE, '')) &&
	/^\s+\p{L}/u.test(rest.text.slice(at + found.length));
const AGAINST =
	/^[ -]*(?:remov(?:er|al)|repellent|killer|treatment|converter|protector|protection|inhibitor|guard|spray|stick|pen|wipes?|traps?|away|filler|cleaner|paste|proofer)(?!\p{L})/iu;
const COUNTS_BEFORE =
	/(?<!\p{L})(?:tins?|cans?|packs?|packets?|bags?|boxes|box|tubs?|portions?|pieces?|trays?|of|an?|half|two|three|four|five|six|dozen|some|x)(?!\p{L})/giu;

function takeStates(rest: Rest): LotState[] {
	const states: LotState[] = [];
	for (const { state, pattern } of STATE_WORDS) {
		const found = rest.find(pattern);
		if (!found || isPartOfName(rest, found.index, state, found[0])) continue;
		// A stain remover has no stains, and what is against rust is not rusty.
		if (AGAINST.test(rest.text.slice(found.index + found[0].length))) continue;
		// A line that would be left without a word names what it speaks of.
		const left = rest.text.slice(0, found.index) + rest.text.slice(found.index + found[0].length);
		if (!/\p{L}{2}/u.test(left)) continue;
		rest.cut(found.index, found[0], 'state');
		states.push(state);
	}
	return states;
}

/** Packs that stand before no tool of their name, as in `jar labels`. */
const BOXED = /^(?:box|pack|packet|pkt|tub|carton|multipack)$/i;
/** What a drink is drunk from is a thing, not a pack of it. */
const VESSEL = /^(?:mugs?|glass|glasses|cups?)$/i;
const DRUNK_FROM = /(?:beer|wine|coffee|tea|espresso|latte|water|juice|gin|shot|milk|schnapps)$/i;
/** Takes the word that is counted, `tins of`, when it is not part of the name, as in `tin opener`. */
function takeCountWord(rest: Rest, { typed: isCounted, value }: ReadCount): string {
	const words = rest.words;
	const [word, next] = words;
	if (words.length < 2 || !COUNT_WORDS.test(word!)) return '';
	// Cups and saucers are two things, and no saucers by the cup.
	if (/^(?:and|&|with)$/i.test(next!)) return '';
	const isOf = next!.toLowerCase() === 'of';
	const isPlural = /s$/i.test(word!);
	if (!isOf && !(isCounted && isPlural)) {
		const whole = kindOf(words.join(' '));
		const area = whole.category?.split('.')[0];
		// A box of dishwasher tablets: what it holds has a name, and the whole has none.
		if (
			BOXED.test(word!) &&
			isKnownName(words.slice(1).join(' ')) &&
			!isKnownName(words.join(' '))
		) {
			rest.take(/\S+/, 'word');
			return word!;
		}
		if (whole.sure && area !== 'food') return '';
		if (isCounted && !isPlural && value > 1) return '';
		// A bottle capper: nothing that is known comes in a bottle.
		if (!isCounted && !kindOf(words.slice(1).join(' ')).sure) return '';
	}
	rest.take(/\S+/, 'word');
	return word!;
}

const TRIM = /^[\s,;:.!()&+–-]+|[\s,;:!(&+–-]+$|(?<!\p{L}\.\p{L})\.$/gu;
const LOOSE_END = /(?:\s+(?:and|but|with|also|plus|or))+$/i;
const ARTICLES = /^(?:of|some|the|a|an)\s+/i;

/** Reads the name from what is left; words without a letter are not understood. */
function takeName(rest: Rest): { name: string; unread: string[] } {
	const kept: string[] = [];
	const unread: string[] = [];
	for (const word of rest.words) {
		const before = kept.at(-1) ?? '';
		const isNamedBy =
			/^(?:size|no\.?|number|type|factor|spf|stage|step|vitamin|b|omega|grade)$/i.test(before);
		if (/\p{L}/u.test(word) || (isNamedBy && /^\d+(?:[.,]\d+)?$/.test(word))) kept.push(word);
		else if (/^[,;:.!?&+()–-]+$/.test(word)) continue;
		else unread.push(word);
	}
	const whole = kept
		.map((word) => word.replace(/^[,;:(]+|[,;:)]+$/g, ''))
		.filter(Boolean)
		.join(' ')
		.replace(TRIM, '');
	const named = whole.replace(ARTICLES, '').trim();
	if (named !== whole)
		rest.readings.push({ field: 'note', text: whole.slice(0, -named.length).trim() });
	// What stood between two states is left behind the name: `pears dented and rusty`.
	const name = named.replace(LOOSE_END, '');
	if (name !== named) rest.readings.push({ field: 'note', text: named.slice(name.length).trim() });
	return { name, unread };
}

const SIZED_PACK =
	/^(?:large|small|big|mini|little|medium|family|full|new|old)\s+(\S+)\s+of\s+(.+)$/i;

const DOSES = /^(?:tablets?|tabs|capsules?|caps|pills?)$/i;
/** Takes a pack off a name that it stands before or behind: `large tub of margarine`, `basmati rice bag`. */
function splitPack(
	name: string,
	countWord: string
): { name: string; packWord: string; text: string } {
	const none = { name, packWord: '', text: '' };
	if (countWord) return none;
	const sized = SIZED_PACK.exec(name);
	if (sized && COUNT_WORDS.test(sized[1]!))
		return { name: sized[2]!, packWord: sized[1]!, text: name.slice(0, -sized[2]!.length).trim() };
	const [, inside = '', word = ''] = /^(.+?)(?:\s+in(?:\s+an?)?)?\s(\S+)$/.exec(name) ?? [];
	if (!COUNT_WORDS.test(word) || isOfName(`${inside} `, word)) return none;
	if (VESSEL.test(word) && DRUNK_FROM.test(inside)) return none;
	// Frozen bread rolls are rolls: what the name ends in has a name of its own.
	const ends = name.split(' ').map((_, from, all) => all.slice(from).join(' '));
	if (ends.some((end) => end.includes(' ') && isKnownName(end))) return none;
	const kind = kindOf(inside);
	const isFood = kind.sure && !!kind.category?.startsWith('food.');
	// Heart pills are no heart.
	if (DOSES.test(word) && isFood) return none;
	return isFood || isKnownName(inside) ? { name: inside, packWord: word, text: word } : none;
}

const PART_BEHIND = new RegExp(
	String.raw`^(.*\p{L}.*?)[\s,]+((?:half|1\s?/\s?[234]|[23]\s?/\s?[34]|[½¼¾⅓⅔])(?:\s+(?:of\s+)?an?)?)\s*(${PIECE_WORDS})\s*$`,
	'iu'
);
/** Puts what part of a pack there is in front of the name: `jam 1/2 jar` is no jam of the first of February. */
const partFirst = (text: string): string => text.replace(PART_BEHIND, '$2 $3 $1');

const lastOf = (dates: readonly ReadDate[], kind: DateKind): string | null =>
	dates.find((date) => date.kind === kind)?.on ?? null;

function printedOf(dates: readonly ReadDate[]): IntakeLine['printed'] {
	const useBy = lastOf(dates, 'use-by');
	if (useBy) return { on: useBy, kind: 'use-by' };
	const bestBefore = lastOf(dates, 'best-before');
	return bestBefore ? { on: bestBefore, kind: 'best-before' } : null;
}

/**
 * Reads one line of the entry line into a count, a name, a size, dates, states, owner, place, batch and price; what is
 * left over is the name, and what has no letters is not understood. A date without a word is a best before. Nothing
 * throws: what could not be read stands in `issues`, with the rest still understood.
 * @example parseIntake('3 tins chopped tomatoes 400g bb 03/27 dent', { order: 'dmy', today: '2026-03-02' }).line.name // 'chopped tomatoes'
 */
export function parseIntake(text: string, context: IntakeContext): IntakeResult {
	const issues: IntakeIssue[] = [];
	const rest = new Rest(partFirst(text));
	const place = rest.take(PLACE, 'place');
	const owner = rest.take(OWNER, 'owner');
	const batch = rest.take(BATCH, 'batch');
	const priceMinor = takePrice(rest, issues);
	const { dates, problems } = takeDates(rest, context.order, context.today);
	issues.push(...problems);
	const { size, times, wrong } = takeSize(rest);
	if (wrong) issues.push({ code: 'intake-size', text: wrong });
	const states = takeStates(rest);
	while (rest.take(SAYS_NOTHING, 'note'));
	const imply = (on: string | null, state: LotState) => {
		if (on && !states.includes(state)) states.push(state);
	};
	imply(lastOf(dates, 'opened'), 'open');
	imply(lastOf(dates, 'thawed'), 'thawed');
	imply(lastOf(dates, 'frozen'), 'frozen');
	const counted =
		times === null ? takeCount(rest) : { value: times, word: '', text: '', typed: true };
	if (!(counted.value > 0) || counted.value > MAX_COUNT)
		issues.push({ code: 'intake-count', text: counted.text });
	let countWord = counted.word || takeCountWord(rest, counted);
	const read = takeName(rest);
	const { unread } = read;
	const { name, packWord, text: packText } = splitPack(read.name, countWord);
	countWord ||= packWord;
	if (packWord) rest.readings.push({ field: 'word', text: packText });
	if (name) rest.readings.push({ field: 'name', text: name });
	if (!text.trim()) issues.push({ code: 'intake-empty' });
	else if (!name) issues.push({ code: 'intake-no-name', text });
	const isFrozen = states.includes('frozen') && !states.includes('thawed');
	const kind = kindFor(isFrozen ? `frozen ${name}` : name, countWord, context.readings);
	return {
		line: {
			count: counted.typed || size || countWord ? counted.value : (usualCount(name) ?? 1),
			countWord,
			name,
			size,
			printed: printedOf(dates),
			openedOn: lastOf(dates, 'opened'),
			frozenOn: lastOf(dates, 'frozen'),
			thawedOn: lastOf(dates, 'thawed'),
			madeOn: lastOf(dates, 'made'),
			lastUsedOn: lastOf(dates, 'last-used'),
			states,
			owner: (owner?.[1] ?? owner?.[2] ?? '').trim(),
			place: (place?.[1] ?? place?.[2] ?? '').trim(),
			batch: batch?.[1] ?? '',
			priceMinor,
			category: kind.sure ? kind.category : null
		},
		issues,
		kind,
		readings: rest.readings,
		unread,
		dates
	};
}

/** Counted words that say what it is: fruit in tins, medicine in tablets. */
const TELLING = /^(?:tins?|cans?|tablets?|tabs|capsules?|caps|pills?)$/i;
const TINS = /^(?:tins?|cans?)$/i;
const JARS = /^jars?$/i;
/** Put up at home: it keeps as what stands in jars does. */
const HOME_CANNED = /(?:^|\s)home[- ]?(?:canned|bottled|preserved)(?:\s|$)/i;
const FRESH = /^food\.(?:fruit|salad|onions|potatoes)$/;
const asTold = (word: string) => word.replace(/^tabs$/i, 'tablets').replace(/^caps$/i, 'capsules');

/** Kind of a name; what it was counted in has a say where it is a tin or a tablet. */
export function kindFor(name: string, countWord: string, readings: Readings = {}): Kind {
	const own = HOME_CANNED.exec(name);
	if (own) return kindFor(name.replace(own[0], ' ').trim(), 'jars', readings);
	const plain = kindOf(name, readings);
	// Fruit and vegetables in jars keep as those in tins do.
	if (JARS.test(countWord) && FRESH.test(plain.category ?? ''))
		return kindFor(name, 'tins', readings);
	if (!TELLING.test(countWord)) return plain;
	const counted = kindOf(`${asTold(countWord)} ${name}`, readings);
	// Tinned salmon is not raw.
	if (TINS.test(countWord) && counted.sure) return counted;
	// Tablets for the dishwasher are no medicine: what its own name surely is of stands, unless it only gets more dangerous.
	if (plain.sure && plain.hazards.length > 0) return plain;
	return counted.sure || !plain.sure ? counted : plain;
}
