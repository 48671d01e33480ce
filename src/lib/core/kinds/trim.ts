import { isCondition } from './conditions';
import { ownerWord } from './heads';

/** Figures with their units say how much, not what: `bulbs 60w`. The strength of a medicine stays. */
export const withoutFigures = (name: string): string =>
	name.replace(
		/(?<![\p{L}\d])\d+(?:[.,]\d+)?\s?(?!mg|mcg|iu)(?:[a-z%]{1,2}(?![\p{L}\d])|(?=[\s,)]|$))/giu,
		' '
	);

/** What follows one of these says more of the thing, and does not name it: a chicken in jelly is no jelly. */
export const TAIL = new Set([
	'in',
	'for',
	'with',
	'w',
	'on',
	'from',
	'without',
	'made',
	'per',
	'factor',
	'spf',
	'size'
]);
/** Words that name nothing by themselves. */
export const FILLERS = new Set([
	'of',
	'and',
	'the',
	'a',
	'an',
	'or',
	'some',
	'my',
	'our',
	'extra',
	'new',
	'old',
	'spare',
	'large',
	'small',
	'mini',
	'big',
	'medium',
	'organic',
	'assorted',
	'various',
	'empty'
]);

/** Packs that stand before or after what is in them: `jar of olives`, `potato salad tub`. */
export const PACKS = new Set([
	'tub',
	'pouch',
	'portion',
	'pack',
	'packet',
	'carton',
	'sachet',
	'bottle',
	'jar',
	'box',
	'bag',
	'tube',
	'piece',
	'slice',
	'punnet',
	'bunch',
	'net',
	'set',
	'kit',
	'collection',
	'assortment',
	'half',
	'floret',
	'spear',
	'stalk',
	'heart',
	'wedge',
	'chunk',
	'ring',
	'segment',
	'cube',
	'sack',
	'tray',
	'block',
	'multipack',
	'selection',
	'tin',
	'can',
	'roll',
	'bar',
	'pot',
	'bowl'
]);

/**
 * Cuts off what only says more of the thing: `chicken in white sauce` is chicken, `jar of olives` olives; whom it is for
 * comes before it.
 */
export function withoutTail(stems: readonly string[]): readonly string[] {
	const of = stems.indexOf('of');
	if (of > 0 && of < stems.length - 1 && PACKS.has(stems[of - 1]!)) {
		const [pack, rest] = [stems[of - 1]!, [...stems.slice(0, of - 1), ...stems.slice(of + 1)]];
		return withoutTail(isCondition(pack) && pack !== 'jar' ? [pack, ...rest] : rest);
	}
	const at = stems.findIndex((word, i) => i > 0 && TAIL.has(word));
	if (at <= 0) return stems;
	const whom = stems[at] === 'for' ? stems.slice(at + 1).find(ownerWord) : undefined;
	return [...(whom ? [whom] : []), ...stems.slice(0, at)];
}

/** What a thing is free of or low in does not name it: `sugar free gum`, `no added sugar`, `half fat`. */
const LITTLE = new Set(['low', 'reduced', 'half', 'full', 'less', 'high', 'lower']);
const OF_WHICH = new Set([
	'fat',
	'sugar',
	'salt',
	'sodium',
	'protein',
	'calorie',
	'carb',
	'lactose',
	'gluten',
	'alcohol',
	'caffeine'
]);
export function withoutClaims(stems: readonly string[]): readonly string[] {
	const kept: string[] = [];
	for (let i = 0; i < stems.length; i++) {
		const [word, next, after] = [stems[i]!, stems[i + 1], stems[i + 2]];
		if (word === 'alcohol' && next === 'free') {
			// It is another drink, not the same with less of something.
			kept.push('alcohol-free');
			i += 1;
		} else if (word === 'no' && next === 'added' && after) i += 2;
		else if (LITTLE.has(word) && next && OF_WHICH.has(next)) i += 1;
		else if (next === 'free' && (i + 2 < stems.length || kept.length)) i += 1;
		else kept.push(word);
	}
	return kept.length ? kept : stems;
}
