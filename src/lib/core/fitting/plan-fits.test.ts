import { describe, expect, it } from 'vitest';
import { SKETCHES } from '../fixtures/sketches';
import { sketchHome } from '../fixtures/sketch-home';
import { apply, NOW } from '../fixtures/tiny-home';
import { volumeOf } from '../standing';
import { adoptPlan, placeHome, toZonePlan } from '../zoning';
import { fitNook } from './fit';
import { wantsOf } from './wants';

/** Share of the litres of a plan that Fit may leave over: goods of several groups meet in rows that none has alone. */
const MOST_OVER = 0.01;

describe('a plan of zones', () => {
	it.each(SKETCHES)(
		'$id: says yes only where the pieces really go in',
		(sketch) => {
			const home = sketchHome(sketch);
			const result = placeHome(home, { seed: 1, moves: 60_000 });
			const planned = apply(home, adoptPlan(toZonePlan(result, 'p', 'Plan', NOW)));
			let held = 0;
			let over = 0;
			for (const nookId of new Set(result.assignments.map((row) => row.nookId as string))) {
				held += volumeOf(wantsOf(planned, nookId).flatMap(({ goods }) => goods));
				const fit = fitNook(planned, nookId);
				expect(fit.status).toMatch(/fitted/);
				if ('arrangements' in fit) over += volumeOf(fit.arrangements[0]!.leftOver);
			}
			expect(held).toBeGreaterThan(100_000);
			expect(over / held).toBeLessThanOrEqual(MOST_OVER);
		},
		30_000
	);
});
