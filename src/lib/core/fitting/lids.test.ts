import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import type { Home, Thing } from '../model';
import { lidsOf, nestedMlOf } from './lids';

const demo = demoHome(NOW);
/** The food boxes of the demo on one shelf, by a plan. */
const planned = (home: Home, groupId: string) =>
	apply(home, (draft) => {
		draft.activePlanId = 'p' as never;
		draft.zonePlans['p'] = {
			id: 'p',
			name: 'p',
			assignments: [{ groupId, nookId: 's3-low', share: 1 }],
			overflow: [],
			objective: 0,
			bound: 0,
			seed: 1,
			wishPrices: [],
			keptEmpty: null,
			fingerprint: '',
			madeAt: NOW,
			learnUntil: null
		} as never;
	});
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
