import { dayOf, UseEventId, type Edit, type Lot, type WasteReason } from '../model';

export interface TakeDown {
	readonly lotId: string;
	readonly count: number;
	readonly eventId: string;
	/** ISO instant. */
	readonly now: string;
	readonly kind?: 'use' | 'discard';
	/** Why it is thrown away, if it is. */
	readonly why?: WasteReason | null;
}

const UNOPENED_UNIT = 1;
/** Less of a pack is none, but what rounding left. */
const CRUMB = 0.01;

/**
 * Makes the edit that takes stock down and logs it. Never below zero: what is logged is what was there.
 * @example applyEdit(home, takeDown({ lotId, count: 1, eventId, now }))
 */
export function takeDown({ lotId, count, eventId, now, kind = 'use', why = null }: TakeDown): Edit {
	return (draft) => {
		const lot = draft.lots[lotId] as Lot | undefined;
		if (!lot) return;
		const taken = Math.min(lot.count, Math.max(0, count));
		if (taken === 0) return;
		const left = Math.round((lot.count - taken) * 1000) / 1000;
		// Seven portions of a seventh leave no crumb behind.
		lot.count = lot.unit === 'pack' && left < CRUMB ? 0 : left;
		lot.dates.lastUsedOn = dayOf(now);
		// What was open is what was taken; the next one starts closed.
		if (lot.unit === 'pack' && taken >= UNOPENED_UNIT && lot.count > 0) {
			lot.dates.openedOn = null;
			lot.states = lot.states.filter((state) => state !== 'open');
		}
		const id = UseEventId.parse(eventId);
		draft.useEvents[id] = {
			id,
			lotId: lot.id,
			thingId: lot.thingId,
			at: now,
			count: taken,
			unit: lot.unit,
			kind,
			why
		};
	};
}
