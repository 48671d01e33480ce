import type { Home, HomePart, Lot, Meal, Thing } from '../model';
import { frozenName } from './frozen';
import { inPacks } from './packs';
import { picksOf, type Pick } from './picks';

/** What is read of a home for its meals. */
export type MealHome = HomePart<'meals' | 'things' | 'lots' | 'plannedMeals' | 'people' | 'nooks'>;

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
export function larder(home: MealHome, today: string): (thingId: string) => Pick[] {
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
/** Packs that a lot is. */
export const packsOf = ({ lot, thing }: Pick): number => inPacks(lot.count, lot.unit, thing);
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

/** So little of a pack is stretched and not bought. */
export const STRETCH = 0.3;
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
