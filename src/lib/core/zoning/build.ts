import {
	allGroupFigures,
	groupFigures,
	holdingsByGroup,
	householdAllergens,
	type GroupFigures
} from '../grouping';
import { cacheByKey, type Assignment, type Group, type Home } from '../model';
import type { NookPlace, UsableSpace, WalkingDistances } from '../survey';
import { searchAssignment, type AssignmentProblem } from '../solvers/assignment';
import { freeFrontMm, goesIn, type Clear, type FrontTaken } from '../standing';
import { costOf, type Cell } from './cell';
import { frontOf } from './front-taken';
import { FAMILY_COUNT, familyIndex, MEETING_PRICES } from './families';
import {
	cabinetConflicts,
	hardRulesBroken,
	kindsAndConflicts,
	liftedTo,
	type HardCode
} from './hard-rules';
import { pairsOf, type RoutinePair } from './pairs';
import { petCouldTake } from './pet-dangers';
import { partsFor, type Capacity, type PartDraft, type PartsInput } from './parts';
import { partAgain } from './part-again';
import { partingPrint, partsInForce, rowsByGroup, rowsInForce } from './parts-of-plan';
import { keptToPins, partsForPinned, pinnedNooks } from './pins';
import { inputsOf, peopleOf, ROUTINE_WEIGHT, rowOf, usedShare } from './rows';
import { nookNow, once, sceneOf, type Scene } from './scene';
import { zoneFingerprint } from './zone-print';

/** A group, or what of it is looked for in one place where no single nook suits all of it. */
export interface Part {
	/** Of what the part is made of; of the whole group where it is parted by litres alone. */
	readonly figures: GroupFigures;
	/** Share of those figures. */
	readonly share: number;
	/** Share of the group's litres. */
	readonly portion: number;
	/** What of the group it is; null: all of it, or a share of everything. */
	readonly thingIds: readonly string[] | null;
}

/** What a place may be short of, by the dimensions of the problem: litres, front twice, load. */
export const DIMENSIONS = ['litres', 'run', 'run', 'load'] as const;

/** The planner's view of a home: the problem with the way back from its indices to records. */
export interface ZoneModel {
	readonly problem: AssignmentProblem;
	readonly parts: readonly Part[];
	readonly places: readonly NookPlace[];
	readonly spaces: readonly UsableSpace[];
	readonly clears: readonly (Clear | null)[];
	readonly walking: WalkingDistances;
	/** Part × nook, row by row. */
	readonly cells: readonly Cell[];
	/** Nook index where most of a part is now; −1: nowhere. */
	readonly current: Int32Array;
	/** Legs of routines straight from one part to another: how often a week. */
	readonly routinePairs: readonly RoutinePair[];
	/** All hard rules that keep a part out of a nook; pins are not among them. */
	readonly rulesAt: (g: number, n: number) => readonly HardCode[];
	/** How its groups are parted. */
	readonly parting: Parting;
	/** What it was built from; names, prices and dates may be newer elsewhere. */
	readonly home: Home;
	readonly fingerprint: string;
}
/** Effort of a part without a place: more than any place costs, and more for what is used more. */
const OVERFLOW_EFFORT = 2000;
const OVERFLOW_PER_USE = 200;
const UNKNOWN_LOAD_G = 1e9;
/** Goods are seldom piled higher than this, whatever the headroom, mm. */
const USED_HEIGHT_MM = 300;
/** Floor that rows of goods and containers really cover: beyond it Fit leaves something over. */
const FLOOR_FILL = 0.87;
/** As that, of rows side by side. */
const DEEP_FILL = 1;

/** What a nook takes, with room to grow left free. */
function capacityOf(
	home: Home,
	{ nook }: NookPlace,
	space: UsableSpace,
	clear: Clear | null
): Capacity {
	if (!space.ok || !clear) return [0, 0, 0, 0];
	const { settings, schools } = home;
	const grow = schools.room === 'slack' ? 1 - settings.slackShare : 1;
	const { play } = settings;
	const usedHeight = Math.min(1, USED_HEIGHT_MM / nook.inside.heightMm!);
	const front = freeFrontMm(nook, clear, play.pipeMm);
	return [
		space.usableMl * usedHeight * play.fillShare * grow,
		front * FLOOR_FILL,
		front * DEEP_FILL,
		nook.loadG ?? UNKNOWN_LOAD_G
	];
}
const NONE: FrontTaken = { frontMm: 0, deepMm: 0, sideMm: 0 };
/** Front that what a part holds takes in a nook; nothing where the nook is not measured, where nothing goes. */
function frontAt({ clears }: Scene, figures: GroupFigures, n: number): FrontTaken {
	const clear = clears[n];
	return clear ? frontOf(figures, clear) : NONE;
}

/** Groups that were made as one: a kit for a task stays together. */
const isKit = ({ why }: Group) => why.some(({ code }) => code === 'kit');

/** The parts of one group, each with where it could go. */
function partsOfGroup(
	scene: Scene,
	figures: GroupFigures,
	capacities: PartsInput['capacities'],
	{ isTight, wished, inForce }: Parting
): PartDraft[] {
	const { home, clears, places, walking, nookIndex } = scene;
	const group = home.groups[figures.groupId]!;
	const holdings = holdingsByGroup(home).get(figures.groupId) ?? [];
	const avoided = householdAllergens(home);
	const byHand = figures.overridden.size > 0;
	const people = peopleOf(home, figures);
	const input: PartsInput = {
		figures,
		holdings,
		figuresOf: byHand
			? null
			: (some) => {
					// The same cut comes up again where places are short; what was looked at of it is kept.
					const key = some.map((one) => `${one.thing.id}/${one.pieces}/${one.spare}`).join();
					return once(scene.cuts, `${group.id}:${key}`, () => groupFigures(group, some, avoided));
				},
		rowOf: (of) =>
			once(scene.rows, of, () => {
				const own = holdings.filter(({ thing }) => of.held.includes(thing));
				return rowOf(scene, of, nookNow(scene, own));
			}),
		goesIn: ({ thing }, n) => {
			const clear = clears[n];
			return (
				!!clear &&
				goesIn(thing, clear) === 'goes' &&
				!liftedTo({ home, people, place: places[n]! }, thing.massG) &&
				!petCouldTake(home, { things: [thing], hazards: new Set(thing.hazards) }, places[n]!)
			);
		},
		capacities,
		frontAt: (of, n) => frontAt(scene, of, n),
		nookToNookMm: walking.nookToNookMm,
		staysWhole: isKit(group),
		isTight,
		wished: wished.get(group.id) ?? null
	};
	const pinned = pinnedNooks(home, figures.groupId, nookIndex);
	const rows = inForce?.get(group.id);
	if (!rows) return pinned.length ? partsForPinned(input, pinned) : partsFor(input);
	const parts = partsInForce(
		input,
		rows.map((row) => ({ ...row, n: nookIndex.get(row.nookId) ?? -1 }))
	);
	return pinned.length ? keptToPins(parts, input, pinned) : parts;
}

/** How the groups of a home are parted. */
export interface Parting {
	/** Places are short. */
	readonly isTight: boolean;
	/** Into how many parts some groups go, instead of as many as cost least. */
	readonly wished: ReadonlyMap<string, number>;
	/** The plan that is lived by, for what is shown of it; null: parted anew. */
	readonly inForce: ReadonlyMap<string, readonly Assignment[]> | null;
}
const ANEW: Parting = { isTight: false, wished: new Map(), inForce: null };

/**
 * A home as its plan in force parts it, for all that is shown of that plan; without one, as groups go into places by
 * themselves. Built anew only when what it is computed from changes; never searches.
 */
export const zoneModelOf = cacheByKey(
	2,
	(home: Home) => zoneFingerprint(home) + partingPrint(home),
	(home) => modelOf(sceneOf(home), { ...ANEW, inForce: rowsInForce(home) })
);

/** A home as some plan parts it, which need not be the one in force; never searches. */
export const modelOfPlan = (home: Home, assignments: readonly Assignment[]): ZoneModel =>
	modelOf(sceneOf(home), { ...ANEW, inForce: rowsByGroup(assignments) });

/**
 * Parts that stand in one nook without a crowd: a large one holds more. Each part more costs the price. A part of which the
 * rows take much of the front by themselves counts for as many as that share of it would hold: of two that each fill more
 * than half of a shelf, one stands behind the other. Counted in hundredths of a part.
 */
const CROWD = { unit: 100, from: 3, price: 12, roomy: 5, roomyMl: 120_000 };

/** What rows so wide add to the crowd of a place that takes so much without one, in hundredths of a part. */
export const crowdingOf = (
	sideMm: number,
	{ widthMm }: Pick<Clear, 'widthMm'>,
	crowdFrom: number
): number => Math.round(Math.min(crowdFrom, Math.max(CROWD.unit, (sideMm * crowdFrom) / widthMm)));

/** Moves of the quick look whether everything finds a place. */
const LOOK = { seed: 1, moves: 4000, restarts: 1 };
/** A home of so few parts × nooks is parted from two beginnings: few parts, and many of which some are joined again. */
const SMALL_CELLS = 4000;
const leftOut = ({ problem }: ZoneModel): number =>
	problem.G
		? searchAssignment(problem, LOOK).assignment.reduce((sum, n) => sum + Number(n < 0), 0)
		: 0;

/**
 * Builds the planner's view of a home for a new plan. A pure function; nothing is random. Where a quick look finds no place for
 * something, groups that hang on few places are parted, if more finds a place so. Costs O(groups × nooks).
 * @param like Parts groups as this model does, instead of looking for it: of a home with other pins, or a small change.
 */
export function buildZoneModel(home: Home, like?: Pick<ZoneModel, 'parting'>): ZoneModel {
	const scene = sceneOf(home);
	if (like) return modelOf(scene, like.parting);
	// How groups are parted does not hang on wishes: a pin must not part what it does not speak of.
	const free = home.pins.length ? sceneOf({ ...home, pins: [] }) : scene;
	const roomy = modelOf(free, ANEW);
	const left = leftOut(roomy);
	const tight = left ? modelOf(free, { ...ANEW, isTight: true }) : null;
	const isTight = tight !== null && leftOut(tight) < left;
	const partedFrom = (isTight: boolean, start: ZoneModel) => {
		const { model, counts, effort } = partAgain(start, (wished) =>
			modelOf(free, { ...ANEW, isTight, wished })
		);
		return { model, effort, parting: { ...ANEW, isTight, wished: counts } };
	};
	let best = partedFrom(isTight, isTight ? tight : roomy);
	if (roomy.problem.G * roomy.problem.N <= SMALL_CELLS) {
		const start = isTight ? roomy : (tight ?? modelOf(free, { ...ANEW, isTight: true }));
		const other = partedFrom(!isTight, start);
		if (other.effort < best.effort) best = other;
	}
	return free === scene ? best.model : modelOf(scene, best.parting);
}

function modelOf(scene: Scene, parting: Parting): ZoneModel {
	const { home } = scene;
	const { places, spaces, clears, walking } = scene;
	const capacities = places.map((place, n) => capacityOf(home, place, spaces[n]!, clears[n]!));
	const parts: Part[] = [];
	const cells: Cell[] = [];
	const current: number[] = [];
	for (const figures of allGroupFigures(home)) {
		if (figures.pieces === 0) continue;
		const wished = parting.wished.get(figures.groupId);
		const key = `${figures.groupId}:${parting.isTight}:${wished}:${!!parting.inForce}`;
		const drafts = once(scene.drafts, key, () => partsOfGroup(scene, figures, capacities, parting));
		const litres = drafts.reduce((sum, part) => sum + part.figures.volumeMl * part.share, 0);
		for (const { row, ...part } of drafts) {
			parts.push({
				...part,
				portion: litres ? (part.figures.volumeMl * part.share) / litres : 1 / drafts.length
			});
			cells.push(...row.all());
			current.push(
				nookNow(
					scene,
					(holdingsByGroup(home).get(figures.groupId) ?? []).filter(({ thing }) =>
						part.figures.held.includes(thing)
					)
				)
			);
		}
	}
	const inputs = new Map<number, ReturnType<typeof inputsOf>>();
	return {
		problem: problemOf(scene, parts, cells, capacities),
		parts,
		places,
		spaces,
		clears,
		walking,
		cells,
		current: Int32Array.from(current),
		routinePairs: routinePairs(scene, parts),
		rulesAt: (g, n) =>
			hardRulesBroken(once(inputs, g, () => inputsOf(scene, parts[g]!.figures))(n)),
		parting,
		home,
		fingerprint: zoneFingerprint(home)
	};
}

/** Legs of routines between parts, shared by how much of its group each is used. */
function routinePairs(scene: Scene, parts: readonly Part[]): RoutinePair[] {
	const own = new Map<string, number[]>();
	parts.forEach(({ figures }, g) =>
		own.set(figures.groupId, [...(own.get(figures.groupId) ?? []), g])
	);
	const share = (g: number) => usedShare(scene, parts[g]!.figures) * parts[g]!.share;
	return scene.legs.groups.flatMap(({ a, b, times }) =>
		(own.get(a) ?? []).flatMap((one) =>
			(own.get(b) ?? []).map((two) => ({
				a: Math.min(one, two),
				b: Math.max(one, two),
				times: times * share(one) * share(two),
				weight: ROUTINE_WEIGHT
			}))
		)
	);
}

/** Writes parts, places and what each costs as the plain arrays of an assignment problem. */
function problemOf(
	scene: Scene,
	parts: readonly Part[],
	cells: readonly Cell[],
	capacities: PartsInput['capacities']
): AssignmentProblem {
	const { home, places, spaces, clears, walking } = scene;
	const N = places.length;
	const cabinets = [...new Set(places.map(({ cabinet }) => cabinet.id))];
	const rules = parts.map(({ figures }) => kindsAndConflicts(figures));
	const crowdFrom = Uint16Array.from(
		spaces,
		(space) => CROWD.unit * (space.ok && space.usableMl >= CROWD.roomyMl ? CROWD.roomy : CROWD.from)
	);
	const apart = parts.map(({ figures }) => cabinetConflicts(figures));
	return {
		G: parts.length,
		N,
		K: DIMENSIONS.length,
		demand: Float64Array.from(
			parts.flatMap(({ figures, share }, g) =>
				places.flatMap((_, n) => {
					// Where it may not stand, nobody asks.
					const { frontMm, deepMm } = cells[g * N + n]!.hard ? NONE : frontAt(scene, figures, n);
					return [figures.volumeMl, frontMm, deepMm, figures.massG].map((each) => each * share);
				})
			)
		),
		capacity: Float64Array.from(capacities.flat()),
		cost: Float64Array.from(cells, (cell, i) => costOf(cell, parts[Math.floor(i / N)]!.share)),
		overflow: Float64Array.from(
			parts,
			({ figures, share }) => OVERFLOW_EFFORT + OVERFLOW_PER_USE * figures.usesPerWeek * share
		),
		pairs: pairsOf(home, parts, routinePairs(scene, parts)),
		distance: walking.nookToNookMm.map((mm) => (Number.isFinite(mm) ? mm / 1000 : 1000)),
		kinds: Uint8Array.from(rules, ({ kinds }) => kinds),
		conflicts: Uint8Array.from(rules, ({ conflicts }) => conflicts),
		apart: {
			zone: Int32Array.from(places, ({ cabinet }) => cabinets.indexOf(cabinet.id)),
			kinds: Uint8Array.from(apart, ({ kinds }) => kinds),
			conflicts: Uint8Array.from(apart, ({ conflicts }) => conflicts)
		},
		mixing: {
			F: FAMILY_COUNT,
			family: Uint8Array.from(parts, ({ figures }) => familyIndex(figures)),
			price: MEETING_PRICES.map((price) => price * home.settings.effort.softWeight),
			crowding: Uint16Array.from(cells, ({ hard }, i) => {
				const [g, n] = [Math.floor(i / N), i % N];
				const { figures, share } = parts[g]!;
				const clear = clears[n];
				if (hard || !clear) return CROWD.unit;
				return crowdingOf(frontAt(scene, figures, n).sideMm * share, clear, crowdFrom[n]!);
			}),
			crowdFrom,
			crowdPrice: (CROWD.price / CROWD.unit) * home.settings.effort.softWeight
		}
	};
}
