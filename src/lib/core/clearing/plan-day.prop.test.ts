import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { freeStretches, planDay, type DayInput } from '.';

const stretch = fc
	.tuple(fc.integer({ min: 0, max: 1440 }), fc.integer({ min: 1, max: 180 }))
	.map(([fromMin, long]) => ({ fromMin, toMin: Math.min(1440, fromMin + long) }));
const input: fc.Arbitrary<DayInput> = fc
	.record({
		fromMin: fc.integer({ min: 0, max: 1000 }),
		long: fc.integer({ min: 0, max: 700 }),
		fixed: fc.array(stretch, { maxLength: 5 }),
		minutes: fc.array(fc.integer({ min: 28, max: 240 }), { maxLength: 8 }),
		school: fc.constantFrom('place-at-a-time' as const, 'all-at-once' as const)
	})
	.map(({ fromMin, long, fixed, minutes, school }) => ({
		fromMin,
		stopMin: Math.min(1440, fromMin + long),
		fixed,
		school,
		places: minutes.map((m, i) => ({ nookId: `n${i}`, minutes: m, emptyMin: 14, putBackMin: 14 }))
	}));

describe('the plan of the day', () => {
	it('never works past the stop time, over what is fixed, or in two places at once', () =>
		fc.assert(
			fc.property(input, (day) => {
				const { blocks, taken, left } = planDay(day);
				const busy = [...blocks].sort((a, b) => a.fromMin - b.fromMin);
				busy.forEach((block, i) => {
					expect(block.toMin).toBeGreaterThan(block.fromMin);
					expect(block.fromMin).toBeGreaterThanOrEqual(day.fromMin);
					expect(block.toMin).toBeLessThanOrEqual(day.stopMin);
					if (i) expect(block.fromMin).toBeGreaterThanOrEqual(busy[i - 1]!.toMin);
					for (const fixed of day.fixed)
						expect(block.toMin <= fixed.fromMin || block.fromMin >= fixed.toMin).toBe(true);
				});
				expect([...taken, ...left.map((item) => item.nookId)].sort()).toEqual(
					day.places.map((place) => place.nookId).sort()
				);
			}),
			{ seed: 312, numRuns: 300 }
		));
	it('gives each place it takes all of its minutes', () =>
		fc.assert(
			fc.property(input, (day) => {
				const plan = planDay(day);
				const worked = plan.blocks.reduce((sum, block) => sum + block.toMin - block.fromMin, 0);
				const asked = day.places
					.filter((place) => plan.taken.includes(place.nookId))
					.reduce((sum, place) => sum + place.minutes, 0);
				expect(worked).toBe(asked);
				const free = freeStretches(day).reduce((sum, s) => sum + s.toMin - s.fromMin, 0);
				expect(plan.freeMin).toBe(free - worked);
			}),
			{ seed: 313, numRuns: 300 }
		));
	it('leaves no place out that the rest of the day could still hold', () =>
		fc.assert(
			fc.property(input, (day) => {
				const { left } = planDay(day);
				for (const item of left) expect(item.longestMin).toBeLessThan(item.minutes);
			}),
			{ seed: 314, numRuns: 300 }
		));
	it('closes a place before lunch or begins it after', () => {
		const plan = planDay({
			fromMin: 600,
			stopMin: 840,
			fixed: [{ fromMin: 720, toMin: 760 }],
			school: 'place-at-a-time',
			places: [
				{ nookId: 'pantry', minutes: 90, emptyMin: 14, putBackMin: 14 },
				{ nookId: 'drawer', minutes: 56, emptyMin: 14, putBackMin: 14 },
				{ nookId: 'sink', minutes: 30, emptyMin: 14, putBackMin: 14 }
			]
		});
		expect(plan.blocks).toEqual([
			{ nookId: 'pantry', work: 'clear', fromMin: 600, toMin: 690 },
			{ nookId: 'sink', work: 'clear', fromMin: 690, toMin: 720 },
			{ nookId: 'drawer', work: 'clear', fromMin: 760, toMin: 816 }
		]);
	});
	it('empties all first, then decides, then puts back, in the other school', () => {
		const plan = planDay({
			fromMin: 600,
			stopMin: 700,
			fixed: [{ fromMin: 640, toMin: 660 }],
			school: 'all-at-once',
			places: [{ nookId: 'a', minutes: 60, emptyMin: 14, putBackMin: 14 }]
		});
		expect(plan.blocks.map(({ work, fromMin, toMin }) => [work, fromMin, toMin])).toEqual([
			['empty', 600, 614],
			['decide', 614, 640],
			['decide', 660, 666],
			['put-back', 666, 680]
		]);
	});
});
