// Calendar days without time. Counting goes through UTC midnights, which have no summer time.
const DAY_MS = 86_400_000;
export const DAYS_A_WEEK = 7;

/** A home has a few thousand different days at most; each is read once. */
const MOST_KNOWN = 20_000;
const known = new Map<string, number>();
function toUtc(iso: string): number {
	const found = known.get(iso);
	if (found !== undefined) return found;
	const ms = Date.parse(`${iso}T00:00:00Z`);
	if (known.size >= MOST_KNOWN) known.clear();
	known.set(iso, ms);
	return ms;
}
const toIso = (ms: number) => new Date(ms).toISOString().slice(0, 10);

/** Adds whole days (may be negative) to an ISO date. @example addDays('2027-02-28', 1) // '2027-03-01' */
export function addDays(iso: string, days: number): string {
	return toIso(toUtc(iso) + Math.round(days) * DAY_MS);
}

/** Counts the days from `from` to `to`, negative when `to` is earlier. @example daysBetween('2027-01-01', '2027-01-31') // 30 */
export function daysBetween(from: string, to: string): number {
	return Math.round((toUtc(to) - toUtc(from)) / DAY_MS);
}

/** Days from the first day of a week to a Thursday, 1970-01-01. */
const TO_EPOCH = { monday: 3, sunday: 4, saturday: 5 } as const;
/** Gives the first day of the week that a day is in. @example weekBegins('2026-11-27', 'monday') // '2026-11-23' */
export function weekBegins(iso: string, weekStart: keyof typeof TO_EPOCH): string {
	const day = Math.round(toUtc(iso) / DAY_MS) + TO_EPOCH[weekStart];
	return addDays(iso, -(((day % DAYS_A_WEEK) + DAYS_A_WEEK) % DAYS_A_WEEK));
}

/** Gives the last day of a month, 1 to 12. @example lastDayOfMonth(2028, 2) // '2028-02-29' */
export function lastDayOfMonth(year: number, month: number): string {
	return toIso(Date.UTC(year, month, 0));
}

/** Gives the ISO date of a day if it exists, else null. @example calendarDate(2027, 2, 31) // null */
export function calendarDate(year: number, month: number, day: number): string | null {
	if (month < 1 || month > 12 || day < 1 || day > Number(lastDayOfMonth(year, month).slice(8)))
		return null;
	return toIso(Date.UTC(year, month - 1, day));
}

const two = (value: number) => String(value).padStart(2, '0');

/**
 * Gives the day of an ISO instant as people there call it: in the time zone of the machine.
 * @example dayOf('2026-03-02T23:30:00.000Z') // '2026-03-03' east of London
 */
export function dayOf(instant: string): string {
	const at = new Date(instant);
	return `${String(at.getFullYear()).padStart(4, '0')}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}

/** Writes minutes from midnight as a field of time takes them. @example timeOfDay(545) // '09:05' */
export const timeOfDay = (minutes: number): string =>
	`${two(Math.floor(minutes / 60))}:${two(minutes % 60)}`;

/** Reads a field of time as minutes from midnight; null: it is not filled. @example minutesOfDay('09:05') // 545 */
export function minutesOfDay(value: string): number | null {
	const [hours = NaN, minutes = NaN] = value.split(':').map(Number);
	return Number.isFinite(hours + minutes) ? hours * 60 + minutes : null;
}

/** Gives the ISO instant of a time of day, minutes from midnight, on a day as people there call it. */
export function instantOn(iso: string, minutes: number): string {
	const [year = 0, month = 1, day = 1] = iso.split('-').map(Number);
	return new Date(year, month - 1, day, 0, minutes).toISOString();
}
