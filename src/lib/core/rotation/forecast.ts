import {
	DAYS_A_WEEK,
	addDays,
	daysBetween,
	lotsOf,
	type Home,
	type HoldRule,
	type Thing
} from '../model';
import {
	bestLevels,
	forecastThing,
	type ForecastOptions,
	type ForecastThing,
	type ThingForecast
} from '../solvers/forecast';
import { effectiveDate } from './effective-date';
import { closedLifeDays, holdTarget, lifeCeiling } from './hold';
import { lifeOf } from './life';
import { inPacks, packUsesOf } from './packs';
import { priceOf } from './price';
import { rateOf, type Rate } from './rate';

export const FORECAST: Omit<ForecastOptions, 'firstShop' | 'everyDays'> = {
	days: 84,
	runs: 1000,
	seed: 20_260_302
};
/** Runs for each level that is tried: enough to tell them apart, with the same chances for all. */
const TRY_RUNS = 300;
const MOST_LEVEL = 24;
/** Days past a best-before date in which goods of no known life are still good. */
const USUAL_GRACE = 60;
/** More uses a week than this are taken together: what is used daily needs no finer grain. */
const MOST_USES = 7;
/** A level that costs no more than this above the best is as good, minor units: then the lower one is. */
const AS_GOOD = 50;

/** A rule that is tried: packs it comes to, with what it would cost over the weeks. */
export interface TriedRule {
	readonly hold: HoldRule;
	readonly level: number;
	readonly wastePacks: number;
	readonly runOuts: number;
	readonly costMinor: number;
}

/** What is to be expected of a thing, and how much of it to hold. */
export interface Outlook extends ThingForecast {
	readonly thingId: string;
	readonly wasteMinor: number;
	/** The number of packs that costs least in waste and running out: the lowest of those that do as well. */
	readonly best: TriedRule | null;
	/** The rule in force; null: none. */
	readonly now: TriedRule | null;
	/** Where its rate comes from: advice on a guess is none. */
	readonly basis: Rate['basis'];
	/** Whether a price of its own is known. */
	readonly isPriced: boolean;
}

/** Days from today to the next shop: a shop a week hence where nothing is said. */
const shopIn = (home: Home) => home.settings.shop.everyDays;

/** Turns a thing of a home into plain figures; `level` is what it is bought up to. */
export function forecastInput(home: Home, thing: Thing, today: string): ForecastThing {
	const { belief, perWeek } = rateOf(home, thing, today);
	const lots = lotsOf(home, thing.id).map((lot) => {
		const date = effectiveDate(lot, thing);
		// A date of quality is no end: goods are looked at, and good for a while yet.
		const grace =
			date?.basis === 'printed' && lot.dates.printed?.kind === 'best-before'
				? (lifeOf(thing)?.extraDays ?? USUAL_GRACE)
				: 0;
		return {
			packs: inPacks(lot.count, lot.unit, thing),
			daysLeft: date ? daysBetween(today, date.on) + grace : null
		};
	});
	return {
		// What is past already is for Today, not for the weeks to come.
		lots: lots.map((lot) => ((lot.daysLeft ?? 0) < 0 ? { ...lot, packs: 0 } : lot)),
		shape: belief.shape,
		weeks: belief.weeks,
		portion: Math.max(1 / packUsesOf(thing), perWeek / MOST_USES),
		lifeDays: closedLifeDays(thing),
		level: thing.hold ? holdTarget(thing, thing.hold, perWeek, home.settings.shop).packs : null,
		price: priceOf(thing),
		runOutPrice: home.settings.shop.runOutMinor
	};
}

/**
 * Tries the numbers of packs that are worth trying, up to what is used within the life of a pack, and that of the rule in
 * force; each with the same chances, begun with what is held today and no more spoiled than that. The best is the lowest
 * of those that cost about as little as the cheapest; null: there was none to try.
 */
export function adviseLevel(
	input: ForecastThing,
	ceiling: number | null,
	options: ForecastOptions
): { readonly tried: readonly TriedRule[]; readonly best: TriedRule | null } {
	const levels = levelsToTry(Math.min(MOST_LEVEL, ceiling ?? MOST_LEVEL));
	if (input.level !== null) levels.push(input.level);
	const tried = bestLevels(input, levels, { ...options, runs: TRY_RUNS }).map(
		({ level, wastePacks, runOuts, cost }): TriedRule => ({
			hold: { rule: 'packs', amount: level },
			level,
			wastePacks,
			runOuts,
			costMinor: Math.round(cost)
		})
	);
	const least = tried[0]?.costMinor ?? 0;
	const best = tried
		.filter(({ costMinor }) => costMinor <= least + AS_GOOD)
		.reduce<TriedRule | null>((low, one) => (!low || one.level < low.level ? one : low), null);
	return { tried, best };
}

/** Foretells one thing over the coming weeks, and which number of packs is best to hold. `today` is an ISO date. */
export function outlookOf(home: Home, thing: Thing, today: string): Outlook {
	const input = forecastInput(home, thing, today);
	const options: ForecastOptions = {
		...FORECAST,
		firstShop: shopIn(home),
		everyDays: home.settings.shop.everyDays
	};
	const found = forecastThing(input, options);
	const { perWeek, basis } = rateOf(home, thing, today);
	const { tried, best } = adviseLevel(input, lifeCeiling(thing, perWeek), options);
	return {
		...found,
		thingId: thing.id,
		wasteMinor: Math.round(found.wastePacks * input.price),
		best,
		now: thing.hold ? (tried.find(({ level }) => level === input.level) ?? null) : null,
		basis,
		isPriced: thing.priceMinor !== null
	};
}

/** Levels worth trying: each of the first few, then further apart. */
function levelsToTry(most: number): number[] {
	const levels: number[] = [];
	for (let level = 1; level <= most; level += level < 6 ? 1 : level < 12 ? 2 : 4)
		levels.push(level);
	return levels;
}

/** What is to be expected of a home over the coming weeks. */
export interface HomeOutlook {
	readonly until: string;
	/** By what spoils, the dearest first. */
	readonly things: readonly Outlook[];
	readonly wasteMinor: number;
	readonly wastePacks: number;
}

/** Things that turn: they have a date or a rule, and somebody uses them up. */
export const turningThings = (home: Home): Thing[] =>
	Object.values(home.things).filter(
		(thing) =>
			(thing.hold !== null && !thing.avoid) ||
			lotsOf(home, thing.id).some((lot) => effectiveDate(lot, thing) !== null)
	);

/**
 * Foretells all that turns in a home over 12 weeks, thing by thing; `onProgress` is told after each. Things with the same
 * chances are the same from run to run.
 */
export function outlookOfHome(
	home: Home,
	today: string,
	onProgress?: (done: number, of: number) => void
): HomeOutlook {
	const all = turningThings(home);
	const things = all.map((thing, i) => {
		const outlook = outlookOf(home, thing, today);
		onProgress?.(i + 1, all.length);
		return outlook;
	});
	things.sort((a, b) => b.wasteMinor - a.wasteMinor || (a.thingId < b.thingId ? -1 : 1));
	return {
		until: addDays(today, FORECAST.days),
		things,
		wasteMinor: things.reduce((sum, { wasteMinor }) => sum + wasteMinor, 0),
		wastePacks: things.reduce((sum, { wastePacks }) => sum + wastePacks, 0)
	};
}
export const WEEKS_AHEAD = FORECAST.days / DAYS_A_WEEK;
