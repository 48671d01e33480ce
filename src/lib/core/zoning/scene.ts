import { allGroupFigures, type GroupFigures, type Holding } from '../grouping';
import type { Home, StationKind } from '../model';
import {
	baseAboveFloorMm,
	nooksInOrder,
	usableSpace,
	walkingDistances,
	type NookPlace,
	type UsableSpace,
	type WalkingDistances
} from '../survey';
import { clearOf, type Clear } from '../standing';
import { belongsIn, spotsOf, type BelongsTable, type PlaceKind, type WalkTo } from './belongs';
import type { Row } from './cell';
import type { PartDraft } from './parts';
import { hangsOverHeat } from './heat';
import { volumesByThing } from './now';
import { routineLegs, type RoutineLegs } from './routine-legs';

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

/** Shortest walk from a station of each kind to every nook, mm. */
function walksByKind(
	home: Home,
	walking: WalkingDistances
): ReadonlyMap<StationKind, Float64Array> {
	const N = walking.nookIds.length;
	const nearest = new Map<StationKind, Float64Array>();
	walking.stationIds.forEach((id, s) => {
		const { kind } = home.stations[id]!;
		const row = nearest.get(kind) ?? new Float64Array(N).fill(Infinity);
		for (let n = 0; n < N; n++) row[n] = Math.min(row[n]!, walking.stationToNookMm[s * N + n]!);
		nearest.set(kind, row);
	});
	return nearest;
}

/** Says why a group would stand better elsewhere than in a place; empty: it stands well there. */
export function whyAstray(home: Home, figures: GroupFigures, place: NookPlace): string {
	const walking = walkingDistances(home);
	const n = walking.nookIds.indexOf(place.nook.id);
	const walkTo = walkFrom(walksByKind(home, walking), n);
	return belongsIn(home).why(figures, spotsOf(home, place), walkTo);
}
function walkFrom(nearest: ReadonlyMap<StationKind, Float64Array>, n: number): WalkTo {
	// The same lists of kinds are asked about again and again, by every group.
	const known = new Map<readonly StationKind[], number | null>();
	return (kinds) => {
		let metres = known.get(kinds);
		if (metres === undefined) {
			const mm = Math.min(...kinds.map((kind) => nearest.get(kind)?.[n] ?? Infinity));
			known.set(kinds, (metres = mm < Infinity ? mm / 1000 : null));
		}
		return metres;
	};
}

function clearsOf(
	home: Home,
	places: readonly NookPlace[],
	spaces: readonly UsableSpace[]
): (Clear | null)[] {
	return places.map(({ nook }, n) => {
		const space = spaces[n]!;
		return space.ok ? clearOf(nook, space, home.settings.play) : null;
	});
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

/** Everything about a home that the places of all groups are judged by, gathered once. */
export interface Scene {
	readonly home: Home;
	readonly places: readonly NookPlace[];
	readonly spaces: readonly UsableSpace[];
	/** What things have to keep to in each nook; null: not measured. */
	readonly clears: readonly (Clear | null)[];
	readonly walking: WalkingDistances;
	/** Walk from the nearest of a kind to every nook, mm; a kind the home lacks is stood in for by the next. */
	readonly walksFrom: (kind: StationKind) => Float64Array | null;
	/** How far a nook is from the work. */
	readonly walkTo: (n: number) => WalkTo;
	readonly spots: readonly ReadonlySet<PlaceKind>[];
	readonly belongs: BelongsTable;
	readonly lowest: ReadonlySet<string>;
	readonly hot: readonly boolean[];
	readonly nookIndex: ReadonlyMap<string, number>;
	/** Litres of each thing in each nook today, ml. */
	readonly now: ReadonlyMap<string, ReadonlyMap<string, number>>;
	readonly legs: RoutineLegs;
	/** Figures of parts of groups by what is in them, and where each could go: looked at once. */
	readonly cuts: Map<string, GroupFigures>;
	readonly rows: Map<GroupFigures, Row>;
	/** How groups were parted, by how it was asked. */
	readonly drafts: Map<string, PartDraft[]>;
	/** Uses of each group a week, by which its parts share the visits of routines. */
	readonly uses: ReadonlyMap<string, number>;
}

export function sceneOf(home: Home): Scene {
	const places = nooksInOrder(home);
	const walking = walkingDistances(home);
	const nearest = walksByKind(home, walking);
	const walkTos = places.map((_, n) => walkFrom(nearest, n));
	const held = allGroupFigures(home).filter(({ pieces }) => pieces > 0);
	const uses = new Map(held.map(({ groupId, usesPerWeek }) => [groupId, usesPerWeek]));
	const spaces = places.map((place) =>
		usableSpace(place.nook, baseAboveFloorMm(place), home.settings)
	);
	return {
		home,
		places,
		spaces,
		clears: clearsOf(home, places, spaces),
		walking,
		walksFrom: (kind) => {
			const found = [kind, ...(INSTEAD[kind] ?? [])].find((other) => nearest.has(other));
			return found ? nearest.get(found)! : null;
		},
		walkTo: (n) => walkTos[n]!,
		spots: places.map((place) => spotsOf(home, place)),
		belongs: belongsIn(home),
		lowest: lowestInFridges(places),
		hot: places.map((place) => hangsOverHeat(home, place)),
		nookIndex: new Map(places.map((place, n) => [place.nook.id as string, n])),
		now: volumesByThing(home),
		legs: routineLegs(home, (id) => uses.has(id)),
		cuts: new Map(),
		rows: new Map(),
		drafts: new Map(),
		uses
	};
}

/** Gives what is known under a key, or makes it and keeps it. */
export function once<Key, Value>(known: Map<Key, Value>, key: Key, make: () => Value): Value {
	let found = known.get(key);
	if (found === undefined) known.set(key, (found = make()));
	return found;
}

/** Nook index where most of some things stands now; −1: nowhere. Ties by id, whatever the order of the records. */
export function nookNow({ now, nookIndex }: Scene, holdings: readonly Holding[]): number {
	const sums = new Map<string, number>();
	for (const { thing } of holdings)
		for (const [nookId, ml] of now.get(thing.id) ?? [])
			sums.set(nookId, (sums.get(nookId) ?? 0) + ml);
	const [most] = [...sums].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
	return nookIndex.get(most?.[0] ?? '') ?? -1;
}
