import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutRoom } from '../../fixtures/cut-room';
import {
	boundOf,
	faultsOf,
	solveBoxes,
	volumeOf,
	waysOf,
	type Box,
	type BoxesProblem,
	type PlacedBox
} from '.';

const side = (max: number) => fc.integer({ min: 1, max });
const turning = fc.constantFrom('none', 'flat', 'any' as const) as fc.Arbitrary<Box['turning']>;
const rooms = (count: number, most: number): fc.Arbitrary<BoxesProblem> =>
	fc.record({
		width: side(most),
		depth: side(most),
		height: side(most),
		support: fc.constantFrom(0, 0.75, 1),
		levelMm: fc.constantFrom(0, 1),
		boxes: fc.array(fc.record({ w: side(most), d: side(most), h: side(most), turning }), {
			maxLength: count
		})
	});
const few = { steps: 40_000 };

/** The most that goes in, by trying every box at every whole mm; only for small rooms, and without what stands on what. */
function bruteForce({ width, depth, height, boxes }: BoxesProblem): number {
	const touches = (a: PlacedBox, b: PlacedBox) =>
		a.x < b.x + b.w &&
		b.x < a.x + a.w &&
		a.y < b.y + b.d &&
		b.y < a.y + a.d &&
		a.z < b.z + b.h &&
		b.z < a.z + a.h;
	const best = (i: number, placed: readonly PlacedBox[]): number => {
		if (i === boxes.length) return 0;
		let most = best(i + 1, placed);
		for (const [w, d, h] of waysOf(boxes[i]!))
			for (let x = 0; x + w <= width; x++)
				for (let y = 0; y + d <= depth; y++)
					for (let z = 0; z + h <= height; z++) {
						const here = { box: i, x, y, z, w, d, h };
						if (placed.some((other) => touches(other, here))) continue;
						most = Math.max(most, volumeOf(here) + best(i + 1, [...placed, here]));
					}
		return most;
	};
	return best(0, []);
}

describe('boxes in a box', () => {
	it('never stand in each other, outside, or on too little', () =>
		fc.assert(
			fc.property(rooms(14, 12), (problem) => {
				const { placed, volume, bound, status } = solveBoxes(problem, few);
				expect(faultsOf(problem, placed)).toEqual([]);
				expect(placed.reduce((sum, box) => sum + volumeOf(box), 0)).toBe(volume);
				expect(volume).toBeLessThanOrEqual(bound);
				expect(status === 'proven').toBe(volume >= bound);
			}),
			{ seed: 311, numRuns: 150 }
		));
	it('are never more than there can be, and just that where it is said to be proven', () =>
		fc.assert(
			fc.property(rooms(3, 3), (problem) => {
				const { volume, status } = solveBoxes(problem, few);
				const most = bruteForce(problem);
				expect(volume).toBeLessThanOrEqual(most);
				expect(boundOf(problem)).toBeGreaterThanOrEqual(most);
				if (status === 'proven') expect(volume).toBe(most);
			}),
			{ seed: 312, numRuns: 120 }
		));
	it('are as many as can be when each stands as it likes', () =>
		fc.assert(
			fc.property(rooms(2, 4), (problem) => {
				const free = { ...problem, support: 0 };
				expect(solveBoxes(free, few).volume).toBe(bruteForce(free));
			}),
			{ seed: 313, numRuns: 120 }
		));
	it('fill a room again that was cut into them', () => {
		for (const count of [2, 5, 9, 14])
			for (const seed of [1, 2, 3]) {
				const problem = cutRoom({ count, seed });
				expect(problem.boxes).toHaveLength(count);
				expect(boundOf(problem)).toBe(problem.width * problem.depth * problem.height);
				expect(solveBoxes(problem)).toMatchObject({ status: 'proven' });
			}
	});
	it('fill most of it when their sides differ a little', () => {
		for (const seed of [1, 2, 3]) {
			const problem = cutRoom({ count: 16, seed, looseMm: 12 });
			const { placed, volume, bound } = solveBoxes(problem, { steps: 600_000 });
			expect(faultsOf(problem, placed)).toEqual([]);
			expect(volume / bound).toBeGreaterThan(0.85);
		}
	});
	it('are packed the same each time', () => {
		const problem = cutRoom({ count: 18, seed: 4, looseMm: 8 });
		expect(solveBoxes(problem, few)).toEqual(solveBoxes(problem, few));
	});
	it('are found fault with by the checker', () => {
		const box = (over: Partial<PlacedBox>): PlacedBox => ({
			box: 0,
			x: 0,
			y: 0,
			z: 0,
			w: 2,
			d: 1,
			h: 1,
			...over
		});
		const problem: BoxesProblem = {
			width: 4,
			depth: 4,
			height: 4,
			support: 0.75,
			levelMm: 0,
			boxes: [
				{ w: 2, d: 1, h: 1, turning: 'flat' },
				{ w: 2, d: 1, h: 1, turning: 'flat' }
			]
		};
		expect(faultsOf(problem, [box({}), box({ box: 1, z: 1 })])).toEqual([]);
		expect(faultsOf(problem, [box({ x: 3 })])).toEqual(['box 0 leaves the room']);
		expect(faultsOf(problem, [box({ z: 1 })])).toEqual(['box 0 stands on too little']);
		expect(faultsOf(problem, [box({ w: 1, d: 1, h: 2 })])).toEqual([
			'box 0 may not be set down like that'
		]);
		expect(faultsOf(problem, [box({}), box({ box: 1, x: 1 })])).toEqual(['box 1 overlaps box 0']);
		expect(faultsOf(problem, [box({}), box({ x: 2 })])).toEqual(['box 0 is placed twice']);
		expect(faultsOf(problem, [box({ z: 1 }), box({ box: 1 })])).toEqual([
			'box 0 is set down before box 1 under it'
		]);
		expect(faultsOf(problem, [box({}), box({ box: 1, x: 1, z: 1 })])).toEqual([
			'box 1 stands on too little'
		]);
	});
});
