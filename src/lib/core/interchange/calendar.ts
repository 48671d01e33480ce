import ical, { ICalEventRepeatingFreq } from 'ical-generator';
import type { Home } from '../model';
import type { DueReset } from '../upkeep';

/**
 * Writes resets as an iCalendar file: one all-day event each, repeating at its interval.
 * `title` names a reset in words; `now` (ISO instant) is the stamp, so that the same input gives the same file.
 */
export function resetsCalendar(
	home: Home,
	due: readonly DueReset[],
	title: (reset: DueReset) => string,
	now: string
): string {
	const calendar = ical({
		name: `Resets, ${home.name}`,
		prodId: { company: 'Keep Nook', product: 'Resets' }
	});
	for (const item of due)
		calendar.createEvent({
			id: `${item.reset.id}@${home.id}.keepnook`,
			start: new Date(`${item.dueOn}T00:00:00Z`),
			allDay: true,
			timezone: 'UTC',
			summary: title(item),
			stamp: new Date(now),
			repeating: { freq: ICalEventRepeatingFreq.DAILY, interval: item.everyDays }
		});
	return calendar.toString();
}
