import {
	categoryOf,
	daysBetween,
	lotsIn,
	lotsOf,
	memoOn,
	UNKNOWN_KIND,
	usesPerWeek,
	type Home,
	type Lot,
	type Thing,
	type Verdict
} from '../model';
import { mayHold } from '../grouping';
import { effectiveDate, isUndatedOpen, lifeOf, openLifeDays, SHORT_LIFE_DAYS } from '../rotation';
import { matchHome } from './match-sets';

export interface Advice {
	readonly verdict: Verdict;
	/** 3 safety, 2 quality, 1 tidiness. */
	readonly strength: 1 | 2 | 3;
	readonly code: AdviceCode;
	readonly facts: Readonly<Record<string, string | number>>;
	/** The household has decided otherwise before, on the same grounds; such advice comes last. */
	readonly overruled?: { readonly verdict: Verdict; readonly reason: string; readonly on: string };
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
	| 'hazard-apart'
	| 'food-apart'
	| 'unknown-kind'
	| 'pest'
	| 'pest-near'
	| 'mouldy'
	| 'no-own-pack'
	| 'allergen-apart'
	| 'somebody-elses'
	| 'disliked'
	| 'part-missing'
	| 'leaking-hazard'
	| 'spare'
	| 'place-full'
	| 'open-since'
	| 'child-reach'
	| 'pet-reach'
	| 'gas-apart'
	| 'not-in-the-cold'
	| 'not-in-the-heat'
	| 'spoils-in-heat'
	| 'spoils-in-damp'
	| 'medicine-in-damp';

export interface AdviceContext {
	readonly home: Home;
	readonly lot: Lot;
	readonly thing: Thing;
	/** ISO date. */
	readonly today: string;
	/** Whether more stands in its place than the place holds. */
	readonly overFull?: boolean;
}
export type Rule = (context: AdviceContext) => Advice | null;

export const advise = (
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

/** Whether it is food in a closed pack, where a leak lets germs in. */
const isSealedFood = (lot: Lot, thing: Thing) => isFood(thing) && !lot.states.includes('open');

const canUnsafe: Rule = ({ lot, thing }) => {
	const state =
		has(lot, 'bulging', 'popped', 'smells', 'deep-rust', 'dented-seam') ??
		(isSealedFood(lot, thing) ? has(lot, 'leaking') : undefined);
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
		const short = (date.lifeDays ?? Infinity) <= SHORT_LIFE_DAYS;
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

/** Open, and nobody has said since when. */
const openSince: Rule = ({ lot, thing }) =>
	isUndatedOpen(lot, thing)
		? advise('use-first', 2, 'open-since', { life: openLifeDays(thing) ?? 0 })
		: null;

const keepWithCare: Rule = ({ lot }) => {
	if (has(lot, 'dented')) return advise('use-first', 2, 'can-dent');
	if (has(lot, 'rusty')) return advise('use-first', 2, 'can-rust');
	if (has(lot, 'freezer-burn')) return advise('use-first', 2, 'freezer-burn');
	if (has(lot, 'ice-crystals')) return advise('use-first', 2, 'refrozen');
	return null;
};

const broken: Rule = ({ lot, thing }) => {
	const state = has(lot, 'broken', 'leaking', 'chipped');
	if (!state || isSealedFood(lot, thing)) return null;
	// Sprays, solvents and batteries do not go into the bin, broken least of all.
	if (thing.hazards.some((hazard) => hazard === 'flammable' || hazard === 'cleaner'))
		return advise('hazardous', 3, 'leaking-hazard', { state });
	return advise('recycle', 1, 'broken', { state });
};

const partMissing: Rule = ({ lot, thing }) =>
	has(lot, 'no-part') ? advise('recycle', 1, 'part-missing', { name: thing.name }) : null;

const loneHalf: Rule = ({ home, lot, thing }) => {
	const state = has(lot, 'no-lid', 'no-box');
	if (state) return advise('recycle', 1, 'lone-lid-or-box', { state });
	if (!thing.rim) return null;
	// Matched by shape and size over the whole home: a lid that no vessel needs is an orphan.
	const { loneLids, loneVessels } = matchHome(home);
	const lone = thing.rim.part === 'lid' ? loneLids : loneVessels;
	const orphans = lone.filter((key) => key.startsWith(`${lot.id}/`)).length;
	return orphans
		? advise('recycle', 1, 'lone-lid-or-box', {
				state: thing.rim.part === 'lid' ? 'no-box' : 'no-lid',
				orphans,
				count: lot.count
			})
		: null;
};

const somebodyElses: Rule = ({ lot }) =>
	lot.owner ? advise('return', 2, 'somebody-elses', { owner: lot.owner }) : null;

const disliked: Rule = ({ thing }) =>
	thing.avoid ? advise('give', 1, 'disliked', { name: thing.name }) : null;

/** Tools and vessels of which the household uses one at a time; dishes, glasses and cutlery are used in sets. */
const ONE_AT_A_TIME = new Set([
	'kitchen.tools',
	'kitchen.appliances',
	'kitchen.bakeware',
	'kitchen.boards'
]);
const duplicates: Rule = ({ home, lot, thing }) => {
	if (!ONE_AT_A_TIME.has(thing.category)) return null;
	const owned = lotsOf(home, thing.id)
		.filter((other) => !other.states.includes('broken'))
		.reduce((sum, other) => sum + other.count, 0);
	const used = usesPerWeek(thing) >= 7 ? 2 : 1;
	return owned > used && lot.count > 0
		? advise('give', 1, 'more-than-used', { owned, used, surplus: owned - used, name: thing.name })
		: null;
};

const hasBackPlace = memoOn(['nooks'], ({ nooks }) =>
	Object.values(nooks).some(({ tags }) => tags.includes('satellite'))
);
/** Unopened packs beyond what is open and one more: they stand better in a back place, where there is one. */
const spare: Rule = ({ home, lot, thing }) => {
	const nook = lot.nookId && home.nooks[lot.nookId];
	if (!nook || nook.tags.includes('satellite') || lot.states.includes('open') || lot.count < 1)
		return null;
	const here = lotsOf(home, thing.id)
		.filter((other) => other.nookId === nook.id)
		.reduce((sum, other) => sum + other.count, 0);
	const enough = usesPerWeek(thing) >= 3 ? 3 : 2;
	return here > enough &&
		hasBackPlace(home) &&
		thing.needs.every((need) => need === 'dry' || need === 'dark')
		? advise('back-stock', 1, 'spare', { here, enough, name: thing.name })
		: null;
};

const unused: Rule = ({ home, lot, thing, today }) => {
	const { lastUsedOn } = lot.dates;
	if (!lastUsedOn || thing.use.class === 'seasonal' || categoryOf(thing.category).area === 'food')
		return null;
	const months = Math.floor(daysBetween(lastUsedOn, today) / 30.44);
	return months >= home.settings.unusedMonths ? advise('give', 1, 'unused-long', { months }) : null;
};

const isFood = (thing: Thing | undefined): boolean =>
	!!thing && categoryOf(thing.category).area === 'food';
const isStrong = (thing: Thing | undefined): boolean =>
	!!thing && (thing.hazards.includes('medicine') || thing.hazards.includes('cleaner'));

/** Food and what can hurt in one place: the fewer of the two move, what can hurt where they are as many. */
const apart: Rule = ({ home, lot, thing }) => {
	if (!lot.nookId || !(isStrong(thing) || isFood(thing))) return null;
	const mates = lotsIn(home, lot.nookId).map(({ thingId }) => home.things[thingId]);
	const food = mates.filter(isFood);
	const strong = mates.filter(isStrong);
	if (!food.length || !strong.length) return null;
	const foodMoves = food.length < strong.length;
	if (isStrong(thing) && !foodMoves)
		return advise('move', 3, 'hazard-apart', { beside: food[0]!.name });
	return isFood(thing) && !isStrong(thing) && foodMoves
		? advise('move', 3, 'food-apart', { beside: strong[0]!.name })
		: null;
};

/** What nobody has said the kind of is asked about before anything is decided. */
const unknownKind: Rule = ({ thing }) =>
	thing.category === UNKNOWN_KIND ? advise('hold', 2, 'unknown-kind', { name: thing.name }) : null;

const pest: Rule = ({ home, lot, thing }) => {
	if (has(lot, 'pest')) return advise(isFood(thing) ? 'discard' : 'recycle', 3, 'pest');
	if (!lot.nookId || !isFood(thing) || !thing.needs.includes('dry')) return null;
	const infested = lotsIn(home, lot.nookId).find(({ states }) => states.includes('pest'));
	return infested
		? advise('keep', 2, 'pest-near', { beside: home.things[infested.thingId]?.name ?? '' })
		: null;
};

const mouldy: Rule = ({ lot, thing }) =>
	has(lot, 'mouldy') ? advise('discard', isFood(thing) ? 3 : 2, 'mouldy') : null;

/** A chemical or a medicine that is not in its own pack: nobody can tell what it is, or how much of it is safe. */
const noOwnPack: Rule = ({ lot, thing }) =>
	isStrong(thing) && has(lot, 'no-label')
		? advise('hazardous', 3, 'no-own-pack', { name: thing.name })
		: null;

/** Food that somebody here must not eat: in a box of its own, above the others. */
const allergen: Rule = ({ home, lot, thing }) => {
	if (!lot.nookId || lot.count < 1) return null;
	const found = Object.values(home.people).flatMap(({ name, allergies }) =>
		allergies.filter((word) => mayHold(thing, word)).map((word) => ({ name, word: word.trim() }))
	)[0];
	if (!found) return null;
	const mixed = lotsIn(home, lot.nookId).some((other) => {
		const mate = home.things[other.thingId];
		return mate && categoryOf(mate.category).area === 'food' && !mayHold(mate, found.word);
	});
	return mixed
		? advise('move', 2, 'allergen-apart', { person: found.name, allergen: found.word })
		: null;
};

const placeFull: Rule = ({ overFull, thing }) =>
	overFull && usesPerWeek(thing) < 0.25
		? advise('move', 1, 'place-full', { uses: usesPerWeek(thing) })
		: null;

/** What a thing is by itself and in its state, in the order in which they are shown among equals. */
export const STATE_RULES: readonly Rule[] = [
	canUnsafe,
	pest,
	mouldy,
	noOwnPack,
	useByPast,
	thawedWarm,
	apart,
	unknownKind,
	bestBefore,
	effective,
	keepWithCare,
	dueSoon,
	openSince,
	allergen,
	somebodyElses,
	broken,
	partMissing,
	loneHalf,
	disliked,
	duplicates,
	spare,
	unused,
	placeFull
];
