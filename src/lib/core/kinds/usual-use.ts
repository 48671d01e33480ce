import { z } from 'zod';
import rows from '../../../../data/use-words.json';
import { categoryOf, UseClass, wordStems } from '../model';

const UseWords = z.array(z.strictObject({ use: UseClass, words: z.array(z.string()).min(1) }));

/** What words say of how often a thing is used, most words first, so that a jam pan is no pan. */
const PHRASES = UseWords.parse(rows)
	.flatMap(({ use, words }) => words.map((phrase) => ({ use, stems: wordStems(phrase) })))
	.sort((a, b) => b.stems.length - a.stems.length);

const holds = (stems: readonly string[], phrase: readonly string[]): boolean =>
	stems.some((_, at) => phrase.every((word, i) => stems[at + i] === word));

/**
 * How often a thing is usually used, by what it is called, else by its kind: a fondue set comes out less than a pan. Only
 * equipment is told apart so; food goes by its kind.
 * @example usualUse('fondue set', 'kitchen.appliances') // 'rarely'
 */
export function usualUse(name: string, category: string): UseClass {
	const { area, use } = categoryOf(category);
	if (area !== 'kitchen' && area !== 'home') return use;
	const stems = wordStems(name);
	return PHRASES.find(({ stems: phrase }) => holds(stems, phrase))?.use ?? use;
}
