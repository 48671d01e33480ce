import { categoryOf } from './categories';
import type { Thing } from './goods';

/** Appliances that one holds in one hand lie in a drawer like any tool. */
const HAND_HELD = /\b(?:hand|stick|immersion|milk)\b/i;

/** Whether a thing may lie or stand on edge: by its kind; what spills stays upright. */
export const mayLie = ({ name, category }: Pick<Thing, 'name' | 'category'>): boolean =>
	categoryOf(category).lies || (category === 'kitchen.appliances' && HAND_HELD.test(name));

/** One way to set a piece down: the smaller and the larger side of its floor, and what points up, mm. */
export interface SetDown {
	readonly narrowMm: number;
	readonly longMm: number;
	readonly upMm: number;
}

/**
 * Lists the ways in which a piece of a thing may be set down: as it is made to stand, and laid on each other side where
 * its kind may lie. Turned about its height it is the same way.
 * @example waysDown(plate).map(({ upMm }) => upMm) // [24, 270, 270]: flat, or on edge
 */
export function waysDown(thing: Pick<Thing, 'name' | 'category' | 'piece'>): SetDown[] {
	const { widthMm, depthMm, heightMm } = thing.piece;
	const way = (a: number, b: number, upMm: number): SetDown => ({
		narrowMm: Math.min(a, b),
		longMm: Math.max(a, b),
		upMm
	});
	const upright = way(widthMm, depthMm, heightMm);
	if (!mayLie(thing)) return [upright];
	return [upright, way(widthMm, heightMm, depthMm), way(depthMm, heightMm, widthMm)];
}
