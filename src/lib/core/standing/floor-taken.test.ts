import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bareKitchen } from '../fixtures/tiny-home';
import { nooksInOrder } from '../survey';
import { overlaps, solvePacking } from '../solvers/packing';
import { freeFrontMm, frontTaken } from './floor-taken';
import { piecesOf, type Good } from './goods';
import type { Clear } from './room';
import { standFree } from './stand-free';

const SHELF: Clear = {
	widthMm: 600,
	depthMm: 300,
	heightMm: 250,
	passWidthMm: 600,
	isSeenFromAbove: false
};
let made = 0;
const good = (
	[widthMm, depthMm, heightMm]: readonly [number, number, number],
	pieces: number,
	category = 'food.oils'
): Good => {
	const id = `t${++made}`;
	const thing = { id, name: id, category, massG: 100, piece: { widthMm, depthMm, heightMm } };
	return piecesOf({ thing, pieces: 0, volumeMl: 0, massG: 0, usesPerWeek: 1 } as never, pieces);
};

describe('the front that goods take', () => {
	it('is the floor of their piles over the depth', () => {
		const tins = good([75, 75, 110], 8, 'food.cans-veg');
		expect(frontTaken([tins], SHELF)).toEqual({ frontMm: 75, deepMm: 75, sideMm: 75 });
		expect(frontTaken([tins], { ...SHELF, heightMm: 120 }).frontMm).toBe(150);
	});
	it('piles packs by two and tins by three where nothing holds them, frozen ones as high as they go', () => {
		const piles = (category: string) => {
			const flat = good([100, 100, 40], 6, category);
			return Math.max(
				...standFree([flat], SHELF).lanes.map(({ heightMm }) => Math.round(heightMm / 40))
			);
		};
		expect(['food.baking', 'food.cans-fish', 'food.frozen-veg'].map(piles)).toEqual([2, 3, 6]);
	});
	it('piles nothing on what is held otherwise: a casserole on trays that stand upright', () => {
		const shelf = { ...SHELF, widthMm: 900, depthMm: 530, heightMm: 330, passWidthMm: 900 };
		const trays = good([400, 300, 25], 2, 'kitchen.bakeware');
		const casserole = good([340, 270, 150], 1, 'kitchen.pots');
		const alone = [trays, casserole].map((one) => frontTaken([one], shelf).frontMm);
		expect(frontTaken([trays, casserole], shelf).frontMm).toBeCloseTo(alone[0]! + alone[1]!);
		// A smaller pot does stand in a larger one.
		const pan = good([250, 200, 100], 1, 'kitchen.pots');
		expect(frontTaken([casserole, pan], shelf).frontMm).toBeCloseTo(alone[1]!);
	});
	it('stands no fourth row behind others where one looks from the front', () => {
		// Of widths so unlike that none shares a row with another.
		const odd = [120, 65, 35].map((side) => good([side, side, 240], 1));
		const taken = frontTaken(odd, SHELF);
		expect(taken.frontMm).toBeCloseTo((120 ** 2 + 65 ** 2 + 35 ** 2) / 300);
		expect(taken.deepMm).toBeCloseTo((120 + 65 + 35) / 3);
		// Nothing hides anything in a drawer.
		expect(frontTaken(odd, { ...SHELF, isSeenFromAbove: true })).toEqual({
			frontMm: taken.frontMm,
			deepMm: 0,
			sideMm: 0
		});
	});
	it('says how wide its rows are when they stand behind each other, and nothing of another group does', () => {
		// 120, 65 and 35 stand behind each other in 300; 160 does not behind another 160.
		expect(
			frontTaken(
				[120, 65, 35].map((side) => good([side, side, 240], 1)),
				SHELF
			).sideMm
		).toBe(120);
		expect(
			frontTaken(
				[160, 159].map((side) => good([side, side, 240], 1)),
				SHELF
			).sideMm
		).toBe(319);
		const sides = fc.array(fc.integer({ min: 20, max: 290 }), { minLength: 1, maxLength: 6 });
		fc.assert(
			fc.property(sides, (all) => {
				const taken = frontTaken(
					all.map((side) => good([side, side, 240], 1)),
					SHELF
				);
				// No less than the widest and than the floor asks for, no more than side by side.
				expect(taken.sideMm).toBeGreaterThanOrEqual(Math.max(...all, Math.floor(taken.frontMm)));
				expect(taken.sideMm).toBeLessThanOrEqual(all.reduce((sum, side) => sum + side, 0));
			}),
			{ seed: 91, numRuns: 150 }
		);
	});
	it('is nothing for what does not go in, which another rule speaks of', () => {
		expect(frontTaken([good([700, 700, 100], 1)], SHELF)).toEqual({
			frontMm: 0,
			deepMm: 0,
			sideMm: 0
		});
	});
	it('is far more than there is where pieces of less floor do not pack', () => {
		// 340 and 220 do not stand behind each other in 520, and side by side with the jars they are too wide.
		const shelf = { ...SHELF, widthMm: 544, depthMm: 510, heightMm: 300, passWidthMm: 544 };
		const goods = [good([340, 340, 180], 1), good([220, 220, 290], 1), good([95, 95, 250], 5)];
		const { frontMm, deepMm } = frontTaken(goods, shelf);
		expect(frontMm).toBeLessThan(shelf.widthMm);
		expect(deepMm).toBeGreaterThan(shelf.widthMm);
		expect(frontTaken(goods, { ...shelf, widthMm: 660 }).deepMm).toBeLessThan(660);
	});
	it('says yes only where the rows really lie side by side', () => {
		const side = fc.integer({ min: 40, max: 320 });
		let said = 0;
		fc.assert(
			fc.property(
				fc.array(
					fc.tuple(side, side, fc.integer({ min: 40, max: 240 }), fc.integer({ min: 1, max: 6 })),
					{
						minLength: 1,
						maxLength: 6
					}
				),
				(rows) => {
					const goods = rows.map(([w, d, h, n]) => good([w, d, h], n));
					const { frontMm, deepMm } = frontTaken(goods, SHELF);
					if (frontMm > SHELF.widthMm || deepMm > SHELF.widthMm) return;
					said++;
					const { lanes } = standFree(goods, SHELF);
					const { placed } = solvePacking({
						width: 600,
						depth: 300,
						obstructions: [],
						pieces: lanes.map(({ w, d }) => ({ w, d, turn: true }))
					});
					expect(placed).toHaveLength(lanes.length);
					const rects = placed.map(({ piece, x, y, turned }) => {
						const { w, d } = lanes[piece]!;
						return { x, y, w: turned ? d : w, d: turned ? w : d };
					});
					rects.forEach((one, i) => {
						expect(one.x + one.w).toBeLessThanOrEqual(600);
						expect(one.y + one.d).toBeLessThanOrEqual(300);
						expect(rects.slice(i + 1).some((other) => overlaps(one, other))).toBe(false);
					});
				}
			),
			{ seed: 1311, numRuns: 200 }
		);
		expect(said).toBeGreaterThan(30);
	});
	it('never grows with the height', () => {
		const side = fc.integer({ min: 40, max: 200 });
		fc.assert(
			fc.property(side, side, side, fc.integer({ min: 1, max: 20 }), (w, d, h, n) => {
				const goods = [good([w, d, h], n)];
				const at = (heightMm: number) => frontTaken(goods, { ...SHELF, heightMm }).frontMm;
				if (h <= 200) expect(at(290)).toBeLessThanOrEqual(at(210) + 1e-9);
			}),
			{ seed: 1312 }
		);
	});
});

describe('the front that a place has', () => {
	const { nook } = nooksInOrder(bareKitchen()).find(({ nook }) => nook.kind === 'shelf')!;
	const at = (zMm: number, xMm = 0) =>
		freeFrontMm(
			{
				...nook,
				inside: { widthMm: 600, depthMm: 310, heightMm: 255 },
				obstructions: [
					{ kind: 'other', xMm, yMm: 0, zMm, widthMm: 200, depthMm: 300, heightMm: 100 } as never
				]
			},
			SHELF,
			10
		);
	it('is less what stands on the floor of it, not what hangs high', () => {
		expect(at(0)).toBe(400);
		expect(at(150)).toBe(600);
		expect(at(0, 500)).toBe(500);
	});
});
