import { drawsOf, type Draws } from './draws';

/** So many packs that keep for so many days from now; null: they keep. */
export interface ForecastLot {
	readonly packs: number;
	readonly daysLeft: number | null;
}

/** One thing of a household, as plain figures. */
export interface ForecastThing {
	readonly lots: readonly ForecastLot[];
	/** What is believed of its rate in packs a week: a gamma distribution of this shape over so many weeks. */
	readonly shape: number;
	readonly weeks: number;
	/** Packs that one use takes, above 0: a slice of a loaf, a whole tin. */
	readonly portion: number;
	/** Days that a fresh pack keeps; null: no limit. */
	readonly lifeDays: number | null;
	/** Packs it is bought up to at each shop; null: it is not bought. */
	readonly level: number | null;
	/** What a pack and what running out once cost. */
	readonly price: number;
	readonly runOutPrice: number;
}

export interface ForecastOptions {
	readonly days: number;
	/** Days to the first shop, and from one to the next. */
	readonly firstShop: number;
	readonly everyDays: number;
	readonly runs: number;
	readonly seed: number;
}

/** What is to be expected of one thing; means over the runs. */
export interface ThingForecast {
	/** Packs that spoil, and that are used. */
	readonly wastePacks: number;
	readonly usedPacks: number;
	/** Times between two shops in which it runs out. */
	readonly runOuts: number;
	/** Chance that it is gone before the first shop. */
	readonly outBeforeShop: number;
	/** For each lot: chance that some of it is still there when its date has passed; null: it keeps. */
	readonly lotLeft: readonly (number | null)[];
	/** Packs at the end of each week: what one run in ten stays below, half of them, nine in ten. */
	readonly bands: readonly {
		readonly low: number;
		readonly middle: number;
		readonly high: number;
	}[];
	/** Waste and running out, in money. */
	readonly cost: number;
}

const WEEK = 7;
const NEVER = 1e9;
const EPS = 1e-9;

/** What stands on the shelf in a run: packs, last good day and number of the lot, first expired first. */
interface Queue {
	readonly packs: Float64Array;
	readonly last: Float64Array;
	readonly lot: Int32Array;
}
interface Run {
	waste: number;
	used: number;
	outs: number;
	outFirst: boolean;
}

/** One run of one thing: goods leave first expired first; spoiled ones leave at the end of their last day. */
function runOnce(
	thing: ForecastThing,
	{ days, firstShop, everyDays }: ForecastOptions,
	draws: Draws,
	{ packs, last, lot }: Queue,
	left: Uint32Array,
	weekly: Float64Array,
	at: number,
	sum: Run
): void {
	draws.begin();
	const { lots, portion, level, lifeDays } = thing;
	let head = 0;
	let tail = 0;
	let held = 0;
	for (let i = 0; i < lots.length; i++) {
		const each = lots[i]!;
		if (each.packs <= 0) continue;
		packs[tail] = each.packs;
		last[tail] = each.daysLeft ?? NEVER;
		lot[tail++] = i;
		held += each.packs;
	}
	const perDay = draws.gamma(thing.shape) / thing.weeks / WEEK;
	// Days from one use to the next.
	const mean = perDay > 1e-12 ? portion / perDay : NEVER;
	let next = draws.gap() * mean;
	let shop = firstShop;
	let week = 0;
	let weekEnd = Math.min(WEEK, days);
	let isOut = false;
	sum.outFirst = false;
	for (;;) {
		// What comes first: the next use, the next shop, the end of a week or of it all.
		let now = weekEnd;
		if (shop < now) now = shop;
		if (next < now) now = next;
		while (head < tail && last[head]! < now) {
			if (lot[head]! >= 0 && packs[head]! > EPS) left[lot[head]!]! += 1;
			sum.waste += packs[head]!;
			held -= packs[head]!;
			head++;
		}
		if (now === weekEnd) {
			weekly[at + week] = held;
			if (now >= days) return;
			week++;
			weekEnd = Math.min((week + 1) * WEEK, days);
		} else if (now === shop) {
			if (level !== null && held < level - EPS) {
				const bought = Math.ceil(level - held - EPS);
				const until = lifeDays === null ? NEVER : now + lifeDays;
				// A fresh pack may keep less long than what is there: the queue stays in order of dates.
				let i = tail++;
				for (; i > head && last[i - 1]! > until; i--) {
					packs[i] = packs[i - 1]!;
					last[i] = last[i - 1]!;
					lot[i] = lot[i - 1]!;
				}
				packs[i] = bought;
				last[i] = until;
				lot[i] = -1;
				held += bought;
			}
			isOut = false;
			shop += everyDays;
		} else {
			let want = portion;
			while (want > EPS && head < tail) {
				const taken = want < packs[head]! ? want : packs[head]!;
				packs[head]! -= taken;
				want -= taken;
				held -= taken;
				sum.used += taken;
				if (packs[head]! <= EPS) head++;
			}
			if (want > EPS && !isOut) {
				isOut = true;
				sum.outs++;
				if (shop === firstShop) sum.outFirst = true;
			}
			next += draws.gap() * mean;
		}
	}
}

const byDate = (lots: readonly ForecastLot[]): ForecastLot[] =>
	[...lots].sort((a, b) => (a.daysLeft ?? NEVER) - (b.daysLeft ?? NEVER));

/**
 * Foretells the stock of one thing by runs with chance: a rate drawn from what is believed of it, uses as they come,
 * first expired first out, bought up to its level at every shop. The same for the same seed.
 * @example forecastThing(milk, { days: 84, firstShop: 3, everyDays: 7, runs: 1000, seed: 1 }).wastePacks
 */
export function forecastThing(thing: ForecastThing, options: ForecastOptions): ThingForecast {
	const draws = drawsOf(options.seed);
	const order = thing.lots.map((_, i) => i);
	order.sort((a, b) => (thing.lots[a]!.daysLeft ?? NEVER) - (thing.lots[b]!.daysLeft ?? NEVER));
	const sorted = { ...thing, lots: byDate(thing.lots) };
	const weeks = Math.ceil(options.days / WEEK);
	const left = new Uint32Array(thing.lots.length);
	const weekly = new Float64Array(weeks * options.runs);
	const room = thing.lots.length + Math.ceil(options.days / options.everyDays) + 2;
	const queue: Queue = {
		packs: new Float64Array(room),
		last: new Float64Array(room),
		lot: new Int32Array(room)
	};
	const sum: Run = { waste: 0, used: 0, outs: 0, outFirst: false };
	let outFirst = 0;
	for (let run = 0; run < options.runs; run++) {
		runOnce(sorted, options, draws, queue, left, weekly, run * weeks, sum);
		if (sum.outFirst) outFirst++;
	}
	const { runs } = options;
	const lotLeft: (number | null)[] = thing.lots.map(() => null);
	order.forEach((i, at) => {
		const { daysLeft, packs } = thing.lots[i]!;
		if (daysLeft !== null && packs > 0) lotLeft[i] = daysLeft < 0 ? 1 : left[at]! / runs;
	});
	const wastePacks = sum.waste / runs;
	const runOuts = sum.outs / runs;
	return {
		wastePacks,
		usedPacks: sum.used / runs,
		runOuts,
		outBeforeShop: outFirst / runs,
		lotLeft,
		bands: bandsOf(weekly, weeks, runs),
		cost: wastePacks * thing.price + runOuts * thing.runOutPrice
	};
}

function bandsOf(weekly: Float64Array, weeks: number, runs: number): ThingForecast['bands'] {
	const column = new Float64Array(runs);
	return Array.from({ length: weeks }, (_, week) => {
		for (let run = 0; run < runs; run++) column[run] = weekly[run * weeks + week]!;
		column.sort();
		const at = (share: number) => column[Math.min(runs - 1, Math.floor(share * runs))]!;
		return { low: at(0.1), middle: at(0.5), high: at(0.9) };
	});
}

/** What one level would cost. */
export interface LevelCost {
	readonly level: number;
	readonly wastePacks: number;
	readonly runOuts: number;
	readonly cost: number;
}

/**
 * Tries levels to buy up to, from none to `most`, with the same chances for each, and gives them with the cheapest
 * first; the lower one on a tie.
 */
export function bestLevels(
	thing: ForecastThing,
	levels: readonly number[],
	options: ForecastOptions
): LevelCost[] {
	return [...new Set(levels)]
		.map((level) => {
			const { wastePacks, runOuts, cost } = forecastThing({ ...thing, level }, options);
			return { level, wastePacks, runOuts, cost };
		})
		.sort((a, b) => a.cost - b.cost || a.level - b.level);
}
