import { DEFAULT_SETTINGS, lotsIn, type Home, type NookKind, type Settings } from '../model';
import { workedMinutes } from './sessions';

export interface ClearWork {
	readonly things: number;
	/** Litres to be poured into jars. */
	readonly decantL?: number;
	/** How many people work. */
	readonly hands?: number;
}
export interface LearnedRatio {
	/** Real minutes to estimated ones; 1 until there is a session. */
	readonly ratio: number;
	/** Sessions that it rests on. */
	readonly sessions: number;
	/** Whether they were of this kind of place, of any kind, or there were none. */
	readonly basis: 'kind' | 'home' | 'none';
}
export interface ClearEstimate {
	readonly minutes: number;
	/** How it was made, minutes each; they sum to the plain estimate before what was learned. */
	readonly parts: {
		readonly emptyAndClean: number;
		readonly look: number;
		readonly decant: number;
		readonly putBack: number;
		readonly allowance: number;
	};
	readonly learned: LearnedRatio;
}

const NONE: LearnedRatio = { ratio: 1, sessions: 0, basis: 'none' };
/** With fewer sessions of a kind of place, all of the home's count. */
const ENOUGH = 2;

function median(values: readonly number[]): number {
	const sorted = [...values].sort((a, b) => a - b);
	const half = Math.floor(sorted.length / 2);
	return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2;
}

/**
 * Learns from the finished sessions of a home how long places of a kind really take: the median of real to planned
 * minutes, of this kind where there are two or more sessions, else of all.
 */
export function learnedRatio(home: Home, kind: NookKind): LearnedRatio {
	const ended = Object.values(home.sessions)
		.filter((session) => session.endedAt !== null && session.plannedMin > 0)
		.map((session) => ({
			kind: home.nooks[session.nookId]?.kind,
			ratio: workedMinutes(session, session.endedAt!) / session.plannedMin
		}))
		.filter(({ ratio }) => ratio > 0);
	const same = ended.filter((session) => session.kind === kind);
	if (same.length >= ENOUGH)
		return { ratio: median(same.map(({ ratio }) => ratio)), sessions: same.length, basis: 'kind' };
	return ended.length
		? { ratio: median(ended.map(({ ratio }) => ratio)), sessions: ended.length, basis: 'home' }
		: NONE;
}

/**
 * Estimates the minutes to clear a place: 10 to empty and clean, half a minute a thing, a minute a litre decanted, 10
 * to put back, shared by the hands that work, times 1.4 for what one always forgets, times what this home has learned.
 * @example estimateClear({ things: 40 }).minutes // 56
 */
export function estimateClear(
	{ things, decantL = 0, hands = 1 }: ClearWork,
	settings: Pick<Settings, 'clearTime'> = DEFAULT_SETTINGS,
	learned: LearnedRatio = NONE
): ClearEstimate {
	const { emptyMin, lookMinPerThing, decantMinPerL, putBackMin, times } = settings.clearTime;
	const each = (minutes: number) => minutes / Math.max(1, hands);
	const emptyAndClean = each(emptyMin);
	const look = each(things * lookMinPerThing);
	const decant = each(decantL * decantMinPerL);
	const putBack = each(putBackMin);
	const plain = emptyAndClean + look + decant + putBack;
	const allowance = plain * (times - 1);
	return {
		minutes: Math.round((plain + allowance) * learned.ratio),
		parts: { emptyAndClean, look, decant, putBack, allowance },
		learned
	};
}

/** Estimates a place of a home: what stands in it now, its kind, and what was learned there. */
export function estimatePlace(home: Home, nookId: string, hands = 1): ClearEstimate {
	const things = lotsIn(home, nookId).length;
	const kind = home.nooks[nookId]?.kind;
	return estimateClear({ things, hands }, home.settings, kind ? learnedRatio(home, kind) : NONE);
}
