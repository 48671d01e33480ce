import {
	GroupId,
	NookId,
	PlanId,
	type Assignment as SavedAssignment,
	type Home,
	type WishPrice,
	type ZonePlan
} from '../model';
import { buildZoneModel, type ZoneModel } from './build';
import { DEFAULT_SEARCH } from './search';
import { keepOneEmpty, roomToGrow } from './keep-empty';
import { PROVEN, solveAssignment, type SolveProgress, type SolveResult } from './solve-assignment';
import { Layout } from './layout';
import type { Assignment, AssignmentProblem } from './problem';

export interface PlaceOptions {
	readonly seed: number;
	/** Moves tried: the budget. */
	readonly moves: number;
	readonly onProgress?: (progress: PlaceProgress) => boolean | void;
	/** The problem as another has solved it already; solved here when it is left out. */
	readonly solved?: SolveResult | undefined;
}
export interface PlaceProgress {
	/** Share of the moves tried, 0 to 1. */
	readonly doneShare: number;
	/** The best plan so far, which may be kept as it is. */
	readonly best: PlaceResult;
}

export type PlaceStatus = 'optimal' | 'bounded' | 'stopped' | 'nothing-to-place';
/** What the planner answers; plain data, so that it crosses a worker or a route as it is. */
export interface PlaceResult {
	readonly status: PlaceStatus;
	readonly assignments: readonly SavedAssignment[];
	readonly overflow: readonly GroupId[];
	/** Effort of the plan, and what no plan can go below, in metres a week. */
	readonly objective: number;
	readonly bound: number;
	readonly seed: number;
	/** What the pins and bans of each group cost; empty while the plan is still under work. */
	readonly wishPrices: readonly WishPrice[];
	/** The place that stays empty to grow; null: every inch is used, or none can be kept empty, or still under work. */
	readonly keptEmpty: ZonePlan['keptEmpty'];
	readonly fingerprint: string;
}

export const DEFAULT_PLACE = { seed: 1, moves: DEFAULT_SEARCH.moves } as const;
type Found = Pick<SolveResult, 'assignment' | 'objective' | 'bound'>;
const NO_PLAN = {
	assignments: [],
	overflow: [],
	objective: 0,
	bound: 0,
	wishPrices: [],
	keptEmpty: null
} as const;

/** Turns what a solver found into the planner's answer. */
const resultOf = (
	model: ZoneModel,
	seed: number,
	{ assignment, objective, bound }: Found,
	status: PlaceStatus
): PlaceResult => ({
	...NO_PLAN,
	...readAssignment(model, assignment),
	seed,
	status,
	objective,
	bound,
	fingerprint: model.fingerprint
});

/** Turns a solver's progress into the planner's: the best plan so far may be kept as it is. */
export const placeProgress = (
	model: ZoneModel,
	seed: number,
	progress: SolveProgress
): PlaceProgress => ({
	doneShare: progress.doneShare,
	best: resultOf(model, seed, progress, 'stopped')
});

/**
 * Computes the zone plan of a home. Deterministic for the home, the seed and the moves.
 * Groups that no nook can take are named in `overflow`, never squeezed in.
 * @example placeHome(home, DEFAULT_PLACE).status // 'bounded'
 */
export function placeHome(
	home: Home,
	{ seed, moves, onProgress, solved: given }: PlaceOptions,
	model = buildZoneModel(home)
): PlaceResult {
	if (!model.parts.length)
		return {
			...NO_PLAN,
			seed,
			fingerprint: model.fingerprint,
			status: 'nothing-to-place'
		};
	const toResult = (found: Found, status: PlaceStatus) => resultOf(model, seed, found, status);
	const solved =
		given ??
		solveAssignment(model.problem, {
			seed,
			moves,
			onProgress: (progress) => onProgress?.(placeProgress(model, seed, progress))
		});
	const grow =
		home.schools.room === 'slack'
			? keepOneEmpty(model.problem, roomToGrow(model), solved, { seed, moves })
			: { ...solved, kept: -1 };
	const proven = grow.objective - grow.bound <= Math.abs(grow.objective) * PROVEN;
	const result = toResult(grow, proven ? 'optimal' : grow.stopped ? 'stopped' : 'bounded');
	if (grow.stopped) return result;
	const kept = model.places[grow.kept];
	return {
		...result,
		keptEmpty: kept
			? {
					nookId: NookId.parse(kept.nook.id),
					extra: Math.max(0, grow.objective - solved.objective)
				}
			: null,
		// What a wish costs is asked without the empty place, which has a price of its own.
		wishPrices: wishPrices(home, toResult(solved, 'bounded'), moves)
	};
}

/** Share of the moves that goes into what the wishes cost, all of them together. */
const WISH_SHARE = 0.5;

/**
 * Says what the pins and bans of each group cost: a plan without them is looked for, from the one that keeps them, so
 * that a price is never below zero. In the order of the first wish of each group.
 */
function wishPrices(
	home: Home,
	{ assignments, objective, seed }: PlaceResult,
	moves: number
): WishPrice[] {
	const groupIds = [...new Set(home.pins.map(({ groupId }) => groupId))];
	return groupIds.flatMap((groupId) => {
		const model = buildZoneModel({
			...home,
			pins: home.pins.filter((pin) => pin.groupId !== groupId)
		});
		if (!model.parts.some(({ figures }) => figures.groupId === groupId)) return [];
		const without = solveAssignment(
			model.problem,
			{ seed, moves: Math.max(1000, Math.floor((moves * WISH_SHARE) / groupIds.length)) },
			writeAssignment(model, assignments)
		);
		const cost = (value: number) => Math.max(0, objective - value);
		return [{ groupId, extra: cost(without.objective), atMost: cost(without.bound) }];
	});
}

/** Turns nook indices into saved assignments; parts of one group in one nook are joined. */
export function readAssignment(
	model: ZoneModel,
	assignment: Assignment
): { assignments: SavedAssignment[]; overflow: GroupId[] } {
	const joined = new Map<string, SavedAssignment>();
	const overflow = new Set<GroupId>();
	model.parts.forEach(({ figures, share }, g) => {
		const groupId = GroupId.parse(figures.groupId);
		const place = model.places[assignment[g]!];
		if (!place) return void overflow.add(groupId);
		const key = `${groupId}/${place.nook.id}`;
		const before = joined.get(key)?.share ?? 0;
		joined.set(key, {
			groupId,
			nookId: NookId.parse(place.nook.id),
			share: Math.round((before + share) * 1e6) / 1e6
		});
	});
	return { assignments: [...joined.values()], overflow: [...overflow] };
}

/** Turns saved assignments back into nook indices; groups and nooks that are gone are left out. */
export function writeAssignment(model: ZoneModel, saved: readonly SavedAssignment[]): Assignment {
	const nookIndex = new Map(model.places.map((place, n) => [place.nook.id as string, n]));
	const assignment = new Int32Array(model.parts.length).fill(-1);
	const wanted = new Map<string, number[]>();
	for (const { groupId, nookId, share } of saved) {
		const n = nookIndex.get(nookId);
		if (n === undefined) continue;
		const count = Math.max(
			1,
			Math.round(share * model.parts.filter((p) => p.figures.groupId === groupId).length)
		);
		wanted.set(groupId, [...(wanted.get(groupId) ?? []), ...Array<number>(count).fill(n)]);
	}
	// A part takes the first nook that it may go to, so that a pinned one gets its own; what is left breaks a rule.
	const N = model.places.length;
	for (const mayBreak of [false, true])
		model.parts.forEach(({ figures }, g) => {
			if (assignment[g]! >= 0) return;
			const waiting = wanted.get(figures.groupId) ?? [];
			const at = waiting.findIndex((n) => mayBreak || !model.cells[g * N + n]!.hard);
			if (at >= 0) [assignment[g]] = waiting.splice(at, 1) as [number];
		});
	return assignment;
}

/** Makes the record of a plan. `now` is an ISO instant. */
export function toZonePlan(result: PlaceResult, id: string, name: string, now: string): ZonePlan {
	return {
		id: PlanId.parse(id),
		name,
		assignments: [...result.assignments],
		overflow: [...result.overflow],
		objective: result.objective,
		bound: result.bound,
		seed: result.seed,
		wishPrices: result.wishPrices.map((price) => ({ ...price })),
		keptEmpty: result.keptEmpty && { ...result.keptEmpty },
		fingerprint: result.fingerprint,
		madeAt: now,
		learnUntil: null
	};
}

/** The by-hand rule that plans are compared with: the most used part first, to its cheapest free nook. */
export function byHandAssignment(problem: AssignmentProblem): Assignment {
	const layout = new Layout(problem);
	const { G, N, cost } = problem;
	const heaviest = (g: number) =>
		Math.max(...Array.from({ length: N }, (_, n) => cost[g * N + n]!).filter(Number.isFinite), 0);
	const order = Array.from({ length: G }, (_, g) => g).sort((a, b) => heaviest(b) - heaviest(a));
	for (const g of order) {
		let best = -1;
		for (let n = 0; n < N; n++)
			if (layout.fits(g, n) && (best < 0 || layout.costAt(g, n) < layout.costAt(g, best))) best = n;
		layout.place(g, best);
	}
	return layout.assignment;
}
