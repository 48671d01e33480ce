import {
	parseQuantity,
	quantityUnit,
	QUANTITY_UNITS,
	QUANTITY_UNIT_WORDS,
	type Quantity
} from '../model';
import { NUMBER_WORDS, PIECE_WORDS } from './intake-words';
import { isKnownName, kindOf } from '../kinds';
import type { Rest } from './intake-rest';

export const MAX_COUNT = 10_000;
const MOST_SIZE = 1_000_000;
const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const FRACTIONS: Readonly<Record<string, number>> = {
	'½': 0.5,
	'¼': 0.25,
	'¾': 0.75,
	'⅓': 1 / 3,
	'⅔': 2 / 3,
	'⅛': 0.125
};
const MARK = `[${Object.keys(FRACTIONS).join('')}]`;
const TIMES = new RegExp(
	String.raw`(?<![\p{L}\d.,])(\d+)\s*[x×*]\s*(?=${NUMBER}\s*(?:${QUANTITY_UNIT_WORDS})(?!\p{L}))`,
	'iu'
);
const SIZE = new RegExp(
	String.raw`(?<![\p{L}\d.,/])((?:\d+\s+)?\d+\s?/\s?\d+|${NUMBER})\s*-?(${QUANTITY_UNIT_WORDS}|kilos?|grams?|grammes?|gr|gms?|mls?|ltrs?|ounces?|pounds?)(?!\p{L}|\d)`,
	'iu'
);
const LONG_UNITS: readonly (readonly [RegExp, string])[] = [
	[/^kilo/i, 'kg'],
	[/^(?:gram|gr$|gm)/i, 'g'],
	[/^mls$/i, 'ml'],
	[/^ltr/i, 'l'],
	[/^ounce/i, 'oz'],
	[/^pound/i, 'lb']
];
/** A measure without its number is one of it: `pint of milk`. */
const ONE_OF = /^\s*(?:an?\s+)?(kilo(?:gram(?:me)?)?|pint|litre|liter|pound)\s+of\s+/iu;
/** What was meant as a size and is none: `400gg`, `1.2.3kg`, `0 g`. */
const SIZE_SLIP = /(?<![\p{L}\d])\d+(?:[.,]\d+)*(?:kg|g|ml|cl|l|oz|lb)[a-z]{0,2}(?!\p{L}|\d)/iu;

const toNumber = (text: string) => Number(text.replace(',', '.'));

/** Measures that are also things: `6 cups`, `4 cups and saucers`. */
const ALSO_THINGS =
	/^\s*\d+\s*(?:cups?(?:\s*$|\s+(?:and|&|with)\s)|(?:pints?|half[ -]pints?)\s+(?:glass|glasses|mugs?|jugs?|tankards?)\b)/i;
/** Whether what looks like a size is one of something else. */
const isOfSomething = (rest: Rest): boolean => !ALSO_THINGS.test(rest.text);

/** Takes the size of one pack; with `4 x 400 g` also how many packs. */
export function takeSize(rest: Rest): {
	size: Quantity | null;
	times: number | null;
	wrong: string | null;
} {
	const one = rest.take(ONE_OF, 'size');
	if (one) {
		const unit = LONG_UNITS.find(([word]) => word.test(one[1]!))?.[1] ?? quantityUnit(one[1]!);
		const read = unit ? parseQuantity(`1 ${unit}`) : null;
		if (read?.ok)
			return {
				size: { value: read.quantity.value, unit: QUANTITY_UNITS[unit!]![1] },
				times: null,
				wrong: null
			};
	}
	const times = rest.take(TIMES, 'count');
	const found = isOfSomething(rest) ? rest.take(SIZE, 'size') : null;
	const slip = found ? null : rest.take(SIZE_SLIP, 'size');
	const unit =
		found && (LONG_UNITS.find(([word]) => word.test(found[2]!))?.[1] ?? quantityUnit(found[2]!));
	const read =
		found && unit ? parseQuantity(`${found[1]!.replace(/\s*\/\s*/, '/')} ${unit}`) : null;
	const value = read?.ok ? read.quantity.value : 0;
	const good = value > 0 && value <= MOST_SIZE;
	return {
		size: good && read?.ok ? { value, unit: QUANTITY_UNITS[unit!]![1] } : null,
		times: times ? Number(times[1]) : null,
		wrong: (slip ?? (good ? null : found))?.[0].trim() ?? null
	};
}

const LEAD = String.raw`^[\s,;:*•–-]*`;
const FRONT: readonly { pattern: RegExp; value: (found: RegExpExecArray) => number }[] = [
	{
		pattern: new RegExp(String.raw`${LEAD}(\d+)\s*doz(?:en)?(?=\s)`, 'iu'),
		value: (found) => 12 * Number(found[1])
	},
	{
		pattern: new RegExp(String.raw`${LEAD}(\d+)-packs?(?:\s+of)?(?=\s)`, 'iu'),
		value: (found) => Number(found[1])
	},
	{
		pattern: new RegExp(String.raw`^\s*[x×]\s?(\d+)(?=\s)`, 'iu'),
		value: (found) => Number(found[1])
	},
	{
		pattern: new RegExp(String.raw`${LEAD}(?:(\d+)\s*)?(${MARK})(?=\s)\s*(?:an?\b|of\b)?`, 'u'),
		value: (found) => Number(found[1] ?? 0) + FRACTIONS[found[2]!]!
	},
	{
		pattern: new RegExp(
			String.raw`${LEAD}(?:(\d+)\s+)?([1-9])\s?/\s?([2-9])(?=\s)\s*(?:an?\b|of an?\b|of\b)?`,
			'u'
		),
		value: (found) => Number(found[1] ?? 0) + Number(found[2]) / Number(found[3])
	},
	{
		pattern: new RegExp(
			// After a blank an x that begins a word belongs to it: 1 xanthan gum.
			String.raw`^\s*[•*]?\s*(-?${NUMBER})(?:(?:x|\s*×)\s?(?=\s|\p{L})|\s+x\s?(?=\s)|\s*(?=\s))`,
			'iu'
		),
		value: (found) => toNumber(found[1]!)
	},
	{
		pattern: new RegExp(
			String.raw`${LEAD}(${Object.keys(NUMBER_WORDS)
				.sort((a, b) => b.length - a.length)
				.join('|')})(?=\s)`,
			'iu'
		),
		value: (found) => NUMBER_WORDS[found[1]!.toLowerCase()]!
	}
];
/** A count that stands after the name: `milk x3`, `eggs 12`, `ibuprofen 16 tablets`. */
const BACK: readonly RegExp[] = [
	/(?<!\p{L})(?:packs?|packets?|box|bag|sets?|tin|case|tray) of (\d+)(?![\p{L}\d.,])/iu,
	/(?<![\p{L}\d])[x×]\s?(\d+)(?![\p{L}\d.,])/iu,
	/(?<![\p{L}\d.,])(\d+)\s?[x×](?![\p{L}\d])/iu,
	new RegExp(String.raw`(?<=\p{L}.*\s|\()(\d+)\s?(${PIECE_WORDS})(?![\p{L}\d])\)?`, 'iu'),
	new RegExp(String.raw`(?<=\p{L}.*\s)(?<word>${PIECE_WORDS})\s+(?<count>\d+)(?=[\s,;.]*$)`, 'iu'),
	/(?:\s|\()(\d+)\)?[\s,;.]*$/u
];
/** After one of these a figure is part of the name: `nappies size 4`. */
const NAMED_BY =
	/(?:size|no\.?|number|type|factor|spf|stage|step|level|vitamin|b|omega|grade|age|phase|for)\s*$/i;

export interface ReadCount {
	readonly value: number;
	readonly word: string;
	/** As it was typed. */
	readonly text: string;
	readonly typed: boolean;
}

/**
 * Whether the word before a number belongs to the name: `loo rolls 9`, `cool bags 2`, `roasting tins 3`. What the whole
 * name surely is decides, where it is something else than what is left without the word; a jar of honey is honey.
 */
export function isOfName(before: string, word: string): boolean {
	if (isKnownName(before + word)) return true;
	const whole = kindOf(before + word);
	const without = kindOf(before.trim());
	if (!whole.sure || whole.category?.startsWith('food.')) return false;
	return (
		!without.sure ||
		(whole.category !== without.category && whole.category !== 'kitchen.food-boxes')
	);
}

/** Takes how many there are: at the front of what is left, else behind it; one when nothing says it. */
export function takeCount(rest: Rest): ReadCount {
	for (const { pattern, value } of FRONT) {
		const found = rest.find(pattern);
		if (!found) continue;
		rest.cut(found.index, found[0], 'count');
		return { value: value(found), word: '', text: found[0].trim(), typed: true };
	}
	for (const pattern of BACK) {
		const found = rest.find(pattern);
		if (!found || NAMED_BY.test(rest.text.slice(0, found.index).trimEnd())) continue;
		const { count = found[1], word = found[2] ?? '' } = found.groups ?? {};
		if (found.groups && isOfName(rest.text.slice(0, found.index), word)) continue;
		rest.cut(found.index, found[0], 'count');
		return { value: Number(count), word, text: found[0].trim(), typed: true };
	}
	return { value: 1, word: '', text: '', typed: false };
}
