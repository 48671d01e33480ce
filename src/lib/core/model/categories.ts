import { z } from 'zod';
import branches from '../../../../data/branches.json';
import rows from '../../../../data/categories.json';
import dangerRows from '../../../../data/dangers.json';
import { Hazard, Need, Trait, UseClass } from './goods';
import { Mm, StationKind } from './places';
import { CONTAINER_ROLES } from './plans';

/** A branch of the category tree: what a thing of this kind usually is, before anybody measured it. */
export const Category = z.strictObject({
	code: z.string().regex(/^(food|kitchen|bathroom)\.[a-z-]+$/),
	name: z.string(),
	area: z.enum(['food', 'kitchen', 'bathroom']),
	/** Words, in the singular or the plural, by which a typed name falls into this branch. */
	words: z.array(z.string()),
	needs: z.array(Need),
	hazards: z.array(Hazard),
	/** Where it is usually used; shares sum to 1. */
	stations: z.array(z.strictObject({ kind: StationKind, share: z.number() })),
	lifeKey: z.string().nullable(),
	/** How often it is usually used, until a person says otherwise. */
	use: UseClass,
	/** Usual size of one pack or piece. */
	piece: z.strictObject({ widthMm: Mm, depthMm: Mm, heightMm: Mm }),
	massG: z.int(),
	/** Kinds of container that suit it, best first; empty: stands free. */
	holders: z.array(z.enum(CONTAINER_ROLES)),
	traits: z.array(Trait),
	/** Its branch of the tree: categories of one branch are siblings, joined before others. */
	branch: z.enum(Object.keys(branches) as (keyof typeof branches)[]),
	/** Good to look at, better out of sight, or neither. */
	look: z.enum(['show', 'hide', 'either'])
});
export type Category = z.infer<typeof Category>;

export const CATEGORIES: readonly Category[] = z.array(Category).parse(rows);
/** The name of each branch of the tree, by its code. */
export const BRANCH_NAMES: Readonly<Record<Category['branch'], string>> = branches;

const byCode = new Map(CATEGORIES.map((row) => [row.code, row]));
const FALLBACK = byCode.get('kitchen.odds')!;

/** Gives the category of a code; an unknown one (from a later file, say) falls back to odds and ends. */
export function categoryOf(code: string): Category {
	return byCode.get(code) ?? FALLBACK;
}

const stem = (word: string) =>
	word.replace(/ies$/, 'y').replace(/(?<=s|x|z|ch|sh|o)es$|(?<!s)s$/, '');
/**
 * Splits a name into its words, in lower case and in the singular.
 * @example wordStems('Cherry Tomatoes') // ['cherry', 'tomato']
 */
export const wordStems = (text: string): string[] =>
	text
		.toLowerCase()
		.split(/[^\p{L}-]+/u)
		.filter(Boolean)
		.map(stem);

const keywords = CATEGORIES.flatMap((category) =>
	category.words.map((words) => ({ category, stems: wordStems(words) }))
);

/** Words that name something which can hurt: they come before whatever else a name sounds like. */
export const Danger = z.strictObject({
	words: z.array(z.string()).min(1),
	/** With one of these it is something else: coffee capsules are no medicine. */
	not: z.array(z.string()),
	category: z.string().refine((code) => byCode.has(code), { error: 'is no category' }),
	hazards: z.array(Hazard).min(1)
});
export type Danger = z.infer<typeof Danger>;
export const DANGERS: readonly Danger[] = z.array(Danger).parse(dangerRows);

const dangerWords = DANGERS.flatMap((danger) =>
	danger.words.map((words) => ({
		danger,
		stems: wordStems(words),
		not: danger.not.flatMap(wordStems)
	}))
);

/**
 * Finds what in a name says that the thing can hurt: a medicine, a caustic, a fuel, a poison. The one with the most
 * words wins, then the longest; ties go to the earlier row. Null when nothing does, which does not mean that it is safe.
 * @example dangerIn('caustic soda')?.category // 'kitchen.cleaning', not a drink
 */
export function dangerIn(name: string): Danger | null {
	const present = new Set(wordStems(name));
	let best: { danger: Danger; score: number } | null = null;
	for (const { danger, stems, not } of dangerWords) {
		if (!stems.every((word) => present.has(word)) || not.some((word) => present.has(word)))
			continue;
		const score = stems.length * 100 + stems.join('').length;
		if (!best || score > best.score) best = { danger, score };
	}
	return best?.danger ?? null;
}

/** What comes after one of these says more of the thing, and does not name it: a chicken in jelly is no jelly. */
const HEAD_ENDS = /\s(?:in|for|with|on|from|without)\s.*$/;
/** A keyword that holds the word which names the thing (the last one) is worth nearly another word. */
const HEAD_WORTH = 60;

/**
 * Finds the branch a typed name belongs to. What can hurt comes first (`dangerIn`); else the keyword with the most words all present in the name, one with the
 * name's last word before others (tomato soup is a soup), then the longest; ties go to the earlier row. Null when no
 * keyword is present.
 * @example categoryFromName('chopped tomatoes')?.code // 'food.cans-veg'
 */
export function categoryFromName(name: string): Category | null {
	const danger = dangerIn(name);
	if (danger) return byCode.get(danger.category)!;
	const present = new Set(wordStems(name));
	const head = wordStems(name.toLowerCase().replace(HEAD_ENDS, '')).at(-1);
	let best: { category: Category; score: number } | null = null;
	for (const { category, stems } of keywords) {
		if (!stems.every((word) => present.has(word))) continue;
		const named = head !== undefined && stems.includes(head);
		const score = stems.length * 100 + (named ? HEAD_WORTH : 0) + stems.join('').length;
		if (!best || score > best.score) best = { category, score };
	}
	return best?.category ?? null;
}
