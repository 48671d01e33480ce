import ical, { ICalAlarmType, ICalEventRepeatingFreq } from 'ical-generator';

/** What a calendar file is made of: words are ready. */
export interface CalendarOptions {
	readonly name: string;
	readonly homeId: string;
	/** ISO instant: the stamp, so that the same input gives the same file. */
	readonly now: string;
	readonly resets: readonly {
		readonly id: string;
		/** ISO date on which it is due next. */
		readonly on: string;
		/** null: once; the turn of a season is no number of days. */
		readonly everyDays: number | null;
		readonly title: string;
		readonly what: string;
		readonly minutes: number;
		/** Who does it; empty: anybody. */
		readonly person: string;
	}[];
	/** Dates on which something is to be used at the latest. */
	readonly dates: readonly {
		readonly id: string;
		readonly on: string;
		readonly title: string;
		readonly place: string;
	}[];
}

const MINUTE_MS = 60_000;
/** The day before at six in the evening, and on the day at nine: seconds before its midnight; negative is after it. */
const EVENING_BEFORE = 6 * 3600;
const MORNING_OF = -9 * 3600;

/**
 * Writes resets, and dates where they are asked for, as an iCalendar file: an all-day event each with an alarm, resets
 * repeating at their interval. An event has the same id in every file of a home and a number that grows with time, so
 * that importing a later file replaces what an earlier one brought.
 */
export function homeCalendar({ name, homeId, now, resets, dates }: CalendarOptions): string {
	const stamp = new Date(now);
	const sequence = Math.floor(stamp.getTime() / MINUTE_MS) % 2 ** 31;
	const calendar = ical({
		name: `Keeping ${name}`,
		prodId: { company: 'Keep Nook', product: 'Upkeep' }
	});
	const common = (id: string, on: string, summary: string, description: string) => ({
		id: `${id}@${homeId}.keepnook`,
		sequence,
		start: new Date(`${on}T00:00:00Z`),
		allDay: true,
		timezone: 'UTC',
		summary,
		description,
		stamp
	});
	for (const { id, on, everyDays, title, what, minutes, person } of resets)
		calendar
			.createEvent({
				...common(id, on, title, `${what} About ${minutes} min.${person ? ` ${person}.` : ''}`),
				...(everyDays === null
					? {}
					: { repeating: { freq: ICalEventRepeatingFreq.DAILY, interval: everyDays } })
			})
			.createAlarm({ type: ICalAlarmType.display, trigger: MORNING_OF, description: title });
	for (const { id, on, title, place } of dates)
		calendar
			.createEvent(common(`date-${id}`, on, title, place))
			.createAlarm({ type: ICalAlarmType.display, trigger: EVENING_BEFORE, description: title });
	return calendar.toString();
}
