import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW } from '../fixtures/tiny-home';
import { planFor } from '../fixtures/plan-for';
import { wholePacks } from '../model';
import { containerLines } from '../rotation';
import { fitTogether } from './fit-home';
import { countsOf } from './owned';
import { keepArrangements, keptFits } from './save';
import { shopCard } from './shop-card';

const demo = demoHome(NOW);
const PLACES = { snacks: 'larder-3', baking: 'larder-2', 'first-aid': 'tall-4' };
/** Nothing owned, and every container sold in packs of so many. */
const soldBy = (packs: number) =>
	apply(planFor(demo, PLACES), (draft) => {
		for (const kind of Object.values(draft.containerKinds)) {
			kind.owned = 0;
			kind.soldBy = packs;
		}
	});

describe('what is sold in packs', () => {
	it('is bought in whole packs, never one too few nor a pack too many', () => {
		const count = fc.integer({ min: -3, max: 60 });
		fc.assert(
			fc.property(count, fc.integer({ min: 1, max: 12 }), (needed, each) => {
				const bought = wholePacks(needed, each);
				expect(bought % each).toBe(0);
				expect(bought).toBeGreaterThanOrEqual(needed);
				expect(bought - each).toBeLessThan(Math.max(1, needed));
			})
		);
	});
	it.each([1, 2, 3])('by %i: places share packs, and all the figures say the same', (packs) => {
		const home = soldBy(packs);
		const { results, purchase } = fitTogether(home, Object.values(PLACES));
		const chosen = results.flatMap((result) =>
			'arrangements' in result ? [result.arrangements[0]!] : []
		);
		const used = countsOf(chosen.flatMap(({ placements }) => placements));
		expect(used.size).toBeGreaterThan(0);
		for (const { kindId, count } of purchase.lines)
			expect(count).toBe(wholePacks(used.get(kindId)!, packs));
		const sum = chosen.reduce((all, { costMinor }) => all + costMinor, 0);
		expect(sum).toBe(purchase.costMinor);
		const kept = apply(home, keepArrangements(keptFits(results), NOW, 'k'));
		expect(shopCard(kept).costMinor).toBe(purchase.costMinor);
		for (const { kindId, buy } of containerLines(kept))
			expect(buy).toBe(wholePacks(used.get(kindId!)!, packs));
	});
});
