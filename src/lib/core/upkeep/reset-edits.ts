import {
	addDays,
	blankReset,
	ResetId,
	type CabinetId,
	type Edit,
	type Home,
	type NookId,
	type PersonId,
	type Reset
} from '../model';
import { foundOf, minutesBetween } from './reset-work';
import { adaptedDays } from './resets';
import { doSwap } from './seasons';
import type { ResetDraft } from './usual-resets';

const MOST_LOG = 60;

/** Makes the edit that adds a reset of its own, or a usual one. */
export function addReset(
	id: string,
	reset: Partial<Pick<Reset, 'name' | 'personId' | 'swap' | 'postponedTo'>> & ResetDraft
): Edit {
	return (draft) => {
		const resetId = ResetId.parse(id);
		draft.resets[resetId] = { ...blankReset(), ...reset, nookIds: [...reset.nookIds], id: resetId };
	};
}
/** What may be changed of a reset by hand. */
export interface ResetChange {
	readonly name?: string;
	readonly everyDays?: number;
	readonly personId?: PersonId | null;
	readonly cabinetId?: CabinetId | null;
	readonly nookIds?: readonly NookId[];
	readonly swap?: Reset['swap'];
}
/** Makes the edit that changes a reset; nothing when it is gone. */
export function changeReset(id: string, { nookIds, ...change }: ResetChange): Edit {
	return (draft) => {
		const reset = draft.resets[id];
		if (!reset) return;
		Object.assign(reset, change);
		if (nookIds) reset.nookIds = [...nookIds];
	};
}
export function removeReset(id: string): Edit {
	return (draft) => void delete draft.resets[id];
}

/** Makes the edit that begins a reset: from now on what is decided in its places counts. `now` is an ISO instant. */
export function beginReset(id: string, now: string): Edit {
	return (draft) => {
		const reset = draft.resets[id];
		if (reset) reset.begunAt = now;
	};
}

function close(reset: Reset, entry: Reset['log'][number]): void {
	reset.log = [...reset.log, entry].slice(-MOST_LOG);
	reset.postponedTo = null;
	reset.begunAt = null;
}

/**
 * Makes the edit that ends a reset: the share found is counted from what was decided since it was begun, what was not
 * touched is as it is listed; a swap moves its things. `today` is an ISO date, `now` an instant.
 */
export function finishReset(id: string, today: string, now: string): Edit {
	return (draft) => {
		const reset = draft.resets[id];
		if (!reset) return;
		const { begunAt } = reset;
		const foundShare = begunAt ? foundOf(draft as Home, reset as Reset, begunAt).share : null;
		const minutes = begunAt ? minutesBetween(begunAt, now) : null;
		if (reset.swap) doSwap(id, today)(draft);
		reset.lastDoneOn = today;
		if (foundShare !== null) reset.foundShare = foundShare;
		close(reset as Reset, { on: today, foundShare, minutes, skipped: false });
	};
}

/** Makes the edit that leaves a reset out this time: it is due again after its interval, counted from today. */
export function skipReset(id: string, today: string): Edit {
	return (draft) => {
		const reset = draft.resets[id];
		if (!reset) return;
		const { days } = adaptedDays(reset as Reset);
		close(reset as Reset, { on: today, foundShare: null, minutes: null, skipped: true });
		reset.postponedTo = addDays(today, days);
	};
}

/** Makes the edit that puts resets off, each to its day (ISO). */
export function postponeResets(days: readonly (readonly [id: string, on: string])[]): Edit {
	return (draft) => {
		for (const [id, on] of days) {
			const reset = draft.resets[id];
			if (reset) reset.postponedTo = on;
		}
	};
}
