import { randomOf } from '../src/lib/core/fixtures/simulate-use';
import { forecastThing, type ForecastThing } from '../src/lib/core/solvers/forecast';

/** Things as a household has them, by a seed. */
function things(count: number, seed: number): ForecastThing[] {
	const random = randomOf(seed);
	return Array.from({ length: count }, () => {
		const rate = 0.1 * 50 ** random();
		const shape = 1 + 10 * random();
		return {
			lots: Array.from({ length: 1 + Math.floor(random() * 3) }, () => ({
				packs: 1 + Math.floor(random() * 4),
				daysLeft: random() < 0.3 ? null : Math.floor(random() * 200)
			})),
			shape,
			weeks: shape / rate,
			// As a home's things are taken: no finer than seven uses a week.
			portion: Math.max(1 / (1 + Math.floor(random() * 6)), rate / 7),
			lifeDays: random() < 0.3 ? null : 7 + Math.floor(random() * 300),
			level: random() < 0.3 ? null : 1 + Math.floor(random() * 6),
			price: 200,
			runOutPrice: 150
		};
	});
}

/** Time for 500 things over 12 weeks with 1,000 runs each, ms; the median of three. */
export function benchForecast(): object {
	const all = things(500, 1);
	const times = [1, 2, 3].map((seed) => {
		const start = performance.now();
		for (const thing of all)
			forecastThing(thing, { days: 84, firstShop: 3, everyDays: 7, runs: 1000, seed });
		return performance.now() - start;
	});
	times.sort((a, b) => a - b);
	return { bench: 'forecast', things: all.length, runs: 1000, ms: Math.round(times[1]!) };
}
