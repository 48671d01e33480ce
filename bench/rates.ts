import { simulateUse, type SimulatedUse } from '../src/lib/core/fixtures/simulate-use';
import { believeRate } from '../src/lib/core/rotation/rate';

/** Takings a week, the first week first. */
function weekly({ days }: SimulatedUse, weeks: number): number[] {
	const counts = Array.from({ length: weeks }, () => 0);
	for (const day of days) counts[Math.floor(day / 7)]! += 1;
	return counts;
}

const LEAST_RATE = 0.02;
const STEP = 0.1;

/** Croston's method on weekly counts; `shrink` is 1, or 1 − step / 2 for its corrected variant. */
function croston(counts: readonly number[], start: number, shrink: number): number {
	let size = 1;
	let gap = 1 / Math.max(start, LEAST_RATE);
	let since = 1;
	for (const count of counts) {
		if (count > 0) {
			size += STEP * (count - size);
			gap += STEP * (since - gap);
			since = 1;
		} else since++;
	}
	return (shrink * size) / Math.max(gap, 1e-6);
}

/** The method that lets the chance of a use fade in weeks without one. */
function fading(counts: readonly number[], start: number): number {
	let size = 1;
	let chance = Math.min(1, start);
	for (const count of counts) {
		chance += STEP * ((count > 0 ? 1 : 0) - chance);
		if (count > 0) size += STEP * (count - size);
	}
	return size * chance;
}

const believed = ({ days, classRate }: SimulatedUse, weeks: number): number => {
	const { shape, weeks: watched } = believeRate(
		days.map((day) => ({ weeksAgo: weeks - (day + 0.5) / 7, packs: 1 })),
		weeks,
		classRate
	);
	return shape / watched;
};

const SEEDS = 10;
const THINGS = 300;

/** Mean absolute error of the logarithm of the rate, by method, after 4, 12 and 26 weeks. */
export function benchRates(): object[] {
	return [4, 12, 26].map((weeks) => {
		const things = Array.from({ length: SEEDS }, (_, i) =>
			simulateUse(7001 + i, THINGS, weeks)
		).flat();
		const error = (estimate: (thing: SimulatedUse) => number) => {
			const sum = things.reduce(
				(total, thing) =>
					total + Math.abs(Math.log(Math.max(estimate(thing), LEAST_RATE) / thing.trueRate)),
				0
			);
			return Math.round((sum / things.length) * 1000) / 1000;
		};
		return {
			bench: 'rates',
			weeks,
			things: things.length,
			class: error(({ classRate }) => classRate),
			gammaPoisson: error((thing) => believed(thing, weeks)),
			croston: error((thing) => croston(weekly(thing, weeks), thing.classRate, 1)),
			sba: error((thing) => croston(weekly(thing, weeks), thing.classRate, 1 - STEP / 2)),
			tsb: error((thing) => fading(weekly(thing, weeks), thing.classRate))
		};
	});
}
