import { describe, expect, it } from 'vitest';
import { FLATSHARE } from '../fixtures/more-sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { objectiveOf } from '../solvers/assignment';
import { standFree, goodsOf } from '../standing';
import { buildZoneModel, crowdingOf } from './build';

describe('what rows add to the crowd of a place', () => {
	it('is one part at least, and all that the place takes without a crowd at most', () => {
		const shelf = { widthMm: 900 };
		expect([0, 150, 300, 450, 900, 2000].map((side) => crowdingOf(side, shelf, 300))).toEqual([
			100, 100, 100, 150, 300, 300
		]);
	});
	const model = buildZoneModel(sketchHome(FLATSHARE));
	const { problem, parts, clears } = model;
	const { G, N } = problem;
	const { crowding, crowdFrom, crowdPrice } = problem.mixing!;

	it('is one part where one looks from above, and never more than the rows side by side are wide', () => {
		let [above, wide] = [0, 0];
		for (let g = 0; g < G; g++)
			for (let n = 0; n < N; n++) {
				const clear = clears[n];
				if (!clear || problem.cost[g * N + n] === Infinity) continue;
				const adds = crowding[g * N + n]!;
				if (clear.isSeenFromAbove) {
					above++;
					expect(adds).toBe(100);
					continue;
				}
				// Each thing in rows that nothing else shares takes no less.
				const sideMm = goodsOf(parts[g]!.figures.holdings)
					.flatMap((good) => standFree([good], clear).lanes)
					.reduce((sum, { w }) => sum + w, 0);
				expect(adds).toBeLessThanOrEqual(
					Math.ceil(Math.max(100, (sideMm / clear.widthMm) * crowdFrom[n]!))
				);
				if (adds > 100) wide++;
			}
		expect(above).toBeGreaterThan(50);
		expect(wide).toBeGreaterThan(50);
	});
	it('costs nothing for what stands alone, and something for what two together hide', () => {
		const alone = new Int32Array(G).fill(-1);
		const sumOf = (of: readonly (readonly [number, number])[]) => {
			const plan = alone.slice();
			for (const [g, n] of of) plan[g] = n;
			return objectiveOf({ ...problem, pairs: [] }, plan);
		};
		const nothing = sumOf([]);
		let seen = 0;
		for (let n = 0; n < N && seen < 20; n++)
			for (let g = 0; g < G; g++)
				for (let h = g + 1; h < G; h++) {
					if (problem.cost[g * N + n] === Infinity || problem.cost[h * N + n] === Infinity)
						continue;
					const over = crowding[g * N + n]! + crowding[h * N + n]! - crowdFrom[n]!;
					if (over <= 0) continue;
					const one = sumOf([[g, n]]) - nothing;
					const two = sumOf([[h, n]]) - nothing;
					expect(one).toBeCloseTo(problem.cost[g * N + n]! - problem.overflow[g]!, 6);
					const both = sumOf([
						[g, n],
						[h, n]
					]);
					expect(both - nothing - one - two).toBeGreaterThanOrEqual(over * crowdPrice - 1e-6);
					seen++;
				}
		expect(seen).toBeGreaterThan(20);
	});
});
