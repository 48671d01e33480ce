import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, TODAY, withLines } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { canWait, listCost, rateOf, shoppingList } from '.';

const NAMES = ['penne', 'rice', 'flour', 'sugar', 'salt', 'honey'];
/** A kitchen that wants five packs of each, with so many there and at such prices. */
const kitchen = (held: readonly number[], prices: readonly number[], budgetMinor: number | null) =>
	apply(
		withLines(
			bareKitchen(),
			NAMES.map((name, i) => `${held[i]} ${name}`)
		),
		(draft) => {
			Object.values(draft.things).forEach((thing, i) => {
				thing.hold = { rule: 'packs', amount: 5 };
				thing.priceMinor = prices[i]!;
			});
			draft.settings.shop.budgetMinor = budgetMinor;
		}
	);
const waiting = (home: Home) => canWait(home, shoppingList(home, TODAY), TODAY);

describe('a shop that may cost so much', () => {
	const counts = fc.array(fc.integer({ min: 1, max: 4 }), { minLength: 6, maxLength: 6 });
	const prices = fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 6, maxLength: 6 });
	it('lets wait no more than it must, and nothing that runs out before the next one', () => {
		let waited = 0;
		fc.assert(
			fc.property(counts, prices, fc.integer({ min: 0, max: 9000 }), (held, each, budget) => {
				const home = kitchen(held, each, budget);
				const lines = shoppingList(home, TODAY);
				const wait = waiting(home);
				waited += wait.length;
				const over = listCost(lines) - budget;
				const saved = listCost(wait);
				if (over <= 0) expect(wait).toEqual([]);
				// Without the last of them it is still too much.
				else if (wait.length) expect(saved - listCost([wait.at(-1)!])).toBeLessThan(over);
				for (const { thingId, have } of wait) {
					const { perWeek } = rateOf(home, home.things[thingId!]!, TODAY);
					expect((have / perWeek) * 7).toBeGreaterThanOrEqual(home.settings.shop.everyDays);
				}
			}),
			{ seed: 71, numRuns: 60 }
		);
		expect(waited).toBeGreaterThan(30);
	});
	it('asks for nothing to wait without a budget', () => {
		expect(waiting(kitchen([1, 1, 1, 1, 1, 1], [500, 500, 500, 500, 500, 500], null))).toEqual([]);
	});
});
