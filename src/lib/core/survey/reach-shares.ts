import type { Home, Person } from '../model';
import { baseAboveFloorMm, isPullOut, nooksInOrder } from './place';
import { REACH_BANDS, reachOf, type ReachBand } from './reach';
import { usableSpace } from './usable';

export interface ReachShare {
	readonly band: ReachBand | 'never';
	readonly nooks: number;
	readonly usableMl: number;
}

/**
 * Sums the measured space of a home by how one person reaches it, from easy to needing a stool; `never` is what only
 * a stool reaches for someone who may not climb. The shares add up to all measured space.
 */
export function reachShares(home: Home, person: Person): ReachShare[] {
	const bands = [...REACH_BANDS, 'never' as const];
	const sums = new Map(bands.map((band) => [band, { band, nooks: 0, usableMl: 0 }]));
	// A small child is asked too here: what it can get at is what matters.
	const asked = {
		...person,
		ageBand: person.ageBand === 'toddler' ? 'child' : person.ageBand
	} as Person;
	for (const place of nooksInOrder(home)) {
		const space = usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
		if (!space.ok) continue;
		const spot = {
			heightMm: baseAboveFloorMm(place) + (place.nook.inside.heightMm ?? 0) / 2,
			depthMm: place.nook.inside.depthMm ?? 0,
			pullOut: isPullOut(place.nook)
		};
		const reach = reachOf(spot, [asked], home.settings.effort);
		const sum = sums.get(reach.factor === Infinity ? 'never' : reach.band)!;
		sum.nooks++;
		sum.usableMl += space.usableMl;
	}
	return [...sums.values()];
}

/** What an under-three gets at from the floor, and with climbing, mm. A lock counts, height is only a help. */
export const TODDLER_REACH_MM = 1000;
export const TODDLER_CLIMB_MM = 1500;
