import { categoryOf, type Category, type Hazard } from '../model';
import { isCondition, moved } from './conditions';
import { fromKnown, guess, union, type Guess } from './guess';
import { headCategory, looseHead, ownerWord } from './heads';
import { findName, isFoodWord, isNeverFood, type Known } from './lexicon';
import { FILLERS, PACKS } from './trim';

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

/** What no cold, tin or pan takes away. */
const STAYS: ReadonlySet<Hazard> = new Set(['pet-toxic', 'allergen', 'choking']);

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
	const base = readWords(rest);
	if (!base) return null;
	const head = rest.at(-1)!;
	const category = conditions.reduce((row, word) => moved(row, word, head), base.category);
	if (category === base.category) return base;
	const kept = base.hazards.filter((hazard) => STAYS.has(hazard));
	return {
		...guess(category, base.sure),
		hazards: union(category.hazards, kept),
		...(base.known ? { known: base.known } : {})
	};
}

const LEFT_OVER = 'leftover';
/** Reads words that may have an owner before them; the whole name first. */
export function readWords(stems: readonly string[]): Guess | null {
	const whole = findName(stems);
	if (whole) return fromKnown(whole, true);
	const conditioned = byCondition(stems);
	if (conditioned) return conditioned;
	// What was cooked and left over is one kind, whatever it was.
	if (stems.length > 1 && stems[0] === LEFT_OVER) return guess(categoryOf('food.deli'), true);
	const owner = stems.length > 1 ? ownerWord(stems[0]!) : undefined;
	if (owner) {
		const base = byHead(stems.slice(1));
		if (base) return ofOwner(owner, base);
		if (owner === 'pet')
			return guess(categoryOf('home.pet-care'), false, ['home.pet-care', 'food.pet']);
	}
	return byHead(stems);
}

/**
 * Without the pack that a name ends in, when what stands before is a name by itself or surely food: `potato salad tub`,
 * `wrapping paper roll`. A cake tin is no cake.
 */
export function withoutPack(stems: readonly string[]): readonly string[] {
	const last = stems.at(-1)!;
	const before = stems.slice(0, -1);
	if (!PACKS.has(last) || !before.length || stems.includes('empty')) return stems;
	const whole = findName(before);
	if ((longestEnd(stems)?.known.words ?? 0) > (whole?.words ?? 1)) return stems;
	const base = whole ? null : readWords(before);
	const isThing = base === null ? !!whole : base.sure && base.category.area === 'food';
	if (!isThing) return stems;
	return isCondition(last) && last !== 'jar' ? [last, ...before] : before;
}
