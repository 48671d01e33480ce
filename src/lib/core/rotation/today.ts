import {
	DAYS_A_WEEK,
	addDays,
	memoOn,
	type HomePart,
	type PlannedMeal,
	type Thing
} from '../model';
import { isFrozenLot } from './cold';
import { lifeOf } from './life';
import { picksOf, useFirst, type Pick } from './picks';
import { rateOf } from './rate';
import { isSafetyDate } from './safety';
import { packsHeld } from './shopping';
import { freezeIssue } from './stock-moves';

/** Something that wants doing today. */
export type TodayItem =
	/** A date of safety has passed: it is not eaten or taken. */
	| { readonly code: 'must-go'; readonly pick: Pick }
	/** A date of quality has passed. */
	| { readonly code: 'past'; readonly pick: Pick }
	/** It is due soon, or was said to be used first; `mayFreeze`: cold would save it. */
	| { readonly code: 'due'; readonly pick: Pick; readonly mayFreeze: boolean }
	/** Cooked at home and waiting in the fridge. */
	| { readonly code: 'leftover'; readonly pick: Pick; readonly mayFreeze: boolean }
	/** A meal of tomorrow wants it thawed. */
	| { readonly code: 'thaw'; readonly pick: Pick; readonly meal: string; readonly on: string };
/** Something that will be gone before the next shop. */
export interface RunsOut {
	readonly thing: Thing;
	readonly held: number;
	readonly inDays: number;
}
export type TodayCode = TodayItem['code'];

/** Food that cold would save, and that may be frozen. */
const mayFreeze = (home: HomePart<'nooks'>, { lot, thing, daysLeft }: Pick) =>
	thing.category.startsWith('food.') &&
	lifeOf(thing)?.freezerDays != null &&
	freezeIssue(home, lot, daysLeft) === null;

/** Frozen lots that meals of today and tomorrow ask for and nothing fresh covers, nearest date first. */
function toThaw(
	home: HomePart<'plannedMeals' | 'meals' | 'nooks'>,
	picksNow: () => readonly Pick[],
	today: string
): TodayItem[] {
	const soon = Object.values(home.plannedMeals)
		.filter(({ on, cookedOn }) => !cookedOn && on >= today && on <= addDays(today, 1))
		.sort((a: PlannedMeal, b: PlannedMeal) => a.on.localeCompare(b.on) || (a.id < b.id ? -1 : 1));
	// All stock in order is only looked through when a meal asks for it.
	if (!soon.length) return [];
	const picks = picksNow();
	const seen = new Set<string>();
	return soon.flatMap(({ mealId, on }) => {
		const meal = mealId ? home.meals[mealId] : undefined;
		return (meal?.ingredients ?? []).flatMap(({ thingId }): TodayItem[] => {
			const own = picks.filter(({ thing }) => thing.id === thingId);
			const frozen = own.find(({ lot }) => isFrozenLot(home, lot));
			const hasFresh = own.some(({ lot }) => !isFrozenLot(home, lot));
			if (!frozen || hasFresh || seen.has(thingId)) return [];
			seen.add(thingId);
			return [{ code: 'thaw', pick: frozen, meal: meal!.name, on }];
		});
	});
}

/** Lists things with a rule that will be gone before the next shop at their rate, the first on top. */
export const runsOut = memoOn(
	['things', 'lots', 'useEvents', 'meals', 'nooks', 'settings'],
	(home, today: string): readonly RunsOut[] => {
		const held = packsHeld(home);
		return Object.values(home.things)
			.flatMap((thing): RunsOut[] => {
				if (!thing.hold || thing.avoid) return [];
				const packs = held.get(thing.id) ?? 0;
				const inDays = Math.floor((packs / rateOf(home, thing, today).perWeek) * DAYS_A_WEEK);
				return inDays < home.settings.shop.everyDays ? [{ thing, held: packs, inDays }] : [];
			})
			.sort((a, b) => a.inDays - b.inDays || a.thing.name.localeCompare(b.thing.name, 'en'));
	}
);

/** What wants doing, by what it is about; each list has the most pressing on top. */
export type Today = Readonly<Record<TodayCode, readonly TodayItem[]>>;

/** Gathers what wants doing today; `days` is how far ahead a date counts as due. */
export const todayOf = memoOn(
	['lots', 'things', 'decisions', 'plannedMeals', 'meals', 'nooks'],
	(home, today: string, days: number): Today => {
		const gone: TodayItem[] = [];
		const past: TodayItem[] = [];
		const due: TodayItem[] = [];
		const leftover: TodayItem[] = [];
		for (const pick of useFirst(home, today, days)) {
			const { lot, thing, date, daysLeft } = pick;
			if (date && daysLeft !== null && daysLeft < 0) {
				if (isSafetyDate(lot, thing, date)) gone.push({ code: 'must-go', pick });
				else past.push({ code: 'past', pick });
			} else if (lot.dates.madeOn !== null && !isFrozenLot(home, lot))
				leftover.push({ code: 'leftover', pick, mayFreeze: mayFreeze(home, pick) });
			else due.push({ code: 'due', pick, mayFreeze: mayFreeze(home, pick) });
		}
		return {
			'must-go': gone,
			past,
			due,
			leftover,
			thaw: toThaw(home, () => picksOf(home, today), today)
		};
	}
);
