import type { GroupFigures } from '../grouping';
import { mayStandUnderSink } from './belongs';
import type { Home, Person } from '../model';
import {
	baseAboveFloorMm,
	climateOf,
	climateTags,
	reachHeights,
	TODDLER_CLIMB_MM,
	TODDLER_REACH_MM,
	type NookPlace,
	type Reach,
	type UsableSpace
} from '../survey';

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
	'heavy-high',
	'heavy-low',
	'child-reach',
	'pet-reach',
	'off-floor',
	'hot-place',
	'wet-place',
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
	readonly space: UsableSpace;
	readonly reach: Reach;
	readonly people: readonly Person[];
	/** Walk from the group's stations, mm; Infinity: no way. */
	readonly walkMm: number;
	readonly isLowestInFridge: boolean;
}

type Rule = (input: RuleInput) => HardCode | null;
const when = (broken: boolean, code: HardCode): HardCode | null => (broken ? code : null);

const PET_REACH_MM = 1200;
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

const size: Rule = ({ figures, place, space }) => {
	if (!space.ok) return 'not-measured';
	if (figures.tallestMm > space.passes.heightMm) return 'too-tall';
	const { widthMm, depthMm } = place.nook.inside;
	const long = Math.max(widthMm ?? 0, depthMm ?? 0);
	return when(figures.longestMm > long || figures.widestMm > space.passes.widthMm, 'too-wide');
};

/** What someone who should lift nothing above the shoulder still takes down with one hand, g. */
const LIGHT_G = 1000;

const lifting: Rule = ({ home, figures, place, people }) => {
	const base = baseAboveFloorMm(place);
	const { lift } = home.settings;
	for (const person of people.filter((p) => p.ageBand !== 'toddler' && p.ageBand !== 'child')) {
		const body = reachHeights(person.statureMm);
		const highLimit = person.limits.noAboveShoulder
			? Math.min(lift.aboveShoulderG, LIGHT_G)
			: Math.min(lift.aboveShoulderG, person.limits.maxLiftG ?? Infinity);
		if (figures.heaviestG > highLimit && base > body.shoulder) return 'heavy-high';
		if (figures.heaviestG > lift.kneeToElbowG && base > body.elbow) return 'heavy-high';
		const low = base + (place.nook.inside.heightMm ?? 0) / 2 < body.knee;
		if (figures.heaviestG > lift.kneeToElbowG && low) return 'heavy-low';
	}
	return null;
};

/** What a small child must not get at: drinks, sprays, matches and fuels as much as cleaners. */
const STRONG = ['cleaner', 'medicine', 'unknown', 'alcohol', 'flammable'] as const;

const children: Rule = ({ home, figures, place }) => {
	const small = Object.values(home.people).some((person) => person.ageBand === 'toddler');
	if (!small || place.cabinet.lockable || place.nook.locked) return null;
	const base = baseAboveFloorMm(place);
	// What nobody has said the kind of yet may be anything.
	const poison = STRONG.some((hazard) => figures.hazards.has(hazard));
	const sharp = figures.hazards.has('sharp') || figures.hazards.has('choking');
	return when(
		(poison && base < TODDLER_CLIMB_MM) || (sharp && base < TODDLER_REACH_MM),
		'child-reach'
	);
};

const pets: Rule = ({ home, figures, place }) =>
	when(
		Object.keys(home.pets).length > 0 &&
			figures.hazards.has('pet-toxic') &&
			place.cabinet.front === 'open' &&
			baseAboveFloorMm(place) < PET_REACH_MM,
		'pet-reach'
	);

const warmOrBare: Rule = ({ figures, place }) => {
	if (!figures.isFood || climateOf(place.nook) !== 'room') return null;
	if (baseAboveFloorMm(place) < OFF_FLOOR_MM && place.cabinet.form !== 'trolley')
		return 'off-floor';
	const climate = climateTags(place);
	return when(climate.includes('unheated') || climate.includes('heat'), 'hot-place');
};

/** Under a sink it drips: food, dishes, cooking ware, cloth, paper and current stand elsewhere. */
const underSink: Rule = ({ figures, place }) =>
	when(place.nook.kind === 'undersink' && !mayStandUnderSink(figures), 'wet-place');

const bans: Rule = ({ home, figures, place }) =>
	when(
		home.pins.some(
			(pin) => pin.kind === 'ban' && pin.groupId === figures.groupId && pin.nookId === place.nook.id
		),
		'banned'
	);

const RULES: readonly Rule[] = [
	bans,
	({ place }) => when(place.nook.tags.includes('use-first'), 'reserved'),
	size,
	cold,
	rawMeat,
	crisper,
	children,
	pets,
	warmOrBare,
	underSink,
	lifting,
	({ figures, place }) => when(figures.heaviestG > (place.nook.loadG ?? Infinity), 'over-load'),
	({ reach }) => when(reach.factor === Infinity, 'may-not-climb'),
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

/** What may not share a nook: bit 1 food, 2 cleaner or of unknown kind, 4 medicine, 8 bleach, 16 acid, 32 raw, 64 chilled and not raw. */
export function kindsAndConflicts(figures: GroupFigures): { kinds: number; conflicts: number } {
	const [FOOD, CLEANER, MEDICINE, BLEACH, ACID, RAW, READY] = [1, 2, 4, 8, 16, 32, 64];
	const { hazards, isFood } = figures;
	const isRaw = hazards.has('raw-meat') && figures.needs.has('chilled');
	const isReady = !isRaw && figures.needs.has('chilled');
	const kinds =
		(isFood ? FOOD! : 0) |
		(hazards.has('cleaner') || hazards.has('unknown') ? CLEANER! : 0) |
		(hazards.has('medicine') ? MEDICINE! : 0) |
		(hazards.has('bleach') ? BLEACH! : 0) |
		(hazards.has('acid') ? ACID! : 0) |
		(isRaw ? RAW! : 0) |
		(isReady ? READY! : 0);
	const conflicts =
		(kinds & FOOD! ? CLEANER! | MEDICINE! : 0) |
		(kinds & CLEANER! ? FOOD! | MEDICINE! : 0) |
		(kinds & MEDICINE! ? FOOD! | CLEANER! : 0) |
		(kinds & BLEACH! ? ACID! : 0) |
		(kinds & ACID! ? BLEACH! : 0) |
		(kinds & RAW! ? READY! : 0) |
		(kinds & READY! ? RAW! : 0);
	return { kinds, conflicts };
}
