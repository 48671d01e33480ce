/** What a laser measure says: a distance, or why there is none. */
export type LaserReading =
	{ readonly mm: number } | { readonly error: 'out-of-range' | 'weak-echo' };

/** Spread of a hand-held measure, mm (one standard deviation). */
const NOISE_MM = 1.2;
/** One reading in so many misses. */
const MISS_SHARE = 0.08;
export const LASER_RANGE_MM = { least: 50, most: 30_000 } as const;

/**
 * Answers as a hand-held laser measure would, aimed at a wall that is `aimMm` away: with a millimetre or two of noise,
 * and now and then without an echo. `random` gives numbers from 0 to 1.
 */
export function readLaser(aimMm: number, random: () => number): LaserReading {
	const chance = random();
	if (chance < MISS_SHARE / 2) return { error: 'weak-echo' };
	if (chance < MISS_SHARE) return { error: 'out-of-range' };
	// The sum of a few even numbers is as good as a bell curve for a hand's tremor.
	const bell = (random() + random() + random() + random() - 2) * Math.sqrt(3);
	const mm = Math.round(aimMm + bell * NOISE_MM);
	return mm < LASER_RANGE_MM.least || mm > LASER_RANGE_MM.most ? { error: 'out-of-range' } : { mm };
}
