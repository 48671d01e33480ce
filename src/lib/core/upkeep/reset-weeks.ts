import { addDays, DAYS_A_WEEK, daysBetween, weekBegins, type HomePart } from '../model';
import { minutesOf } from './reset-work';
import { dueOf, resetsDue, type DueReset } from './resets';

/** A week to come, with what is due in it. */
export interface ResetWeek {
	/** Its first day, ISO: as the home begins its weeks, the first one before today or on it. */
	readonly from: string;
	readonly due: readonly { readonly id: string; readonly on: string; readonly minutes: number }[];
	readonly minutes: number;
}

type WeekHome = HomePart<'resets' | 'nooks' | 'lots' | 'things' | 'customs'>;

/** Lists the resets of the weeks to come, each as often as it comes; what is overdue is for this week. */
export function resetWeeks(home: WeekHome, today: string, weeks: number): ResetWeek[] {
	const first = weekBegins(today, home.customs.weekStart);
	const all = Array.from({ length: weeks }, (_, i) => ({
		from: addDays(first, i * DAYS_A_WEEK),
		due: [] as { id: string; on: string; minutes: number }[],
		minutes: 0
	}));
	for (const due of resetsDue(home, today)) {
		const { minutes } = minutesOf(home, due.reset);
		let on = due.dueOn < today ? today : due.dueOn;
		for (
			;
			daysBetween(first, on) < weeks * DAYS_A_WEEK;
			on = addDays(on, Math.max(1, due.everyDays))
		) {
			const week = all[Math.floor(daysBetween(first, on) / DAYS_A_WEEK)]!;
			week.due.push({ id: due.reset.id, on, minutes });
			week.minutes += minutes;
		}
	}
	return all;
}

/** What is done in one week without being felt, minutes. */
export const WEEK_MINUTES = 60;
/** A reset may wait for so much of its interval; what comes as often as this is not moved at all, nor are medicines. */
const MOST_WAIT = 0.25;
const OFTEN_DAYS = 14;
/** What was never done may wait so long: nobody has looked for years. */
const FIRST_WAIT_DAYS = 56;

const mayWait = (due: DueReset): number => {
	const { reset, everyDays } = due;
	if (everyDays <= OFTEN_DAYS || reset.kind === 'medicines' || reset.swap) return 0;
	return reset.lastDoneOn ? Math.floor(everyDays * MOST_WAIT) : FIRST_WAIT_DAYS;
};

/**
 * Spreads the resets that are due so that no week has more than so many minutes, where they may wait: those that come
 * seldom first, each into the first week with room. What cannot wait stays, however full its week is. Gives the days to
 * put off to; empty: nothing is too much, or nothing may wait.
 */
export function spreadResets(
	home: WeekHome,
	today: string,
	mostMinutes = WEEK_MINUTES
): (readonly [id: string, on: string])[] {
	const WEEKS = 9;
	const load = Array.from({ length: WEEKS }, () => 0);
	const begins = weekBegins(today, home.customs.weekStart);
	const weekOf = (on: string) => Math.max(0, Math.floor(daysBetween(begins, on) / DAYS_A_WEEK));
	const first = Object.values(home.resets)
		.map((reset) => ({ due: dueOf(reset, today), minutes: minutesOf(home, reset).minutes }))
		.filter(({ due }) => weekOf(due.dueOn) < WEEKS);
	// What stays where it is fills its weeks, each time it comes.
	const waits = first.filter(({ due }) => mayWait(due) > 0);
	for (const { due, minutes } of first) {
		if (waits.some((each) => each.due === due)) continue;
		// What is overdue is done once, this week, however often it was missed.
		let on = due.dueOn < today ? today : due.dueOn;
		for (; weekOf(on) < WEEKS; on = addDays(on, Math.max(1, due.everyDays)))
			load[weekOf(on)]! += minutes;
	}
	const moved: (readonly [string, string])[] = [];
	// The one that comes most often has least time to wait, and chooses first.
	waits.sort(
		(a, b) => mayWait(a.due) - mayWait(b.due) || (a.due.reset.id < b.due.reset.id ? -1 : 1)
	);
	for (const { due, minutes } of waits) {
		const from = weekOf(due.dueOn);
		const last = Math.min(
			WEEKS - 1,
			weekOf(addDays(due.dueOn < today ? today : due.dueOn, mayWait(due)))
		);
		let best = from;
		for (let week = from; week <= last; week++) {
			if (load[week]! + minutes <= mostMinutes) {
				best = week;
				break;
			}
			if (load[week]! < load[best]!) best = week;
		}
		load[best]! += minutes;
		if (best !== from) moved.push([due.reset.id, addDays(begins, best * DAYS_A_WEEK)]);
	}
	return moved;
}
