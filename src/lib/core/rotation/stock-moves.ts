import {
	dayOf,
	fingerprint,
	LotId,
	NookId,
	UseEventId,
	type Edit,
	type Home,
	type HomePart,
	type Lot,
	type Thing
} from '../model';
import { partLot } from '../grouping';
import { isColdPlace, isFrozenLot } from './cold';
import { asFrozen, asThawed } from './frozen';
import { inPacks, perPack } from './packs';

export interface PutIn {
	readonly thingId: string;
	/** null: on the table. */
	readonly nookId: string | null;
	readonly count: number;
	readonly unit?: Lot['unit'];
	readonly dates?: Partial<Lot['dates']>;
	readonly states?: Lot['states'];
	readonly lotId: string;
	readonly eventId: string;
	/** ISO instant. */
	readonly now: string;
}

const NO_DATES: Lot['dates'] = {
	printed: null,
	openedOn: null,
	frozenOn: null,
	thawedOn: null,
	madeOn: null,
	lastUsedOn: null
};
/** What two lots must have in common to be one. */
const lotPrint = ({ thingId, nookId, unit, dates, states, lostDays, owner, batch }: Lot): string =>
	fingerprint([
		thingId,
		nookId,
		unit,
		{ ...dates, lastUsedOn: null },
		[...states].sort(),
		lostDays,
		owner,
		batch
	]);
const rounded = (count: number) => Math.round(count * 1000) / 1000;

/**
 * Makes the edit that puts stock in: to a lot of the same date in the same place, else as one of its own; logged. What
 * is put into a freezer is frozen from then on, and the thing that it is once frozen.
 */
export function putIn({
	thingId,
	nookId,
	count,
	unit = 'pack',
	dates = {},
	states = [],
	lotId,
	eventId,
	now
}: PutIn): Edit {
	return (draft) => {
		const given = draft.things[thingId];
		if (!given || count <= 0) return;
		const isCold = isColdPlace(draft as Home, nookId);
		const thing = isCold ? asFrozen(draft.things, given as Thing, `${lotId}-f`) : given;
		const cold: Partial<Lot['dates']> = isCold ? { frozenOn: dayOf(now) } : {};
		const made: Lot = {
			id: LotId.parse(lotId),
			thingId: thing.id,
			nookId: nookId === null ? null : NookId.parse(nookId),
			count: rounded(count),
			unit,
			dates: { ...NO_DATES, ...cold, ...dates },
			states: isCold ? withState([...states], 'frozen', []) : [...states],
			lostDays: 0,
			owner: '',
			batch: ''
		};
		const print = lotPrint(made);
		const same = Object.values(draft.lots).find(
			(lot) => lot.count > 0 && lot.thingId === made.thingId && lotPrint(lot as Lot) === print
		);
		if (same) same.count = rounded(same.count + count);
		else draft.lots[made.id] = made;
		const id = UseEventId.parse(eventId);
		const lot = same?.id ?? made.id;
		draft.useEvents[id] = {
			id,
			lotId: lot,
			thingId: made.thingId,
			at: now,
			count: rounded(count),
			unit,
			kind: 'add',
			why: null
		};
	};
}

/** Within an edit, gives so much of a lot as a lot of its own; all of it: the lot itself. */
function portion(draft: Home, lot: Lot, count: number, partId: string): Lot {
	return count >= lot.count ? lot : partLot(draft.lots, lot, rounded(count), LotId.parse(partId));
}

const withState = (
	states: Lot['states'],
	add: Lot['states'][number] | null,
	off: Lot['states']
) => [...states.filter((state) => state !== add && !off.includes(state)), ...(add ? [add] : [])];

/** Part of a lot that something is done with. `partId` is for the lot that it becomes when not all of it is meant. */
export interface OfLot {
	readonly lotId: string;
	readonly count: number;
	readonly partId: string;
	/** ISO instant. */
	readonly now: string;
}

/** Makes the edit that opens one pack of a lot; the others stay closed. */
export function openPack({ lotId, count, partId, now }: OfLot): Edit {
	return (draft) => {
		const lot = draft.lots[lotId];
		if (!lot || lot.count <= 0 || lot.dates.openedOn !== null) return;
		const open = portion(draft as Home, lot as Lot, count, partId);
		open.dates.openedOn = dayOf(now);
		open.states = withState(open.states, 'open', []);
	};
}

/** Why something may not be frozen; null: it may. */
export type FreezeIssue = 'frozen' | 'thawed-before' | 'past';

/**
 * Says why a lot may not be frozen. What was thawed is not frozen again (cooked, it is another dish and may be); what is
 * past its date does not get better by cold.
 */
export function freezeIssue(
	home: HomePart<'nooks'>,
	lot: Lot,
	daysLeft: number | null
): FreezeIssue | null {
	if (isFrozenLot(home, lot)) return 'frozen';
	if (lot.dates.thawedOn !== null) return 'thawed-before';
	return daysLeft !== null && daysLeft < 0 ? 'past' : null;
}

/** Makes the edit that freezes so much of a lot, in a place of the freezer. `thingId` is for the frozen thing, if new. */
export function freeze(of: OfLot, nookId: string, thingId: string): Edit {
	return (draft) => {
		const lot = draft.lots[of.lotId];
		const thing = lot && draft.things[lot.thingId];
		if (!lot || !thing || freezeIssue(draft as Home, lot as Lot, null)) return;
		const part = portion(draft as Home, lot as Lot, of.count, of.partId);
		part.thingId = asFrozen(draft.things, thing as Thing, thingId).id;
		part.nookId = NookId.parse(nookId);
		part.dates.frozenOn = dayOf(of.now);
		part.states = withState(part.states, 'frozen', ['thawed']);
	};
}

/** Makes the edit that takes so much of a lot out of the freezer to thaw, in a place of the fridge; null: the table. */
export function thaw(of: OfLot, nookId: string | null, thingId: string): Edit {
	return (draft) => {
		const lot = draft.lots[of.lotId];
		const thing = lot && draft.things[lot.thingId];
		if (!lot || !thing || lot.count <= 0 || !isFrozenLot(draft as Home, lot as Lot)) return;
		const part = portion(draft as Home, lot as Lot, of.count, of.partId);
		part.thingId = asThawed(draft.things, thing as Thing, thingId).id;
		part.nookId = nookId === null ? null : NookId.parse(nookId);
		part.dates.thawedOn = dayOf(of.now);
		part.states = withState(part.states, 'thawed', ['frozen']);
	};
}

/**
 * Makes the edit that moves so much of a lot to another place; null: the table. Into a freezer it is frozen, out of one
 * it thaws: the cold is never left by a mere move. What was thawed once stays where it is. `thingId` is for what it is
 * then, if new.
 */
export function moveStock(of: OfLot, nookId: string | null, thingId: string): Edit {
	return (draft) => {
		const lot = draft.lots[of.lotId];
		if (!lot || lot.count <= 0 || lot.nookId === nookId) return;
		const wasCold = isFrozenLot(draft as Home, lot as Lot);
		const isCold = isColdPlace(draft as Home, nookId);
		if (isCold && !wasCold) return freeze(of, nookId!, thingId)(draft);
		if (wasCold && !isCold) return thaw(of, nookId, thingId)(draft);
		const part = portion(draft as Home, lot as Lot, of.count, of.partId);
		part.nookId = nookId === null ? null : NookId.parse(nookId);
	};
}

/** Makes the edit that counts a lot in another unit from now on: the same amount, by what one pack holds. */
export function countIn(lotId: string, unit: Lot['unit']): Edit {
	return (draft) => {
		const lot = draft.lots[lotId];
		const thing = lot && draft.things[lot.thingId];
		if (!lot || !thing || lot.unit === unit) return;
		lot.count = rounded(inPacks(lot.count, lot.unit, thing) * perPack(unit, thing));
		lot.unit = unit;
	};
}
