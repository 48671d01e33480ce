import {
	addDays,
	daysBetween,
	type Home,
	type HomePart,
	type Lot,
	type Meal,
	type PlannedMeal,
	type Thing
} from '../model';
import type { IntegerSolver } from '../solvers/integer';
import { planMeals, scoreMeals, type MealLot, type MealProblem } from '../solvers/meals';
import { forbiddenIn } from './diets';
import { frozenName } from './frozen';
import { inPacks } from './packs';
import { picksOf, type Pick } from './picks';

type MealHome = HomePart<'meals' | 'things' | 'lots' | 'plannedMeals' | 'people'>;

/** A thing that is short for a meal, with the packs that are missing. */
export interface Missing {
	readonly thing: Thing;
	readonly packs: number;
}
/** A meal against the stock. */
export interface MealStock {
	readonly meal: Meal;
	/** How often the stock makes it; null: it has no ingredients. */
	readonly makes: number | null;
	/** What is missing for one more. */
	readonly missing: readonly Missing[];
	/** Days until the first of its ingredients is due; null: none has a date. */
	readonly daysLeft: number | null;
}

/** Whether a lot may still be cooked: a date of quality that passed is looked at in the pan, one of safety is not. */
const mayCook = ({ date, daysLeft, lot }: Pick): boolean =>
	daysLeft === null ||
	daysLeft >= 0 ||
	(date?.basis === 'printed' && lot.dates.printed?.kind === 'best-before') ||
	date?.basis === 'frozen';

/** The things that do for an ingredient: itself, and the same goods frozen at home. */
function doesFor(things: Home['things'], thingId: string): string[] {
	const thing = things[thingId];
	if (!thing) return [];
	const name = frozenName(thing.name).toLowerCase();
	const twin = Object.values(things).find((other) => other.name.toLowerCase() === name);
	return twin ? [thingId, twin.id] : [thingId];
}

/** What may be cooked of each ingredient, first expired first. */
function larder(home: MealHome, today: string): (thingId: string) => Pick[] {
	const picks = picksOf(home, today).filter(mayCook);
	const known = new Map<string, Pick[]>();
	return (thingId) => {
		const found = known.get(thingId);
		if (found) return found;
		const ids = doesFor(home.things, thingId);
		const own = picks.filter(({ thing }) => ids.includes(thing.id));
		known.set(thingId, own);
		return own;
	};
}
const packsOf = ({ lot, thing }: Pick): number => inPacks(lot.count, lot.unit, thing);
const EPS = 1e-9;

/** Sets each usual meal against the stock: how often it makes it, and what is missing for one more. By name. */
export function mealStocks(home: MealHome, today: string): MealStock[] {
	const stockOf = larder(home, today);
	return Object.values(home.meals)
		.map((meal): MealStock => {
			const held = meal.ingredients.map(({ thingId, packs }) => ({
				thing: home.things[thingId]!,
				packs,
				have: stockOf(thingId).reduce((sum, pick) => sum + packsOf(pick), 0)
			}));
			const needed = held.filter(({ packs }) => packs > 0);
			const makes = needed.length
				? Math.min(...needed.map(({ packs, have }) => Math.floor(have / packs + EPS)))
				: null;
			const due = meal.ingredients.flatMap(({ thingId }) => stockOf(thingId)[0]?.daysLeft ?? []);
			return {
				meal,
				makes,
				missing: needed.flatMap(({ thing, packs, have }) => {
					const short = packs * ((makes ?? 0) + 1) - have;
					return short > EPS ? [{ thing, packs: Math.ceil(short - EPS) }] : [];
				}),
				daysLeft: due.length ? Math.min(...due) : null
			};
		})
		.sort((a, b) => a.meal.name.localeCompare(b.meal.name, 'en'));
}

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
			/** Cost of the plan and of no plan at all better than it, minor units. */
			readonly costMinor: number;
			readonly boundMinor: number;
	  }
	| { readonly ok: false; readonly code: 'no-meals' | 'too-few' };

const USUAL_PRICE = 200;
const DAYS_A_MONTH = 30.4;
/** What it is worth to have a meal as often as it is usual, minor units. */
const LIKING = 60;
/** A meal cooked so many days ago is not planned again at once. */
const REST_DAYS = 3;

const isLeftover = ({ lot }: Pick) =>
	lot.dates.madeOn !== null && lot.unit === 'meal' && lot.dates.frozenOn === null;

/**
 * Plans the meals of some days: uses what is due first, leftovers too, buys little, keeps diets and allergies, and does
 * not repeat a meal more than is usual. What is planned by hand stays, and what is cooked is done. Past days are not planned.
 */
export function planWeek(
	home: MealHome,
	{ from, days, slots, servings }: MealOptions,
	today: string,
	solve?: IntegerSolver,
	seconds?: number
): MealWeek {
	const places: MealSlot[] = [];
	for (let day = 0; day < days; day++)
		for (const slot of slots) places.push({ on: addDays(from, day), slot });
	const planned = Object.values(home.plannedMeals);
	const byHand = (place: MealSlot) =>
		planned.find(
			(each) => each.on === place.on && each.slot === place.slot && (each.byHand || each.cookedOn)
		);
	const open = places.filter((place) => !byHand(place)?.cookedOn);
	const allowed = Object.values(home.meals).filter((meal) => !forbiddenIn(home, meal).length);
	const leftovers = picksOf(home, today).filter(
		(pick) => isLeftover(pick) && (pick.daysLeft ?? 0) >= 0 && pick.lot.count >= servings - EPS
	);
	const fixed = new Set(open.flatMap((place) => byHand(place)?.mealId ?? []));
	const meals = [
		...allowed,
		...Object.values(home.meals).filter((meal) => fixed.has(meal.id) && !allowed.includes(meal))
	];
	if (!allowed.length && !leftovers.length) return { ok: false, code: 'no-meals' };
	const itemOf = new Map<string, number>();
	const item = (key: string) => {
		if (!itemOf.has(key)) itemOf.set(key, itemOf.size);
		return itemOf.get(key)!;
	};
	for (const { ingredients } of meals) for (const { thingId } of ingredients) item(thingId);
	const price = [...itemOf.keys()].map((id) => home.things[id]?.priceMinor ?? USUAL_PRICE);
	const stockOf = larder(home, today);
	const untilOf = ({ date, daysLeft }: Pick): number => {
		if (date === null || daysLeft === null || daysLeft < 0) return Infinity;
		const last = open.filter(({ on }) => on <= date.on).length;
		return last >= open.length ? Infinity : last;
	};
	const lots: MealLot[] = [...itemOf].flatMap(([thingId, at]) =>
		stockOf(thingId).map((pick) => ({ item: at, packs: packsOf(pick), until: untilOf(pick) }))
	);
	const recent = (meal: Meal) =>
		planned.some(
			({ mealId, cookedOn }) =>
				mealId === meal.id && cookedOn && daysBetween(cookedOn, today) < REST_DAYS
		);
	const usual = (meal: Meal) => (meal.timesPerMonth * days) / DAYS_A_MONTH;
	const recipes = [
		...meals.map((meal) => ({
			uses: mergeUses(
				meal.ingredients.map(({ thingId, packs }) => ({
					item: item(thingId),
					packs: (packs * servings) / meal.servings
				}))
			),
			most: Math.max(1, Math.ceil(usual(meal))),
			liking: LIKING * Math.min(1, usual(meal)) - (recent(meal) ? LIKING : 0)
		})),
		...leftovers.map((pick) => {
			// Leftovers are an item of their own: nothing is bought in their stead.
			const at = item(`left ${pick.lot.id}`);
			price[at] = USUAL_PRICE * 100;
			lots.push({ item: at, packs: pick.lot.count, until: untilOf(pick) });
			return {
				uses: [{ item: at, packs: servings }],
				most: Math.floor(pick.lot.count / servings + EPS),
				liking: 0
			};
		})
	];
	const worth = price.map((each) => Math.min(each, 20 * USUAL_PRICE));
	const forSlot = (recipe: number, { slot }: MealSlot) =>
		recipe >= meals.length || meals[recipe]!.slots.includes(slot);
	const free = [
		...allowed.map((meal) => meals.indexOf(meal)),
		...leftovers.map((_, i) => meals.length + i)
	];
	const choices = open.map((place) => {
		const own = byHand(place);
		const some = free.filter((recipe) => forSlot(recipe, place));
		if (!own) return some;
		const at = own.mealId
			? meals.findIndex(({ id }) => id === own.mealId)
			: meals.length + leftovers.findIndex(({ lot }) => lot.id === own.lotId);
		return at >= 0 && at < recipes.length ? [at] : some;
	});
	if (choices.some((own) => !own.length)) return { ok: false, code: 'too-few' };
	// Where the meals do not go round at their usual number, each may come more often.
	const most = Math.ceil(open.length / Math.max(1, allowed.length));
	const often = recipes.map((recipe, i) => ({
		...recipe,
		most:
			i < meals.length
				? Math.max(
						recipe.most,
						most,
						choices.filter((own) => own.length === 1 && own[0] === i).length
					)
				: recipe.most
	}));
	const problem: MealProblem = { recipes: often, slots: choices, lots, price, worth };
	const outcome = planMeals(problem, solve, seconds);
	if (outcome.status === 'impossible') return { ok: false, code: 'too-few' };
	const score = scoreMeals(problem, outcome.plan);
	const packsBy = (packs: readonly number[], round: (value: number) => number): Missing[] =>
		[...itemOf].flatMap(([key, at]) => {
			const thing = home.things[key];
			return thing && packs[at]! > STRETCH ? [{ thing, packs: round(packs[at]! - STRETCH) }] : [];
		});
	return {
		ok: true,
		meals: outcome.plan.map((recipe, i) => ({
			...open[i]!,
			mealId: meals[recipe]?.id ?? null,
			lotId: leftovers[recipe - meals.length]?.lot.id ?? null
		})),
		buy: packsBy(score.buy, Math.ceil),
		saved: packsBy(score.saved, (value) => Math.round((value + STRETCH) * 10) / 10),
		proven: outcome.status === 'optimal',
		costMinor: Math.round(outcome.cost),
		boundMinor: Math.round(outcome.bound)
	};
}

function mergeUses(uses: readonly { readonly item: number; readonly packs: number }[]) {
	const sums = new Map<number, number>();
	for (const { item, packs } of uses) if (packs > 0) sums.set(item, (sums.get(item) ?? 0) + packs);
	return [...sums].map(([item, packs]) => ({ item, packs }));
}

/** So little of a pack is stretched and not bought. */
const STRETCH = 0.3;
/** What cooking a meal takes from which lot, first expired first; what is short is left out and told apart. */
export function cookFrom(
	home: MealHome,
	meal: Meal,
	servings: number,
	today: string
): {
	readonly take: readonly { readonly lot: Lot; readonly count: number }[];
	readonly short: readonly Missing[];
} {
	const stockOf = larder(home, today);
	const left = new Map<string, number>();
	const take: { lot: Lot; count: number }[] = [];
	const short: Missing[] = [];
	for (const { thingId, packs } of meal.ingredients) {
		let want = (packs * servings) / meal.servings;
		for (const pick of stockOf(thingId)) {
			if (want <= EPS) break;
			const { lot } = pick;
			const count = left.get(lot.id) ?? lot.count;
			const inLot = packsOf(pick);
			const perPack = inLot > 0 ? lot.count / inLot : 1;
			const taken = Math.min(count, want * perPack);
			if (taken <= EPS) continue;
			take.push({ lot, count: Math.round(taken * 1000) / 1000 });
			left.set(lot.id, count - taken);
			want -= taken / perPack;
		}
		const thing = home.things[thingId];
		if (want > STRETCH && thing) short.push({ thing, packs: Math.ceil(want - STRETCH) });
	}
	return { take, short };
}
