/** The one place that reads the clock: an ISO instant. */
export const now = (): string => new Date().toISOString();

/** Today in the person's own time zone, as an ISO date. */
export function today(): string {
	const date = new Date();
	const two = (value: number) => String(value).padStart(2, '0');
	return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}
