import {
	categoryOf,
	UNKNOWN_KIND,
	wordStems,
	type Category,
	type Hazard,
	type Need
} from '../model';
import { isCondition, moved } from './conditions';
import { dangersIn, type Danger } from './dangers';
import { headCategory, looseHead, ownerWord } from './heads';
import { findExact, findName, isFoodWord, isNeverFood, isWord, keyOf, type Known } from './lexicon';
import { corrected } from './spelling';
import { likelyKinds } from './tail';

/** What a typed name is taken for. */
export interface Kind {
	/** Code of the likeliest category; null: nothing can be said. */
	readonly category: string | null;
	/** Whether it can stand without being asked about. What is not sure counts as of unknown kind until it is answered. */
	readonly sure: boolean;
	readonly hazards: readonly Hazard[];
	readonly needs: readonly Need[];
	/** Up to three categories to choose from, likeliest first. */
	readonly choices: readonly string[];
	/** Usual size and mass of one. */
	readonly piece: Category['piece'];
	readonly massG: number;
}

/** Figures with their units say how much, not what: `bulbs 60w`. The strength of a medicine stays. */
const withoutFigures = (name: string): string =>
	name.replace(
		/(?<![\p{L}\d])\d+(?:[.,]\d+)?\s?(?!mg|mcg|iu)(?:[a-z%]{1,2}(?![\p{L}\d])|(?=[\s,)]|$))/giu,
		' '
	);

/** Kinds that a home was told, by the key of the name (`readingKey`). */
export type Readings = Readonly<Record<string, string>>;

/** Key under which a home remembers what a name is. @example readingKey('Chillies') // 'chilli' */
export const readingKey = (name: string): string => keyOf(wordStems(withoutFigures(name)));

/** Whether the lexicon has a name as it is typed, articles and figures aside. */
export const isKnownName = (name: string): boolean => findExact(withoutFigures(name)) !== undefined;

interface Guess {
	readonly category: Category;
	readonly hazards: readonly Hazard[];
	readonly sure: boolean;
	readonly choices: readonly string[];
	readonly known?: Known;
}

const MOST_CHOICES = 3;
const union = <T>(...lists: readonly (readonly T[])[]): T[] => [...new Set(lists.flat())];

/** What follows one of these says more of the thing, and does not name it: a chicken in jelly is no jelly. */
const TAIL = new Set([
	'in',
	'for',
	'with',
	'on',
	'from',
	'without',
	'made',
	'per',
	'factor',
	'spf',
	'size'
]);
/** From so many letters on, a word with one slip is surely the word it is near to. */
const SURE_SLIP = 7;
/** Words that name nothing by themselves. */
const FILLERS = new Set([
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
	'mixed-size',
	'various',
	'empty'
]);

const guess = (category: Category, sure: boolean, choices: readonly string[] = []): Guess => ({
	category,
	hazards: category.hazards,
	sure,
	choices
});

/** A category's counterpart for the pet or the infant that a word before the name speaks of. */
function ofOwner(owner: 'pet' | 'baby' | 'toy', base: Guess): Guess {
	if (base.hazards.includes('medicine')) return base;
	if (owner === 'toy') return guess(categoryOf('home.toys'), true);
	if (owner === 'pet')
		return base.category.area === 'food'
			? guess(categoryOf('food.pet'), true)
			: { ...base, category: categoryOf('home.pet-care') };
	if (base.category.code === 'food.salad' || base.category.code === 'food.potatoes') return base;
	if (base.category.area === 'food') return { ...base, category: categoryOf('food.baby') };
	return base.category.area === 'kitchen' ? base : { ...base, category: categoryOf('home.baby') };
}

const fromKnown = (known: Known, sure: boolean): Guess => ({
	category: known.category,
	hazards: known.hazards,
	sure,
	choices: [],
	known
});

/** The longest end of some words that the lexicon names, with how many words stand before it. */
function longestEnd(stems: readonly string[]): { known: Known; before: number } | null {
	for (let before = 0; before < stems.length; before++) {
		const known = findName(stems.slice(before));
		if (known) return { known, before };
	}
	return null;
}

/** Words of food before a thing of the rest of the home: fish balls are no balls, but what they are is not said. */
const isFoodThing = (before: readonly string[], { area }: Category) =>
	area === 'home' && before.length > 0 && before.every((word) => isFoodWord(word));

/** Whether words before a food's name speak against its being food: a toilet duck is no duck. */
const speakAgainst = (before: readonly string[]) =>
	before.some((word) => isNeverFood(word) && !FILLERS.has(word));

function byLooseHead(stems: readonly string[]): Guess | null {
	const head = stems.at(-1)!;
	const row = looseHead(head);
	if (!row) return null;
	// A refill is of what it fills; those of the bathroom are kept together.
	const filled = head === 'refill' ? byHead(stems.slice(0, -1)) : null;
	if (filled?.sure)
		return filled.category.area === 'bathroom'
			? guess(categoryOf('bathroom.refills'), true)
			: filled;
	const before = stems.slice(0, -1).filter((word) => !FILLERS.has(word));
	if (row.food && before.length && before.every((word) => isFoodWord(word)))
		return guess(categoryOf(row.food), true);
	return guess(categoryOf(row.else[0]!), false, row.else);
}

/** Reads a name by its last words: the longest end that is known, or a last word that is enough, or one that is not. */
function byHead(stems: readonly string[]): Guess | null {
	if (!stems.length) return null;
	const end = longestEnd(stems);
	const loose = end && end.known.words > 1 ? null : end?.before === 0 ? null : byLooseHead(stems);
	if (loose) return loose;
	// With words before it, a single last word is read by what it usually means at an end: a waste bag is no handbag.
	const ending = headCategory(stems.at(-1)!);
	if (!end || (end.known.words === 1 && end.before > 0 && ending)) {
		const code = ending;
		if (!code) return null;
		const category = categoryOf(code);
		const before = stems.slice(0, -1);
		const doubt =
			(category.area === 'food' && speakAgainst(before)) || isFoodThing(before, category);
		return guess(category, !doubt, doubt ? [code] : []);
	}
	const before = stems.slice(0, end.before);
	const doubt =
		(end.known.category.area === 'food' && speakAgainst(before)) ||
		isFoodThing(before, end.known.category);
	return doubt
		? { ...fromKnown(end.known, false), choices: [end.known.category.code] }
		: fromKnown(end.known, true);
}

/** Takes the words of condition off a name, reads the rest, and moves it by them. */
function byCondition(stems: readonly string[]): Guess | null {
	// A word of condition inside a longer name is part of it: a cake tin is not tinned.
	const end = longestEnd(stems);
	const until = end && end.known.words > 1 ? end.before : stems.length;
	// The cold comes last: what was cooked and then frozen lies in the freezer.
	const conditions = stems
		.filter((word, i) => i < until && isCondition(word))
		.sort((a, b) => Number(a === 'frozen') - Number(b === 'frozen'));
	const rest = stems.filter((word, i) => i >= until || !isCondition(word));
	if (!conditions.length || !rest.length) return null;
	const base = readFood(rest);
	if (!base) return null;
	const head = rest.at(-1)!;
	const category = conditions.reduce((row, word) => moved(row, word, head), base.category);
	return category === base.category ? base : { ...guess(category, base.sure), known: base.known };
}

/** Reads words that may have an owner before them; the whole name first. */
function readFood(stems: readonly string[]): Guess | null {
	const whole = findName(stems);
	if (whole) return fromKnown(whole, true);
	const conditioned = byCondition(stems);
	if (conditioned) return conditioned;
	const owner = stems.length > 1 ? ownerWord(stems[0]!) : undefined;
	if (owner) {
		const base = byHead(stems.slice(1));
		if (base) return ofOwner(owner, base);
		if (owner === 'pet')
			return guess(categoryOf('home.pet-care'), false, ['home.pet-care', 'food.pet']);
	}
	return byHead(stems);
}

/** Packs that stand before or after what is in them: `jar of olives`, `potato salad tub`. */
const PACKS = new Set([
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
function core(stems: readonly string[]): readonly string[] {
	const of = stems.indexOf('of');
	if (of > 0 && of < stems.length - 1 && PACKS.has(stems[of - 1]!)) {
		const [pack, rest] = [stems[of - 1]!, [...stems.slice(0, of - 1), ...stems.slice(of + 1)]];
		return core(isCondition(pack) && pack !== 'jar' ? [pack, ...rest] : rest);
	}
	const at = stems.findIndex((word, i) => i > 0 && TAIL.has(word));
	if (at <= 0) return stems;
	const whom = stems[at] === 'for' ? stems.slice(at + 1).find(ownerWord) : undefined;
	return [...(whom ? [whom] : []), ...stems.slice(0, at)];
}

/**
 * Without the pack that a name ends in, when what stands before is a name by itself or surely food: `potato salad tub`,
 * `wrapping paper roll`. A cake tin is no cake.
 */
function withoutPack(stems: readonly string[]): readonly string[] {
	const last = stems.at(-1)!;
	const before = stems.slice(0, -1);
	if (!PACKS.has(last) || !before.length || stems.includes('empty')) return stems;
	const whole = findName(before);
	if ((longestEnd(stems)?.known.words ?? 0) > (whole?.words ?? 1)) return stems;
	const base = whole ? null : readFood(before);
	const isThing = base === null ? !!whole : base.sure && base.category.area === 'food';
	if (!isThing) return stems;
	return isCondition(last) && last !== 'jar' ? [last, ...before] : before;
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
function withoutClaims(stems: readonly string[]): readonly string[] {
	const kept: string[] = [];
	for (let i = 0; i < stems.length; i++) {
		const [word, next, after] = [stems[i]!, stems[i + 1], stems[i + 2]];
		if (word === 'alcohol' && next === 'free') {
			// It is another drink, not the same with less of something.
			kept.push('alcohol-free');
			i += 1;
		} else if (word === 'no' && next === 'added' && after) i += 2;
		else if (LITTLE.has(word) && next && OF_WHICH.has(next)) i += 1;
		else if (next === 'free' && i + 2 < stems.length) i += 1;
		else kept.push(word);
	}
	return kept.length ? kept : stems;
}

/** Corrects the words that no name has and that are one slip away from one that has. */
const respelt = (stems: readonly string[]) => stems.map((word) => corrected(word) ?? word);

/** Shapes in which medicines come, and other things too. */
const SHAPES = new Set(['tablet', 'capsule', 'pill']);
const FORMS = new Set([
	'tablet',
	'capsule',
	'pill',
	'suspension',
	'oral',
	'dose',
	'child',
	'children',
	'junior',
	'adult',
	'day',
	'night',
	'strength',
	'max',
	'plus',
	'double',
	'action'
]);
/** Forms in which anything may come: a word of danger before one of them says what the thing is. */
const isForm = (stem: string) =>
	looseHead(stem) !== undefined ||
	FILLERS.has(stem) ||
	isCondition(stem) ||
	!isWord(stem) ||
	FORMS.has(stem) ||
	[
		'bottle',
		'tin',
		'can',
		'pack',
		'box',
		'jar',
		'tub',
		'tube',
		'bag',
		'kit',
		'set',
		'pen',
		'roll'
	].includes(stem);

/** Lets what can hurt outrank what a name sounds like otherwise. */
function withDanger(
	stems: readonly string[],
	base: Guess | null,
	dangers: readonly Danger[]
): Guess {
	const hazards = union(base?.hazards ?? [], ...dangers.map((danger) => danger.hazards));
	const last = dangers.at(-1)!;
	const sureOnes = dangers.filter(({ sure }) => sure);
	// Tablets may be of anything that is named beside them: tablets of bleach are no medicine.
	const named = sureOnes.filter(({ end }) => !SHAPES.has(stems[end - 1]!));
	const told = named.length ? named : sureOnes;
	const telling = told.at(-1) ?? last;
	const isNamedByIt =
		telling.sure && stems.slice(telling.end).every((word) => isForm(word) || TAIL.has(word));
	const same = base?.category === telling.category;
	if (isNamedByIt || same) {
		// A medicine for an animal is a medicine; a cleaner that holds bleach is bleach.
		const strongest =
			told.find(({ category }) => category.code === 'bathroom.medicines') ??
			told.find(({ category }) => category.code === 'kitchen.bleach') ??
			told.find(({ category }) => category.code === 'kitchen.acids') ??
			telling;
		const category = same && base?.sure ? base.category : strongest.category;
		return { category, hazards: union(hazards, category.hazards), sure: true, choices: [] };
	}
	const harmless = base && !base.category.hazards.some((hazard) => hazards.includes(hazard));
	return {
		category: telling.category,
		hazards,
		sure: false,
		choices: union(
			[telling.category.code],
			harmless ? [base.category.code] : [],
			base?.choices ?? []
		)
	};
}

function read(stems: readonly string[]): Guess | null {
	const whole = findName(stems);
	if (whole) return fromKnown(whole, true);
	const dangers = dangersIn(stems);
	const inner = core(withoutClaims(stems));
	const base = readFood(findName(inner) ? inner : withoutPack(inner));
	return dangers.length ? withDanger(stems, base, dangers) : base;
}

/** Any names that stand in a name, when its end says nothing. */
function fromParts(stems: readonly string[]): readonly string[] {
	const found: string[] = [];
	for (let i = stems.length - 1; i >= 0; i--) {
		const code = findName([stems[i]!])?.category.code ?? headCategory(stems[i]!);
		if (code && !found.includes(code)) found.push(code);
	}
	return found;
}

const asKind = (found: Guess): Kind => ({
	category: found.category.code === UNKNOWN_KIND ? null : found.category.code,
	sure: found.sure,
	hazards: found.hazards,
	needs: found.category.needs,
	choices: found.sure ? [] : found.choices.slice(0, MOST_CHOICES),
	piece: found.known?.category === found.category ? found.known.piece : found.category.piece,
	massG: found.known?.category === found.category ? found.known.massG : found.category.massG
});

/**
 * Says what kind of thing a name means, and how sure that is. What the home was told comes first; then words of danger,
 * which outrank the rest; then the lexicon, by the whole name, by words of condition (frozen, tinned, dried), and by the
 * last words, since a cheese slicer is a tool and a chocolate mould is bakeware. A slip of spelling is put right. What
 * none of these knows gets proposals, and is not sure.
 * @param readings kinds the home was told, by `readingKey`
 * @example kindOf('eucalyptus oil').category // 'bathroom.bath', and no oil for cooking
 */
export function kindOf(name: string, readings: Readings = {}): Kind {
	const stems = wordStems(withoutFigures(name));
	const told = readings[keyOf(stems)];
	if (told) return asKind(guess(categoryOf(told), true));
	const exact = findExact(name);
	if (exact) return asKind(fromKnown(exact, true));
	const first = stems.length ? read(stems) : null;
	if (first?.sure) return asKind(first);
	const spelt = respelt(stems);
	const second = spelt.some((word, i) => word !== stems[i]) ? read(spelt) : null;
	if (second && (second.sure || !first)) {
		// What the slip hides must not be what the word itself warned of; a slip in a short word may be another word.
		const hazards = union(second.hazards, first?.hazards ?? []);
		const isSure =
			second.sure && spelt.every((word, i) => word === stems[i] || stems[i]!.length >= SURE_SLIP);
		const choices = isSure ? [] : union([second.category.code], second.choices);
		return asKind({ ...second, hazards, sure: isSure, choices });
	}
	if (first) return asKind(first);
	const choices = union(likelyKinds(stems), fromParts(stems)).slice(0, MOST_CHOICES);
	const likeliest = categoryOf(choices[0] ?? UNKNOWN_KIND);
	return asKind({
		...guess(likeliest, false, choices),
		hazards: choices.length ? likeliest.hazards : []
	});
}
