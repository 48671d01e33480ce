import type { HomePart } from './home';
import type { ZonePlan } from './plans';

/** The zone plan in force; undefined: there is none. */
export const activePlan = (home: HomePart<'activePlanId' | 'zonePlans'>): ZonePlan | undefined =>
	home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
