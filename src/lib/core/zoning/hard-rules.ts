import type { GroupFigures } from '../grouping';
import { mayStandUnderSink } from './belongs';
import { guardLacking, hasToddler } from './child-dangers';
import { petCouldTake } from './pet-dangers';
import { type Home, type Person } from '../model';
import {
	baseAboveFloorMm,
	climateOf,
	climateTags,
	isBathroom,
	reachHeights,
	type NookPlace,
	type Reach
} from '../survey';
import { goesIn, type Clear } from '../standing';

/** Why a group may not live in a nook; the words stand in messages. */
export const HARD_CODES = [
	'not-measured',
	'reserved',
	'needs-frozen',
	'needs-chilled',
	'cold-place',
	'raw-meat-low',
	'crisper-washed',
	'too-tall',
	'too-wide',
	'over-load',
	'no-way',
	'may-not-climb',
	'sits-reach',
	'heavy-high',
	'heavy-low',
	'over-limit',
	'child-lock',
	'child-reach',
	'pet-reach',
	'off-floor',
	'hot-place',
	'damp-place',
	'wet-place',
	'in-bathroom',
	'keep-clear',
	'tops-not-used',
	'banned',
	'pinned-elsewhere'
] as const;
export type HardCode = (typeof HARD_CODES)[number];

/** Everything a hard rule may look at, gathered once a group and nook. */
export interface RuleInput {
	readonly home: Home;
	readonly figures: GroupFigures;
	readonly place: NookPlace;
	/** What things have to keep to here; null: a side is not measured. */
	readonly clear: Clear | null;
	readonly reach: Reach;
	readonly people: readonly Person[];
	/** Walk from the group's stations, mm; Infinity: no way. */
	readonly walkMm: number;
	readonly isLowestInFridge: boolean;
	/** Over or touching a hob or an oven, by where they stand. */
	readonly isHot: boolean;
}

type Rule = (input: RuleInput) => HardCode | null;
const when = (broken: boolean, code: HardCode): HardCode | null => (broken ? code : null);

const OFF_FLOOR_MM = 50;

const cold: Rule = ({ figures, place }) => {
	const climate = climateOf(place.nook);
	if (figures.needs.has('frozen')) return when(climate !== 'frozen', 'needs-frozen');
	if (figures.needs.has('chilled')) return when(climate !== 'chilled', 'needs-chilled');
	return when(climate !== 'room', 'cold-place');
};

const rawMeat: Rule = ({ figures, isLowestInFridge }) =>
	when(
		figures.hazards.has('raw-meat') && figures.needs.has('chilled') && !isLowestInFridge,
		'raw-meat-low'
	);

/** The crisper lies under the shelf of raw meat: what is eaten as it is does not go there. */
const crisper: Rule = ({ figures, place }) =>
	when(
		place.nook.kind === 'crisper' &&
			figures.needs.has('chilled') &&
			figures.things.some(({ category }) => category !== 'food.salad'),
		'crisper-washed'
	);

/** What was set by hand for the whole group: then no single thing is looked at. */
export const isSizedByHand = ({ overridden }: GroupFigures) =>
	overridden.has('tallestMm') || overridden.has('longestMm');

/** Thing by thing, turned and laid down as each may be; with sizes set by hand the group is one block. */
const size: Rule = ({ figures, place, clear }) => {
	if (!clear) return 'not-measured';
	if (isSizedByHand(figures)) {
		if (figures.tallestMm > clear.heightMm) return 'too-tall';
		const { widthMm, depthMm } = place.nook.inside;
		const long = Math.max(widthMm ?? 0, depthMm ?? 0);
		return when(figures.longestMm > long || figures.widestMm > clear.passWidthMm, 'too-wide');
	}
	let worst: HardCode | null = null;
	for (const thing of figures.held) {
		const answer = goesIn(thing, clear);
		if (answer === 'too-tall') return answer;
		if (answer === 'too-wide') worst = answer;
	}
	return worst;
};

/** What someone who should lift nothing above the shoulder still takes down with one hand, g. */
const LIGHT_G = 1000;
/** Nothing is lifted off a worktop to be used there. */
const standsInUse = ({ nook }: NookPlace) => nook.kind === 'worktop';

/**
 * Heights by what the weakest adult who uses it may lift. What is more than a person's own limit stands between knee
 * and elbow, where it can be slid out; whoever may lift it takes it from there.
 */
const lifting: Rule = ({ figures, ...input }) => liftedTo(input, figures.heaviestG);

/** What keeps a thing of so many grams out of a place, by those who would lift it; null: nothing does. */
export function liftedTo(
	{ home, place, people }: Pick<RuleInput, 'home' | 'place' | 'people'>,
	heaviest: number
): HardCode | null {
	const base = baseAboveFloorMm(place);
	const middle = base + (place.nook.inside.heightMm ?? 0) / 2;
	const { lift } = home.settings;
	if (standsInUse(place)) return null;
	for (const person of people.filter((p) => p.ageBand !== 'toddler' && p.ageBand !== 'child')) {
		const body = reachHeights(person.statureMm);
		const own = person.limits.maxLiftG ?? Infinity;
		const highLimit = person.limits.noAboveShoulder
			? Math.min(lift.aboveShoulderG, LIGHT_G)
			: Math.min(lift.aboveShoulderG, own);
		if (heaviest > highLimit && base > body.shoulder) return 'heavy-high';
		const isHandy = base <= body.elbow && middle >= body.knee;
		if (heaviest > own && !isHandy) return 'over-limit';
		if (heaviest > lift.kneeToElbowG && base > body.elbow) return 'heavy-high';
		if (heaviest > lift.kneeToElbowG && middle < body.knee) return 'heavy-low';
	}
	return null;
}

const children: Rule = ({ home, figures, place }) => {
	const lacking = hasToddler(home) ? guardLacking(figures, place) : null;
	return lacking && (lacking === 'lock' ? 'child-lock' : 'child-reach');
};

const pets: Rule = ({ home, figures, place }) =>
	when(petCouldTake(home, figures, place), 'pet-reach');

const warmOrBare: Rule = ({ figures, place, isHot }) => {
	if (climateOf(place.nook) !== 'room') return null;
	const climate = climateTags(place);
	const hot = isHot || climate.includes('heat');
	// Sprays, fuels and medicines by the heat hurt more than food that spoils there.
	const { hazards } = figures;
	if (hot && ['cleaner', 'flammable', 'medicine'].some((one) => hazards.has(one as never)))
		return 'hot-place';
	if (!figures.isFood) return null;
	if (baseAboveFloorMm(place) < OFF_FLOOR_MM && place.cabinet.form !== 'trolley')
		return 'off-floor';
	if (climate.includes('unheated') || hot) return 'hot-place';
	return when(climate.includes('damp') || isBathroom(place), 'damp-place');
};

/** What one eats from and cooks with stays out of bathrooms, as food does; so does what is plugged in in a kitchen. */
const bathrooms: Rule = ({ figures, place }) =>
	when(
		isBathroom(place) &&
			figures.things.some(
				({ category }) => WARE_KINDS.test(category) || category === 'kitchen.appliances'
			),
		'in-bathroom'
	);

/** Under a sink it drips: food, dishes, cooking ware, cloth, paper and current stand elsewhere. */
const underSink: Rule = ({ figures, place }) =>
	when(place.nook.kind === 'undersink' && !mayStandUnderSink(figures), 'wet-place');

/** In front of a valve stands only what one movement takes away, g and ml. */
const MOVED_AT_ONCE = { massG: 5000, volumeMl: 30_000 };
const keepClear: Rule = ({ figures, place }) =>
	when(
		place.nook.kind !== 'undersink' &&
			place.nook.obstructions.some(({ kind }) => kind === 'valve') &&
			(figures.massG > MOVED_AT_ONCE.massG || figures.volumeMl > MOVED_AT_ONCE.volumeMl),
		'keep-clear'
	);

const bans: Rule = ({ home, figures, place }) =>
	when(
		home.pins.some(
			(pin) => pin.kind === 'ban' && pin.groupId === figures.groupId && pin.nookId === place.nook.id
		),
		'banned'
	);

const outOfReach: Rule = ({ home, reach }) => {
	if (reach.factor !== Infinity) return null;
	return home.people[reach.personId ?? '']?.limits.seated ? 'sits-reach' : 'may-not-climb';
};

const RULES: readonly Rule[] = [
	bans,
	({ place }) => when(place.nook.tags.includes('use-first'), 'reserved'),
	cold,
	size,
	rawMeat,
	crisper,
	children,
	pets,
	warmOrBare,
	underSink,
	bathrooms,
	lifting,
	({ figures, place }) => when(figures.heaviestG > (place.nook.loadG ?? Infinity), 'over-load'),
	keepClear,
	outOfReach,
	({ home, place }) => when(place.nook.kind === 'top' && !home.schools.tops, 'tops-not-used'),
	({ walkMm }) => when(walkMm === Infinity, 'no-way')
];

/** Finds the first hard rule that keeps a group out of a nook; null when none does. Pins are kept by its parts. */
export function hardRuleBroken(input: RuleInput): HardCode | null {
	for (const rule of RULES) {
		const code = rule(input);
		if (code) return code;
	}
	return null;
}

/** Lists all hard rules that keep a group out of a nook: what one change lifts may leave others standing. */
export const hardRulesBroken = (input: RuleInput): HardCode[] =>
	RULES.flatMap((rule) => rule(input) ?? []);

/** Bits of what a group is: food, cleaner or of unknown kind … chilled and not raw, what one eats from or cooks with. */
const [FOOD, CLEANER, MEDICINE, PET_FOOD, HARMS_PETS, RAW, READY, WARE] = [
	1, 2, 4, 8, 16, 32, 64, 128
] as const;
/** What may not share a nook, the gravest first. */
const CLASHES = [
	['food-medicine', FOOD, MEDICINE],
	['food-cleaner', FOOD, CLEANER],
	['medicine-cleaner', MEDICINE, CLEANER],
	['ware-cleaner', WARE, CLEANER],
	['raw-ready', RAW, READY],
	['pet-food', PET_FOOD, HARMS_PETS]
] as const;
export type ClashCode = (typeof CLASHES)[number][0];

/**
 * Says which rule two sets of kinds break by sharing a nook, the gravest; null: none.
 * @example clashOf(kindsOfFlour, kindsOfBleach) // 'food-cleaner'
 */
export const clashOf = (one: number, other: number): ClashCode | null =>
	CLASHES.find(([, a, b]) => (one & a && other & b) || (one & b && other & a))?.[0] ?? null;

/** What a group is, and what may not share a nook with it, in bits. */
export function kindsAndConflicts(figures: GroupFigures): { kinds: number; conflicts: number } {
	const { hazards, isFood, things } = figures;
	const isChilled = figures.needs.has('chilled');
	const isRaw = hazards.has('raw-meat') && isChilled;
	const isWare = things.some(({ category }) => WARE_KINDS.test(category));
	const isPetFood = things.some(({ category }) => category === 'food.pet');
	const kinds =
		(isFood ? FOOD : 0) |
		// What may be anything keeps its distance like a cleaner, but for a medicine of which it is the only doubt.
		(hazards.has('cleaner') || (hazards.has('unknown') && !hazards.has('medicine')) ? CLEANER : 0) |
		(hazards.has('medicine') ? MEDICINE : 0) |
		(isPetFood ? PET_FOOD : 0) |
		(isFood && !isPetFood && things.some(({ name }) => HARMS_PETS_FOOD.test(name))
			? HARMS_PETS
			: 0) |
		(isRaw ? RAW : 0) |
		(!isRaw && isChilled ? READY : 0) |
		(isWare ? WARE : 0);
	const conflicts = CLASHES.reduce(
		(all, [, a, b]) => all | (kinds & a ? b : 0) | (kinds & b ? a : 0),
		0
	);
	return { kinds, conflicts };
}
/** What one eats from or cooks with; appliances and bags are not touched by a closed bottle beside them. */
const WARE_KINDS =
	/^kitchen\.(?:dishes|glasses|cutlery|tools|knives|pots|lids|bakeware|boards|food-boxes|lunch|serving)$/;
const HARMS_PETS_FOOD =
	/\b(?:onions?|garlic|chocolate|cocoa|grapes?|raisins?|sultanas?|currants?|leeks?|chives)\b/i;

/** What may not stand in one cabinet, whatever the shelf: bit 1 bleach, 2 acid. Together they give off poisonous gas. */
export function cabinetConflicts({ hazards }: GroupFigures): { kinds: number; conflicts: number } {
	const kinds = (hazards.has('bleach') ? 1 : 0) | (hazards.has('acid') ? 2 : 0);
	return { kinds, conflicts: ((kinds & 1) << 1) | ((kinds & 2) >> 1) };
}
