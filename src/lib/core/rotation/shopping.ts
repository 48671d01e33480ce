import { categoryOf, memoOn, stock, usesPerWeek, type HomePart, type Thing } from '../model';
import { lifeOf } from './life';

export type ShoppingReason = 'run-out' | 'below-par' | 'wanted-again' | 'container';

export interface ShoppingLine {
	readonly thingId: string | null;
	readonly kindId: string | null;
	readonly name: string;
	/** Where in a shop it is found: the category's name. */
	readonly shelf: string;
	readonly buy: number;
	readonly have: number;
	readonly par: number | null;
	readonly reason: ShoppingReason;
	readonly priceMinor: number | null;
	/** Set when the par asks for more than is used within its life. */
	readonly ceiling: number | null;
}

/** Sums what is held of each thing, in packs; grams and meals do not count as packs. */
export const packsHeld = memoOn(['lots'], (home): ReadonlyMap<string, number> => {
	const held = new Map<string, number>();
	for (const lot of stock(home))
		if (lot.unit === 'pack') held.set(lot.thingId, (held.get(lot.thingId) ?? 0) + lot.count);
	return held;
});

const DAYS_PER_WEEK = 7;
/**
 * The most packs worth holding: what is used within the life, at the rate given. Null when no life is known.
 * A pack is taken to last `usesPerPack` uses.
 */
export function lifeCeiling(thing: Thing, usesPerPack: number): number | null {
	const life = lifeOf(thing);
	// What is kept frozen lives by the freezer's clock.
	const days = thing.needs.includes('frozen')
		? (life?.freezerDays ?? null)
		: (life?.cupboardDays ?? life?.fridgeDays ?? null);
	if (days === null) return null;
	return Math.max(1, Math.floor(((usesPerWeek(thing) / usesPerPack) * days) / DAYS_PER_WEEK));
}

/** Uses that one pack gives; a working value until uses are counted. */
const USES_PER_PACK = 4;

function stockLine(thing: Thing, have: number, wanted: boolean): ShoppingLine | null {
	const ceiling = lifeCeiling(thing, USES_PER_PACK);
	const par = thing.parPacks;
	const target = par === null ? (wanted ? 1 : 0) : ceiling === null ? par : Math.min(par, ceiling);
	const buy = Math.ceil(target - have);
	if (buy <= 0) return null;
	return {
		thingId: thing.id,
		kindId: null,
		name: thing.name,
		shelf: categoryOf(thing.category).name,
		buy,
		have,
		par,
		reason: have === 0 && par !== null ? 'run-out' : par === null ? 'wanted-again' : 'below-par',
		priceMinor: thing.priceMinor,
		ceiling: ceiling !== null && par !== null && par > ceiling ? ceiling : null
	};
}

function containerLines(home: HomePart<'fitPlans' | 'containerKinds'>): ShoppingLine[] {
	const needed = new Map<string, number>();
	for (const plan of Object.values(home.fitPlans))
		for (const { kindId } of plan.placements) needed.set(kindId, (needed.get(kindId) ?? 0) + 1);
	return [...needed].flatMap(([kindId, count]) => {
		const kind = home.containerKinds[kindId];
		const buy = kind ? count - kind.owned : 0;
		if (!kind || buy <= 0) return [];
		return [
			{
				thingId: null,
				kindId,
				name: kind.name,
				shelf: 'Containers',
				buy,
				have: kind.owned,
				par: count,
				reason: 'container' as const,
				priceMinor: kind.priceMinor,
				ceiling: null
			}
		];
	});
}

/**
 * Makes the shopping list: what is below par or run out, what a decision asked to be bought again, and containers
 * that fit plans need beyond those owned. Things marked "do not buy again" are left out. By shop shelf, then name.
 */
export const shoppingList = memoOn(
	['things', 'lots', 'decisions', 'fitPlans', 'containerKinds'],
	(home): readonly ShoppingLine[] => {
		const held = packsHeld(home);
		const wantedIds = new Set(
			Object.values(home.decisions)
				.filter((decision) => decision.wantAgain)
				.map((decision) => decision.thingId)
		);
		const goods = Object.values(home.things).flatMap((thing) => {
			if (thing.avoid) return [];
			const line = stockLine(thing, held.get(thing.id) ?? 0, wantedIds.has(thing.id));
			return line ? [line] : [];
		});
		return [...goods, ...containerLines(home)].sort(
			(a, b) => a.shelf.localeCompare(b.shelf, 'en') || a.name.localeCompare(b.name, 'en')
		);
	}
);
