import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import type { Home, Thing } from '../model';
import { checkContents } from './check-contents';
import { fitNook } from './fit';
import { lidsOf, nestedMlOf } from './lids';
import { thingsIn } from './rim-pairs';
import { wantsOf } from './wants';

const demo = demoHome(NOW);
/** The food boxes of the demo on one shelf, by a plan. */
const planned = (home: Home, groupId: string) => planFor(home, { [groupId]: 's3-low' });
const boxes = planned(demo, 'food-boxes');
const vessel = (id: string, side: number, heightMm: number) =>
	({
		id,
		piece: { widthMm: side, depthMm: side, heightMm },
		rim: { part: 'vessel', shape: 'rect', widthMm: side - 4, depthMm: side - 4 }
	}) as Thing;

describe('lids on or nested', () => {
	it('of the food boxes: nested takes less, and costs a movement each time', () => {
		const [choice] = lidsOf(boxes, 's3-low', false);
		expect(choice).toMatchObject({ groupId: 'food-boxes' });
		expect(choice!.pairs).toBeGreaterThan(8);
		expect(choice!.savedMl).toBeCloseTo(choice!.onMl - choice!.nestedMl, 6);
		expect(choice!.nestedMl).toBeLessThan(choice!.onMl * 0.7);
		expect(choice!.moreMoves).toBeGreaterThan(7);
	});
	it('are nested where the place is full, and kept on where they are in daily use and there is room', () => {
		expect(lidsOf(boxes, 's3-low', true)[0]!.advice).toBe('nested');
		const daily = apply(boxes, (draft) => {
			for (const thing of Object.values(draft.things))
				if (thing.groupId === 'food-boxes') thing.use = { ...thing.use, countedPerWeek: 20 };
		});
		expect(lidsOf(daily, 's3-low', false)[0]!.advice).toBe('on');
		const seldom = apply(boxes, (draft) => {
			for (const thing of Object.values(draft.things))
				if (thing.groupId === 'food-boxes') thing.use = { ...thing.use, countedPerWeek: 0.1 };
		});
		expect(lidsOf(seldom, 's3-low', false)[0]!.advice).toBe('nested');
	});
	it('are no question for what has no lids, or fewer than three', () => {
		expect(lidsOf(planned(demo, 'spices'), 's3-low', false)).toEqual([]);
		const lone = apply(boxes, (draft) => {
			for (const thing of Object.values(draft.things))
				if (thing.rim?.part === 'lid') thing.rim = null;
		});
		expect(lidsOf(lone, 's3-low', false)).toEqual([]);
	});
	it('nest a smaller box in a larger one, and never take more than side by side', () => {
		const [small, large] = [vessel('s', 100, 60), vessel('l', 200, 80)];
		expect(nestedMlOf([large])).toBe(3200);
		expect(nestedMlOf([small, large])).toBeCloseTo((200 * 200 * 92) / 1000, 6);
		// A tall narrow one stands by itself.
		expect(nestedMlOf([vessel('t', 90, 250), large])).toBe(3200 + 2025);
		expect(nestedMlOf([large, large])).toBeCloseTo((200 * 200 * 96) / 1000, 6);
		const side = fc.integer({ min: 60, max: 300 });
		fc.assert(
			fc.property(fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 8 }), (sizes) => {
				const all = sizes.map(([w, h], i) => vessel(`v${i}`, w, h));
				const apart = all.reduce((sum, one) => sum + nestedMlOf([one]), 0);
				const together = nestedMlOf(all);
				expect(together).toBeGreaterThanOrEqual(Math.max(...all.map((one) => nestedMlOf([one]))));
				expect(nestedMlOf([...all].reverse())).toBeCloseTo(together, 6);
				expect(together).toBeLessThanOrEqual(apart + 1e-6);
			}),
			{ seed: 149 }
		);
	});
});

describe('lids that are on', () => {
	const onThem = apply(boxes, (draft) => void (draft.groups['food-boxes']!.lids = 'on'));
	it('lose nothing: each box and each lid is there, most of them together', () => {
		const count = (home: Home) =>
			new Map(
				thingsIn(wantsOf(home, 's3-low').flatMap(({ goods }) => goods))
					.map(({ thingId, pieces }) => [thingId as string, pieces] as const)
					.sort(([a], [b]) => (a < b ? -1 : 1))
			);
		expect(count(onThem)).toEqual(count(boxes));
		const closed = wantsOf(onThem, 's3-low')
			.flatMap(({ goods }) => goods)
			.filter(({ lid }) => lid);
		expect(closed.reduce((sum, { pieces }) => sum + pieces, 0)).toBeGreaterThan(8);
		for (const { thing, lid } of closed) {
			const own = onThem.things[thing.id]!;
			expect(thing.piece.heightMm).toBe(own.piece.heightMm + lid!.piece.heightMm);
			expect(thing.massG).toBe(own.massG + lid!.massG);
		}
	});
	it('stand with their boxes, and whatever is left over is named with its lid', () => {
		const result = fitNook(onThem, 's3-low');
		if (!('arrangements' in result)) throw new Error(result.status);
		for (const { placements, standing, leftOver } of result.arrangements) {
			const ids = leftOver.map(({ thingId }) => thingId);
			expect(new Set(ids).size).toBe(ids.length);
			expect(checkContents(onThem, 's3-low', { placements, standing, leftOver } as never)).toEqual(
				[]
			);
		}
	});
	it('are asked about as before: the question is not gone when it is answered', () => {
		expect(lidsOf(onThem, 's3-low', false)).toEqual(lidsOf(boxes, 's3-low', false));
	});
});
