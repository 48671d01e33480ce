import { DAYS_A_WEEK, lotsOf, stock, usesPerWeek, type Home, type Thing } from '../model';
import { effectiveDate } from './effective-date';
import { closedLifeDays } from './hold';
import { inPacks, packUsesOf } from './packs';
import { rateOf } from './rate';
import { packsHeld } from './shopping';

/** What the past says about buying something. */
export type BuyingAdvice =
	/** It was thrown out because nobody liked it, and is still to be bought. */
	| { readonly code: 'disliked'; readonly thing: Thing; readonly times: number }
	/** There are two of one kind that could be one: packs of the same thing are open side by side. */
	| { readonly code: 'opened-twice'; readonly thing: Thing; readonly open: number }
	/** Far more is held than is used within its life. */
	| {
			readonly code: 'bought-twice';
			readonly thing: Thing;
			readonly held: number;
			readonly weeks: number;
	  }
	/** A pack lasts longer than it keeps, and some of it was thrown out or stands open too long: a smaller one is cheaper. */
	| {
			readonly code: 'too-large';
			readonly thing: Thing;
			readonly lastsDays: number;
			readonly keepsDays: number;
	  }
	/**
	 * So much of what was bought was thrown out; what a use then costs, against what the pack promises, minor units: a pack
	 * that is cheap by the piece is dear when part of it is wasted. null: no price known.
	 */
	| {
			readonly code: 'wasted';
			readonly thing: Thing;
			readonly share: number;
			readonly perUse: { readonly promised: number; readonly paid: number } | null;
	  };

/** A year's worth is far more than a home needs of anything that is bought weekly. */
const MUCH_WEEKS = 52;
/** A share of what leaves that is thrown out, above which buying less is worth saying; and of how many. */
const WASTE_SHARE = 0.3;
const LEAST_LEFT = 3;
const HOME_MADE = /\bhome[- ]?made\b|\bleftovers?\b/i;
/** A pack that lasts so many times as long as it keeps is too large. */
const LONG_TIMES = 1.5;

/**
 * Says what to buy less of, or not at all, from what was thrown out and what is held: each thing once, the clearest word
 * first. `today` is an ISO date.
 */
export function buyingAdvice(home: Home, today: string): BuyingAdvice[] {
	const used = new Map<string, number>();
	const thrown = new Map<string, number>();
	const disliked = new Map<string, number>();
	const add = (map: Map<string, number>, id: string, count: number) =>
		map.set(id, (map.get(id) ?? 0) + count);
	for (const { kind, thingId, count: amount, unit, why } of Object.values(home.useEvents)) {
		const thing = home.things[thingId];
		if (!thing) continue;
		const count = inPacks(amount, unit, thing);
		if (kind === 'use') add(used, thingId, count);
		if (kind !== 'discard') continue;
		add(thrown, thingId, count);
		if (why === 'disliked') add(disliked, thingId, 1);
	}
	const held = packsHeld(home);
	// What is put up at home is not bought.
	const homeMade = new Set(
		stock(home).flatMap(({ thingId, dates }) => (dates.madeOn ? [thingId as string] : []))
	);
	const isLate = (thing: Thing) =>
		lotsOf(home, thing.id).some((lot) => {
			const date = lot.dates.openedOn ? effectiveDate(lot, thing) : null;
			return date?.basis === 'opened' && date.on < today;
		});
	const isOpen = (lot: { dates: { openedOn: string | null }; states: readonly string[] }) =>
		lot.dates.openedOn !== null || lot.states.includes('open');
	const inStock = new Set(stock(home).map(({ thingId }) => thingId as string));
	return Object.values(home.things)
		.flatMap((thing): BuyingAdvice[] => {
			const times = disliked.get(thing.id) ?? 0;
			if (times && !thing.avoid && thing.hold) return [{ code: 'disliked', thing, times }];
			const out = thrown.get(thing.id) ?? 0;
			const left = out + (used.get(thing.id) ?? 0);
			if (left >= LEAST_LEFT && out / left >= WASTE_SHARE)
				return [{ code: 'wasted', thing, share: out / left, perUse: perUse(thing, out / left) }];
			if (!inStock.has(thing.id) || homeMade.has(thing.id) || HOME_MADE.test(thing.name)) return [];
			const open = lotsOf(home, thing.id).filter(isOpen).length;
			if (open > 1 && thing.category.startsWith('food.'))
				return [{ code: 'opened-twice', thing, open }];
			const { perWeek, basis } = rateOf(home, thing, today);
			const keepsDays = closedLifeDays(thing);
			const lastsDays = (packUsesOf(thing) / Math.max(usesPerWeek(thing), 1e-6)) * DAYS_A_WEEK;
			const isLong = keepsDays !== null && DAYS_A_WEEK / perWeek > LONG_TIMES * keepsDays;
			// Many a pack is used up in one go: that it is seldom bought alone says nothing.
			if (isLong && basis === 'logged' && (out > 0 || isLate(thing)))
				return [
					{ code: 'too-large', thing, lastsDays: Math.round(DAYS_A_WEEK / perWeek), keepsDays }
				];
			const packs = held.get(thing.id) ?? 0;
			const weeks = packs / perWeek;
			if (thing.category.startsWith('food.') && packs >= 3 && weeks > MUCH_WEEKS && lastsDays < 365)
				return [{ code: 'bought-twice', thing, held: packs, weeks: Math.round(weeks) }];
			return [];
		})
		.sort(
			(a, b) => ORDER[a.code] - ORDER[b.code] || a.thing.name.localeCompare(b.thing.name, 'en')
		);
}

/** What one use costs by the pack, and when a share of it is thrown out. */
function perUse(thing: Thing, wastedShare: number) {
	if (thing.priceMinor === null || wastedShare >= 1) return null;
	const promised = thing.priceMinor / packUsesOf(thing);
	return { promised, paid: promised / (1 - wastedShare) };
}

const ORDER: Readonly<Record<BuyingAdvice['code'], number>> = {
	disliked: 0,
	wasted: 1,
	'too-large': 2,
	'opened-twice': 3,
	'bought-twice': 4
};
