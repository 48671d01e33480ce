import { z } from 'zod';
import rows from '../../../../data/dangers.json';
import { categoryOf, Hazard, type Category } from '../model';
import { findName } from './lexicon';

/** Words, or ends of words, that name something which can hurt, whatever stands beside them. */
export const DangerRow = z.strictObject({
	/** Single words, in the singular. */
	words: z.array(z.string()),
	/** Ends of words that are not in the lexicon, such as those of the names of substances. */
	ends: z.array(z.string()),
	/** The least length of a word that is read by its end. */
	endFrom: z.int(),
	category: z.string(),
	hazards: z.array(Hazard).min(1),
	/** Whether such a word says what the thing is, or only that it can hurt. */
	sure: z.boolean()
});
export type DangerRow = z.infer<typeof DangerRow>;
export const DANGER_ROWS: readonly DangerRow[] = z.array(DangerRow).parse(rows);

/** Part of a name that says it can hurt. */
export interface Danger {
	readonly category: Category;
	readonly hazards: readonly Hazard[];
	/** Index after its last word. */
	readonly end: number;
	readonly sure: boolean;
}

const SERIOUS: ReadonlySet<Hazard> = new Set(['cleaner', 'medicine', 'bleach', 'acid']);
const isSerious = (hazards: readonly Hazard[]) => hazards.some((hazard) => SERIOUS.has(hazard));
/** The most words that a name of the lexicon has. */
const LONGEST = 6;

const byWord = new Map(DANGER_ROWS.flatMap((row) => row.words.map((word) => [word, row] as const)));
const byEnd = DANGER_ROWS.filter((row) => row.ends.length).map((row) => ({
	row,
	pattern: new RegExp(String.raw`^.{${row.endFrom - 4},}(?:${row.ends.join('|')})$`)
}));

/** Gives the row that a single word falls under; the whole word before its end. */
function rowOf(word: string): DangerRow | undefined {
	const row = byWord.get(word);
	if (row || word.includes('-')) return row;
	const known = findName([word]);
	return known ? undefined : byEnd.find(({ pattern }) => pattern.test(word))?.row;
}

interface Span {
	readonly at: number;
	readonly end: number;
	readonly danger: Omit<Danger, 'end'> | null;
}

/** The names of the lexicon that stand in a name, the longest from each word on, and single words of danger. */
function spansOf(stems: readonly string[]): readonly Span[] {
	return stems.flatMap((word, at): Span[] => {
		for (let end = Math.min(stems.length, at + LONGEST); end > at; end--) {
			const known = findName(stems.slice(at, end));
			if (!known) continue;
			const danger = isSerious(known.hazards)
				? { category: known.category, hazards: known.hazards, sure: true }
				: null;
			if (danger || end > at + 1) return [{ at, end, danger }];
		}
		const row = rowOf(word);
		return row ? [{ at, end: at + 1, danger: { ...row, category: categoryOf(row.category) } }] : [];
	});
}

/**
 * Finds every part of a name that says it can hurt: names of the lexicon that stand in it, and single words of danger,
 * unless they are a part of a longer name that is harmless (a paint brush is no paint).
 * @param stems words of the name, in the singular
 * @example dangersIn(['caustic', 'drink'])[0]?.hazards // ['cleaner', 'pet-toxic']
 */
export function dangersIn(stems: readonly string[]): readonly Danger[] {
	const spans = spansOf(stems);
	const isWithin = (inner: Span, outer: Span) =>
		outer.at <= inner.at && outer.end >= inner.end && outer.end - outer.at > inner.end - inner.at;
	return spans.flatMap((span) =>
		span.danger && !spans.some((other) => !other.danger && isWithin(span, other))
			? [{ ...span.danger, end: span.end }]
			: []
	);
}
