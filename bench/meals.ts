import { randomOf } from '../src/lib/core/fixtures/simulate-use';
import { planMeals, type MealProblem } from '../src/lib/core/solvers/meals';
import { loadIntegerSolver } from '../src/lib/workers/integer-solver';

/** A household's week by a seed: breakfasts, lunches and suppers from 60 recipes, a third of the stock due within it. */
export function mealWeek(seed: number, recipes = 60, slots = 21): MealProblem {
	const random = randomOf(seed);
	const items = 80;
	const some = (count: number) => Math.floor(random() * count);
	return {
		recipes: Array.from({ length: recipes }, () => ({
			uses: [...new Set(Array.from({ length: 2 + some(5) }, () => some(items)))].map((item) => ({
				item,
				packs: [0.25, 0.5, 1, 2][some(4)]!
			})),
			most: 1 + some(2),
			liking: Math.round(random() * 60)
		})),
		// A third of the recipes for each time of day.
		slots: Array.from({ length: slots }, (_, slot) =>
			Array.from({ length: recipes }, (_, i) => i).filter((i) => i % 3 === slot % 3)
		),
		lots: Array.from({ length: items }, (_, item) =>
			Array.from({ length: some(3) }, () => ({
				item,
				packs: 1 + some(3),
				until: random() < 1 / 3 ? 1 + some(slots) : Infinity
			}))
		).flat(),
		price: Array.from({ length: items }, () => 80 + some(400)),
		worth: Array.from({ length: items }, () => 80 + some(400))
	};
}

/** Weeks of 21 meals from 60 recipes, each proven: time, status, gap of the search. */
export async function benchMeals(): Promise<object[]> {
	const solve = await loadIntegerSolver();
	planMeals(mealWeek(99, 6, 3), solve);
	return [1, 2, 3, 4, 5].map((seed) => {
		const problem = mealWeek(seed);
		const start = performance.now();
		const found = planMeals(problem);
		const searchMs = performance.now() - start;
		const outcome = planMeals(problem, solve, 20);
		if (outcome.status === 'impossible' || found.status === 'impossible')
			return { bench: 'meals', seed, status: 'impossible' };
		return {
			bench: 'meals',
			seed,
			status: outcome.status,
			cost: Math.round(outcome.cost),
			bound: Math.round(outcome.bound),
			searched: Math.round(found.cost),
			searchMs: Math.round(searchMs),
			ms: Math.round(performance.now() - start - searchMs)
		};
	});
}
