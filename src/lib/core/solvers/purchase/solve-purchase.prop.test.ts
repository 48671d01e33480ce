import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { purchaseOf, solvePurchase, type PurchaseProblem } from '.';

const KINDS = 3;
const problems = (places: number, ways: number): fc.Arbitrary<PurchaseProblem> =>
	fc.record({
		places: fc.array(
			fc.array(
				fc.record({
					cost: fc.integer({ min: 0, max: 900 }),
					uses: fc.uniqueArray(
						fc.tuple(fc.integer({ min: 0, max: KINDS - 1 }), fc.integer({ min: 1, max: 4 })),
						{ maxLength: 2, selector: ([kind]) => kind }
					)
				}),
				{ minLength: 1, maxLength: ways }
			),
			{ maxLength: places }
		),
		owned: fc.array(fc.integer({ min: 0, max: 5 }), { minLength: KINDS, maxLength: KINDS }),
		price: fc.array(fc.integer({ min: 50, max: 400 }), { minLength: KINDS, maxLength: KINDS }),
		pack: fc.option(
			fc.array(fc.integer({ min: 1, max: 4 }), { minLength: KINDS, maxLength: KINDS }),
			{ nil: undefined }
		),
		perKind: fc.constantFrom(0, 60),
		budget: fc.option(fc.integer({ min: 0, max: 1200 }))
	});

/** The best of every choice; Infinity when none keeps the budget. */
function byHand(problem: PurchaseProblem): number {
	let best = Infinity;
	const choose = (chosen: number[]) => {
		const ways = problem.places[chosen.length];
		if (!ways) {
			const { objective, isWithin } = purchaseOf(problem, chosen);
			if (isWithin) best = Math.min(best, objective);
			return;
		}
		ways.forEach((_, at) => choose([...chosen, at]));
	};
	choose([]);
	return best;
}

describe('solvePurchase', () => {
	it('finds the best of every choice, and proves it', () => {
		fc.assert(
			fc.property(problems(5, 4), (problem) => {
				const { status, objective, bound } = solvePurchase(problem);
				const best = byHand(problem);
				expect(objective).toBe(best);
				expect(status).toBe(best === Infinity ? 'too-dear' : 'proven');
				expect(bound).toBeLessThanOrEqual(best + 1e-6);
			}),
			{ numRuns: 400 }
		);
	});
	it('never spends more than the budget, and its bound holds, however short the search', () => {
		fc.assert(
			fc.property(problems(6, 4), fc.integer({ min: 0, max: 30 }), (problem, steps) => {
				const { status, chosen, spent, objective, bound } = solvePurchase(problem, { steps });
				expect(bound).toBeLessThanOrEqual(byHand(problem) + 1e-6);
				if (status === 'too-dear') return;
				expect(spent).toBeLessThanOrEqual(problem.budget ?? Infinity);
				expect(purchaseOf(problem, chosen).objective).toBe(objective);
			}),
			{ numRuns: 300 }
		);
	});
	it('takes what the house has where it saves most', () => {
		const way = (cost: number, count: number) => ({
			cost,
			uses: count ? ([[0, count]] as const) : []
		});
		const { chosen, spent } = solvePurchase({
			places: [
				[way(0, 2), way(100, 0)],
				[way(0, 2), way(300, 0)]
			],
			owned: [2],
			price: [250],
			perKind: 0,
			budget: 0
		});
		expect([chosen, spent]).toEqual([[1, 0], 0]);
	});
});
