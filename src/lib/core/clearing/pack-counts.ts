import { z } from 'zod';
import rows from '../../../../data/pack-counts.json';
import { wordStems } from '../model';

const Row = z.tuple([z.int().positive(), z.int().positive(), z.string()]);
/** What is counted by the piece and kept by the pack, and how many a bare plural usually means. */
export const PackCounts = z.strictObject({
	/** So many in a pack, the number from which pieces are meant, names. */
	inPacks: z.array(Row),
	/** As `inPacks`, for what has no row, by its kind: nobody has 200 boxes of labels. */
	byKind: z.record(z.string(), z.tuple([z.int().positive(), z.int().positive()])),
	/** By the word that is counted. */
	words: z.record(z.string(), z.int().positive()),
	wordsFrom: z.int().positive(),
	/** What is counted by the piece, with how many there are in a pack of it. */
	byPiece: z.array(z.tuple([z.int().positive(), z.string()])),
	/** How many of it a plural without a number means. */
	bare: z.array(z.tuple([z.int().positive(), z.string()]))
});
const COUNTS = PackCounts.parse(rows);

const keyOf = (stems: readonly string[]): string => stems.join(' ');
const namesOf = (list: string) => list.split(',').map((name) => keyOf(wordStems(name)));
const inPacks = new Map(
	COUNTS.inPacks.flatMap(([perPack, from, names]) =>
		namesOf(names).map((name) => [name, { perPack, from }] as const)
	)
);
const countsOf = (rows: readonly (readonly [number, string])[]) =>
	new Map(rows.flatMap(([count, names]) => namesOf(names).map((name) => [name, count] as const)));
const [byPiece, bare] = [countsOf(COUNTS.byPiece), countsOf(COUNTS.bare)];

const PACKS = /^(?:packs?|packets?|pkts?|multipacks?)$/;
/** Words that say that pieces were counted, not packs. */
const PIECES = /^(?:pieces?|pcs?)$/i;

/** What the longest known end of a name says. */
function ofEnd<Value>(known: ReadonlyMap<string, Value>, name: string): Value | null {
	const stems = wordStems(name);
	for (let from = 0; from < stems.length; from++) {
		const found = known.get(keyOf(stems.slice(from)));
		if (found !== undefined) return found;
	}
	return null;
}

/**
 * What a count means in stock: what comes many to a pack is counted by the piece and kept by the pack, unless the line names
 * packs, or few of them; what is kept by the piece is so many more in packs.
 * @example packsOf({ count: 80, countWord: '', name: 'tea bags' }) // 1; 2 packs of nappies are 60
 */
export function inStock(line: {
	readonly count: number;
	readonly countWord: string;
	readonly name: string;
	readonly category?: string | null;
}): number {
	const { count, name } = line;
	const word = line.countWord.toLowerCase();
	const perWord = COUNTS.words[word];
	// A sachet of cat food is a pack of its own.
	if (perWord !== undefined && line.category !== 'food.pet')
		return count >= COUNTS.wordsFrom ? Math.ceil(count / perWord) : count;
	// `2 packs of nappies`; a `9 pack` is one of nine.
	const isPacks = PACKS.test(word) && (count === 1 || word.endsWith('s'));
	if (isPacks) return count * (ofEnd(byPiece, name) ?? 1);
	if (word && !PIECES.test(word)) return count;
	const [perPack = 1, from = Infinity] = COUNTS.byKind[line.category ?? ''] ?? [];
	const row = ofEnd(inPacks, name) ?? { perPack, from };
	return count >= row.from ? Math.ceil(count / row.perPack) : count;
}

/**
 * How many a plural without a number usually means; null: one of it, since that is a pack.
 * @example usualCount('red onions') // 6; usualCount('onion') is null
 */
export function usualCount(name: string): number | null {
	const last = name.trim().split(/\s+/).at(-1)!.toLowerCase();
	const isPlural = wordStems(last)[0] !== last;
	return isPlural ? ofEnd(bare, name) : null;
}
