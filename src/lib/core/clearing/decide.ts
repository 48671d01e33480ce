import {
	dayOf,
	decisionsOn,
	memoOn,
	stock,
	DecisionId,
	LotId,
	UseEventId,
	type Edit,
	type Home,
	type HomePart,
	type Lot,
	type Thing,
	type NookId,
	type Verdict
} from '../model';
import { groupOfLots, partLot, spareOf } from '../grouping';
import { effectiveDate, isSafetyDate, type EffectiveDate } from '../rotation';
import type { Advice } from './advice-rules';
import { dueFor, LEAVING } from './leaving';

export interface Decide {
	readonly lotId: string;
	readonly verdict: Verdict;
	readonly advice: Advice | null;
	/** Puts it on the shopping list in the same gesture. */
	readonly wantAgain: boolean;
	/** Not to be bought again. */
	readonly avoid?: boolean;
	/** Why, when it is decided otherwise than advised. */
	readonly reason?: string;
	/** To whom or where it leaves; what is somebody else's goes back to them unless said otherwise. */
	readonly to?: string;
	/** How many of the lot; all of them unless said. */
	readonly count?: number;
	/** Where it goes, for `move` and `back-stock`; null: the table, or where it stands. */
	readonly toNookId: NookId | null;
	/** `rest` is the id of the lot that stays when only a part is decided on. */
	readonly ids: { readonly decision: string; readonly event: string; readonly rest?: string };
	/** ISO instant. */
	readonly now: string;
}

/** One letter a verdict, for the keyboard. */
export const VERDICT_KEYS: Readonly<Record<string, Verdict>> = {
	k: 'keep',
	b: 'back-stock',
	u: 'use-first',
	m: 'move',
	h: 'hold',
	g: 'give',
	r: 'return',
	c: 'recycle',
	d: 'discard',
	z: 'hazardous'
};

/**
 * Makes the edit that records a decision; what leaves is taken out of stock and logged. Decided on a part only, the
 * lot is split first, and what stays is left to be decided.
 */
export function decide(choice: Decide): Edit {
	return (draft) => {
		const lot = draft.lots[choice.lotId];
		if (!lot) return;
		const count = Math.min(choice.count ?? lot.count, lot.count);
		if (count < lot.count && choice.ids.rest) {
			partLot(draft.lots, lot, lot.count - count, LotId.parse(choice.ids.rest));
		}
		const thing = draft.things[lot.thingId];
		if (thing && choice.avoid !== undefined) thing.avoid = choice.avoid;
		const id = DecisionId.parse(choice.ids.decision);
		draft.decisions[id] = {
			id,
			lotId: lot.id,
			thingId: lot.thingId,
			nookId: lot.nookId,
			count: lot.count,
			verdict: choice.verdict,
			advised: choice.advice ? { verdict: choice.advice.verdict, code: choice.advice.code } : null,
			wantAgain: choice.wantAgain,
			reason: choice.reason ?? '',
			to: choice.to ?? (choice.verdict === 'return' ? lot.owner : ''),
			dueOn: dueFor(choice.verdict, dayOf(choice.now)),
			doneOn: null,
			at: choice.now
		};
		if (LEAVING.has(choice.verdict)) {
			const event = UseEventId.parse(choice.ids.event);
			draft.useEvents[event] = {
				id: event,
				lotId: lot.id,
				thingId: lot.thingId,
				at: choice.now,
				count: lot.count,
				unit: lot.unit,
				kind: 'discard',
				why: null
			};
			lot.count = 0;
		} else if (choice.verdict === 'move') lot.nookId = choice.toNookId;
		else if (choice.verdict === 'back-stock' && choice.toNookId) lot.nookId = choice.toNookId;
	};
}

/** The place of a group in the plan in force, the first of several; null: it has none. */
function plannedPlace(home: Home, groupId: string | undefined): NookId | null {
	const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
	return plan?.assignments.find((part) => part.groupId === groupId)?.nookId ?? null;
}

/** Where a lot moves unless another place is chosen: as the plan in force says for its group. */
export const planTarget = (home: Home, lotId: string): NookId | null =>
	plannedPlace(home, groupOfLots(home).get(lotId));

/**
 * Where a lot goes as back stock: where the plan has the spares of its group, when they are kept apart; else the first
 * of the satellite places; null: there is none.
 */
export function backPlace(home: Home, lotId: string): NookId | null {
	const groupId = home.things[home.lots[lotId]?.thingId ?? '']?.groupId;
	const spares = groupId ? spareOf(home, groupId) : undefined;
	return (
		plannedPlace(home, spares?.id) ??
		Object.values(home.nooks).find((nook) => nook.tags.includes('satellite'))?.id ??
		null
	);
}

/**
 * Orders the pile: what is still open first, then by the strength of its advice, then the nearest date, then by id.
 */
export function decisionOrder(
	home: Home,
	lots: readonly Lot[],
	isOpen: (lotId: string) => boolean,
	strengthOf: (lotId: string) => number
): Lot[] {
	const dateOf = new Map(
		lots.map((lot) => {
			const thing = home.things[lot.thingId];
			return [lot.id, (thing && effectiveDate(lot, thing)?.on) ?? '9999'] as const;
		})
	);
	return [...lots].sort(
		(a, b) =>
			Number(isOpen(b.id)) - Number(isOpen(a.id)) ||
			strengthOf(b.id) - strengthOf(a.id) ||
			dateOf.get(a.id)!.localeCompare(dateOf.get(b.id)!) ||
			(a.id < b.id ? -1 : 1)
	);
}

/**
 * Whether a lot that is past its date was looked at since and stays: whoever decided so is not asked again. What is a
 * matter of safety no decision settles.
 */
function isSettled(
	home: HomePart<'decisions'>,
	lot: Lot,
	thing: Thing,
	date: EffectiveDate
): boolean {
	if (isSafetyDate(lot, thing, date)) return false;
	return decisionsOn(home, lot.id).some(({ at }) => dayOf(at) > date.on);
}

/** Counts the lots of each place whose time has passed on `today`; places without any are left out. */
export const pastByPlace = memoOn(
	['lots', 'things', 'decisions'],
	(home, today: string): ReadonlyMap<string, number> => {
		const counts = new Map<string, number>();
		for (const lot of stock(home)) {
			const thing = home.things[lot.thingId];
			const date = lot.nookId && thing ? effectiveDate(lot, thing) : null;
			if (lot.nookId && thing && date && date.on < today && !isSettled(home, lot, thing, date))
				counts.set(lot.nookId, (counts.get(lot.nookId) ?? 0) + 1);
		}
		return counts;
	}
);
