import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadIntegerSolver } from '../../../workers/integer-solver';
import type { IntegerSolver } from '../integer';
import { keepsRules, mealProgram, planMeals, scoreMeals, type MealProblem } from '.';

let solver: IntegerSolver;
beforeAll(async () => void (solver = await loadIntegerSolver()));

const ITEMS = 4;
const problemOf = fc
	.record({
		recipes: fc.array(
			fc.record({
				uses: fc.uniqueArray(
					fc.record({ item: fc.nat(ITEMS - 1), packs: fc.integer({ min: 1, max: 3 }) }),
					{ selector: ({ item }) => item, maxLength: 3 }
				),
				most: fc.integer({ min: 1, max: 2 }),
				liking: fc.integer({ min: 0, max: 5 })
			}),
			{ minLength: 2, maxLength: 4 }
		),
		slots: fc.integer({ min: 1, max: 4 }),
		masks: fc.array(fc.nat(15), { minLength: 4, maxLength: 4 }),
		lots: fc.array(
			fc.record({
				item: fc.nat(ITEMS - 1),
				packs: fc.integer({ min: 1, max: 4 }),
				until: fc.oneof(fc.integer({ min: 0, max: 4 }), fc.constant(Infinity))
			}),
			{ maxLength: 6 }
		),
		price: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: ITEMS, maxLength: ITEMS }),
		worth: fc.array(fc.integer({ min: 0, max: 9 }), { minLength: ITEMS, maxLength: ITEMS })
	})
	.map(({ slots, masks, ...rest }): MealProblem => {
		const all = rest.recipes.map((_, i) => i);
		return {
			...rest,
			slots: masks.slice(0, slots).map((mask) => {
				const own = all.filter((i) => mask & (1 << i));
				return own.length ? own : all;
			})
		};
	});

/** Least cost over all plans, reckoned slot by slot in a way of its own; null when there is none. */
function byTrying(problem: MealProblem): number | null {
	const { recipes, slots, lots, price, worth } = problem;
	let best: number | null = null;
	const look = (slot: number, plan: number[]) => {
		if (slot < slots.length) {
			for (const recipe of slots[slot]!) look(slot + 1, [...plan, recipe]);
			return;
		}
		if (recipes.some(({ most }, r) => plan.filter((one) => one === r).length > most)) return;
		let cost = 0;
		for (let item = 0; item < price.length; item++) {
			// Single packs, each with its own last slot.
			const packs = lots
				.filter((lot) => lot.item === item)
				.flatMap(({ packs, until }) => Array.from({ length: packs }, () => until))
				.sort((a, b) => a - b);
			plan.forEach((recipe, at) => {
				let want = recipes[recipe]!.uses.find((use) => use.item === item)?.packs ?? 0;
				while (want-- > 0) {
					const good = packs.findIndex((until) => until > at);
					if (good < 0) cost += price[item]!;
					else if (packs.splice(good, 1)[0]! < slots.length) cost -= worth[item]!;
				}
			});
		}
		cost -= plan.reduce((sum, recipe) => sum + recipes[recipe]!.liking, 0);
		if (best === null || cost < best) best = cost;
	};
	look(0, []);
	return best;
}

describe('a plan of meals', () => {
	it('is the best of all plans, and proven to be', () => {
		fc.assert(
			fc.property(problemOf, (problem) => {
				const best = byTrying(problem);
				const outcome = planMeals(problem, solver);
				if (best === null) {
					expect(outcome.status).toBe('impossible');
					return;
				}
				if (outcome.status === 'impossible') throw new Error('a plan was missed');
				expect(keepsRules(problem, outcome.plan)).toBe(true);
				expect(outcome.cost).toBeCloseTo(best, 6);
				expect(outcome.bound).toBeLessThanOrEqual(best + 1e-6);
				expect(outcome.status).toBe('optimal');
			}),
			{ numRuns: 60 }
		);
	});
	it('is proven too where the solver gives up at first', () => {
		const uses = (packs: number) => [{ item: 2, packs }];
		const problem: MealProblem = {
			recipes: [
				{ uses: uses(2), most: 2, liking: 0 },
				{ uses: [], most: 1, liking: 0 },
				{ uses: uses(3), most: 2, liking: 3 }
			],
			lots: [
				{ item: 2, packs: 2, until: 1 },
				{ item: 2, packs: 4, until: Infinity }
			],
			price: [1, 1, 1, 1],
			worth: [0, 0, 0, 0],
			slots: [[0, 1, 2], [0], [0, 1, 2], [0, 1]]
		};
		expect(planMeals(problem, solver)).toMatchObject({
			status: 'optimal',
			cost: byTrying(problem)!
		});
	});
	it('is found without a solver too, with a bound that holds', () => {
		fc.assert(
			fc.property(problemOf, (problem) => {
				const best = byTrying(problem);
				const outcome = planMeals(problem);
				if (best === null || outcome.status === 'impossible') {
					expect([best, outcome.status]).toEqual([null, 'impossible']);
					return;
				}
				expect(outcome.cost).toBeGreaterThanOrEqual(best - 1e-9);
				expect(outcome.bound).toBeLessThanOrEqual(best + 1e-9);
			}),
			{ numRuns: 300 }
		);
	});
	it('never uses more than there is: what is bought makes up for what is not', () => {
		fc.assert(
			fc.property(problemOf, (problem) => {
				const outcome = planMeals(problem);
				if (outcome.status === 'impossible') return;
				const { buy } = scoreMeals(problem, outcome.plan);
				problem.price.forEach((_, item) => {
					const needed = outcome.plan.reduce(
						(sum, recipe) =>
							sum + (problem.recipes[recipe]!.uses.find((use) => use.item === item)?.packs ?? 0),
						0
					);
					const held = problem.lots
						.filter((lot) => lot.item === item && lot.until > 0)
						.reduce((sum, { packs }) => sum + packs, 0);
					expect(needed - buy[item]!).toBeLessThanOrEqual(held + 1e-9);
					expect(buy[item]!).toBeGreaterThanOrEqual(0);
				});
			})
		);
	});
	it('writes a plan into columns that keep every row of the program', () => {
		fc.assert(
			fc.property(problemOf, (problem) => {
				const outcome = planMeals(problem);
				if (outcome.status === 'impossible') return;
				const { program, columnsOf, planOf } = mealProgram(problem);
				const values = columnsOf(outcome.plan);
				expect(planOf(values)).toEqual(outcome.plan);
				program.low.forEach((low, row) => {
					let sum = 0;
					for (let k = program.starts[row]!; k < program.starts[row + 1]!; k++)
						sum += program.coefficients[k]! * values[program.columns[k]!]!;
					expect(sum).toBeGreaterThanOrEqual(low - 1e-9);
					expect(sum).toBeLessThanOrEqual(program.high[row]! + 1e-9);
				});
				const value = program.cost.reduce((sum, each, i) => sum + each * values[i]!, 0);
				expect(value).toBeCloseTo(outcome.cost, 6);
			})
		);
	});
});
