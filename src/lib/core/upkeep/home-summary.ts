import { countPast, useFirst } from '../rotation';
import type { Home } from '../model';
import { hoursByStage, materialsCost } from './hours';
import { nextSteps, type NextStep } from './next-steps';
import { resetsDue } from './resets';

/** What waits in a home, for somebody who looks after several. */
export interface HomeSummary {
	/** The first line of its job sheet; null: nothing waits. */
	readonly next: NextStep | null;
	readonly resetsDue: number;
	/** Days until the next reset, where none is due; null: none is planned. */
	readonly nextResetDays: number | null;
	/** Lots past their date, and those to be used within a week. */
	readonly past: number;
	readonly soon: number;
	readonly minutes: number;
	readonly materialsMinor: number;
	readonly currency: string;
}

const SOON_DAYS = 7;

/** Sums up what waits in a home and what went into it. `today` is an ISO date. */
export function homeSummary(home: Home, today: string): HomeSummary {
	const due = resetsDue(home, today);
	const past = countPast(home, today);
	const ahead = due.map(({ daysLeft }) => daysLeft).filter((days) => days > 0);
	return {
		next: nextSteps(home, today)[0] ?? null,
		resetsDue: due.length - ahead.length,
		nextResetDays: ahead.length ? Math.min(...ahead) : null,
		past,
		soon: Math.max(0, useFirst(home, today, SOON_DAYS).length - past),
		minutes: hoursByStage(home).reduce((sum, { minutes }) => sum + minutes, 0),
		materialsMinor: materialsCost(home).minor,
		currency: home.currency
	};
}
