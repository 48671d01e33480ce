import type { Assignment as SavedAssignment, Edit, GroupId, Home, ZonePlan } from '../model';
import { buildZoneModel } from './build';
import type { IntegerSolver } from '../solvers/integer';
import { objectiveOf, violations, DEFAULT_PROVE, proveAssignment } from '../solvers/assignment';
import { roomToGrow } from './keep-empty';
import { readAssignment, writeAssignment } from './solve';

/**
 * What comes of proving a plan. `proven`: no plan is better. `open`: the time was up. `too-large`: not begun.
 * `stale`: the plan was made of another home. `broken`: it breaks a hard rule, so that better ones prove nothing.
 */
export type PlanProof =
	| { readonly status: 'stale' }
	| { readonly status: 'broken' }
	| {
			readonly status: 'proven' | 'open' | 'too-large';
			readonly assignments: readonly SavedAssignment[];
			readonly overflow: readonly GroupId[];
			readonly objective: number;
			readonly bound: number;
			readonly keptEmpty: ZonePlan['keptEmpty'];
			/** Weekly effort that the plan as it stood had more; 0 when it is the best. */
			readonly saved: number;
	  };

/** From so many parts on a long search may find what the first one missed. */
const LARGE = 40;
const SEARCH_MOVES = 8_000_000;

export interface ProvePlanOptions {
	readonly solver: IntegerSolver;
	/** Ceiling for the general solver, s. */
	readonly seconds: number;
	/** Hears of what no plan can go below, rising. */
	readonly onBound?: (bound: number) => boolean | void;
}

/**
 * Proves a plan of a home as it stands, hand-made moves included, or finds a better one. Where the home keeps a place
 * empty to grow, so do the plans that it is compared with. Unlike a search it may end with the clock: then the plan
 * stays, and only the bound is new.
 */
export function provePlan(
	home: Home,
	plan: ZonePlan,
	{ solver, seconds, onBound }: ProvePlanOptions
): PlanProof {
	const model = buildZoneModel(home);
	const { problem } = model;
	if (plan.fingerprint !== model.fingerprint) return { status: 'stale' };
	const assignment = writeAssignment(model, plan.assignments);
	if (violations(problem, assignment).length) return { status: 'broken' };
	const room = roomToGrow(model);
	const isKept = plan.keptEmpty !== null && room.some((n) => !assignment.includes(n));
	const before = objectiveOf(problem, assignment);
	// Where the plan no longer keeps a place empty, what bounded plans that do bounds it no more.
	const known = isKept === (plan.keptEmpty !== null) ? Math.min(plan.bound, before) : -Infinity;
	const { status, ...found } = proveAssignment(
		problem,
		{ assignment, bound: known },
		{
			...DEFAULT_PROVE,
			searchMoves: problem.G >= LARGE ? SEARCH_MOVES : 0,
			solver,
			seconds,
			oneEmpty: isKept ? room : [],
			...(onBound && { onBound })
		}
	);
	const saved = Math.max(0, before - found.objective);
	const stillEmpty = room.filter((n) => !found.assignment.includes(n));
	const isSame = stillEmpty.some((n) => model.places[n]!.nook.id === plan.keptEmpty?.nookId);
	return {
		status,
		...readAssignment(model, found.assignment),
		objective: found.objective,
		bound: found.bound,
		keptEmpty: plan.keptEmpty && {
			nookId: isSame || !isKept ? plan.keptEmpty.nookId : model.places[stillEmpty[0]!]!.nook.id,
			extra: Math.max(0, plan.keptEmpty.extra - saved)
		},
		saved
	};
}

/** Makes the edit that writes a proof down: its bound, and its plan where it is a better one. */
export function noteProof(planId: string, proof: PlanProof): Edit {
	return (draft) => {
		const plan = draft.zonePlans[planId];
		if (!plan || proof.status === 'stale' || proof.status === 'broken') return;
		const { assignments, overflow, objective, bound, keptEmpty, saved } = proof;
		Object.assign(plan, { objective, bound });
		if (saved <= 0) return;
		Object.assign(plan, {
			assignments: [...assignments],
			overflow: [...overflow],
			keptEmpty: keptEmpty && { ...keptEmpty },
			// The plan without the wish is as it was; what it saves against this one is less.
			wishPrices: plan.wishPrices.map(({ groupId, extra, atMost }) => ({
				groupId,
				extra: Math.max(0, extra - saved),
				atMost: Math.max(0, atMost - saved)
			}))
		});
	};
}
