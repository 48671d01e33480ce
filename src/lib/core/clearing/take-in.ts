import {
	blankThing,
	categoryOf,
	LotId,
	ThingId,
	UNKNOWN_KIND,
	type Edit,
	type Home,
	type Lot,
	type NookId,
	type Thing
} from '../model';
import { readingKey, usualUse } from '../kinds';
import { frozenName, frozenNeeds } from '../rotation';
import { climateOf } from '../survey';
import { tellKind } from './correct';
import { knownThing, meantBy, massFor, nameApart, sameName, sizedFor } from './other-sizes';
import { inStock } from './pack-counts';
import { kindFor, type IntakeLine } from './parse-intake';
import { traitsOf } from './traits';

export interface TakeIn {
	readonly line: IntakeLine;
	readonly nookId: NookId | null;
	/** Ids to use for a new thing and the lot. */
	readonly thingId: string;
	readonly lotId: string;
	/** Number read from the pack, 8 to 14 digits. */
	readonly code?: string | null;
	/** Whether its kind was said by hand: the home remembers it for the name. */
	readonly told?: boolean;
	/** ISO date. */
	readonly today: string;
}

/** Whether a line speaks of something that is frozen now. */
const isFrozenLine = (line: IntakeLine): boolean =>
	(line.states.includes('frozen') || line.frozenOn !== null) &&
	line.thawedOn === null &&
	!line.states.includes('thawed');

/**
 * Frozen goods are a thing apart from the same goods fresh: they live by another clock and in another place, and a group
 * never holds both. What is of a frozen kind anyway keeps its name.
 */
function frozenLine(home: Home, line: IntakeLine): IntakeLine {
	const known = knownThing(home, line.name);
	const needs = known?.needs ?? categoryOf(line.category ?? UNKNOWN_KIND).needs;
	return needs.includes('frozen') ? line : { ...line, name: frozenName(line.name) };
}

const climateAt = (home: Home, nookId: NookId | null) => {
	const nook = nookId ? home.nooks[nookId] : undefined;
	return nook ? climateOf(nook) : null;
};
const liesFrozen = (home: Home, nookId: NookId | null) => climateAt(home, nookId) === 'frozen';
/** Food is kept as it was found; spirits in a freezer do not freeze, and an ice pack is no food. */
const isKeptCold = ({ category, thawedOn, states }: IntakeLine): boolean =>
	!!category?.startsWith('food.') &&
	category !== 'food.alcohol' &&
	thawedOn === null &&
	!states.includes('thawed');
const isKeptCool = (home: Home, { category }: IntakeLine, nookId: NookId | null): boolean =>
	climateAt(home, nookId) === 'chilled' &&
	(category === 'food.drinks' || category === 'food.alcohol' || category === 'food.pet');

/** What stands in the fridge is open, or is wanted cold. */
const IN_THE_FRIDGE: Readonly<Record<string, string>> = {
	'food.sauces': 'food.fridge-jars',
	'food.spreads': 'food.fridge-jars'
};
const PLAIN_KNIVES = /^(?:knife|knives)$/i;
const liesWithForks = (home: Home, nookId: NookId | null): boolean =>
	nookId !== null &&
	Object.values(home.lots).some(
		(lot) => lot.nookId === nookId && home.things[lot.thingId]?.category === 'kitchen.cutlery'
	);

/** Within an edit, makes cutlery of plain knives that were typed in before the forks beside them, unless they were said to cut. */
function asCutlery(home: Home, things: Record<string, Thing>, nookId: NookId | null): void {
	for (const lot of Object.values(home.lots)) {
		const thing = things[lot.thingId];
		if (!thing || nookId === null || lot.nookId !== nookId) continue;
		if (thing.category !== 'kitchen.knives' || !PLAIN_KNIVES.test(thing.name)) continue;
		if (home.readings[readingKey(thing.name)]) continue;
		Object.assign(thing, traitsOf(thing.name, '', 'kitchen.cutlery'));
	}
}

/** A line with what its place says of it: dumplings in the freezer are frozen, knives beside forks are cutlery. */
function asFound(home: Home, line: IntakeLine, nookId: NookId | null): IntakeLine {
	const { name, category, countWord } = line;
	if (category === 'kitchen.knives' && PLAIN_KNIVES.test(name) && liesWithForks(home, nookId))
		return { ...line, category: 'kitchen.cutlery' };
	const climate = climateAt(home, nookId);
	if (climate === 'chilled' && category && IN_THE_FRIDGE[category])
		return { ...line, category: IN_THE_FRIDGE[category]! };
	if (climate !== 'frozen' || !isKeptCold(line)) return line;
	const frozen = kindFor(`frozen ${name}`, countWord);
	return frozen.sure && frozen.category ? { ...line, category: frozen.category } : line;
}

function newThing(line: IntakeLine, id: string, name: string): Thing {
	const traits = traitsOf(line.name, line.countWord, line.category);
	const usual = { name: line.name, ...traits };
	return {
		id: ThingId.parse(id),
		name: name.slice(0, 200),
		...traits,
		piece: sizedFor(usual, line.size),
		// A millilitre of most goods weighs about a gram.
		massG: massFor(usual, line.size),
		use: { class: usualUse(line.name, traits.category), countedPerWeek: null },
		userIds: [],
		stations: [],
		...blankThing()
	};
}

/** Makes the edit that books a line of the entry line: a lot of a known thing, or of a new one. */
export function takeIn({
	line: typed,
	nookId,
	thingId,
	lotId,
	today,
	code = null,
	told = false
}: TakeIn): Edit {
	return (draft) => {
		const home = draft as Home;
		const here = told ? typed : asFound(home, typed, nookId);
		const isFrozen = isFrozenLine(here) || (liesFrozen(home, nookId) && isKeptCold(here));
		const line = isFrozen ? frozenLine(home, here) : here;
		const thing = meantBy(home, line) ?? newThing(line, thingId, nameApart(home, line));
		if (isFrozen && !draft.things[thing.id]) thing.needs = frozenNeeds(thing.needs);
		else if (!draft.things[thing.id] && isKeptCool(home, line, nookId))
			thing.needs = [...new Set([...thing.needs, 'chilled' as const])];
		draft.things[thing.id] ??= thing;
		if (told && line.category) tellKind(thing.id, line.category)(draft);
		if (thing.category === 'kitchen.cutlery') asCutlery(home, draft.things, nookId);
		const booked = draft.things[thing.id]!;
		if (line.priceMinor !== null) booked.priceMinor = line.priceMinor;
		if (code && !booked.code) booked.code = code;
		// Who lives here is a user of it; anybody else is an owner to give it back to.
		const person = Object.values(draft.people).find((one) => sameName(one.name, line.owner));
		if (person && !booked.userIds.includes(person.id)) booked.userIds.push(person.id);
		const lot: Lot = {
			id: LotId.parse(lotId),
			thingId: thing.id,
			nookId,
			count: inStock(line),
			unit: 'pack',
			dates: {
				printed: line.printed,
				openedOn: line.openedOn,
				frozenOn: line.frozenOn ?? (line.states.includes('frozen') ? today : null),
				madeOn: line.madeOn,
				thawedOn: line.thawedOn ?? (line.states.includes('thawed') ? today : null),
				lastUsedOn: line.lastUsedOn
			},
			states: [...line.states],
			lostDays: 0,
			owner: person ? '' : line.owner,
			batch: line.batch
		};
		draft.lots[lot.id] = lot;
	};
}
