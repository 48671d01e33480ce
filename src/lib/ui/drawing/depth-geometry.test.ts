import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { facesOf, farFirst, seen, type DepthBox } from './depth-geometry';

const box = (id: string, x: number, y: number, z: number, w = 100, d = 100, h = 100): DepthBox => ({
	id,
	x,
	y,
	z,
	w,
	d,
	h,
	hue: 0,
	round: false
});
const ids = (boxes: readonly DepthBox[]) => farFirst(boxes).map(({ id }) => id);

describe('a place seen in depth', () => {
	it('is drawn from the back to the front, from below up, from the left', () => {
		expect(ids([box('front', 0, 0, 0), box('back', 0, 200, 0)])).toEqual(['back', 'front']);
		expect(ids([box('upper', 0, 0, 100), box('lower', 0, 0, 0)])).toEqual(['lower', 'upper']);
		expect(ids([box('right', 200, 0, 0), box('left', 0, 0, 0)])).toEqual(['left', 'right']);
	});
	it('never draws a box over one that hides it: boxes of a grid, whatever their order', () => {
		const cells = fc.uniqueArray(
			fc.tuple(...([0, 1, 2].map(() => fc.nat(3)) as [never, never, never])),
			{
				minLength: 2,
				maxLength: 12,
				selector: (cell) => (cell as number[]).join()
			}
		);
		fc.assert(
			fc.property(cells, (found) => {
				const boxes = (found as unknown as number[][]).map(([x, y, z], i) =>
					box(String(i), x! * 100, y! * 100, z! * 100)
				);
				const order = farFirst(boxes);
				expect(order).toHaveLength(boxes.length);
				order.forEach((later, i) => {
					for (const earlier of order.slice(0, i)) {
						const hides = earlier.x >= later.x && earlier.y <= later.y && earlier.z >= later.z;
						// Nearer in every way and drawn first: it would be painted over.
						expect(hides).toBe(false);
					}
				});
			})
		);
	});
	it('draws all of what stands in each other too, once', () => {
		const boxes = [box('a', 0, 0, 0), box('b', 50, 50, 50), box('c', 20, 20, 0)];
		expect(ids(boxes).sort()).toEqual(['a', 'b', 'c']);
	});
	it('shows the front lower than the back, the right beside the front, the top above', () => {
		const [, frontLow] = seen([0, 0, 0]);
		expect(seen([0, 100, 0])[1]).toBeLessThan(frontLow);
		expect(seen([0, 0, 100])[1]).toBeLessThan(frontLow);
		expect(seen([100, 0, 0])[0]).toBeGreaterThan(seen([0, 0, 0])[0]);
		expect(facesOf(box('a', 0, 0, 0)).map(({ side }) => side)).toEqual(['right', 'front', 'top']);
		// The back of the right side lies to the right of its front: that side is seen.
		expect(seen([100, 100, 0])[0]).toBeGreaterThan(seen([100, 0, 0])[0]);
	});
});
