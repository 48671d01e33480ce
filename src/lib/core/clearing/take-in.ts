import {
	blankThing,
	LotId,
	ThingId,
	type Edit,
	type Home,
	type Lot,
	type NookId,
	type Thing
} from '../model';
import { usualUse } from '../kinds';
import { asCutlery, asFound, needsIn } from './as-found';
import { tellKind } from './correct';
import { meantBy, massFor, nameApart, sameName, sizedFor } from './other-sizes';
import { inStock } from './pack-counts';
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
		const { line, keeps } = asFound(home, typed, nookId, told);
		const thing = meantBy(home, line) ?? newThing(line, thingId, nameApart(home, line));
		if (!draft.things[thing.id]) thing.needs = needsIn(keeps, thing.needs);
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
