import { allGroupFigures, PILE_MM, ROW_DEPTH_MM, type GroupFigures } from '../grouping';
import { cacheByKey, type Home, type Person, type StationKind } from '../model';
import {
	baseAboveFloorMm,
	isPullOut,
	nooksInOrder,
	reachOf,
	usableSpace,
	walkingDistances,
	type NookPlace,
	type UsableSpace,
	type WalkingDistances
} from '../survey';
import { costOf, type Cell } from './cell';
import { hardRuleBroken, kindsAndConflicts } from './hard-rules';
import { pairsOf } from './pairs';
import { partsFor } from './parts';
import { partsForPinned, pinnedNooks, rowOfPart } from './pins';
import type { AssignmentProblem } from './problem';
import { volumesNow } from './now';
import { spotsOf } from './belongs';
import { softPenalties } from './soft-rules';
import { zoneFingerprint } from './zone-print';

/** A group, or one of the up to three parts of a group that no single nook can take. */
export interface Part {
	readonly figures: GroupFigures;
	readonly share: number;
}

/** The planner's view of a home: the problem with the way back from its indices to records. */
export interface ZoneModel {
	readonly problem: AssignmentProblem;
	readonly parts: readonly Part[];
	readonly places: readonly NookPlace[];
	readonly spaces: readonly UsableSpace[];
	readonly walking: WalkingDistances;
	/** Part × nook, row by row. */
	readonly cells: readonly Cell[];
	/** Nook index where most of a part is now; −1: nowhere. */
	readonly current: Int32Array;
	readonly fingerprint: string;
}

/** Effort of a part without a place: more than any place costs, and more for what is used more. */
const OVERFLOW_EFFORT = 2000;
const OVERFLOW_PER_USE = 200;
const UNKNOWN_LOAD_G = 1e9;

/** Stations to use instead where a home has none of a kind, nearest in purpose first. */
const INSTEAD: Partial<Record<StationKind, readonly StationKind[]>> = {
	kettle: ['worktop', 'sink'],
	table: ['worktop', 'hob'],
	oven: ['hob', 'worktop'],
	hob: ['worktop', 'oven'],
	dishwasher: ['sink'],
	freezer: ['fridge', 'worktop'],
	fridge: ['worktop'],
	worktop: ['table', 'sink', 'hob'],
	sink: ['basin', 'worktop'],
	basin: ['sink', 'shower'],
	shower: ['basin'],
	laundry: ['sink'],
	entrance: ['table']
};

/** Splits a group's uses over the stations; the school shifts dishes to or from the dishwasher. */
function stationShares(home: Home, figures: GroupFigures): Map<StationKind, number> {
	const factor = home.schools.near === 'dishwasher' ? 3 : 0.5;
	const weighed = [...figures.stations].map(
		([kind, share]) => [kind, kind === 'dishwasher' ? share * factor : share] as const
	);
	const sum = weighed.reduce((total, [, share]) => total + share, 0) || 1;
	return new Map(weighed.map(([kind, share]) => [kind, share / sum]));
}

/** Shortest walk from a station of each kind to every nook, mm; a kind the home lacks is stood in for by the next. */
function walksByKind(
	home: Home,
	walking: WalkingDistances
): (kind: StationKind) => Float64Array | null {
	const N = walking.nookIds.length;
	const nearest = new Map<StationKind, Float64Array>();
	walking.stationIds.forEach((id, s) => {
		const { kind } = home.stations[id]!;
		const row = nearest.get(kind) ?? new Float64Array(N).fill(Infinity);
		for (let n = 0; n < N; n++) row[n] = Math.min(row[n]!, walking.stationToNookMm[s * N + n]!);
		nearest.set(kind, row);
	});
	return (kind) => {
		const found = [kind, ...(INSTEAD[kind] ?? [])].find((other) => nearest.has(other));
		return found ? nearest.get(found)! : null;
	};
}

/** Average walk from a group's stations to every nook, weighted by its uses, mm. */
function walksOf(
	shares: ReadonlyMap<StationKind, number>,
	walksFrom: (kind: StationKind) => Float64Array | null,
	N: number
): Float64Array {
	const sum = new Float64Array(N);
	for (const [kind, share] of shares) {
		const row = walksFrom(kind);
		if (row && share > 0) for (let n = 0; n < N; n++) sum[n]! += share * row[n]!;
	}
	return sum;
}

function peopleOf(home: Home, figures: GroupFigures): Person[] {
	const people = Object.values(home.people);
	const own = people.filter((person) => figures.userIds.includes(person.id));
	return own.length ? own : people.filter((person) => person.ageBand !== 'child');
}

/** Nook of each group where most of its volume stands now; ties by id, whatever the order of the records. */
function currentNooks(home: Home): Map<string, string> {
	return new Map(
		[...volumesNow(home)].map(([group, nooks]) => [
			group,
			[...nooks].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))[0]![0]
		])
	);
}

function lowestInFridges(places: readonly NookPlace[]): Set<string> {
	const lowest = new Map<string, NookPlace>();
	for (const place of places) {
		if (place.nook.kind !== 'fridge-shelf') continue;
		const other = lowest.get(place.cabinet.id);
		if (!other || place.nook.at.zMm < other.nook.at.zMm) lowest.set(place.cabinet.id, place);
	}
	return new Set([...lowest.values()].map((place) => place.nook.id));
}

/** Goods are seldom piled higher than this, whatever the headroom, mm. */
const USED_HEIGHT_MM = 300;
/** Floor that containers and mixed goods really cover. */
const FLOOR_FILL = 0.7;

/** What a nook takes of litres (ml), front run (mm at 300 mm depth) and load (g), with room to grow left free. */
function capacityOf(
	home: Home,
	place: NookPlace,
	space: UsableSpace
): readonly [number, number, number] {
	if (!space.ok) return [0, 0, 0];
	const { settings, schools } = home;
	const grow = schools.room === 'slack' ? 1 - settings.slackShare : 1;
	const { depthMm, heightMm } = place.nook.inside;
	const usedHeight = Math.min(1, USED_HEIGHT_MM / heightMm!);
	const layers = Math.min(1, heightMm! / PILE_MM);
	return [
		space.usableMl * usedHeight * settings.play.fillShare * grow,
		space.runMm * (depthMm! / ROW_DEPTH_MM) * layers * FLOOR_FILL,
		place.nook.loadG ?? UNKNOWN_LOAD_G
	];
}

/** The planner's view of a home, built anew only when what it is computed from changes. */
export const zoneModelOf = cacheByKey(2, zoneFingerprint, buildZoneModel);

/** Builds the planner's view of a home. A pure function; nothing is random. Costs O(groups × nooks). */
export function buildZoneModel(home: Home): ZoneModel {
	const places = nooksInOrder(home);
	const walking = walkingDistances(home);
	const spaces = places.map((place) =>
		usableSpace(place.nook, baseAboveFloorMm(place), home.settings)
	);
	const capacities = places.map((place, n) => capacityOf(home, place, spaces[n]!));
	const spots = places.map((place) => spotsOf(home, place));
	const lowest = lowestInFridges(places);
	const now = currentNooks(home);
	const nookIndex = new Map(places.map((place, n) => [place.nook.id as string, n]));
	const { effort } = home.settings;
	const N = places.length;
	const walksFrom = walksByKind(home, walking);

	const parts: Part[] = [];
	const cells: Cell[] = [];
	const current: number[] = [];
	for (const figures of allGroupFigures(home)) {
		if (figures.pieces === 0) continue;
		const people = peopleOf(home, figures);
		const walks = walksOf(stationShares(home, figures), walksFrom, N);
		const at = nookIndex.get(now.get(figures.groupId) ?? '') ?? -1;
		const row = places.map((place, n): Cell => {
			const base = baseAboveFloorMm(place);
			const reach = reachOf(
				{
					heightMm: base + (place.nook.inside.heightMm ?? 0) / 2,
					depthMm: place.nook.inside.depthMm ?? 0,
					pullOut: isPullOut(place.nook)
				},
				people,
				effort
			);
			const walkMm = walks[n]!;
			const hard = hardRuleBroken({
				home,
				figures,
				place,
				space: spaces[n]!,
				reach,
				people,
				walkMm,
				isLowestInFridge: lowest.has(place.nook.id)
			});
			return {
				hard,
				reach,
				walkM: walkMm / 1000,
				parts: {
					// There and back again.
					walk: figures.tripsPerWeek * 2 * (walkMm / 1000) * effort.walkPerM,
					reach: figures.tripsPerWeek * reach.factor * effort.reachWeight,
					soft: softPenalties({
						home,
						figures,
						place,
						reachFactor: reach.factor,
						walkMm,
						spots: spots[n]!
					}),
					habit: home.schools.change === 'little' && at >= 0 && at !== n ? effort.changeWeight : 0
				}
			};
		});
		const pinned = pinnedNooks(home, figures.groupId, nookIndex);
		const input = { figures, row, capacities, nookToNookMm: walking.nookToNookMm };
		const count = pinned.length ? partsForPinned(input, pinned) : partsFor(input);
		for (let p = 0; p < count; p++) {
			parts.push({ figures, share: 1 / count });
			cells.push(...rowOfPart(row, pinned, p, count));
			current.push(at);
		}
	}
	const G = parts.length;
	const problem: AssignmentProblem = {
		G,
		N,
		K: 3,
		demand: Float64Array.from(
			parts.flatMap(({ figures, share }) => [
				figures.volumeMl * share,
				figures.runMm * share,
				figures.massG * share
			])
		),
		capacity: Float64Array.from(capacities.flat()),
		cost: Float64Array.from(cells, (cell, i) => costOf(cell, parts[Math.floor(i / N)]!.share)),
		overflow: Float64Array.from(
			parts,
			({ figures, share }) => OVERFLOW_EFFORT + OVERFLOW_PER_USE * figures.usesPerWeek * share
		),
		pairs: pairsOf(home, parts),
		distance: walking.nookToNookMm.map((mm) => (Number.isFinite(mm) ? mm / 1000 : 1000)),
		kinds: Uint8Array.from(parts, ({ figures }) => kindsAndConflicts(figures).kinds),
		conflicts: Uint8Array.from(parts, ({ figures }) => kindsAndConflicts(figures).conflicts)
	};
	return {
		problem,
		parts,
		places,
		spaces,
		walking,
		cells,
		current: Int32Array.from(current),
		fingerprint: zoneFingerprint(home)
	};
}
