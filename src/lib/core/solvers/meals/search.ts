import { keepsRules, lotsByItem, scoreMeals, type MealPlan, type MealProblem } from './problem';

const EPS = 1e-9;
/** Rounds over all moves; a round without a better plan ends it. */
const MOST_ROUNDS = 30;

/**
 * Finds a good plan: slot by slot the cheapest recipe that may still come, then single changes and swaps as long as one
 * helps. Null when the recipes do not go round.
 */
export function searchMeals(problem: MealProblem): MealPlan | null {
	const { recipes, slots } = problem;
	const byItem = lotsByItem(problem);
	const plan = firstPlan(problem);
	if (!plan) return null;
	const times = recipes.map(() => 0);
	for (const recipe of plan) times[recipe]! += 1;
	let { cost } = scoreMeals(problem, plan, byItem);
	const tryOut = (change: () => void, back: () => void): boolean => {
		change();
		const next = scoreMeals(problem, plan, byItem).cost;
		if (next < cost - EPS) {
			cost = next;
			return true;
		}
		back();
		return false;
	};
	for (let round = 0; round < MOST_ROUNDS; round++) {
		let better = false;
		for (let slot = 0; slot < slots.length; slot++) {
			for (const recipe of slots[slot]!) {
				const old = plan[slot]!;
				if (recipe === old || times[recipe]! >= recipes[recipe]!.most) continue;
				if (
					tryOut(
						() => (plan[slot] = recipe),
						() => (plan[slot] = old)
					)
				) {
					times[old]! -= 1;
					times[recipe]! += 1;
					better = true;
				}
			}
			for (let other = 0; other < slot; other++) {
				const [a, b] = [plan[slot]!, plan[other]!];
				if (a === b || !slots[slot]!.includes(b) || !slots[other]!.includes(a)) continue;
				const swap = () => ([plan[slot], plan[other]] = [plan[other]!, plan[slot]!]);
				if (tryOut(swap, swap)) better = true;
			}
		}
		if (!better) break;
	}
	return plan;
}

/** A recipe for each slot, found by augmenting paths: who may take what, and how often. */
function firstPlan({ recipes, slots }: MealProblem): number[] | null {
	const plan = slots.map(() => -1);
	const at: number[][] = recipes.map(() => []);
	const place = (slot: number, seen: Set<number>): boolean => {
		for (const recipe of slots[slot]!) {
			if (seen.has(recipe)) continue;
			seen.add(recipe);
			const own = at[recipe]!;
			if (own.length < recipes[recipe]!.most) {
				own.push(slot);
				plan[slot] = recipe;
				return true;
			}
			for (const other of own)
				if (place(other, seen)) {
					own.splice(own.indexOf(other), 1, slot);
					plan[slot] = recipe;
					return true;
				}
		}
		return false;
	};
	const order = slots.map((_, i) => i).sort((a, b) => slots[a]!.length - slots[b]!.length || a - b);
	if (!order.every((slot) => place(slot, new Set()))) return null;
	return keepsRules({ recipes, slots, lots: [], price: [], worth: [] }, plan) ? plan : null;
}
