import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layTags } from './tag-layout';

describe('laying tags into a nook', () => {
	it('never overlaps nor leaves the box, and accounts for every tag', () => {
		const size = fc.integer({ min: 120, max: 1500 });
		fc.assert(
			fc.property(
				size,
				size,
				fc.integer({ min: 1, max: 12 }),
				fc.constantFrom(2, 3, 4.5),
				(w, h, count, px) => {
					fc.pre(w > 50 * px && h > 26 * px);
					const lay = layTags({ x: 100, y: 50, h, textW: w }, count, px);
					const places = lay.shown < count ? lay.shown + 1 : count;
					const boxes = Array.from({ length: places }, (_, i) => lay.at(i));
					boxes.forEach((a, i) => {
						expect(a.x).toBeGreaterThanOrEqual(100);
						expect(a.x + a.w).toBeLessThanOrEqual(100 + w + 1e-6);
						expect(a.y).toBeGreaterThanOrEqual(50);
						expect(a.y + a.h).toBeLessThanOrEqual(50 + h + 1e-6);
						boxes.slice(0, i).forEach((b) => {
							const apart =
								a.x >= b.x + b.w || b.x >= a.x + a.w || a.y >= b.y + b.h || b.y >= a.y + a.h;
							expect(apart).toBe(true);
						});
					});
					if (lay.shown === count) expect(boxes).toHaveLength(count);
				}
			),
			{ seed: 111 }
		);
	});
	it('keeps the name as long as all tags stand below it', () => {
		const box = { x: 0, y: 0, h: 400, textW: 600 };
		expect(layTags(box, 2, 4).named).toBe(true);
		expect(layTags(box, 5, 4)).toMatchObject({ named: false, shown: 5 });
		expect(layTags({ ...box, h: 100, textW: 150 }, 5, 4).shown).toBeLessThan(5);
	});
});
