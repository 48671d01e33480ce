import type { Assignment, Edit, Home, ZonePlan } from '../model';
import { REACH_BANDS } from '../survey';
import { modelOfPlan } from './build';
import { brokenRules, layoutOf, totalsOf } from './explain';
import { moveOrder } from './move-order';
import type { PlaceResult } from './solve';

export type Schools = Home['schools'];
export type SchoolChange = 'as-now' | 'near' | 'change' | 'room';
export interface SchoolVariant {
	readonly key: SchoolChange;
	readonly schools: Schools;
}

/** The schools as they are, and three that each think otherwise in one thing people disagree on. */
export function schoolVariants(schools: Schools): SchoolVariant[] {
	return [
		{ key: 'as-now', schools },
		{
			key: 'near',
			schools: { ...schools, near: schools.near === 'use' ? 'dishwasher' : 'use' }
		},
		{
			key: 'change',
			schools: { ...schools, change: schools.change === 'some' ? 'little' : 'some' }
		},
		{
			key: 'room',
			schools: { ...schools, room: schools.room === 'slack' ? 'every-inch' : 'slack' }
		}
	];
}

export interface PlanScore {
	readonly metresPerWeek: number;
	/** Reaches a week that are not easy or good. */
	readonly hardReaches: number;
	/** Groups of which something has to be carried to another nook. */
	readonly groupsToMove: number;
	readonly litresToCarryMl: number;
	readonly overflow: number;
	readonly broken: number;
}

/**
 * Scores a plan by figures that mean the same whatever the school: what is walked and reached in a week, what has to be
 * carried, what has no place and what is broken. All of them come from the model that the solver's costs come from, parted as
 * the plan is: no search, so that it may run beside a page.
 */
export function scorePlan(
	home: Home,
	{ schools }: Pick<SchoolVariant, 'schools'>,
	{ assignments, overflow }: Pick<PlaceResult, 'assignments' | 'overflow'>
): PlanScore {
	const model = modelOfPlan({ ...home, schools }, assignments);
	const totals = totalsOf(model, assignments);
	const moves = moveOrder(home, { assignments: [...assignments] });
	const hard = REACH_BANDS.filter((band) => band !== 'easy' && band !== 'good');
	return {
		metresPerWeek: totals.metresPerWeek,
		hardReaches: hard.reduce((sum, band) => sum + totals.reachesPerWeek[band], 0),
		groupsToMove: new Set(moves.steps.map(({ groupId }) => groupId)).size,
		litresToCarryMl: moves.volumeMl,
		overflow: overflow.length,
		broken: brokenRules(model, layoutOf(model, assignments).assignment).length
	};
}

const placesOf = (assignments: readonly Assignment[], groupId: string) =>
	assignments
		.filter((assignment) => assignment.groupId === groupId)
		.map(({ nookId }) => nookId)
		.sort()
		.join(' ');

/** Lists the groups that two plans have in different nooks, in the order of the first plan. */
export function groupsElsewhere(a: readonly Assignment[], b: readonly Assignment[]): string[] {
	const ids = [...new Set([...a, ...b].map(({ groupId }) => groupId as string))];
	return ids.filter((id) => placesOf(a, id) !== placesOf(b, id));
}

/** Makes the edit that takes one group's places from another plan into the plan in force. */
export function takeGroup(groupId: string, from: Pick<ZonePlan, 'assignments'>): Edit {
	return (draft) => {
		const plan = draft.activePlanId ? draft.zonePlans[draft.activePlanId] : undefined;
		const own = from.assignments.filter((assignment) => assignment.groupId === groupId);
		if (!plan || !own.length) return;
		plan.assignments = [
			...plan.assignments.filter((assignment) => assignment.groupId !== groupId),
			...own.map((assignment) => ({ ...assignment }))
		];
		plan.overflow = plan.overflow.filter((id) => id !== groupId);
	};
}
