/** One reading of a thermometer, °C. */
export interface ThermometerReading {
	readonly at: string;
	readonly c: number;
}
const STEP_MS = 30 * 60_000;
const MOST = 2000;
const USUAL_C = { fridge: 4, freezer: -19 } as const;
/** Once in so many days the current is away, for some hours. */
const OUTAGE_EVERY_DAYS = 9;
const OUTAGE_HOURS = 7;
const WARMER_PER_HOUR = { fridge: 1.6, freezer: 2.4 } as const;
const DAY_MS = 86_400_000;

/** A number from 0 to 1 that is the same for the same words. */
function chance(words: string): number {
	let hash = 2166136261;
	for (const char of words) hash = Math.imul(hash ^ char.charCodeAt(0), 16777619);
	return ((hash ^ (hash >>> 15)) >>> 0) / 2 ** 32;
}

/**
 * Answers as a thermometer in a fridge or freezer would that keeps a reading every half hour: a little up and down, and
 * every nine days a power cut of seven hours, from noon. The same for the same time and name.
 * @throws nothing; a span that is no span gives no readings.
 */
export function readThermometer(
	kind: keyof typeof USUAL_C,
	name: string,
	since: string,
	until: string
): ThermometerReading[] {
	const from = Math.ceil(Date.parse(since) / STEP_MS) * STEP_MS;
	const to = Date.parse(until);
	const readings: ThermometerReading[] = [];
	for (let at = from; at <= to && readings.length < MOST; at += STEP_MS) {
		const day = Math.floor(at / DAY_MS);
		const hours = (at % DAY_MS) / 3_600_000 - 12;
		const isOut = day % OUTAGE_EVERY_DAYS === 4;
		// Warmer while it is away, cold again within twice the time.
		const warmth =
			!isOut || hours < 0
				? 0
				: hours <= OUTAGE_HOURS
					? hours
					: Math.max(0, OUTAGE_HOURS - (hours - OUTAGE_HOURS) * 2);
		const noise = chance(`${name}/${kind}/${at}`) - 0.5;
		const c = USUAL_C[kind] + noise + warmth * WARMER_PER_HOUR[kind];
		readings.push({ at: new Date(at).toISOString(), c: Math.round(c * 10) / 10 });
	}
	return readings;
}
