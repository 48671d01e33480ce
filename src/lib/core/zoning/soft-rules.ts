import type { GroupFigures } from '../grouping';
import type { Home } from '../model';
import { climateTags, baseAboveFloorMm, reachHeights, type NookPlace } from '../survey';

export const SOFT_CODES = [
	'heat-shy',
	'damp',
	'ventilation',
	'heavy-above-shoulder',
	'treat-at-child-height',
	'plain-sight',
	'satellite',
	'worktop-clutter',
	'rare-in-prime',
	'under-sink'
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
}
type SoftRule = readonly [code: SoftCode, effort: number, applies: (input: SoftInput) => boolean];

const climateAt = ({ place }: SoftInput) => new Set(climateTags(place));
const HEAVY_G = 1000;
const DAILY = 7;

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
	['damp', 20, (input) => input.figures.needs.has('dry') && climateAt(input).has('damp')],
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
		({ figures, place }) => place.nook.tags.includes('satellite') && figures.usesPerWeek >= DAILY
	],
	[
		'worktop-clutter',
		10,
		({ figures, place }) => place.nook.kind === 'worktop' && figures.usesPerWeek < DAILY
	],
	[
		'rare-in-prime',
		3,
		({ figures, reachFactor }) => figures.usesPerWeek < 0.25 && reachFactor <= 1.3
	],
	[
		// Drips, and the cleaners' own place: anything else that could live elsewhere should.
		'under-sink',
		20,
		({ figures, place }) =>
			place.nook.kind === 'undersink' &&
			!figures.hazards.has('cleaner') &&
			!figures.stations.has('sink')
	]
];

/** Lists the soft rules that a group in a nook goes against, with what each costs. */
export function softPenalties(input: SoftInput): SoftPenalty[] {
	const { softWeight } = input.home.settings.effort;
	return RULES.filter(([, , applies]) => applies(input)).map(([code, effort]) => ({
		code,
		effort: effort * softWeight
	}));
}
