import { z } from 'zod';
import rows from '../../../../data/pets.json';
import type { GroupFigures } from '../grouping';
import { Hazard, memoOn, wordStems, type Home, type Thing } from '../model';
import { baseAboveFloorMm, type NookPlace } from '../survey';

const PetRow = z.strictObject({
	kinds: z.array(z.string()).min(1),
	/** Open places below this are in its reach, mm; a door that shuts keeps it out. */
	reach: z.strictObject({ openBelowMm: z.number() }),
	/** Words of names of what harms it. */
	words: z.string(),
	hazards: z.array(Hazard)
});
interface Danger {
	readonly kinds: readonly string[];
	readonly openBelowMm: number;
	readonly stems: ReadonlySet<string>;
	readonly hazards: ReadonlySet<Hazard>;
}
const DANGERS: readonly Danger[] = z
	.array(PetRow)
	.parse(rows)
	.map(({ kinds, reach, words, hazards }) => ({
		kinds,
		openBelowMm: reach.openBelowMm,
		stems: new Set(wordStems(words)),
		hazards: new Set(hazards)
	}));

/** Kinds of animal that the rows know, the commonest name of each. */
export const PET_KINDS: readonly string[] = DANGERS.map(({ kinds }) => kinds[0]!);

/** What harms each pet of a home; one of a kind that no row knows is taken for a dog and a cat at once. */
export const petDangers = memoOn(['pets'], (home): readonly Danger[] => {
	const found = new Set<Danger>();
	for (const { kind } of Object.values(home.pets)) {
		const row = DANGERS.find(({ kinds }) =>
			kinds.some((name) => kind.toLowerCase().includes(name))
		);
		for (const danger of row ? [row] : DANGERS.slice(0, 2)) found.add(danger);
	}
	return [...found];
});

const stemsOf = new Map<string, readonly string[]>();
/** The words of a name; names come up again with every place. */
function stems(name: string): readonly string[] {
	const found = stemsOf.get(name);
	if (found) return found;
	if (stemsOf.size > MOST_NAMES) stemsOf.clear();
	const words = wordStems(name);
	stemsOf.set(name, words);
	return words;
}
const MOST_NAMES = 20_000;

/** What nobody swallows is only named after it: wine glasses, tea towels, a coffee machine. */
const NAMED_AFTER = /^(?:kitchen\.|home\.(?!baby|flowers|garden|pet-care|unknown))/;

const harms = (
	{ stems: harmful, hazards }: Danger,
	thing: Pick<Thing, 'name' | 'category' | 'hazards'>
): boolean =>
	thing.hazards.some((hazard) => hazard === 'pet-toxic' || hazards.has(hazard)) ||
	(!NAMED_AFTER.test(thing.category) && stems(thing.name).some((stem) => harmful.has(stem)));

/** The words of a name that speak of harm to any pet. */
export const harmWords = (name: string): string[] =>
	wordStems(name).filter((stem) => DANGERS.some(({ stems }) => stems.has(stem)));

/** Whether a pet of the home could get at something in a place that harms it. Shut doors and drawers keep pets out. */
export function petCouldTake(
	home: Pick<Home, 'pets'>,
	{ things, hazards }: Pick<GroupFigures, 'things' | 'hazards'>,
	place: NookPlace
): boolean {
	const isOpen = place.cabinet.front === 'open' || place.nook.kind === 'worktop';
	if (!isOpen || place.nook.locked) return false;
	const base = baseAboveFloorMm(place);
	return petDangers(home).some(
		(danger) =>
			base < danger.openBelowMm &&
			(hazards.has('pet-toxic') || things.some((thing) => harms(danger, thing)))
	);
}
