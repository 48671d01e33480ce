import {
	memoOn,
	pieceVolumeMl,
	stock,
	type ClearingSession,
	type Decision,
	type Home,
	type HomePart,
	type Verdict
} from '../model';
import { piecesIn } from '../grouping';
import { LEAVING } from './leaving';
import { workedMinutes } from './sessions';

export interface TallyLine {
	readonly verdict: Verdict;
	readonly things: number;
	readonly volumeMl: number;
	/** Money of what was thrown away, minor units, where prices are known. */
	readonly lostMinor: number;
}

/** Sums decisions by verdict, in the order of first use: how many, how much room, what money. */
export function tally(home: Pick<Home, 'things'>, decisions: readonly Decision[]): TallyLine[] {
	const lines = new Map<Verdict, TallyLine>();
	for (const { verdict, thingId, count } of decisions) {
		const thing = home.things[thingId];
		const line = lines.get(verdict) ?? { verdict, things: 0, volumeMl: 0, lostMinor: 0 };
		const lost = verdict === 'discard' || verdict === 'hazardous';
		lines.set(verdict, {
			verdict,
			things: line.things + count,
			volumeMl: line.volumeMl + (thing ? pieceVolumeMl(thing) * count : 0),
			lostMinor: line.lostMinor + (lost ? Math.round((thing?.priceMinor ?? 0) * count) : 0)
		});
	}
	return [...lines.values()];
}

export interface PlaceTally {
	/** null: what lay on the table, and places that are no more. */
	readonly nookId: string | null;
	readonly lines: readonly TallyLine[];
	/** Room taken by what stood here before what was decided to leave, and now, ml. */
	readonly beforeMl: number;
	readonly afterMl: number;
	readonly plannedMin: number;
	readonly takenMin: number;
	readonly sessions: number;
}
export interface HomeTally {
	readonly places: readonly PlaceTally[];
	readonly whole: Omit<PlaceTally, 'nookId'>;
}

/** A later decision on the same lot takes the place of an earlier one. */
function lastWord(decisions: readonly Decision[]): Decision[] {
	const last = new Map<string, Decision>();
	for (const decision of [...decisions].sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)))
		last.set(decision.lotId, decision);
	return [...last.values()];
}

function heldMl(home: HomePart<'lots' | 'things'>): ReadonlyMap<string | null, number> {
	const held = new Map<string | null, number>();
	for (const lot of stock(home)) {
		const thing = home.things[lot.thingId];
		if (thing)
			held.set(lot.nookId, (held.get(lot.nookId) ?? 0) + pieceVolumeMl(thing) * piecesIn(lot));
	}
	return held;
}
const heldByPlace = memoOn(['lots', 'things'], heldMl);

function tallyOf(
	home: Home,
	decisions: readonly Decision[],
	sessions: readonly ClearingSession[],
	afterMl: number,
	now: string
): Omit<PlaceTally, 'nookId'> {
	const left = decisions.filter(({ verdict }) => LEAVING.has(verdict) || verdict === 'move');
	const gone = tally(home, left).reduce((sum, line) => sum + line.volumeMl, 0);
	return {
		lines: tally(home, decisions),
		beforeMl: afterMl + gone,
		afterMl,
		plannedMin: sessions.reduce((sum, session) => sum + session.plannedMin, 0),
		takenMin: sessions.reduce((sum, session) => sum + workedMinutes(session, now), 0),
		sessions: sessions.length
	};
}

/**
 * Counts what was decided since `since` (ISO instant; empty: ever), by place and in all: things, litres and money by
 * verdict, room before and after, minutes planned and taken. Each lot counts once, by its last decision; places come
 * in the order of their first decision or session.
 */
export function tallyHome(home: Home, since: string, now: string): HomeTally {
	const decisions = lastWord(Object.values(home.decisions).filter(({ at }) => at >= since));
	const sessions = Object.values(home.sessions)
		.filter(({ startedAt }) => startedAt >= since)
		.sort((a, b) => (a.startedAt < b.startedAt ? -1 : 1));
	const placeKey = (id: string | null) => (id && home.nooks[id] ? id : null);
	const keys = [
		...new Set([
			...sessions.map((session) => placeKey(session.nookId)),
			...decisions.map((decision) => placeKey(decision.nookId))
		])
	];
	const held = heldByPlace(home);
	const places = keys.map((nookId) => ({
		nookId,
		...tallyOf(
			home,
			decisions.filter((decision) => placeKey(decision.nookId) === nookId),
			sessions.filter((session) => placeKey(session.nookId) === nookId),
			held.get(nookId) ?? 0,
			now
		)
	}));
	const afterMl = [...held.values()].reduce((sum, ml) => sum + ml, 0);
	const whole = tallyOf(home, decisions, sessions, afterMl, now);
	// What was moved is still in the home.
	const moved = decisions.filter(({ verdict }) => verdict === 'move');
	const movedMl = tally(home, moved).reduce((sum, line) => sum + line.volumeMl, 0);
	return { places, whole: { ...whole, beforeMl: whole.beforeMl - movedMl } };
}
