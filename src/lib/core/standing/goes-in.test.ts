import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bareKitchen } from '../fixtures/tiny-home';
import { DEFAULT_SETTINGS, mayLie, waysDown, type Thing } from '../model';
import { baseAboveFloorMm, nooksInOrder, usableSpace } from '../survey';
import { goesIn } from './goes-in';
import { clearOf } from './room';
import { shortfall } from './stand-free';

const drawer = nooksInOrder(bareKitchen()).find(({ nook }) => nook.kind === 'drawer')!;
const space = usableSpace(drawer.nook, baseAboveFloorMm(drawer), DEFAULT_SETTINGS);
if (!space.ok) throw new Error('The drawer is measured.');
const clear = clearOf(drawer.nook, space, DEFAULT_SETTINGS.play);
const thing = (
	category: string,
	[widthMm, depthMm, heightMm]: readonly [number, number, number],
	name = 'a thing'
) => ({ name, category, piece: { widthMm, depthMm, heightMm } }) as Thing;

describe('whether a thing goes in', () => {
	it('lays down what may lie, and leaves upright what spills', () => {
		expect(goesIn(thing('food.grains', [90, 60, 270]), clear)).toBe('goes');
		expect(goesIn(thing('food.oils', [75, 75, 270]), clear)).toBe('too-tall');
		expect(goesIn(thing('kitchen.appliances', [60, 60, 380], 'hand blender'), clear)).toBe('goes');
		expect(goesIn(thing('kitchen.appliances', [60, 60, 380], 'kettle'), clear)).toBe('too-tall');
	});
	it('behind a bar takes what is as deep as the rail, and says by how much the rest is too large', () => {
		const rail = {
			...drawer.nook,
			kind: 'fridge-door' as const,
			inside: { widthMm: 500, depthMm: 100, heightMm: 350 },
			opening: null,
			obstructions: []
		};
		const measured = usableSpace(rail, 900, DEFAULT_SETTINGS);
		if (!measured.ok) throw new Error('The rail is measured.');
		const behindBar = clearOf(rail, measured, DEFAULT_SETTINGS.play);
		const milk = (sideMm: number) => thing('food.dairy', [sideMm, sideMm, 240], 'milk');
		expect(goesIn(milk(95), behindBar)).toBe('goes');
		expect(goesIn(milk(105), behindBar)).toBe('too-wide');
		expect(shortfall(milk(105), behindBar)).toEqual({ side: 'floor', shortMm: 5 });
		// On a shelf, what stands in front would fall out.
		const open = clearOf({ ...rail, kind: 'shelf' }, measured, DEFAULT_SETTINGS.play);
		expect(goesIn(milk(95), open)).toBe('too-wide');
	});
	it('turns what is long one way', () => {
		const { widthMm, depthMm } = clear;
		expect(goesIn(thing('kitchen.pots', [depthMm, widthMm, 50]), clear)).toBe('goes');
		expect(goesIn(thing('kitchen.pots', [widthMm + 1, 50, 50]), clear)).toBe('too-wide');
	});
	it('is never hindered by lying being allowed, and what goes in is no larger than the place', () => {
		const mm = fc.integer({ min: 10, max: 700 });
		fc.assert(
			fc.property(fc.tuple(mm, mm, mm), (piece) => {
				const [firm, loose] = [thing('food.oils', piece), thing('kitchen.tools', piece)];
				if (goesIn(firm, clear) === 'goes') expect(goesIn(loose, clear)).toBe('goes');
				if (goesIn(loose, clear) !== 'goes') return;
				const sides = [...piece].sort((a, b) => a - b);
				const inside = [clear.widthMm, clear.depthMm, clear.heightMm].sort((a, b) => a - b);
				sides.forEach((side, i) => expect(side).toBeLessThanOrEqual(inside[i]!));
			}),
			{ seed: 191 }
		);
	});
	it('lists one way for what stands and three for what may lie', () => {
		expect(waysDown(thing('food.oils', [1, 2, 3]))).toHaveLength(1);
		expect(waysDown(thing('kitchen.dishes', [270, 270, 24])).map(({ upMm }) => upMm)).toEqual([
			24, 270, 270
		]);
		expect(mayLie(thing('kitchen.dishes', [1, 1, 1]))).toBe(true);
	});
});
