import { addDays, dayOf, type Home } from '../model';
import type { ResetDraft } from './usual-resets';

/** Days between one that was never done and the next: all on one day is what nobody does. */
const APART_DAYS = 4;

/** When a place was last gone through, as an ISO date: by what was decided there and by its clock; null: never. */
function lastCleared(
	home: Pick<Home, 'decisions' | 'sessions'>,
	nookIds: readonly string[]
): string | null {
	const own = new Set(nookIds);
	const days = [
		...Object.values(home.decisions).flatMap(({ nookId, at }) =>
			nookId && own.has(nookId) ? [dayOf(at)] : []
		),
		...Object.values(home.sessions).flatMap(({ nookId, endedAt }) =>
			nookId && own.has(nookId) && endedAt ? [dayOf(endedAt)] : []
		)
	];
	return days.sort().at(-1) ?? null;
}

/**
 * Says when each of some new resets comes first: an interval after its places were gone through, where they were; the others
 * one after the other, medicines first, then what comes most often, none later than its own interval. ISO dates.
 * @example firstDays(home, usualResets(home), '2026-03-02')[0] // '2026-03-02'
 */
export function firstDays(
	home: Pick<Home, 'decisions' | 'sessions'>,
	resets: readonly ResetDraft[],
	today: string
): string[] {
	const days = resets.map(({ nookIds, everyDays }) => {
		const last = lastCleared(home, nookIds);
		const on = last && addDays(last, everyDays);
		return on && on > today ? on : null;
	});
	const never = resets
		.map((reset, i) => ({ reset, i }))
		.filter(({ i }) => days[i] === null)
		.sort(
			(a, b) =>
				Number(b.reset.kind === 'medicines') - Number(a.reset.kind === 'medicines') ||
				a.reset.everyDays - b.reset.everyDays ||
				a.i - b.i
		);
	never.forEach(({ reset, i }, k) => {
		days[i] = addDays(today, Math.min(reset.everyDays, k * APART_DAYS));
	});
	return days as string[];
}
