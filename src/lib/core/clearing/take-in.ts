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
import { usualUse } from '../kinds';
import { frozenName, frozenNeeds } from '../rotation';
import { tellKind } from './correct';
import { knownThing, meantBy, nameApart, sameName, sizedFor } from './other-sizes';
import type { IntakeLine } from './parse-intake';
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

function newThing(line: IntakeLine, id: string, name: string): Thing {
	const traits = traitsOf(line.name, line.countWord, line.category);
	const massG = line.size ? line.size.value : traits.massG;
	return {
		id: ThingId.parse(id),
		name: name.slice(0, 200),
		...traits,
		piece: sizedFor(traits, massG),
		// A millilitre of most goods weighs about a gram.
		massG,
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
		const isFrozen = isFrozenLine(typed);
		const line = isFrozen ? frozenLine(draft as Home, typed) : typed;
		const thing =
			meantBy(draft as Home, line) ?? newThing(line, thingId, nameApart(draft as Home, line));
		if (isFrozen && !draft.things[thing.id]) thing.needs = frozenNeeds(thing.needs);
		draft.things[thing.id] ??= thing;
		if (told && line.category) tellKind(thing.id, line.category)(draft);
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
			count: line.count,
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
