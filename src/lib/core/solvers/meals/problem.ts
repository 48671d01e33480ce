/** A recipe as figures: what one cooking takes of which item. */
export interface Recipe {
	readonly uses: readonly { readonly item: number; readonly packs: number }[];
	/** How often it may come in one plan. */
	readonly most: number;
	/** Taken off the cost of a plan for each time it comes: what the household likes to have more often. */
	readonly liking: number;
}

/** So much of an item, good for the slots before `until`; Infinity: for all. */
export interface MealLot {
	readonly item: number;
	readonly packs: number;
	readonly until: number;
}

/**
 * Which meals to cook when. A slot takes one of its recipes; what the stock does not hold is bought at the price of its
 * item; a pack that would spoil within the plan and is cooked before saves what it is worth.
 */
export interface MealProblem {
	readonly recipes: readonly Recipe[];
	/** For each slot the recipes it may take, at least one. Slots are in order of time. */
	readonly slots: readonly (readonly number[])[];
	readonly lots: readonly MealLot[];
	/** Price of a pack of each item, and what saving one from spoiling is worth. */
	readonly price: readonly number[];
	readonly worth: readonly number[];
}

/** Recipe of each slot. */
export type MealPlan = readonly number[];

export interface MealScore {
	readonly cost: number;
	/** Packs of each item to buy. */
	readonly buy: readonly number[];
	/** Packs of each item cooked that would have spoiled within the plan. */
	readonly saved: readonly number[];
}

/** Lots by item, the first to spoil in front; what is good for no slot is left out. */
export function lotsByItem({ lots, price }: MealProblem): MealLot[][] {
	const byItem: MealLot[][] = price.map(() => []);
	for (const lot of lots) if (lot.packs > 0 && lot.until > 0) byItem[lot.item]!.push(lot);
	for (const own of byItem) own.sort((a, b) => a.until - b.until);
	return byItem;
}

/**
 * Reckons a plan: each slot takes what is good then, the first to spoil in front; the rest is bought. Whether a recipe
 * comes too often is not looked at.
 */
export function scoreMeals(
	problem: MealProblem,
	plan: MealPlan,
	byItem = lotsByItem(problem)
): MealScore {
	const { recipes, slots, price, worth } = problem;
	const left = byItem.map((own) => own.map(({ packs }) => packs));
	const buy = price.map(() => 0);
	const saved = price.map(() => 0);
	let cost = 0;
	plan.forEach((recipe, slot) => {
		const { uses, liking } = recipes[recipe]!;
		cost -= liking;
		for (const { item, packs } of uses) {
			let want = packs;
			byItem[item]!.forEach((lot, i) => {
				if (want <= 0 || lot.until <= slot) return;
				const taken = Math.min(want, left[item]![i]!);
				left[item]![i]! -= taken;
				want -= taken;
				if (lot.until < slots.length) saved[item]! += taken;
			});
			buy[item]! += want;
		}
	});
	price.forEach((each, item) => (cost += each * buy[item]! - worth[item]! * saved[item]!));
	return { cost, buy, saved };
}

/** Whether each slot has a recipe of its own, and none comes too often. */
export function keepsRules({ recipes, slots }: MealProblem, plan: MealPlan): boolean {
	if (plan.length !== slots.length) return false;
	const times = recipes.map(() => 0);
	return plan.every((recipe, slot) => {
		times[recipe]! += 1;
		return slots[slot]!.includes(recipe) && times[recipe]! <= recipes[recipe]!.most;
	});
}
