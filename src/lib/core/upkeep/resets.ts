import { addDays, daysBetween, type HomePart, type Reset } from '../model';
import { nextTurn } from './seasons';

export interface DueReset {
	readonly reset: Reset;
	/** ISO date on which it is due. */
	readonly dueOn: string;
	/** Days from today; negative: overdue. */
	readonly daysLeft: number;
	/** Interval in use, days. */
	readonly everyDays: number;
	readonly basis: 'as-set' | 'less-often' | 'more-often' | 'season';
}

/** Found less than this: come less often. */
const LITTLE = 0.05;
/** Found more than this: come more often. */
const MUCH = 0.25;
const LONGER = 1.25;
const SHORTER = 0.7;
const HALF_A_YEAR = 182;

/** Adapts an interval to what was found last time. @example adaptedDays({ everyDays: 100, foundShare: 0.5 }).days // 70 */
export function adaptedDays({ everyDays, foundShare }: Pick<Reset, 'everyDays' | 'foundShare'>): {
	days: number;
	basis: Exclude<DueReset['basis'], 'season'>;
} {
	if (foundShare === null) return { days: everyDays, basis: 'as-set' };
	if (foundShare <= LITTLE) return { days: Math.round(everyDays * LONGER), basis: 'less-often' };
	if (foundShare >= MUCH)
		return { days: Math.max(1, Math.round(everyDays * SHORTER)), basis: 'more-often' };
	return { days: everyDays, basis: 'as-set' };
}

/** Says when a reset is due: after its interval, at the turn of its seasons, and not before the day it was put off to. */
export function dueOf(reset: Reset, today: string): DueReset {
	const { swap, lastDoneOn, postponedTo } = reset;
	const { days, basis } = adaptedDays(reset);
	// A swap that was never done waits for the next turn, since nobody said that things stand wrong now.
	const usual = swap
		? nextTurn(swap, lastDoneOn ?? addDays(today, -1)).on
		: lastDoneOn
			? addDays(lastDoneOn, days)
			: today;
	const dueOn = postponedTo && postponedTo > usual ? postponedTo : usual;
	return {
		reset,
		dueOn,
		daysLeft: daysBetween(today, dueOn),
		everyDays: swap ? HALF_A_YEAR : days,
		basis: swap ? 'season' : basis
	};
}

/** Lists all resets, the most overdue first; one never done is due today. Ties by id. */
export function resetsDue(home: HomePart<'resets'>, today: string): DueReset[] {
	return Object.values(home.resets)
		.map((reset) => dueOf(reset, today))
		.sort((a, b) => a.daysLeft - b.daysLeft || (a.reset.id < b.reset.id ? -1 : 1));
}
