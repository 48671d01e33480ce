import {
	categoryOf,
	LotId,
	ThingId,
	type Edit,
	type Home,
	type Lot,
	type NookId,
	type Thing
} from '../model';
import type { IntakeLine } from './parse-intake';

export interface TakeIn {
	readonly line: IntakeLine;
	readonly nookId: NookId | null;
	/** Ids to use for a new thing and the lot. */
	readonly thingId: string;
	readonly lotId: string;
	/** ISO date. */
	readonly today: string;
}

const sameName = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Finds the thing a typed name means: the same words, whatever their case. */
export function knownThing(home: Home, name: string): Thing | null {
	return Object.values(home.things).find((thing) => sameName(thing.name, name)) ?? null;
}

function newThing(line: IntakeLine, id: string): Thing {
	const category = categoryOf(line.category ?? 'kitchen.odds');
	return {
		id: ThingId.parse(id),
		name: line.name.slice(0, 200),
		category: category.code,
		piece: { ...category.piece },
		// A millilitre of most goods weighs about a gram.
		massG: line.size ? line.size.value : category.massG,
		use: { class: category.use, countedPerWeek: null },
		userIds: [],
		stations: [],
		needs: [...category.needs],
		hazards: [...category.hazards],
		lifeKey: category.lifeKey,
		groupId: null,
		parPacks: null,
		priceMinor: null,
		avoid: false
	};
}

/** Makes the edit that books a line of the entry line: a lot of a known thing, or of a new one. */
export function takeIn({ line, nookId, thingId, lotId, today }: TakeIn): Edit {
	return (draft) => {
		const thing = knownThing(draft as Home, line.name) ?? newThing(line, thingId);
		draft.things[thing.id] ??= thing;
		const lot: Lot = {
			id: LotId.parse(lotId),
			thingId: thing.id,
			nookId,
			count: line.count,
			unit: 'pack',
			dates: {
				printed: line.printed,
				openedOn: line.openedOn,
				frozenOn: line.states.includes('frozen') ? today : null,
				thawedOn: line.states.includes('thawed') ? today : null,
				lastUsedOn: null
			},
			states: [...line.states]
		};
		draft.lots[lot.id] = lot;
	};
}
