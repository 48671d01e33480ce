import {
	categoryOf,
	daysBetween,
	usesPerWeek,
	type Home,
	type Lot,
	type Thing,
	type Verdict
} from '../model';
import { effectiveDate, lifeOf } from '../rotation';

export interface Advice {
	readonly verdict: Verdict;
	/** 3 safety, 2 quality, 1 tidiness. */
	readonly strength: 1 | 2 | 3;
	readonly code: AdviceCode;
	readonly facts: Readonly<Record<string, string | number>>;
}
export type AdviceCode =
	| 'use-by-past'
	| 'can-unsafe'
	| 'thawed-warm'
	| 'medicine-expired'
	| 'best-before-past-long'
	| 'best-before-past'
	| 'opened-too-long'
	| 'due-soon'
	| 'can-dent'
	| 'can-rust'
	| 'freezer-burn'
	| 'refrozen'
	| 'broken'
	| 'lone-lid-or-box'
	| 'more-than-used'
	| 'unused-long'
	| 'hazard-apart';

export interface AdviceContext {
	readonly home: Home;
	readonly lot: Lot;
	readonly thing: Thing;
	/** ISO date. */
	readonly today: string;
}
type Rule = (context: AdviceContext) => Advice | null;

const advise = (
	verdict: Verdict,
	strength: Advice['strength'],
	code: AdviceCode,
	facts: Advice['facts'] = {}
): Advice => ({ verdict, strength, code, facts });

const SOON_DAYS = 14;
const has = (lot: Lot, ...states: Lot['states']) =>
	states.find((state) => lot.states.includes(state));

const useByPast: Rule = ({ lot, thing, today }) => {
	const { printed, frozenOn } = lot.dates;
	if (printed?.kind !== 'use-by' || printed.on >= today) return null;
	// Frozen before its date, it is kept by the cold.
	if (frozenOn && frozenOn <= printed.on && !lot.dates.thawedOn) return null;
	const medicine = thing.hazards.includes('medicine');
	return advise(
		medicine ? 'hazardous' : 'discard',
		3,
		medicine ? 'medicine-expired' : 'use-by-past',
		{ on: printed.on, days: daysBetween(printed.on, today) }
	);
};

const canUnsafe: Rule = ({ lot }) => {
	const state = has(lot, 'bulging', 'leaking', 'deep-rust', 'dented-seam');
	return state ? advise('discard', 3, 'can-unsafe', { state }) : null;
};

const thawedWarm: Rule = ({ lot }) =>
	has(lot, 'warm-over-2h') ? advise('discard', 3, 'thawed-warm') : null;

const bestBefore: Rule = ({ lot, thing, today }) => {
	const { printed, frozenOn } = lot.dates;
	if (printed?.kind !== 'best-before' || printed.on >= today || frozenOn) return null;
	if (thing.hazards.includes('medicine'))
		return advise('hazardous', 3, 'medicine-expired', {
			on: printed.on,
			days: daysBetween(printed.on, today)
		});
	const days = daysBetween(printed.on, today);
	const extra = lifeOf(thing)?.extraDays ?? 0;
	return days > extra
		? advise('discard', 2, 'best-before-past-long', { on: printed.on, days, extra })
		: advise('use-first', 2, 'best-before-past', { on: printed.on, days, extra });
};

const effective: Rule = ({ lot, thing, today }) => {
	const date = effectiveDate(lot, thing);
	if (!date || date.basis === 'printed') return null;
	const days = daysBetween(date.on, today);
	// Well past an opening life that is a matter of days is a matter of safety; else of quality.
	if (days > 0) {
		const short = (date.lifeDays ?? 999) <= 14;
		return advise(short ? 'discard' : 'use-first', short ? 3 : 2, 'opened-too-long', {
			basis: date.basis,
			on: date.on,
			days,
			life: date.lifeDays ?? 0
		});
	}
	return null;
};

const dueSoon: Rule = ({ lot, thing, today }) => {
	const date = effectiveDate(lot, thing);
	const days = date ? daysBetween(today, date.on) : Infinity;
	return date && days >= 0 && days <= SOON_DAYS
		? advise('use-first', 2, 'due-soon', { on: date.on, days })
		: null;
};

const keepWithCare: Rule = ({ lot }) => {
	if (has(lot, 'dented')) return advise('use-first', 2, 'can-dent');
	if (has(lot, 'rusty')) return advise('use-first', 2, 'can-rust');
	if (has(lot, 'freezer-burn')) return advise('use-first', 2, 'freezer-burn');
	if (has(lot, 'ice-crystals')) return advise('use-first', 2, 'refrozen');
	return null;
};

const broken: Rule = ({ lot }) => {
	if (has(lot, 'broken')) return advise('recycle', 1, 'broken');
	const state = has(lot, 'no-lid', 'no-box');
	return state ? advise('recycle', 1, 'lone-lid-or-box', { state }) : null;
};

/** Tools and vessels of which the household uses one at a time; dishes, glasses and cutlery are used in sets. */
const ONE_AT_A_TIME = new Set([
	'kitchen.tools',
	'kitchen.appliances',
	'kitchen.bakeware',
	'kitchen.boards'
]);
const duplicates: Rule = ({ home, lot, thing }) => {
	if (!ONE_AT_A_TIME.has(thing.category)) return null;
	const owned = Object.values(home.lots)
		.filter((other) => other.thingId === thing.id && !other.states.includes('broken'))
		.reduce((sum, other) => sum + other.count, 0);
	const used = usesPerWeek(thing) >= 7 ? 2 : 1;
	return owned > used && lot.count > 0
		? advise('give', 1, 'more-than-used', { owned, used, surplus: owned - used, name: thing.name })
		: null;
};

const unused: Rule = ({ home, lot, thing, today }) => {
	const { lastUsedOn } = lot.dates;
	if (!lastUsedOn || thing.use.class === 'seasonal' || categoryOf(thing.category).area === 'food')
		return null;
	const months = Math.floor(daysBetween(lastUsedOn, today) / 30.44);
	return months >= home.settings.unusedMonths ? advise('give', 1, 'unused-long', { months }) : null;
};

const apart: Rule = ({ home, lot, thing }) => {
	const strong = thing.hazards.includes('medicine') || thing.hazards.includes('cleaner');
	const nook = lot.nookId && home.nooks[lot.nookId];
	if (!strong || !nook) return null;
	const food = Object.values(home.lots).find((other) => {
		const mate = other.nookId === nook.id && home.things[other.thingId];
		return mate && categoryOf(mate.category).area === 'food';
	});
	return food
		? advise('move', 3, 'hazard-apart', { beside: home.things[food.thingId]!.name })
		: null;
};

/** In the order in which they are shown among equals: safety, quality, tidiness. */
const RULES: readonly Rule[] = [
	canUnsafe,
	useByPast,
	thawedWarm,
	apart,
	bestBefore,
	effective,
	keepWithCare,
	dueSoon,
	broken,
	duplicates,
	unused
];

/**
 * Gathers all advice on a lot, strongest first; equals keep the order of the rules.
 * The first is what the program would do; an empty list means keep.
 * @example adviseLot({ home, lot: bulgingCan, thing, today })[0].code // 'can-unsafe'
 */
export function adviseLot(context: AdviceContext): Advice[] {
	return RULES.map((rule) => rule(context))
		.filter((advice) => advice !== null)
		.sort((a, b) => b.strength - a.strength);
}
