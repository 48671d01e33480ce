import type { Edit, Home, Nook } from '../model';
import type { Side } from './edits';
import { restack } from './restack';

/** Readings that are wanted of each side: cabinets are seldom square. */
export const READINGS = 3;

/** The smallest of the readings of a side; null without any. */
export const smallest = (readings: readonly number[]): number | null =>
	readings.length ? Math.min(...readings) : null;

/**
 * Makes the edit that takes a reading of a side, mm, at its place among the three (0 to 2), or after the last; the
 * smallest is kept as the inside size. The first reading takes the place of a size that was only assumed.
 */
export function takeReading(nookId: string, side: Side, mm: number, index?: number): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (!nook) return;
		const readings = nook.readings[side];
		const at = Math.min(index ?? readings.length, readings.length, READINGS - 1);
		readings[at] = mm;
		nook.inside[side] = smallest(readings);
		restack(draft as Home, nook.cabinetId);
	};
}

/** Makes the edit that sets all readings of a side, mm; without any the side is to be measured again. */
export function setReadings(nookId: string, side: Side, readings: readonly number[]): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (!nook) return;
		nook.readings[side] = readings.slice(0, READINGS);
		nook.inside[side] = smallest(nook.readings[side]);
		restack(draft as Home, nook.cabinetId);
	};
}

/** How far the readings of a side lie apart, mm: over 5 mm a cabinet is out of square. */
export const spreadMm = ({ readings }: Pick<Nook, 'readings'>, side: Side): number =>
	readings[side].length ? Math.max(...readings[side]) - Math.min(...readings[side]) : 0;
