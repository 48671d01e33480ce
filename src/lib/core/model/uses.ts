import type { Thing, UseClass } from './goods';

/** Uses a week that stand for each class (a working estimate of the trade). */
export const USES_PER_WEEK: Readonly<Record<UseClass, number>> = {
	'several-daily': 14,
	daily: 7,
	'some-days': 3,
	weekly: 1,
	fortnightly: 0.5,
	monthly: 0.23,
	seasonal: 0.06,
	rarely: 0.02
};

/** Gives a thing's uses a week: counted where logged, else from its class. @example usesPerWeek(teabags) // 14 */
export function usesPerWeek(thing: Pick<Thing, 'use'>): number {
	return thing.use.countedPerWeek ?? USES_PER_WEEK[thing.use.class];
}
