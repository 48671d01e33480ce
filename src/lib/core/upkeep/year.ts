import { LEAVING, tally, workedMinutes } from '../clearing';
import { dayOf, pieceVolumeMl, type Home } from '../model';
import { inPacks, priceOf } from '../rotation';

/** What was done in a home in one month. */
export interface MonthDone {
	/** YYYY-MM. */
	readonly month: string;
	/** Minutes worked in clear-outs, and in resets. */
	readonly minutes: number;
	/** Litres that were decided to leave. */
	readonly leftMl: number;
	/** Packs used up, and thrown out, with what those cost, minor units. */
	readonly used: number;
	readonly wasted: number;
	readonly wastedMinor: number;
	readonly resetsDone: number;
	readonly resetsSkipped: number;
}

const monthsTo = (today: string, count: number): string[] => {
	const [year = 0, month = 1] = today.split('-').map(Number);
	return Array.from({ length: count }, (_, i) => {
		const at = year * 12 + month - 1 - (count - 1 - i);
		return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`;
	});
};

/** Sums what was done in each of the latest months, the oldest first; months without anything are there too. */
export function monthsDone(home: Home, today: string, count = 12): MonthDone[] {
	const months = new Map(
		monthsTo(today, count).map((month) => [
			month,
			{
				month,
				minutes: 0,
				leftMl: 0,
				used: 0,
				wasted: 0,
				wastedMinor: 0,
				resetsDone: 0,
				resetsSkipped: 0
			}
		])
	);
	const of = (day: string) => months.get(day.slice(0, 7));
	for (const session of Object.values(home.sessions)) {
		const month = session.endedAt ? of(dayOf(session.endedAt)) : undefined;
		if (month) month.minutes += workedMinutes(session, session.endedAt!);
	}
	for (const { at, verdict, thingId, count } of Object.values(home.decisions)) {
		const month = LEAVING.has(verdict) ? of(dayOf(at)) : undefined;
		const thing = home.things[thingId];
		if (month && thing) month.leftMl += pieceVolumeMl(thing) * count;
	}
	for (const { at, kind, thingId, count, unit } of Object.values(home.useEvents)) {
		const month = of(dayOf(at));
		const thing = home.things[thingId];
		if (!month || !thing || kind === 'add') continue;
		const packs = inPacks(count, unit, thing);
		if (kind === 'use') month.used += packs;
		else {
			month.wasted += packs;
			month.wastedMinor += packs * priceOf(thing);
		}
	}
	for (const { log } of Object.values(home.resets))
		for (const { on, skipped, minutes } of log) {
			const month = of(on);
			if (!month) continue;
			if (skipped) month.resetsSkipped++;
			else month.resetsDone++;
			month.minutes += minutes ?? 0;
		}
	return [...months.values()];
}

/** What a home's work comes to in all, for a report. */
export function workDone(home: Home) {
	const ended = Object.values(home.sessions).filter(({ endedAt }) => endedAt !== null);
	const lines = tally(home, Object.values(home.decisions));
	const leaves = lines.filter(({ verdict }) => LEAVING.has(verdict));
	return {
		lines,
		sessions: ended.length,
		minutes: ended.reduce((sum, session) => sum + workedMinutes(session, session.endedAt!), 0),
		leftThings: leaves.reduce((sum, { things }) => sum + things, 0),
		leftMl: leaves.reduce((sum, { volumeMl }) => sum + volumeMl, 0),
		lostMinor: lines.reduce((sum, { lostMinor }) => sum + lostMinor, 0)
	};
}
