import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Thing } from '../model';
import { piecesOf, type Good } from './goods';
import type { Clear } from './room';
import { standFree } from './stand-free';

const SHELF: Clear = {
	widthMm: 800,
	depthMm: 480,
	heightMm: 230,
	passWidthMm: 800,
	isSeenFromAbove: false
};
let made = 0;
const good = (
	[widthMm, depthMm, heightMm]: readonly [number, number, number],
	{
		pieces = 1,
		rimMm = 0,
		uses = 1,
		category = 'kitchen.pots'
	}: { pieces?: number; rimMm?: number; uses?: number; category?: string } = {}
): Good => {
	const id = `t${++made}`;
	const rim = rimMm
		? { part: 'vessel' as const, shape: 'round' as const, widthMm: rimMm, depthMm: rimMm }
		: null;
	const thing = { id, name: id, category, massG: 1, rim, piece: { widthMm, depthMm, heightMm } };
	return piecesOf(
		{ thing: thing as Thing, pieces: 0, volumeMl: 0, massG: 0, usesPerWeek: uses, due: '9999' },
		pieces
	);
};
const heights = (goods: readonly Good[], clear = SHELF) =>
	standFree(goods, clear).lanes.map(({ heightMm }) => heightMm);

describe('goods that stand free', () => {
	it('are stood in so many rows and one block, however many there are: none is lost', () => {
		for (const pieces of [3, 10_000, 1_000_000, 1e9]) {
			const { lanes, tooLarge } = standFree([good([60, 60, 100], { pieces })], SHELF);
			expect(tooLarge).toEqual([]);
			expect(lanes.length).toBeLessThanOrEqual(201);
			const held = lanes.flatMap(({ holds }) => holds).reduce((sum, one) => sum + one.pieces, 0);
			expect(held).toBe(pieces);
			// The block is as wide as its rows would be.
			const wide = lanes.reduce((sum, { w }) => sum + w, 0);
			const perRow = Math.floor(SHELF.depthMm / 60) * Math.floor(SHELF.heightMm / 100);
			expect(wide).toBeGreaterThanOrEqual((Math.floor(pieces / perRow) - 1) * 60);
		}
	});
	const large = { size: [240, 300, 110] as const, rimMm: 200 };
	const small = { size: [200, 250, 100] as const, rimMm: 160 };
	it('stand a smaller pot in a larger one, which rises by a finger and no more', () => {
		expect(heights([good(large.size, large), good(small.size, small)])).toEqual([122]);
	});
	it('stand it on a lower one as far as it stands out', () => {
		const low = good([300, 440, 45], { rimMm: 280 });
		expect(heights([low, good(small.size, small)])).toEqual([100]);
	});
	it('pile pots without a rim that is known on each other, where there is height', () => {
		expect(heights([good(large.size), good(small.size)])).toEqual([210]);
		expect(heights([good(large.size), good(small.size)], { ...SHELF, heightMm: 190 })).toEqual([
			110, 100
		]);
	});
	it('leave what is used daily on top, but for what nests in it', () => {
		const daily = { ...large, uses: 9 };
		expect(heights([good(large.size, daily), good(small.size, small)])).toEqual([122]);
		expect(heights([good(large.size, { uses: 9 }), good(small.size)])).toEqual([110, 100]);
	});
	it('are each in one row, or named as too large, whatever they are', () => {
		const side = fc.integer({ min: 30, max: 700 });
		const any = fc.tuple(
			fc.tuple(side, side, fc.integer({ min: 20, max: 260 })),
			fc.integer({ min: 1, max: 9 }),
			fc.integer({ min: 0, max: 300 }),
			fc.constantFrom('kitchen.pots', 'kitchen.dishes', 'food.cans-veg', 'food.oils')
		);
		fc.assert(
			fc.property(fc.array(any, { minLength: 1, maxLength: 7 }), (all) => {
				const goods = all.map(([size, pieces, rimMm, category]) =>
					good(size, { pieces, rimMm, category })
				);
				const { lanes, tooLarge } = standFree(goods, SHELF);
				for (const { thing, pieces } of goods) {
					const held = lanes
						.flatMap(({ holds }) => holds)
						.filter((one) => one.thing === thing)
						.reduce((sum, one) => sum + one.pieces, 0);
					const left = tooLarge.find((one) => one.good.thing === thing)?.good.pieces ?? 0;
					expect(held + left).toBe(pieces);
				}
				for (const { w, d, heightMm } of lanes) {
					expect(heightMm).toBeLessThanOrEqual(SHELF.heightMm);
					expect(Math.min(w, d)).toBeLessThanOrEqual(SHELF.depthMm);
					expect(d).toBeLessThanOrEqual(SHELF.depthMm);
					expect(w).toBeLessThanOrEqual(SHELF.widthMm);
				}
			}),
			{ seed: 1413 }
		);
	});
});
