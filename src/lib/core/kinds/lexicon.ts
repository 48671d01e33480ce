import { z } from 'zod';
import rows from '../../../../data/lexicon.json';
import sizeRows from '../../../../data/sizes.json';
import { categoryOf, Hazard, wordStems, type Category } from '../model';

/** Names of one kind: what they are called, and where they differ from what their category says. */
export const LexiconRow = z.strictObject({
	/** Code of a row of data/categories.json. */
	of: z.string(),
	/** Generic names, lists with commas between them. */
	names: z.array(z.string()),
	/** In place of the hazards of the category. */
	hazards: z.array(Hazard).optional(),
	/** Usual width, depth and height of one pack or piece, mm, in place of those of the category. */
	sizeMm: z.tuple([z.int(), z.int(), z.int()]).optional(),
	massG: z.int().optional()
});
export type LexiconRow = z.infer<typeof LexiconRow>;

/** Usual sizes of common names, where the category is too coarse: `width x depth x height` in mm, g, names. */
export const SIZES = z
	.array(z.tuple([z.string().regex(/^\d+x\d+x\d+$/), z.int().positive(), z.string()]))
	.parse(sizeRows)
	.flatMap(([size, massG, names]) => {
		const [widthMm = 0, depthMm = 0, heightMm = 0] = size.split('x').map(Number);
		const piece = { widthMm, depthMm, heightMm };
		return names.split(',').map((name) => ({ name: name.trim(), piece, massG }));
	});

/** What the lexicon says of a name. */
export interface Known {
	readonly category: Category;
	readonly hazards: readonly Hazard[];
	readonly piece: Category['piece'];
	readonly massG: number;
	/** How many words the name has. */
	readonly words: number;
}

export const LEXICON: readonly LexiconRow[] = z.array(LexiconRow).parse(rows);

/** A name as it was typed, without its gaps: where plural and singular are two things, it tells them apart. */
export const exactKey = (name: string): string =>
	name
		.toLowerCase()
		.normalize('NFD')
		.replace(/[^\p{L}]/gu, '');

/** Hyphens and gaps count for nothing: `tooth paste`, `tooth-paste` and `toothpaste` are one name. */
export const keyOf = (stems: readonly string[]): string => stems.join('').replaceAll('-', '');

export const namesOf = (row: LexiconRow): string[] =>
	row.names.flatMap((list) => list.split(',').map((name) => name.trim()));

/** One name may be chance; from two on a word is one of other things than food. */
const NEVER_FROM = 2;

interface Size {
	readonly piece: Category['piece'];
	readonly massG: number;
	readonly code: string;
}
interface Index {
	readonly exact: ReadonlyMap<string, Known>;
	readonly names: ReadonlyMap<string, Known>;
	/** Usual sizes of names where their category is too coarse, with the category of each. */
	readonly sizes: ReadonlyMap<string, Size>;
	/** How often each word stands in names of food, and in others. */
	readonly words: ReadonlyMap<string, { food: number; other: number }>;
}

let made: Index | null = null;
/** The index is made at the first question, not when the program starts. */
function index(): Index {
	if (made) return made;
	const exact = new Map<string, Known>();
	const names = new Map<string, Known>();
	const words = new Map<string, { food: number; other: number }>();
	for (const row of LEXICON) {
		const category = categoryOf(row.of);
		const [widthMm, depthMm, heightMm] = row.sizeMm ?? [];
		const known = {
			category,
			hazards: row.hazards ?? category.hazards,
			piece: row.sizeMm
				? { widthMm: widthMm!, depthMm: depthMm!, heightMm: heightMm! }
				: category.piece,
			massG: row.massG ?? category.massG
		};
		for (const name of namesOf(row)) {
			const stems = wordStems(name);
			const entry = { ...known, words: stems.length };
			exact.set(exactKey(name), entry);
			if (!names.has(keyOf(stems))) names.set(keyOf(stems), entry);
			for (const word of stems.flatMap((one) => [
				one,
				...(one.includes('-') ? one.split('-') : [])
			])) {
				const seen = words.get(word) ?? { food: 0, other: 0 };
				if (category.area === 'food') seen.food++;
				else seen.other++;
				words.set(word, seen);
			}
		}
	}
	const sizes = new Map<string, Size>();
	for (const { name, piece, massG } of SIZES) {
		const key = keyOf(wordStems(name));
		const [named, typed] = [names.get(key), exact.get(exactKey(name))];
		if (named) {
			names.set(key, { ...named, piece, massG });
			sizes.set(key, { piece, massG, code: named.category.code });
		}
		if (typed) exact.set(exactKey(name), { ...typed, piece, massG });
	}
	return (made = { exact, names, sizes, words });
}

/** Gives what the lexicon says of some words together; undefined: it has no such name. */
export const findName = (stems: readonly string[]): Known | undefined =>
	index().names.get(keyOf(stems));

/** Gives what the lexicon says of a whole name as it is typed: `peppers` are no `pepper`. */
export const findExact = (name: string): Known | undefined => index().exact.get(exactKey(name));

/** Kinds that are named by whom they are for: a towel of the baby is as large as any. */
const OF_SOMEBODY: ReadonlySet<string> = new Set(['home.baby', 'home.pet-care']);
const isTableware = (code: string) => /^kitchen\.(?:dishes|serving|glasses)$/.test(code);
/** Usual size of what a longer name ends in, where that is of the same kind: ramen bowls are bowls. */
export function sizeOfEnd(stems: readonly string[], code: string): Size | undefined {
	const { sizes } = index();
	for (let from = 0; from < stems.length; from++) {
		const size = sizes.get(keyOf(stems.slice(from)));
		if (
			size &&
			(size.code === code || OF_SOMEBODY.has(code) || (isTableware(code) && isTableware(size.code)))
		)
			return size;
	}
	return undefined;
}

/** Whether a word stands in any name. */
export const isWord = (stem: string): boolean => index().words.has(stem);

/** Whether a word is one of food in the main; null: it stands in no name. */
export function isFoodWord(stem: string): boolean | null {
	const seen = index().words.get(stem);
	return seen ? seen.food > seen.other : null;
}

/** Whether a word stands in names of other things, and never in one of food. */
export function isNeverFood(stem: string): boolean {
	const seen = index().words.get(stem);
	return !!seen && seen.food === 0 && seen.other >= NEVER_FROM;
}

export const allWords = (): readonly string[] => [...index().words.keys()];
