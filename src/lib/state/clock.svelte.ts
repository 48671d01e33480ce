import { dayOf } from '../core/model';

/** The one place that reads the clock: an ISO instant. */
export const now = (): string => new Date().toISOString();

const EVERY_MS = 20_000;
let shownDay = $state(dayOf(now()));

function look(): void {
	const day = dayOf(now());
	if (day !== shownDay) shownDay = day;
}
if (typeof document !== 'undefined') {
	setInterval(look, EVERY_MS);
	// A tablet that slept over midnight: its timers stood still.
	document.addEventListener('visibilitychange', look);
}

/**
 * Today in the person's own time zone, as an ISO date. A screen that shows something by it is drawn anew when the day
 * changes.
 */
export function today(): string {
	// Read for the dependency alone: what is given is always the real day.
	void shownDay;
	return dayOf(now());
}
