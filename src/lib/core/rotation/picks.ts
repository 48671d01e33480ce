import {
	addDays,
	daysBetween,
	memoOn,
	stock,
	type Decision,
	type Home,
	type Lot,
	type Thing
} from '../model';
import { effectiveDate, type EffectiveDate } from './effective-date';

export interface Pick {
	readonly lot: Lot;
	readonly thing: Thing;
	readonly date: EffectiveDate | null;
	/** Days from today to the effective date; negative when past, null when unknown. */
	readonly daysLeft: number | null;
}

const FAR = '9999-12-31';
const rank = (pick: Pick) => pick.date?.on ?? FAR;
const isOpen = (pick: Pick) => (pick.lot.states.includes('open') ? 0 : 1);

/** Orders lots first expired first out: nearest date, open before unopened, undated last; ties by id. */
export function byFirstExpired(a: Pick, b: Pick): number {
	return (
		(rank(a) < rank(b) ? -1 : rank(a) > rank(b) ? 1 : 0) ||
		isOpen(a) - isOpen(b) ||
		(a.lot.id < b.lot.id ? -1 : 1)
	);
}

/** Lists all stock that is not used up, the first to use on top. `today` is an ISO date. */
export const picksOf = memoOn(['lots', 'things'], (home, today: string): readonly Pick[] =>
	stock(home)
		.flatMap((lot) => {
			const thing = home.things[lot.thingId];
			if (!thing) return [];
			const date = effectiveDate(lot, thing);
			return [{ lot, thing, date, daysLeft: date ? daysBetween(today, date.on) : null }];
		})
		.sort(byFirstExpired)
);

/** Counts the stock whose effective date has passed on `today`. */
export const countPast = memoOn(['lots', 'things'], (home, today: string): number =>
	stock(home).reduce((count, lot) => {
		const thing = home.things[lot.thingId];
		const date = thing ? effectiveDate(lot, thing) : null;
		return date && date.on < today ? count + 1 : count;
	}, 0)
);

/** Ids of the lots of which the last word in Clear was "use first". */
const saidUseFirst = memoOn(['decisions'], (home): ReadonlySet<string> => {
	const last = new Map<string, Decision>();
	for (const decision of Object.values(home.decisions)) {
		const known = last.get(decision.lotId);
		if (!known || known.at < decision.at) last.set(decision.lotId, decision);
	}
	return new Set(
		[...last].flatMap(([lotId, { verdict }]) => (verdict === 'use-first' ? [lotId] : []))
	);
});

/**
 * Lists what should be used within `days` (or is past its date), and what was decided to be used first whatever its
 * date; first to use on top.
 */
export const useFirst = memoOn(
	['lots', 'things', 'decisions'],
	(home, today: string, days: number): readonly Pick[] => {
		const last = addDays(today, days);
		const said = saidUseFirst(home);
		const found: Pick[] = [];
		for (const lot of stock(home)) {
			const thing = home.things[lot.thingId];
			const date = thing ? effectiveDate(lot, thing) : null;
			if (thing && ((date && date.on <= last) || said.has(lot.id)))
				found.push({ lot, thing, date, daysLeft: date ? daysBetween(today, date.on) : null });
		}
		return found.sort(byFirstExpired);
	}
);

/** Lists packs that are open, the first to use on top; what is due by `days` is not repeated. `today` is an ISO date. */
export const openPacks = memoOn(
	['lots', 'things', 'decisions'],
	(home, today: string, days: number): readonly Pick[] => {
		const due = new Set(useFirst(home, today, days).map(({ lot }) => lot.id));
		return picksOf(home, today).filter(
			({ lot }) => !due.has(lot.id) && (lot.states.includes('open') || lot.dates.openedOn !== null)
		);
	}
);

/** Picks the lot of a thing that should be taken next; null when there is none. */
export function nextLot(home: Home, thingId: string, today: string): Lot | null {
	return picksOf(home, today).find((pick) => pick.thing.id === thingId)?.lot ?? null;
}
