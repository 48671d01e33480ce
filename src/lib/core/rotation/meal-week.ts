import { addDays, daysBetween, type Meal, type PlannedMeal } from '../model';
import type { IntegerSolver } from '../solvers/integer';
import {
	planMeals,
	scoreMeals,
	type MealLot,
	type MealProblem,
	type Recipe
} from '../solvers/meals';
import { isFrozenLot } from './cold';
import { forbiddenIn } from './diets';
import { larder, packsOf, STRETCH, type MealHome, type Missing } from './meals';
import { picksOf, type Pick } from './picks';
import { priceOf, USUAL_PRICE } from './price';

/** A place of the plan: a day and a time of it. */
export interface MealSlot {
	readonly on: string;
	readonly slot: PlannedMeal['slot'];
}
/** What is to be planned. */
export interface MealOptions {
	readonly from: string;
	readonly days: number;
	readonly slots: readonly PlannedMeal['slot'][];
	/** How many eat. */
	readonly servings: number;
}

/** What a plan came to: a meal or leftovers for each slot, what has to be bought, and how good it is. */
export type MealWeek =
	| {
			readonly ok: true;
			readonly meals: readonly (MealSlot & {
				readonly mealId: string | null;
				readonly lotId: string | null;
			})[];
			readonly buy: readonly Missing[];
			/** Packs that would have spoiled and are eaten. */
			readonly saved: readonly Missing[];
			readonly proven: boolean;
			/** Cost of the plan, and what no plan is below, minor units. */
			readonly costMinor: number;
			readonly boundMinor: number;
	  }
	| { readonly ok: false; readonly code: 'no-meals' | 'too-few' };

const EPS = 1e-9;
const DAYS_A_MONTH = 30.4;
/** What it is worth to have a meal as often as it is usual, minor units. */
const LIKING = 60;
/** A meal cooked so many days ago is not planned again at once. */
const REST_DAYS = 3;
/** Leftovers are not bought: a price that no plan pays. */
const NOT_FOR_SALE = 100 * USUAL_PRICE;
const MOST_WORTH = 20 * USUAL_PRICE;

const isLeftover = (home: MealHome, { lot }: Pick) =>
	lot.dates.madeOn !== null && lot.unit === 'meal' && !isFrozenLot(home, lot);

/** Gives things of a plan their numbers, in order of asking. */
class Items {
	readonly #at = new Map<string, number>();
	of(key: string): number {
		if (!this.#at.has(key)) this.#at.set(key, this.#at.size);
		return this.#at.get(key)!;
	}
	get keys(): string[] {
		return [...this.#at.keys()];
	}
}

function usesOf(meal: Meal, servings: number, items: Items): Recipe['uses'] {
	const sums = new Map<number, number>();
	for (const { thingId, packs } of meal.ingredients) {
		const item = items.of(thingId);
		if (packs > 0) sums.set(item, (sums.get(item) ?? 0) + (packs * servings) / meal.servings);
	}
	return [...sums].map(([item, packs]) => ({ item, packs }));
}

/** What is planned at a place by hand, or cooked already. */
const settledAt = (planned: readonly PlannedMeal[], place: MealSlot): PlannedMeal | undefined =>
	planned.find(
		(each) => each.on === place.on && each.slot === place.slot && (each.byHand || each.cookedOn)
	);

/**
 * Plans the meals of some days: uses what is due first, leftovers too, buys little, keeps diets and allergies, and does
 * not repeat a meal more than is usual. What is planned by hand stays, and what is cooked is done. Without a solver the
 * plan is a good one; with it, proven within so many seconds.
 */
export function planWeek(
	home: MealHome,
	{ from, days, slots, servings }: MealOptions,
	today: string,
	solve?: IntegerSolver,
	seconds?: number
): MealWeek {
	const planned = Object.values(home.plannedMeals);
	const open = Array.from({ length: days }, (_, day) => addDays(from, day))
		.flatMap((on) => slots.map((slot): MealSlot => ({ on, slot })))
		.filter((place) => !settledAt(planned, place)?.cookedOn);
	const allowed = Object.values(home.meals).filter((meal) => !forbiddenIn(home, meal).length);
	const leftovers = picksOf(home, today).filter(
		(pick) =>
			isLeftover(home, pick) && (pick.daysLeft ?? 0) >= 0 && pick.lot.count >= servings - EPS
	);
	if (!allowed.length && !leftovers.length) return { ok: false, code: 'no-meals' };
	// What was planned by hand is cooked, whoever may not eat of it.
	const fixed = new Set(open.flatMap((place) => settledAt(planned, place)?.mealId ?? []));
	const meals = [
		...allowed,
		...Object.values(home.meals).filter((meal) => fixed.has(meal.id) && !allowed.includes(meal))
	];
	const recipeOf = ({ mealId, lotId }: PlannedMeal): number => {
		const left = leftovers.findIndex(({ lot }) => lot.id === lotId);
		if (left >= 0) return meals.length + left;
		return meals.findIndex(({ id }) => id === mealId);
	};
	const free = [...meals.keys()]
		.slice(0, allowed.length)
		.concat(leftovers.map((_, i) => meals.length + i));
	const choices = open.map((place) => {
		const own = settledAt(planned, place);
		const at = own ? recipeOf(own) : -1;
		if (at >= 0) return [at];
		return free.filter((recipe) => meals[recipe]?.slots.includes(place.slot) ?? true);
	});
	if (choices.some((own) => !own.length)) return { ok: false, code: 'too-few' };

	const items = new Items();
	const usual = (meal: Meal) => (meal.timesPerMonth * days) / DAYS_A_MONTH;
	const isRecent = (meal: Meal) =>
		planned.some(
			({ mealId, cookedOn }) =>
				mealId === meal.id && cookedOn && daysBetween(cookedOn, today) < REST_DAYS
		);
	// Where the meals do not go round at their usual number, each may come more often.
	const round = Math.ceil(open.length / Math.max(1, allowed.length));
	const recipes = [
		...meals.map((meal, i): Recipe => {
			const byHand = choices.filter((own) => own.length === 1 && own[0] === i).length;
			return {
				uses: usesOf(meal, servings, items),
				most: Math.max(1, Math.ceil(usual(meal)), round, byHand),
				liking: LIKING * Math.min(1, usual(meal)) - (isRecent(meal) ? LIKING : 0)
			};
		}),
		...leftovers.map(({ lot }): Recipe => ({
			uses: [{ item: items.of(`left ${lot.id}`), packs: servings }],
			most: Math.floor(lot.count / servings + EPS),
			liking: 0
		}))
	];
	const problem: MealProblem = {
		recipes,
		slots: choices,
		...larderOf(home, items, leftovers, open, today)
	};
	const outcome = planMeals(problem, solve, seconds);
	if (outcome.status === 'impossible') return { ok: false, code: 'too-few' };
	const { buy, saved } = scoreMeals(problem, outcome.plan);
	const packsBy = (packs: readonly number[], round: (value: number) => number): Missing[] =>
		items.keys.flatMap((key, at) => {
			const thing = home.things[key];
			return thing && packs[at]! > STRETCH ? [{ thing, packs: round(packs[at]!) }] : [];
		});
	return {
		ok: true,
		meals: outcome.plan.map((recipe, i) => ({
			...open[i]!,
			mealId: meals[recipe]?.id ?? null,
			lotId: leftovers[recipe - meals.length]?.lot.id ?? null
		})),
		buy: packsBy(buy, (value) => Math.ceil(value - STRETCH)),
		saved: packsBy(saved, (value) => Math.round(value * 10) / 10),
		proven: outcome.status === 'optimal',
		costMinor: Math.round(outcome.cost),
		boundMinor: Math.round(outcome.bound)
	};
}

/** What there is of each item and until which slot, what a pack costs, and what saving one is worth. */
function larderOf(
	home: MealHome,
	items: Items,
	leftovers: readonly Pick[],
	open: readonly MealSlot[],
	today: string
): { lots: MealLot[]; price: number[]; worth: number[] } {
	const untilOf = ({ date, daysLeft }: Pick): number => {
		if (date === null || daysLeft === null || daysLeft < 0) return Infinity;
		const last = open.filter(({ on }) => on <= date.on).length;
		return last >= open.length ? Infinity : last;
	};
	const stockOf = larder(home, today);
	const byKey = new Map(leftovers.map((pick) => [`left ${pick.lot.id}`, pick]));
	const lots = items.keys.flatMap((key, item): MealLot[] => {
		const left = byKey.get(key);
		if (left) return [{ item, packs: left.lot.count, until: untilOf(left) }];
		return stockOf(key).map((pick) => ({ item, packs: packsOf(pick), until: untilOf(pick) }));
	});
	const price = items.keys.map((key) =>
		byKey.has(key) ? NOT_FOR_SALE : priceOf(home.things[key])
	);
	return { lots, price, worth: price.map((each) => Math.min(each, MOST_WORTH)) };
}
