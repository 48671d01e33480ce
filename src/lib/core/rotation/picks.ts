import {
	addDays,
	daysBetween,
	memoOn,
	stock,
	type Decision,
	type Home,
	type HomePart,
	type Lot,
	type Thing
} from '../model';
import { effectiveDate, isUndatedOpen, type EffectiveDate } from './effective-date';

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

/** The pick of a lot of the stock; undefined where its thing is not known. */
function pickOf(home: HomePart<'lots' | 'things'>, lot: Lot, today: string): Pick | undefined {
	const thing = home.things[lot.thingId];
	if (!thing) return undefined;
	const date = effectiveDate(lot, thing);
	return { lot, thing, date, daysLeft: date ? daysBetween(today, date.on) : null };
}

/** Puts a pick where it belongs in a list that is in order. */
function insert(picks: Pick[], pick: Pick): void {
	let [from, to] = [0, picks.length];
	while (from < to) {
		const middle = (from + to) >> 1;
		if (byFirstExpired(picks[middle]!, pick) < 0) from = middle + 1;
		else to = middle;
	}
	picks.splice(from, 0, pick);
}
/** Carries a list of picks over an edit of a few lots. `isIn`: whether the pick of a lot that changed is in it. */
function carryPicks(
	home: HomePart<'lots' | 'things'>,
	picks: readonly Pick[],
	changed: readonly string[],
	today: string,
	isIn: (pick: Pick) => boolean
): readonly Pick[] {
	const ids = new Set(changed);
	const next = picks.filter(({ lot }) => !ids.has(lot.id));
	for (const id of ids) {
		const lot = home.lots[id];
		const pick = lot && lot.count > 0 ? pickOf(home, lot, today) : undefined;
		if (pick && isIn(pick)) insert(next, pick);
	}
	return next;
}

/** Lists all stock that is not used up, the first to use on top. `today` is an ISO date. */
export const picksOf = memoOn(
	['lots', 'things'],
	(home, today: string): readonly Pick[] =>
		stock(home)
			.flatMap((lot) => pickOf(home, lot, today) ?? [])
			.sort(byFirstExpired),
	(home, { result, changed }, today) =>
		changed.things ? null : carryPicks(home, result, changed.lots ?? [], today, () => true)
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
 * Lists what should be used within `days` (or is past its date), what was decided to be used first whatever its date, and
 * what is open since nobody knows when; first to use on top.
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
			if (thing && ((date && date.on <= last) || said.has(lot.id) || isUndatedOpen(lot, thing)))
				found.push({ lot, thing, date, daysLeft: date ? daysBetween(today, date.on) : null });
		}
		return found.sort(byFirstExpired);
	},
	(home, { result, changed }, today, days) => {
		if (changed.things || changed.decisions) return null;
		const last = addDays(today, days);
		const said = saidUseFirst(home);
		const isIn = ({ lot, thing, date }: Pick) =>
			(date !== null && date.on <= last) || said.has(lot.id) || isUndatedOpen(lot, thing);
		return carryPicks(home, result, changed.lots ?? [], today, isIn);
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
