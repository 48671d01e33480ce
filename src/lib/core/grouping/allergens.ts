import { isDraft } from 'immer';
import { z } from 'zod';
import rows from '../../../../data/allergens.json';
import { wordStems, type Home, type Thing } from '../model';

/** Allergens of a thing, by their names in `data/allergens.json` or as the household writes them. */
export interface Allergens {
	readonly contains: readonly string[];
	readonly freeFrom: readonly string[];
}

const TABLE = z
	.array(
		z.strictObject({
			name: z.string(),
			words: z.array(z.string()),
			not: z.array(z.string()).optional()
		})
	)
	.parse(rows)
	.map(({ name, words, not = [] }) => ({ name, words: words.map(wordStems), not }));

const FREE = /([\p{L}]+)[- ]free\b/giu;
const clean = (name: string) => name.trim().toLowerCase();

type NamedFood = Pick<Thing, 'name' | 'category' | 'allergens'>;
// Things are never changed in place, so what was read of one holds as long as it is the same.
const known = new WeakMap<NamedFood, Allergens>();

/**
 * Reads the allergens of a food: what was said by hand, else what its name says. A name is a hint and no promise:
 * the pack decides, and the screens say so. Goods that are not food have none.
 * @example allergensOf({ name: 'sesame-free crispbread', category: 'food.snacks', allergens: null }).freeFrom // ['sesame']
 */
export function allergensOf(thing: NamedFood): Allergens {
	if (isDraft(thing)) return readAllergens(thing);
	const found = known.get(thing) ?? readAllergens(thing);
	known.set(thing, found);
	return found;
}

function readAllergens({ name, category, allergens }: NamedFood): Allergens {
	if (allergens)
		return {
			contains: allergens.contains.map(clean),
			freeFrom: allergens.freeFrom.map(clean)
		};
	if (!category.startsWith('food.')) return { contains: [], freeFrom: [] };
	const freeFrom = [...name.matchAll(FREE)].map((match) => clean(match[1]!));
	const lower = name.toLowerCase();
	const contains = TABLE.filter((row) => {
		if (freeFrom.includes(row.name)) return false;
		const rest = wordStems(row.not.reduce((text, words) => text.replaceAll(words, ' '), lower));
		return row.words.some((words) => words.every((word) => rest.includes(word)));
	}).map((row) => row.name);
	return { contains, freeFrom };
}

/**
 * Whether a food may hold what somebody must avoid: by its allergens, or by the words of its name as whole words, so
 * that "nut" is not in "butternut". What is said to be free of it does not.
 * @example mayHold(kiwiJam, 'kiwi') // true, though no table knows kiwi
 */
export function mayHold(thing: NamedFood, avoided: string): boolean {
	const wanted = wordStems(clean(avoided));
	if (!wanted.length || !thing.category.startsWith('food.')) return false;
	const { contains, freeFrom } = allergensOf(thing);
	const isIn = (text: string) => {
		const stems = wordStems(text);
		return wanted.every((word) => stems.includes(word));
	};
	if (freeFrom.some(isIn)) return false;
	// What was said by hand goes before what the name sounds like.
	return contains.some(isIn) || (!thing.allergens && isIn(thing.name));
}

/** Lists the allergens that somebody of the household must avoid, in lower case, sorted, each once. */
export function householdAllergens(home: Pick<Home, 'people'>): string[] {
	const all = Object.values(home.people).flatMap((person) => person.allergies.map(clean));
	return [...new Set(all.filter(Boolean))].sort();
}
