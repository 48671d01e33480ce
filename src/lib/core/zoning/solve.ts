import {
	GroupId,
	NookId,
	PlanId,
	ThingId,
	type Assignment as SavedAssignment,
	pieceVolumeMl,
	type Home,
	type Thing,
	type WishPrice,
	type ZonePlan
} from '../model';
import { buildZoneModel, type Part, type ZoneModel } from './build';
import {
	DEFAULT_SEARCH,
	PROVEN,
	solveAssignment,
	type SolveProgress,
	type SolveResult,
	Layout,
	type NookIndices as Assignment,
	type AssignmentProblem
} from '../solvers/assignment';
import { solveChangingLittle } from './change-little';
import { keepOneEmpty, roomToGrow } from './keep-empty';

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
	const options = {
		seed,
		moves,
		onProgress: (progress: SolveProgress) => onProgress?.(placeProgress(model, seed, progress))
	};
	const isLittle = home.schools.change === 'little';
	const solved = isLittle
		? solveChangingLittle(model, options)
		: (given ?? solveAssignment(model.problem, options));
	const grow =
		// What is to stay where it is does not make room for an empty place.
		home.schools.room === 'slack' && !isLittle
			? keepOneEmpty(model.problem, roomToGrow(model), solved, { seed, moves })
			: { ...solved, kept: isLittle ? emptyNook(model, solved.assignment) : -1 };
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
		wishPrices: wishPrices(home, toResult(solved, 'bounded'), moves, model)
	};
}

/** The first place with room to grow that a plan leaves empty as it is; −1: none. */
const emptyNook = (model: ZoneModel, plan: Assignment): number =>
	roomToGrow(model).find((n) => !plan.includes(n)) ?? -1;

/** Share of the moves that goes into what the wishes cost, all of them together. */
const WISH_SHARE = 0.5;

/**
 * Says what the pins and bans of each group cost: a plan without them is looked for, from the one that keeps them, so
 * that a price is never below zero. In the order of the first wish of each group.
 */
function wishPrices(
	home: Home,
	{ assignments, objective, seed }: PlaceResult,
	moves: number,
	like: ZoneModel
): WishPrice[] {
	const groupIds = [...new Set(home.pins.map(({ groupId }) => groupId))];
	return groupIds.flatMap((groupId) => {
		const pins = home.pins.filter((pin) => pin.groupId !== groupId);
		const model = buildZoneModel({ ...home, pins }, like);
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
	model.parts.forEach(({ figures, portion, thingIds }, g) => {
		const groupId = GroupId.parse(figures.groupId);
		const place = model.places[assignment[g]!];
		if (!place) return void overflow.add(groupId);
		const key = `${groupId}/${place.nook.id}`;
		const before = joined.get(key);
		joined.set(key, {
			groupId,
			nookId: NookId.parse(place.nook.id),
			share: Math.min(1, Math.round(((before?.share ?? 0) + portion) * 1e6) / 1e6),
			...(thingIds && {
				thingIds: [...new Set([...(before?.thingIds ?? []), ...thingIds])].map((id) =>
					ThingId.parse(id)
				)
			})
		});
	});
	return {
		// All of a group in one place is the group, whatever it could have been parted into.
		assignments: [...joined.values()].map(({ thingIds, ...whole }) =>
			thingIds && whole.share < 1 - 1e-6 ? { ...whole, thingIds } : whole
		),
		overflow: [...overflow]
	};
}

/** How alike a part and what a saved row speaks of are, 0 to 1 by volume; next to nothing where either is all of it. */
function likeness(part: Part, { thingIds }: SavedAssignment, all: ReadonlyMap<string, Thing>) {
	if (!thingIds || !part.thingIds) return 1e-9;
	const [own, said] = [new Set<string>(part.thingIds), new Set<string>(thingIds)];
	const ml = (ids: readonly string[]) =>
		ids.reduce((sum, id) => sum + (all.has(id) ? pieceVolumeMl(all.get(id)!) : 0), 0);
	const both = ml([...own].filter((id) => said.has(id)));
	return both / (ml([...new Set([...own, ...said])]) || 1);
}

/**
 * Turns saved assignments back into nook indices; groups and nooks that are gone are left out. Each part goes to the
 * row that speaks of most of it, while that row still has litres to give; then to one where no rule forbids it.
 */
export function writeAssignment(model: ZoneModel, saved: readonly SavedAssignment[]): Assignment {
	const nookIndex = new Map(model.places.map((place, n) => [place.nook.id as string, n]));
	const N = model.places.length;
	const assignment = new Int32Array(model.parts.length).fill(-1);
	const rows = new Map<string, { row: SavedAssignment; n: number; left: number }[]>();
	for (const row of saved) {
		const n = nookIndex.get(row.nookId);
		if (n === undefined) continue;
		rows.set(row.groupId, [...(rows.get(row.groupId) ?? []), { row, n, left: row.share }]);
	}
	for (const [groupId, own] of rows) {
		const all = new Map<string, Thing>();
		const parts = [...model.parts.keys()].filter(
			(g) => model.parts[g]!.figures.groupId === groupId
		);
		for (const g of parts)
			for (const thing of model.parts[g]!.figures.held) all.set(thing.id, thing);
		const choices = parts.flatMap((g) =>
			own.map((one) => ({
				g,
				one,
				worth: likeness(model.parts[g]!, one.row, all),
				isOpen: model.cells[g * N + one.n]!.hard ? 0 : 1
			}))
		);
		const portionOf = ({ g }: (typeof choices)[number]) => model.parts[g]!.portion;
		// Of parts alike the largest first: what is left of a row then still suits a small one.
		choices.sort(
			(a, b) => b.worth - a.worth || b.isOpen - a.isOpen || portionOf(b) - portionOf(a) || a.g - b.g
		);
		// A row gives what it holds first, so that of two parts alike each finds its own; then a little more, since shares are
		// rounded and stock changes.
		for (const slack of [0.02, 0.4, Infinity])
			for (const { g, one } of choices) {
				const { portion } = model.parts[g]!;
				if (assignment[g]! >= 0 || one.left + slack * portion < portion - 1e-9) continue;
				if (slack === Infinity && one.left <= 1e-6) continue;
				assignment[g] = one.n;
				one.left -= portion;
			}
	}
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
