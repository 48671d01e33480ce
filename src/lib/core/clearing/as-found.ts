import { readingKey } from '../kinds';
import { categoryOf, UNKNOWN_KIND, type Home, type NookId, type Thing } from '../model';
import { frozenName, frozenNeeds } from '../rotation';
import { climateOf } from '../survey';
import { knownThing } from './other-sizes';
import { kindFor, type IntakeLine } from './parse-intake';
import { traitsOf } from './traits';

/** How a new thing is kept from then on, whatever its kind says. */
type Keeps = 'frozen' | 'chilled' | null;

/** Whether a line speaks of something that is frozen now. */
const isFrozenLine = (line: IntakeLine): boolean =>
	(line.states.includes('frozen') || line.frozenOn !== null) && !isThawed(line);
const isThawed = ({ thawedOn, states }: IntakeLine): boolean =>
	thawedOn !== null || states.includes('thawed');

/**
 * Frozen goods are a thing apart from the same goods fresh: they live by another clock and in another place, and a group
 * never holds both. What is of a frozen kind anyway keeps its name.
 */
function frozenLine(home: Home, line: IntakeLine): IntakeLine {
	const known = knownThing(home, line.name);
	const needs = known?.needs ?? categoryOf(line.category ?? UNKNOWN_KIND).needs;
	return needs.includes('frozen') ? line : { ...line, name: frozenName(line.name) };
}
/** Food that is typed in at a freezer is kept so; spirits do not freeze, and an ice pack is no food. */
const freezes = (line: IntakeLine): boolean =>
	!!line.category?.startsWith('food.') && line.category !== 'food.alcohol' && !isThawed(line);
function asFrozen(line: IntakeLine): IntakeLine {
	const { category, sure } = kindFor(`frozen ${line.name}`, line.countWord);
	return sure && category ? { ...line, category } : line;
}

/** Kinds that keep closed in the cupboard: one that stands in the fridge is open, and another thing than its spare. */
const OPEN_AS: Readonly<Record<string, string>> = {
	'food.sauces': 'food.fridge-jars',
	'food.spreads': 'food.fridge-jars',
	'food.cans-veg': 'food.fridge-jars',
	'food.cans-fish': 'food.fridge-jars',
	'food.cans-fruit': 'food.fridge-jars',
	// A pot of soup is no tin.
	'food.soups': 'food.deli'
};
/** What is wanted cold where it stands in the fridge. */
const WANTED_COLD: ReadonlySet<string> = new Set(['food.drinks', 'food.alcohol', 'food.pet']);
function inTheFridge(home: Home, line: IntakeLine, category: string): IntakeLine {
	const isSpareKnown = knownThing(home, line.name)?.category === line.category;
	return { ...line, category, name: isSpareKnown ? `${line.name}, open` : line.name };
}
/** An open pack of food in the fridge stays there: it does not go back to the cupboard. */
const isOpenFood = ({ category, states }: IntakeLine): boolean =>
	!!category?.startsWith('food.') && states.includes('open');
/** What is kept cold is another thing than the same on a shelf: one group never holds both, nor one place. */
function keptCold(home: Home, line: IntakeLine): IntakeLine {
	const known = knownThing(home, line.name);
	if (!known || known.needs.includes('chilled')) return line;
	return { ...line, name: `${line.name}, ${isOpenFood(line) ? 'open' : 'cold'}` };
}
/** A spare of what is known as open or cold in the fridge. */
function asSpare(home: Home, line: IntakeLine, isPlaced: boolean): IntakeLine {
	const known = line.category ? knownThing(home, line.name) : null;
	if (!known) return line;
	const isOpenJar = OPEN_AS[line.category!] === known.category;
	const isCold =
		isPlaced &&
		known.category === line.category &&
		known.needs.includes('chilled') &&
		!categoryOf(known.category).needs.includes('chilled');
	return isOpenJar || isCold ? { ...line, name: `${line.name}, spare` } : line;
}

/** Fresh in the fridge, dried in the rack; a worktop may have either. */
const HERBS = /^(?:dill|parsley|basil|mint|coriander|chives|tarragon|chervil|marjoram|lovage)$/i;
const EGGS = /^eggs?(?:\s|$)/i;

const PLAIN_KNIVES = /^(?:knife|knives)$/i;
const liesWithForks = (home: Home, nookId: NookId): boolean =>
	Object.values(home.lots).some(
		(lot) => lot.nookId === nookId && home.things[lot.thingId]?.category === 'kitchen.cutlery'
	);
/** Within an edit, makes cutlery of plain knives that were typed in before the forks beside them, unless they were said to cut. */
export function asCutlery(home: Home, things: Record<string, Thing>, nookId: NookId | null): void {
	for (const lot of Object.values(home.lots)) {
		const thing = things[lot.thingId];
		if (!thing || nookId === null || lot.nookId !== nookId) continue;
		if (thing.category !== 'kitchen.knives' || !PLAIN_KNIVES.test(thing.name)) continue;
		if (home.readings[readingKey(thing.name)]) continue;
		Object.assign(thing, traitsOf(thing.name, '', 'kitchen.cutlery'));
	}
}

/**
 * Reads a line with what its place says of it: dumplings in the freezer are frozen, a sauce in the fridge is an open jar,
 * knives beside forks are cutlery. A kind that was told by hand stands.
 * @example asFound(home, lineOf('1 ketchup'), fridge, false).line.category // 'food.fridge-jars'
 */
export function asFound(
	home: Home,
	typed: IntakeLine,
	nookId: NookId | null,
	told: boolean
): { readonly line: IntakeLine; readonly keeps: Keeps } {
	const nook = nookId ? home.nooks[nookId] : undefined;
	const climate = nook ? climateOf(nook) : null;
	const { category } = typed;
	if (isFrozenLine(typed) || (climate === 'frozen' && freezes(typed))) {
		const kind = climate === 'frozen' && !told ? asFrozen(typed) : typed;
		return { line: frozenLine(home, kind), keeps: 'frozen' };
	}
	if (climate === 'chilled' && category) {
		const open = told ? undefined : OPEN_AS[category];
		if (open) return { line: inTheFridge(home, typed, open), keeps: null };
		// Whatever they stand in, eggs in the fridge are eggs.
		if (!told && category === 'kitchen.food-boxes' && EGGS.test(typed.name))
			return { line: { ...typed, category: 'food.eggs' }, keeps: null };
		if (!WANTED_COLD.has(category) && !isOpenFood(typed)) return { line: typed, keeps: null };
		return { line: keptCold(home, typed), keeps: 'chilled' };
	}
	if (told) return { line: typed, keeps: null };
	if (nook && nook.kind !== 'worktop' && HERBS.test(typed.name))
		return { line: { ...typed, category: 'food.spices' }, keeps: null };
	const isTableKnife =
		category === 'kitchen.knives' &&
		PLAIN_KNIVES.test(typed.name) &&
		!!nook &&
		liesWithForks(home, nook.id);
	return {
		line: isTableKnife ? { ...typed, category: 'kitchen.cutlery' } : asSpare(home, typed, !!nook),
		keeps: null
	};
}

/** What a new thing needs that is kept so. */
export const needsIn = (keeps: Keeps, needs: Thing['needs']): Thing['needs'] =>
	keeps === 'frozen'
		? frozenNeeds(needs)
		: keeps === 'chilled'
			? [...new Set([...needs, 'chilled' as const])]
			: needs;
