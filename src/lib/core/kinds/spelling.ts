import { allWords, isWord } from './lexicon';

/** Below this many letters a slip makes too many other words. */
const MIN_LETTERS = 5;

/** Whether one slip (a letter too many, too few, another, or two exchanged) makes one word of the other. */
export function isOneSlip(a: string, b: string): boolean {
	if (Math.abs(a.length - b.length) > 1 || a === b) return false;
	let at = 0;
	while (at < a.length && a[at] === b[at]) at++;
	const [restA, restB] = [a.slice(at), b.slice(at)];
	if (a.length === b.length)
		return (
			restA.slice(1) === restB.slice(1) ||
			(restA[0] === restB[1] && restA[1] === restB[0] && restA.slice(2) === restB.slice(2))
		);
	return a.length > b.length ? restA.slice(1) === restB : restA === restB.slice(1);
}

let byLetter: Map<string, string[]> | null = null;
function wordsFrom(letter: string): readonly string[] {
	if (!byLetter) {
		byLetter = new Map();
		for (const word of allWords()) {
			const list = byLetter.get(word[0]!) ?? [];
			list.push(word);
			byLetter.set(word[0]!, list);
		}
	}
	return byLetter.get(letter) ?? [];
}

/** All words of the lexicon that a word is one slip away from, itself apart; none for short words. */
export const slipsOf = (word: string): readonly string[] =>
	word.length < MIN_LETTERS ? [] : wordsFrom(word[0]!).filter((known) => isOneSlip(word, known));

/**
 * Gives the one word of the lexicon that an unknown word is a slip of; null: there is none, or more than one. The first
 * letter is taken to be right.
 * @example corrected('brocoli') // 'broccoli'
 */
export function corrected(word: string): string | null {
	if (isWord(word)) return null;
	const near = slipsOf(word);
	return near.length === 1 ? near[0]! : null;
}
