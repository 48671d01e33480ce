import type { IntegerSolver } from '../integer';
import { keepsRules, scoreMeals, type MealPlan, type MealProblem } from './problem';
import { mealProgram } from './program';
import { searchMeals } from './search';

export {
	keepsRules,
	scoreMeals,
	type MealLot,
	type MealPlan,
	type MealProblem,
	type MealScore,
	type Recipe
} from './problem';
export { mealProgram } from './program';
export { searchMeals } from './search';

export type MealOutcome =
	| {
			/** `optimal`: no plan costs less. */
			readonly status: 'optimal' | 'found';
			readonly plan: MealPlan;
			readonly cost: number;
			/** No plan costs less than this. */
			readonly bound: number;
	  }
	/** The recipes do not go round: too few for so many slots. */
	| { readonly status: 'impossible' };

const EPS = 1e-6;

/**
 * Plans the meals: a search, then a general solver that starts from it and proves, within so many seconds. Without a
 * solver the bound is what would be left if every slot took its best recipe for nothing. On a tie the search's plan stays.
 */
export function planMeals(problem: MealProblem, solve?: IntegerSolver, seconds = 10): MealOutcome {
	const found = searchMeals(problem);
	if (!found) return { status: 'impossible' };
	const { cost } = scoreMeals(problem, found);
	if (!solve) return { status: 'found', plan: found, cost, bound: easyBound(problem) };
	const { program, columnsOf, planOf } = mealProgram(problem);
	const outcome = solve(program, { start: columnsOf(found), seconds });
	const bound = Math.min(cost, Math.max(outcome.bound, easyBound(problem)));
	if (outcome.status !== 'optimal') return { status: 'found', plan: found, cost, bound };
	const plan = planOf(outcome.values);
	const proven = keepsRules(problem, plan) ? scoreMeals(problem, plan).cost : Infinity;
	const best = proven < cost - EPS ? { plan, cost: proven } : { plan: found, cost };
	return {
		status:
			best.cost - outcome.bound <= EPS * Math.max(1, Math.abs(best.cost)) ? 'optimal' : 'found',
		...best,
		bound: Math.min(best.cost, outcome.bound)
	};
}

/** All that would spoil is saved, nothing is bought, and every slot has what is liked best. */
function easyBound({ recipes, slots, lots, worth }: MealProblem): number {
	const liked = slots.reduce(
		(sum, own) => sum + Math.max(...own.map((recipe) => recipes[recipe]!.liking)),
		0
	);
	const saved = lots.reduce(
		(sum, { item, packs, until }) =>
			sum + (until > 0 && until < slots.length ? worth[item]! * packs : 0),
		0
	);
	return -liked - saved;
}
