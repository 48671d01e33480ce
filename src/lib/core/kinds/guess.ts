import type { Category, Hazard } from '../model';
import type { Known } from './lexicon';

/** What a name may be, while it is read. */
export interface Guess {
	readonly category: Category;
	readonly hazards: readonly Hazard[];
	readonly sure: boolean;
	readonly choices: readonly string[];
	readonly known?: Known;
}

export const union = <T>(...lists: readonly (readonly T[])[]): T[] => [...new Set(lists.flat())];

export const guess = (
	category: Category,
	sure: boolean,
	choices: readonly string[] = []
): Guess => ({
	category,
	hazards: category.hazards,
	sure,
	choices
});

export const fromKnown = (known: Known, sure: boolean): Guess => ({
	category: known.category,
	hazards: known.hazards,
	sure,
	choices: [],
	known
});
