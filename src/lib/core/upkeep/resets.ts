import { addDays, daysBetween, type Edit, type HomePart, type Reset } from '../model';

export interface DueReset {
	readonly reset: Reset;
	/** ISO date on which it is due. */
	readonly dueOn: string;
	/** Days from today; negative: overdue. */
	readonly daysLeft: number;
	/** Interval in use, days. */
	readonly everyDays: number;
	readonly basis: 'as-set' | 'less-often' | 'more-often';
}

/** Found less than this: come less often. */
const LITTLE = 0.05;
/** Found more than this: come more often. */
const MUCH = 0.25;
const LONGER = 1.25;
const SHORTER = 0.7;

/** Adapts an interval to what was found last time. @example adaptedDays({ everyDays: 100, foundShare: 0.5 }).days // 70 */
export function adaptedDays({ everyDays, foundShare }: Pick<Reset, 'everyDays' | 'foundShare'>): {
	days: number;
	basis: DueReset['basis'];
} {
	if (foundShare === null) return { days: everyDays, basis: 'as-set' };
	if (foundShare <= LITTLE) return { days: Math.round(everyDays * LONGER), basis: 'less-often' };
	if (foundShare >= MUCH)
		return { days: Math.max(1, Math.round(everyDays * SHORTER)), basis: 'more-often' };
	return { days: everyDays, basis: 'as-set' };
}

/** Lists all resets, the most overdue first; one never done is due today. Ties by id. */
export function resetsDue(home: HomePart<'resets'>, today: string): DueReset[] {
	return Object.values(home.resets)
		.map((reset) => {
			const { days, basis } = adaptedDays(reset);
			const dueOn = reset.lastDoneOn ? addDays(reset.lastDoneOn, days) : today;
			return { reset, dueOn, daysLeft: daysBetween(today, dueOn), everyDays: days, basis };
		})
		.sort((a, b) => a.daysLeft - b.daysLeft || (a.reset.id < b.reset.id ? -1 : 1));
}

/** Makes the edit that marks a reset as done; `foundShare` steers the next interval, null leaves it. */
export function doneReset(resetId: string, today: string, foundShare: number | null): Edit {
	return (draft) => {
		const reset = draft.resets[resetId];
		if (!reset) return;
		reset.lastDoneOn = today;
		if (foundShare !== null) reset.foundShare = foundShare;
	};
}

/** Usual days between resets by kind of place (trade practice). */
export const USUAL_DAYS: Readonly<Record<Reset['kind'], number>> = {
	'food-boxes': 180,
	'pantry-dates': 90,
	fridge: 7,
	spices: 365,
	'freezer-list': 30,
	'freezer-defrost': 270,
	medicines: 180,
	'make-up': 180,
	'under-sink': 180,
	'junk-drawer': 90,
	seasonal: 182,
	own: 30
};
