import type { Person, Settings } from '../model';

export type ReachBand = 'easy' | 'good' | 'bend' | 'stretch' | 'stool';
export const REACH_BANDS: readonly ReachBand[] = ['easy', 'good', 'bend', 'stretch', 'stool'];

export interface ReachHeights {
	readonly knee: number;
	readonly hip: number;
	readonly elbow: number;
	readonly shoulder: number;
	readonly eye: number;
	readonly grip: number;
}

/**
 * Gives the heights of a person's joints above the floor from the stature, mm.
 * Ratios after Drillis and Contini (1966); the overhead grip is about 1.22 of the stature.
 * @example reachHeights(1580).eye // 1479
 */
export function reachHeights(statureMm: number): ReachHeights {
	const at = (ratio: number) => Math.round(statureMm * ratio);
	return {
		knee: at(0.285),
		hip: at(0.53),
		elbow: at(0.63),
		shoulder: at(0.818),
		eye: at(0.936),
		grip: at(1.22)
	};
}

/** Tells the band a height above the floor falls in; a height on a border belongs to the easier band. */
export function bandAt(heightMm: number, statureMm: number): ReachBand {
	const body = reachHeights(statureMm);
	if (heightMm < body.knee) return 'bend';
	if (heightMm < body.hip) return 'good';
	if (heightMm <= body.shoulder) return 'easy';
	if (heightMm <= body.eye) return 'good';
	return heightMm <= body.grip ? 'stretch' : 'stool';
}

export interface Reach {
	readonly band: ReachBand;
	/** Effort factor with depth; Infinity where somebody who needs it may not climb. */
	readonly factor: number;
	/** The person who decides: the one with the largest factor, the shorter on a tie. */
	readonly personId: string | null;
}

export interface ReachSpot {
	/** Height at which the hand takes the contents, mm above the floor. */
	readonly heightMm: number;
	/** Top of what stands there, mm above the floor: from a chair one takes hold of it there. */
	readonly topMm?: number;
	readonly depthMm: number;
	readonly pullOut: boolean;
	/** Somebody who sits has to get round a hinged door. */
	readonly behindDoor?: boolean;
}

const FREE_DEPTH_MM = 300;
/** What a hinged door adds for somebody who sits before it. */
const DOOR_SEATED = 0.7;

/**
 * Judges a spot for the people who use it: whoever finds it hardest decides.
 * Somebody who sits takes nothing below or above the heights that were set for them.
 * Without people it is judged for a stature of 1680 mm. Toddlers are not asked to fetch things.
 */
export function reachOf(
	spot: ReachSpot,
	people: readonly Person[],
	effort: Settings['effort']
): Reach {
	const extra = spot.pullOut
		? 0
		: (Math.max(0, spot.depthMm - FREE_DEPTH_MM) / 100) * effort.depthPer100;
	const judge = (statureMm: number, noClimb: boolean, personId: string | null): Reach => {
		const band = bandAt(spot.heightMm, statureMm);
		const factor = band === 'stool' && noClimb ? Infinity : effort[band] + extra;
		return { band, factor, personId };
	};
	const asked = people
		.filter((person) => person.ageBand !== 'toddler')
		.sort((a, b) => a.statureMm - b.statureMm);
	return asked
		.map((person): Reach => {
			const { seated } = person.limits;
			if (!seated) return judge(person.statureMm, person.limits.noClimb, person.id);
			const top = Math.max(spot.heightMm, spot.topMm ?? 0);
			const isNear = top >= seated.lowMm && spot.heightMm <= seated.highMm;
			const factor = effort.good + extra + (spot.behindDoor ? DOOR_SEATED : 0);
			return isNear
				? { band: 'good', factor, personId: person.id }
				: {
						band: top < seated.lowMm ? 'bend' : 'stool',
						factor: Infinity,
						personId: person.id
					};
		})
		.reduce((worst, reach) => (reach.factor > worst.factor ? reach : worst), {
			...judge(asked[0]?.statureMm ?? 1680, false, asked[0]?.id ?? null),
			...(asked.length ? { factor: -Infinity } : {})
		});
}
