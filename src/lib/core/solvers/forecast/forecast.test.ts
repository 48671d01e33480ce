import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bestLevels, forecastThing, type ForecastThing } from '.';
import { drawsOf } from './draws';

const OPTIONS = { days: 84, firstShop: 7, everyDays: 7, runs: 2000, seed: 3 };
/** A thing whose rate is known nearly for sure. */
const thingAt = (perWeek: number, change: Partial<ForecastThing> = {}): ForecastThing => ({
	lots: [],
	shape: 1e6,
	weeks: 1e6 / perWeek,
	portion: 1,
	lifeDays: null,
	level: null,
	price: 100,
	runOutPrice: 150,
	...change
});

describe('a forecast', () => {
	it('is the same for the same seed, and another for another', () => {
		const thing = thingAt(2, { lots: [{ packs: 3, daysLeft: 20 }], level: 4, lifeDays: 30 });
		expect(forecastThing(thing, OPTIONS)).toEqual(forecastThing(thing, OPTIONS));
		expect(forecastThing(thing, { ...OPTIONS, seed: 4 })).not.toEqual(
			forecastThing(thing, OPTIONS)
		);
	});
	it('agrees with the formula where there is one: a single pack is left with a chance of e to the minus λt', () => {
		for (const [perWeek, daysLeft] of [
			[1, 7],
			[0.5, 21],
			[3, 5]
		] as const) {
			const { lotLeft } = forecastThing(
				thingAt(perWeek, { lots: [{ packs: 1, daysLeft }] }),
				OPTIONS
			);
			const truth = Math.exp((-perWeek * daysLeft) / 7);
			const sigma = Math.sqrt((truth * (1 - truth)) / OPTIONS.runs);
			expect(Math.abs(lotLeft[0]! - truth)).toBeLessThan(5 * sigma + 0.005);
		}
	});
	it('lets all spoil that has a date where nobody uses it, and nothing that keeps', () => {
		const thing = thingAt(1e-9, {
			lots: [
				{ packs: 2, daysLeft: 10 },
				{ packs: 3, daysLeft: null },
				{ packs: 1.5, daysLeft: 200 }
			]
		});
		const { wastePacks, usedPacks, lotLeft, bands } = forecastThing(thing, OPTIONS);
		expect([wastePacks, usedPacks]).toEqual([2, 0]);
		expect(lotLeft).toEqual([1, null, 0]);
		expect(bands[0]!.middle).toBe(6.5);
		expect(bands.at(-1)!.middle).toBe(4.5);
	});
	it('takes a pack in portions: a daily slice of a loaf is not a loaf a day', () => {
		const loaf = { lots: [{ packs: 1, daysLeft: 6 }] };
		const whole = forecastThing(thingAt(1, { ...loaf, portion: 1 }), OPTIONS);
		const sliced = forecastThing(thingAt(1, { ...loaf, portion: 0.1 }), OPTIONS);
		// The same bread is eaten in the mean, but chance evens out: far less is left over of ten slices.
		expect(sliced.wastePacks).toBeLessThan(0.75 * whole.wastePacks);
	});
	it('uses, spoils and keeps no more than there was and was bought', () => {
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						packs: fc.integer({ min: 0, max: 5 }),
						daysLeft: fc.oneof(fc.integer({ min: -5, max: 120 }), fc.constant(null))
					}),
					{ maxLength: 5 }
				),
				fc.double({ min: 0.05, max: 8, noNaN: true }),
				(lots, perWeek) => {
					const { wastePacks, usedPacks, bands, outBeforeShop } = forecastThing(
						thingAt(perWeek, { lots, shape: 3, weeks: 3 / perWeek }),
						{ ...OPTIONS, runs: 50 }
					);
					const all = lots.reduce((sum, { packs }) => sum + packs, 0);
					expect(wastePacks + usedPacks).toBeLessThanOrEqual(all + 1e-6);
					expect(outBeforeShop).toBeGreaterThanOrEqual(0);
					expect(outBeforeShop).toBeLessThanOrEqual(1);
					for (const { low, middle, high } of bands) {
						expect(low).toBeLessThanOrEqual(middle);
						expect(middle).toBeLessThanOrEqual(high);
						expect(high).toBeLessThanOrEqual(all);
					}
				}
			)
		);
	});
	it('runs out less and spoils more the more is held, and finds the level between', () => {
		const thing = thingAt(3, { lifeDays: 10, price: 200, shape: 20, weeks: 20 / 3 });
		const costs = bestLevels(thing, [1, 2, 3, 4, 5, 6, 9, 14], OPTIONS);
		const byLevel = [...costs].sort((a, b) => a.level - b.level);
		for (let i = 1; i < byLevel.length; i++) {
			expect(byLevel[i]!.runOuts).toBeLessThanOrEqual(byLevel[i - 1]!.runOuts + 0.3);
			expect(byLevel[i]!.wastePacks).toBeGreaterThanOrEqual(byLevel[i - 1]!.wastePacks - 0.3);
		}
		expect(costs[0]!.level).toBeGreaterThan(1);
		expect(costs[0]!.level).toBeLessThan(14);
	});
	it('draws a gamma with the mean and the spread it should have', () => {
		for (const shape of [0.4, 1, 7]) {
			const draws = drawsOf(9);
			const all = Array.from({ length: 20_000 }, () => draws.gamma(shape));
			const mean = all.reduce((sum, one) => sum + one, 0) / all.length;
			const spread = all.reduce((sum, one) => sum + (one - mean) ** 2, 0) / all.length;
			expect(mean / shape).toBeCloseTo(1, 1);
			expect(spread / shape).toBeGreaterThan(0.9);
			expect(spread / shape).toBeLessThan(1.1);
		}
	});
});
