import { CLOTHS, type GroupFigures } from '../grouping';
import type { Home } from '../model';
import type { BelongsTable, PlaceKind, WalkTo } from './belongs';
import { baseAboveFloorMm, climateTags, reachHeights, socketMm, type NookPlace } from '../survey';

export const SOFT_CODES = [
	'out-of-place',
	'heat-shy',
	'damp',
	'ventilation',
	'heavy-above-shoulder',
	'treat-at-child-height',
	'plain-sight',
	'satellite',
	'worktop-clutter',
	'rare-in-prime',
	'daily-high',
	'under-sink',
	'child-serves-itself',
	'allergen-free-low',
	'in-sight',
	'spares-in-prime',
	'deep-corner',
	'two-movements',
	'towels-far',
	'socket-far'
] as const;
export type SoftCode = (typeof SOFT_CODES)[number];

export interface SoftPenalty {
	readonly code: SoftCode;
	/** Effort a week, in metres walked. */
	readonly effort: number;
}

interface SoftInput {
	readonly home: Home;
	readonly figures: GroupFigures;
	readonly place: NookPlace;
	readonly reachFactor: number;
	/** Walk from its stations, one way, mm. */
	readonly walkMm: number;
	/** What kinds of place it is. */
	readonly spots: ReadonlySet<PlaceKind>;
	/** How far it is from the work. */
	readonly walkTo: WalkTo;
	/** Where kinds belong in this home. */
	readonly belongs: BelongsTable;
}
type SoftRule = readonly [code: SoftCode, effort: number, applies: (input: SoftInput) => boolean];

const climateAt = ({ place }: SoftInput) => new Set(climateTags(place));
const HEAVY_G = 1000;
const DAILY = 7;
/** In use every day, and fetched from where it stands as well: a roll on its holder is not. */
const isDaily = ({ usesPerWeek, tripsPerWeek }: GroupFigures): boolean =>
	usesPerWeek >= DAILY && tripsPerWeek >= DAILY / 3;
const WEEKLY = 1;
/** Less than once a month. */
const RARE = 0.25;
const EASY_REACH = 1.3;
/** Where most of the work is done. */
const BUSY = ['hob', 'sink'] as const;
/** Two steps, mm. */
const TWO_STEPS_MM = 1500;
const DEEP_MM = 600;
const SECOND_MOVEMENT = new Set(['top', 'under-bed', 'chest-layer']);
/** An appliance stands within its cord of a socket, mm. */
const CORD_MM = 1500;
const POWERED = new Set(['kitchen.appliances', 'bathroom.electricals']);

/** Efforts are judgements: about what a household gives to walk a few metres more often for each of them. */
const RULES: readonly SoftRule[] = [
	[
		'heat-shy',
		25,
		(input) => {
			const climate = climateAt(input);
			const warm = climate.has('heat') || climate.has('sun') || climate.has('steam');
			const { needs, traits } = input.figures;
			return warm && (traits.has('heat-shy') || needs.has('cool') || needs.has('dark'));
		}
	],
	[
		'damp',
		20,
		// What belongs in a bathroom is used to it.
		(input) =>
			input.figures.needs.has('dry') &&
			climateAt(input).has('damp') &&
			!(input.spots.has('bathroom') && input.belongs.belongsOn(input.figures, 'bathroom'))
	],
	[
		'ventilation',
		15,
		(input) => input.figures.needs.has('ventilated') && !climateAt(input).has('ventilated')
	],
	[
		'heavy-above-shoulder',
		12,
		({ figures, place }) =>
			figures.heaviestG > HEAVY_G && baseAboveFloorMm(place) > reachHeights(1680).shoulder
	],
	[
		'treat-at-child-height',
		6,
		({ home, figures, place }) => {
			const child = Object.values(home.people).find((person) => person.ageBand === 'child');
			return (
				!!child &&
				figures.traits.has('treat') &&
				baseAboveFloorMm(place) < reachHeights(child.statureMm).eye
			);
		}
	],
	[
		'plain-sight',
		5,
		({ figures, place }) =>
			place.nook.tags.includes('plain-sight') &&
			(figures.hazards.has('cleaner') || figures.hazards.has('medicine'))
	],
	[
		'satellite',
		6,
		({ figures, place }) => place.nook.tags.includes('satellite') && isDaily(figures)
	],
	[
		// A worktop is for working: only what stands there by right and is used daily may take it up.
		'worktop-clutter',
		150,
		({ figures, place, belongs }) =>
			place.nook.kind === 'worktop' &&
			(figures.usesPerWeek < DAILY || !belongs.belongsOn(figures, 'worktop'))
	],
	[
		// The best places are those at an easy height, and those by the work.
		'rare-in-prime',
		25,
		({ figures, place, reachFactor, walkTo }) =>
			figures.usesPerWeek < RARE &&
			(reachFactor <= EASY_REACH ||
				((walkTo(BUSY) ?? Infinity) <= TWO_STEPS_MM / 1000 &&
					baseAboveFloorMm(place) < reachHeights(1680).shoulder))
	],
	[
		'daily-high',
		60,
		({ figures, place }) =>
			isDaily(figures) &&
			(baseAboveFloorMm(place) > reachHeights(1680).eye || place.nook.kind === 'top')
	],
	[
		// Drips, and the cleaners' own place: anything else that could live elsewhere should.
		'under-sink',
		20,
		({ figures, place }) =>
			place.nook.kind === 'undersink' &&
			!figures.hazards.has('cleaner') &&
			!figures.hazards.has('unknown') &&
			!figures.stations.has('sink')
	],
	[
		'child-serves-itself',
		5,
		({ home, figures, place }) => {
			const users = figures.userIds.map((id) => home.people[id]);
			if (!users.length || figures.traits.has('treat') || figures.hazards.size) return false;
			return users.every(
				(user) =>
					user?.ageBand === 'child' &&
					baseAboveFloorMm(place) > reachHeights(user.statureMm).shoulder
			);
		}
	],
	[
		// What is free of an allergen stands on top of its cabinet, so that nothing falls into it.
		'allergen-free-low',
		8,
		({ home, figures, place }) =>
			figures.allergens.freeFrom.length > 0 &&
			Object.values(home.nooks).some(
				({ cabinetId, at }) => cabinetId === place.cabinet.id && at.zMm > place.nook.at.zMm
			)
	],
	[
		'in-sight',
		4,
		({ figures, place }) =>
			figures.look === 'hide' && (place.cabinet.front === 'open' || place.nook.kind === 'worktop')
	],
	[
		'spares-in-prime',
		3,
		({ figures, place, reachFactor }) =>
			figures.stockOf !== null && reachFactor <= 1.3 && !place.nook.tags.includes('satellite')
	],
	[
		'deep-corner',
		5,
		({ figures, place }) =>
			figures.usesPerWeek >= WEEKLY &&
			(place.nook.kind === 'corner' ||
				(place.nook.kind === 'shelf' && (place.nook.inside.depthMm ?? 0) > DEEP_MM))
	],
	[
		'two-movements',
		4,
		({ figures, place }) => figures.usesPerWeek >= WEEKLY && SECOND_MOVEMENT.has(place.nook.kind)
	],
	[
		'towels-far',
		4,
		({ figures, walkMm }) =>
			walkMm > TWO_STEPS_MM && figures.things.some(({ category }) => CLOTHS.has(category))
	],
	[
		// Nothing is said in a home whose sockets nobody has marked.
		'socket-far',
		5,
		({ home, figures, place }) =>
			figures.things.some(({ category }) => POWERED.has(category)) &&
			(socketMm(home, place, [...figures.stations.keys()]) ?? 0) > CORD_MM
	]
];

/** Lists the soft rules that a group in a nook goes against, with what each costs. */
export function softPenalties(input: SoftInput): SoftPenalty[] {
	const { softWeight } = input.home.settings.effort;
	const found = RULES.filter(([, , applies]) => applies(input)).map(([code, effort]) => ({
		code,
		effort: effort * softWeight
	}));
	const strayM = input.belongs.outOfPlaceM(input.figures, input.spots, input.walkTo);
	return strayM ? [{ code: 'out-of-place', effort: strayM * softWeight }, ...found] : found;
}
