import { addDays, memoOn, type HomePart, type PlannedMeal, type Thing } from '../model';
import { lifeOf } from './life';
import { picksOf, useFirst, type Pick } from './picks';
import { rateOf } from './rate';
import { packsHeld } from './shopping';
import { freezeIssue } from './stock-moves';

/** Something that wants doing today. */
export type TodayItem =
	/** Its date has passed: a use-by date, or what was cooked or thawed; it is not eaten. */
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

const isFrozenNow = ({ lot }: Pick) => lot.dates.frozenOn !== null && lot.dates.thawedOn === null;
const isLeftover = ({ lot, thing }: Pick) =>
	lot.dates.madeOn !== null && !isFrozenNow({ lot, thing, date: null, daysLeft: null });
const mayFreeze = ({ lot, thing, daysLeft }: Pick) =>
	lifeOf(thing)?.freezerDays != null && freezeIssue(lot, daysLeft) === null;
/** A date that passed is a word of safety only where it says so. */
const mustGo = ({ lot, date }: Pick) =>
	date?.basis === 'thawed' ||
	date?.basis === 'made' ||
	(date?.basis === 'printed' && lot.dates.printed?.kind === 'use-by');

/** Frozen lots that meals of today and tomorrow ask for and nothing fresh covers, nearest date first. */
function toThaw(
	home: HomePart<'plannedMeals' | 'meals'>,
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
			const frozen = own.find(isFrozenNow);
			if (!frozen || seen.has(thingId) || own.some((pick) => !isFrozenNow(pick))) return [];
			seen.add(thingId);
			return [{ code: 'thaw', pick: frozen, meal: meal!.name, on }];
		});
	});
}

const WEEK = 7;
/** Lists things with a rule that will be gone before the next shop at their rate, the first on top. */
export const runsOut = memoOn(
	['things', 'lots', 'useEvents', 'meals', 'settings'],
	(home, today: string): readonly RunsOut[] => {
		const held = packsHeld(home);
		return Object.values(home.things)
			.flatMap((thing): RunsOut[] => {
				if (!thing.hold || thing.avoid) return [];
				const packs = held.get(thing.id) ?? 0;
				const inDays = Math.floor((packs / rateOf(home, thing, today).perWeek) * WEEK);
				return inDays < home.settings.shop.everyDays ? [{ thing, held: packs, inDays }] : [];
			})
			.sort((a, b) => a.inDays - b.inDays || a.thing.name.localeCompare(b.thing.name, 'en'));
	}
);

/** What wants doing, by what it is about; each list has the most pressing on top. */
export type Today = Readonly<Record<TodayCode, readonly TodayItem[]>>;

/** Gathers what wants doing today; `days` is how far ahead a date counts as due. */
export const todayOf = memoOn(
	['lots', 'things', 'decisions', 'plannedMeals', 'meals'],
	(home, today: string, days: number): Today => {
		const gone: TodayItem[] = [];
		const past: TodayItem[] = [];
		const due: TodayItem[] = [];
		const leftover: TodayItem[] = [];
		for (const pick of useFirst(home, today, days)) {
			if (pick.daysLeft !== null && pick.daysLeft < 0)
				(mustGo(pick) ? gone : past).push({ code: mustGo(pick) ? 'must-go' : 'past', pick });
			else if (isLeftover(pick))
				leftover.push({ code: 'leftover', pick, mayFreeze: mayFreeze(pick) });
			else due.push({ code: 'due', pick, mayFreeze: mayFreeze(pick) });
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
