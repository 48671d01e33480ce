import { fixedText } from './numbers';
import type { Home } from '../core/model';
import type { RoutineStep, RoutineWalk } from '../core/upkeep';

/** Writes how often a routine is done. @example timesText(0.5) // '0.5' */
export const timesText = (timesPerWeek: number): string =>
	Number.isInteger(timesPerWeek) ? String(timesPerWeek) : fixedText(timesPerWeek, 1);

/** Writes the length of one round; a mark where something of it has no place. */
export function metresText(walk: RoutineWalk | null | undefined): string {
	if (!walk) return '–';
	return `${walk.isWhole ? '' : 'over '}${fixedText(walk.metres, 1)} m`;
}

/** Names a step of a routine: a group, or where one stands. */
export function stepText(home: Home, { groupId, station }: RoutineStep): string {
	if (station)
		return Object.values(home.stations).find(({ kind }) => kind === station)?.name ?? station;
	return (groupId && home.groups[groupId]?.name) || 'nothing';
}
