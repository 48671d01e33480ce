import type { Hazard } from '../model';
import { DANGER_ROWS, dangersIn } from './dangers';
import { union } from './guess';
import { findName, isWord, LEXICON, namesOf } from './lexicon';
import { isOneSlip } from './spelling';
import { SHAPES } from './with-danger';

/** Below this many letters a slip makes too many other words. */
const MIN_LETTERS = 5;
const SERIOUS: ReadonlySet<Hazard> = new Set(['cleaner', 'medicine', 'bleach', 'acid']);
const isSerious = (hazards: readonly Hazard[] = []) => hazards.some((one) => SERIOUS.has(one));

let byLetter: ReadonlyMap<string, readonly string[]> | null = null;
/** Single words that name something which can hurt, by their first letter. */
function dangerWords(letter: string): readonly string[] {
	if (!byLetter) {
		const words = new Set([
			...DANGER_ROWS.filter(({ sure, hazards }) => sure && isSerious(hazards)).flatMap(
				({ words }) => words
			),
			...LEXICON.filter(({ hazards }) => isSerious(hazards))
				.flatMap(namesOf)
				.filter((name) => /^[a-z]+$/.test(name))
		]);
		const made = new Map<string, string[]>();
		for (const word of words)
			if (word.length >= MIN_LETTERS && dangersIn([word]).length)
				made.set(word[0]!, [...(made.get(word[0]!) ?? []), word]);
		byLetter = made;
	}
	return byLetter.get(letter) ?? [];
}

const known = new Map<string, string | null>();
const MOST_KNOWN = 20_000;

/**
 * Gives the word of danger that an unknown word is one slip away from; null: none. It is that word until somebody says
 * otherwise: a bottle of bleech is bleach. Ties by the order of the rows. The first letter is taken to be right.
 * @example dangerMeant('bleech') // 'bleach'
 */
export function dangerMeant(word: string): string | null {
	const found = known.get(word);
	if (found !== undefined) return found;
	if (known.size > MOST_KNOWN) known.clear();
	const meant =
		word.length < MIN_LETTERS || isWord(word) || dangersIn([word]).length
			? null
			: (dangerWords(word[0]!).find((danger) => isOneSlip(word, danger)) ?? null);
	known.set(word, meant);
	return meant;
}

/**
 * Every hazard that the words of a name surely warn of, slips put right. What a person says of the thing takes none of
 * them away; what a word only hints at (a toilet, a drain) does go when the kind is said.
 */
export function hazardsNamed(stems: readonly string[]): readonly Hazard[] {
	return union(...warnings(stems), ...warnings(stems.map((word) => dangerMeant(word) ?? word)));
}

function warnings(stems: readonly string[]): readonly (readonly Hazard[])[] {
	// A whole name that is known says by itself what it can do: tablets for the dishwasher are no medicine.
	const whole = findName(stems);
	if (whole) return isSerious(whole.hazards) ? [whole.hazards] : [];
	const sure = dangersIn(stems).filter((danger) => danger.sure);
	const named = sure.filter(({ end }) => !SHAPES.has(stems[end - 1]!));
	return (named.length ? named : sure).map(({ hazards }) => hazards);
}
