import type { StationKind } from '../model';

/** Occasions a week on which one stands at each station: things fetched on one occasion share a walk (handbook values). */
const OCCASIONS: Readonly<Record<StationKind, number>> = {
	sink: 9,
	hob: 9,
	oven: 5,
	fridge: 14,
	freezer: 5,
	dishwasher: 6,
	worktop: 9,
	kettle: 14,
	table: 9,
	entrance: 7,
	basin: 14,
	shower: 5,
	laundry: 3
};
/** Where nobody said where a thing is used. */
const USUAL_OCCASIONS = 7;

/**
 * Walks a week that are made to a group: with k occasions at its stations and uses u of each thing,
 * k × (1 − Π(1 − min(1, u/k))). Twenty spices are some nine walks, not forty-six; one thing used three times is three.
 * @param uses uses a week of each thing
 * @param stations shares of the uses, which sum to 1
 */
export function tripsOf(
	uses: readonly number[],
	stations: ReadonlyMap<StationKind, number>
): number {
	let k = 0;
	for (const [kind, share] of stations) k += OCCASIONS[kind] * share;
	if (k <= 0) k = USUAL_OCCASIONS;
	// Used more often than there are occasions, a thing makes occasions of its own.
	k = Math.max(k, ...uses);
	return k * (1 - uses.reduce((none, u) => none * (1 - Math.min(1, u / k)), 1));
}
