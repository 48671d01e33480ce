import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { capacityByCups, capacityByWater, capacityOf, freezeFill } from '.';

describe('what a container holds', () => {
	it('comes from its inside measures', () => {
		expect(capacityOf({ kind: 'round', diameterMm: 100, heightMm: 150 })).toBe(1178);
		expect(capacityOf({ kind: 'box', widthMm: 200, depthMm: 100, heightMm: 50 })).toBe(1000);
		// A cone: a third of the cylinder.
		expect(
			capacityOf({
				kind: 'tapered',
				topWidthMm: 100,
				topDepthMm: 0,
				baseWidthMm: 0,
				baseDepthMm: 0,
				heightMm: 150
			})
		).toBe(Math.round(Math.PI * 125));
	});
	it('is the box when a tapered one does not taper, and lies between base and top when it does', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 10, max: 400 }),
				fc.integer({ min: 10, max: 400 }),
				fc.integer({ min: 0, max: 200 }),
				fc.integer({ min: 10, max: 400 }),
				(width, depth, more, heightMm) => {
					const held = capacityOf({
						kind: 'tapered',
						baseWidthMm: width,
						baseDepthMm: depth,
						topWidthMm: width + more,
						topDepthMm: depth + more,
						heightMm
					});
					const box = (w: number, d: number) =>
						capacityOf({ kind: 'box', widthMm: w, depthMm: d, heightMm });
					expect(held).toBeGreaterThanOrEqual(box(width, depth));
					expect(held).toBeLessThanOrEqual(box(width + more, depth + more));
					if (!more) expect(held).toBe(box(width, depth));
				}
			),
			{ seed: 311 }
		));
	it('comes from water and from cups', () => {
		expect(capacityByWater(1450, 450)).toBe(1000);
		expect(capacityByWater(100, 450)).toBe(0);
		expect(capacityByCups(4, 250)).toBe(1000);
		expect(freezeFill(1000)).toBe(900);
	});
});
