import { waysDown, type Thing } from '../model';
import type { Clear } from './room';
import { columnOf } from './stand-free';

/** How a thing can stand in a place: as it is, turned, laid down, or not at all. */
export type GoesIn = 'goes' | 'too-tall' | 'too-wide';

/**
 * Says whether one piece of a thing goes into a place as Fit would stand it there: its floor sides either way round
 * against width and depth, its height under the fingers, and through the way in; lying or on edge where its kind may.
 * @example goesIn(spaghettiOf270, drawerOf150) // 'goes': it lies
 */
export function goesIn(thing: Pick<Thing, 'name' | 'category' | 'piece'>, clear: Clear): GoesIn {
	if (columnOf(thing, clear)) return 'goes';
	return waysDown(thing).some(({ upMm }) => upMm <= clear.heightMm) ? 'too-wide' : 'too-tall';
}
