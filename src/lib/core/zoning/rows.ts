import type { GroupFigures } from '../grouping';
import type { Home, Person, StationKind } from '../model';
import { baseAboveFloorMm, handHeightMm, isPullOut, reachOf } from '../survey';
import { Row, type Cell } from './cell';
import { hardRuleBroken, type RuleInput } from './hard-rules';
import type { Scene } from './scene';
import { softPenalties } from './soft-rules';

/** Splits a group's uses over the stations; the school shifts dishes to or from the dishwasher. */
function stationShares(home: Home, figures: GroupFigures): Map<StationKind, number> {
	const factor = home.schools.near === 'dishwasher' ? 3 : 0.5;
	const weighed = [...figures.stations].map(
		([kind, share]) => [kind, kind === 'dishwasher' ? share * factor : share] as const
	);
	const sum = weighed.reduce((total, [, share]) => total + share, 0) || 1;
	return new Map(weighed.map(([kind, share]) => [kind, share / sum]));
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
const SELDOM_PER_WEEK = 1;
/** Those by whom a place of a group is judged: its own users, else everybody who lives here and is no small child. */
export function peopleOf(home: Home, figures: GroupFigures): Person[] {
	const people = Object.values(home.people);
	const own = people.filter((person) => figures.userIds.includes(person.id));
	if (own.length) return own;
	const all = people.filter((person) => person.ageBand !== 'child' && person.ageBand !== 'toddler');
	const residents = all.filter(({ visits }) => !visits);
	return residents.length ? residents : all;
}

/** An armful, ml, and what picking one up and putting it down is worth, in metres walked. */
const ARMFUL_ML = 12_000;
const HANDLING_M = 3;
/** A move has to pay back its carrying within so many weeks. */
const PAYS_BACK_WEEKS = 4.3;

/** What it costs a week to carry a group once from where it is to a nook, spread over the time it has to pay back in. */
function carrying({ home, walking, places }: Scene, figures: GroupFigures, at: number, n: number) {
	if (home.schools.change === 'scratch' || at < 0 || at === n) return 0;
	const metres = walking.nookToNookMm[at * places.length + n]! / 1000;
	const far = Number.isFinite(metres) ? metres : 0;
	const armfuls = Math.ceil(figures.volumeMl / ARMFUL_ML);
	return home.settings.effort.changeWeight + (armfuls * (2 * far + HANDLING_M)) / PAYS_BACK_WEEKS;
}

/** Share of its group's uses that falls to a part; all of it where nothing is used. */
export const usedShare = ({ uses }: Scene, { groupId, usesPerWeek }: GroupFigures): number => {
	const whole = uses.get(groupId) ?? 0;
	return whole > 0 ? Math.min(1, usesPerWeek / whole) : 1;
};

/** How the walks to a group are made: legs of routines from and to stations, m a week by nook, and trips of their own. */
function walksOfRoutines(scene: Scene, figures: GroupFigures) {
	const { legs, places, walksFrom } = scene;
	const share = usedShare(scene, figures);
	const visits = (legs.visits.get(figures.groupId) ?? 0) * share;
	const metres = new Float64Array(places.length);
	for (const [kind, times] of legs.stations.get(figures.groupId) ?? []) {
		const row = walksFrom(kind);
		if (row) for (let n = 0; n < metres.length; n++) metres[n]! += (times * share * row[n]!) / 1000;
	}
	return { visits, metres, ownTrips: Math.max(0, figures.tripsPerWeek - visits) };
}

/** A metre in a routine, with full hands and others in the way, counts as so many on a walk of its own. */
export const ROUTINE_WEIGHT = 5;

/** What somebody else has to hand down takes so many times the effort of a stool. */
const HANDED_DOWN = 2;

/** Everything that the rules ask of a group, or a part of it, in each nook. */
export function inputsOf(scene: Scene, figures: GroupFigures): (n: number) => CellInput {
	const { home, places, clears, spots, belongs } = scene;
	const { effort } = home.settings;
	const people = peopleOf(home, figures);
	const walks = walksOf(stationShares(home, figures), scene.walksFrom, places.length);
	// The cold has few places, and what is seldom used may wait for somebody to hand it down.
	const isHanded =
		figures.needs.has('chilled') ||
		figures.needs.has('frozen') ||
		figures.usesPerWeek < SELDOM_PER_WEEK;
	return (n) => {
		const place = places[n]!;
		const base = baseAboveFloorMm(place);
		const judged = reachOf(
			{
				heightMm: handHeightMm(place),
				topMm: base + Math.min(place.nook.inside.heightMm ?? 0, figures.tallestMm),
				depthMm: place.nook.inside.depthMm ?? 0,
				pullOut: isPullOut(place.nook),
				behindDoor: place.cabinet.front === 'door'
			},
			people,
			effort
		);
		const reach =
			isHanded && judged.factor === Infinity
				? { ...judged, factor: HANDED_DOWN * effort.stool }
				: judged;
		return {
			home,
			figures,
			place,
			people,
			reach,
			belongs,
			walkMm: walks[n]!,
			clear: clears[n]!,
			isLowestInFridge: scene.lowest.has(place.nook.id),
			isHot: scene.hot[n]!,
			reachFactor: reach.factor,
			spots: spots[n]!,
			walkTo: scene.walkTo(n)
		};
	};
}
type CellInput = RuleInput & Parameters<typeof softPenalties>[0];

/** A group, or a part of it, in every nook: what forbids it, or what it costs. */
export function rowOf(scene: Scene, figures: GroupFigures, at: number): Row {
	const { effort } = scene.home.settings;
	const inputAt = inputsOf(scene, figures);
	const routine = walksOfRoutines(scene, figures);
	const reaches = routine.ownTrips + routine.visits;
	return new Row(scene.places.length, (n): Cell => {
		const input = inputAt(n);
		const { walkMm, reach } = input;
		// There and back again, where no routine leads past.
		const metresPerWeek = routine.ownTrips * 2 * (walkMm / 1000) + routine.metres[n]!;
		return {
			hard: hardRuleBroken(input),
			reach,
			walkM: walkMm / 1000,
			metresPerWeek,
			parts: {
				walk: (metresPerWeek + (ROUTINE_WEIGHT - 1) * routine.metres[n]!) * effort.walkPerM,
				reach: reaches * reach.factor * effort.reachWeight,
				soft: softPenalties(input),
				habit: carrying(scene, figures, at, n)
			}
		};
	});
}
