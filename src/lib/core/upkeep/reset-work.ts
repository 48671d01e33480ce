import { LEAVING } from '../clearing';
import { looksAt } from './usual-resets';
import {
	daysBetween,
	lotsIn,
	type HomePart,
	type Nook,
	type Reset,
	type ResetDone
} from '../model';

/** The places that a reset goes through, in their order on its cabinet. */
export function placesOf(
	home: HomePart<'nooks'>,
	reset: Pick<Reset, 'nookIds' | 'cabinetId'>
): Nook[] {
	const own = reset.nookIds.flatMap((id) => home.nooks[id] ?? []);
	if (own.length || !reset.cabinetId) return own;
	return Object.values(home.nooks)
		.filter(({ cabinetId }) => cabinetId === reset.cabinetId)
		.sort((a, b) => b.at.zMm - a.at.zMm || (a.id < b.id ? -1 : 1));
}

/** What was found so far of a reset that is being done. */
export interface ResetFound {
	/** Lots that were decided on since it was begun, and of these, that leave. */
	readonly looked: number;
	readonly leaves: number;
	/** Lots that stand in its places and were not decided on. */
	readonly left: number;
	/** Share of all of them that leaves; null: there was nothing. */
	readonly share: number | null;
}

/**
 * Counts what was found since a reset was begun (`since`, ISO instant): by lots of what it is for, each by its last
 * decision.
 */
export function foundOf(
	home: HomePart<'nooks' | 'decisions' | 'lots' | 'things'>,
	reset: Pick<Reset, 'nookIds' | 'cabinetId' | 'kind'>,
	since: string
): ResetFound {
	const ids = new Set<string>(placesOf(home, reset).map(({ id }) => id));
	const last = new Map<string, { leaves: boolean; at: string }>();
	const isMeant = (thingId: string) => {
		const thing = home.things[thingId];
		return !thing || looksAt(reset.kind, thing);
	};
	for (const { lotId, thingId, nookId, at, verdict } of Object.values(home.decisions)) {
		if (at < since || !nookId || !ids.has(nookId) || !isMeant(thingId)) continue;
		const known = last.get(lotId);
		if (!known || known.at <= at) last.set(lotId, { leaves: LEAVING.has(verdict), at });
	}
	let left = 0;
	for (const id of ids)
		for (const lot of lotsIn(home, id)) if (!last.has(lot.id) && isMeant(lot.thingId)) left++;
	const leaves = [...last.values()].filter((each) => each.leaves).length;
	const all = last.size + left;
	return { looked: last.size, leaves, left, share: all ? leaves / all : null };
}

/** Minutes to fetch cloth and bag, for a place, and for each lot in it: a look at what is known is quick. */
const START_MIN = 3;
const PLACE_MIN = 1;
const LOT_MIN = 0.15;
const LATEST = 3;

/** Says how long a reset takes, minutes: the middle of its latest timed ones, else by what stands in its places. */
export function minutesOf(
	home: HomePart<'nooks' | 'lots' | 'things'>,
	reset: Reset
): { readonly minutes: number; readonly basis: 'timed' | 'estimated' } {
	const timed = reset.log.flatMap(({ minutes }) => minutes ?? []).slice(-LATEST);
	if (timed.length) {
		const sorted = [...timed].sort((a, b) => a - b);
		return { minutes: Math.round(sorted[Math.floor((sorted.length - 1) / 2)]!), basis: 'timed' };
	}
	const places = placesOf(home, reset);
	const lots = places.reduce(
		(sum, { id }) =>
			sum +
			lotsIn(home, id).filter(({ thingId }) => looksAt(reset.kind, home.things[thingId]!)).length,
		0
	);
	return {
		minutes: Math.max(5, Math.round(START_MIN + places.length * PLACE_MIN + lots * LOT_MIN)),
		basis: 'estimated'
	};
}

/** How well the resets of a home were kept over some days: done, left out, and minutes they took. */
export function resetsKept(
	home: HomePart<'resets'>,
	from: string,
	to: string
): { readonly done: number; readonly skipped: number; readonly minutes: number } {
	const all = Object.values(home.resets).flatMap(({ log }): readonly ResetDone[] =>
		log.filter(({ on }) => on >= from && on <= to)
	);
	return {
		done: all.filter(({ skipped }) => !skipped).length,
		skipped: all.filter(({ skipped }) => skipped).length,
		minutes: all.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0)
	};
}

const MOST_MINUTES = 240;
/** Minutes from one instant to another, when that may be one piece of work; null: a night lies between. */
export function minutesBetween(from: string, to: string): number | null {
	const minutes = (Date.parse(to) - Date.parse(from)) / 60_000;
	return minutes >= 0 && minutes <= MOST_MINUTES ? Math.round(minutes) : null;
}

/** Whether a reset that was begun is still the one at hand; after a week it is begun anew. */
export const isUnderWay = ({ begunAt }: Pick<Reset, 'begunAt'>, today: string): boolean =>
	begunAt !== null && daysBetween(begunAt.slice(0, 10), today) < 7;
