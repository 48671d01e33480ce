import { z } from 'zod';
import row from '../../../../data/motion.json';
import { allGroupFigures } from '../grouping';
import type { Assignment, Home, Person, Point, Routine } from '../model';
import {
	baseAboveFloorMm,
	handHeightMm,
	isPullOut,
	placeOfNook,
	reachOf,
	REACH_BANDS,
	type NookPlace,
	type ReachBand
} from '../survey';
import { walkRoutine, type RoutineStop } from './routine-walk';

const seconds = z.number().min(0);
const Fronts = z.strictObject({ door: seconds, drawer: seconds, lid: seconds, open: seconds });
/** How long the movements of a kitchen take. */
export const MOTION = z
	.strictObject({
		walkMPerS: z.number().positive(),
		openS: Fronts,
		closeS: Fronts,
		reachS: z.strictObject({
			easy: seconds,
			good: seconds,
			bend: seconds,
			stretch: seconds,
			stool: seconds
		}),
		/** What is heavier than this takes so much longer to lift. */
		heavyG: z.number().positive(),
		heavyS: seconds,
		source: z.string()
	})
	.parse(row);

/** One movement of a routine that is played, from one second to another. */
export interface Moment {
	readonly kind: 'walk' | 'open' | 'reach' | 'close';
	readonly fromS: number;
	readonly toS: number;
	/** Which step of the routine it belongs to, from 0. */
	readonly step: number;
	/** Where one stands; for a walk the way. */
	readonly points: readonly Point[];
	readonly groupId: string | null;
	readonly nookId: string | null;
	/** For a reach; null otherwise. */
	readonly band: ReachBand | null;
}

/** A routine played once over an arrangement. */
export interface RoutinePlay {
	readonly moments: readonly Moment[];
	readonly seconds: number;
	readonly metres: number;
	readonly reaches: Readonly<Record<ReachBand, number>>;
	/** Doors, drawers and lids that are opened. */
	readonly opened: number;
	/** Groups that the person who is asked for cannot reach, or that have no place. */
	readonly missed: readonly string[];
	/** Seconds of each step: its walk, opening and reach. */
	readonly stepSeconds: readonly number[];
}

type Front = keyof typeof MOTION.openS;
/** What is open at a moment: the front of a cabinet, and a drawer or basket of it. */
interface Open {
	readonly key: string;
	readonly front: Front;
}

/** What has to be open to reach into a place, the outer first. */
function frontsOf({ nook, cabinet }: NookPlace): Open[] {
	const open: Open[] = [];
	if (cabinet.front === 'door' || cabinet.front === 'lid')
		open.push({ key: `cabinet/${cabinet.id}`, front: cabinet.front });
	if (isPullOut(nook)) open.push({ key: `nook/${nook.id}`, front: 'drawer' });
	return open;
}

const noReaches = () =>
	Object.fromEntries(REACH_BANDS.map((band) => [band, 0])) as Record<ReachBand, number>;

/**
 * Plays a routine over an arrangement: walked leg by leg, doors opened before a reach and closed when the next step is
 * elsewhere, reached into by band and weight. Of several people the one who finds a place hardest is asked; standing at
 * a station takes no time of its own, since the work there is the same in every kitchen.
 * @example playRoutine(home, breakfast, assignmentNow(home), [ada]).seconds // 74.2
 */
export function playRoutine(
	home: Home,
	routine: Pick<Routine, 'steps'>,
	assignments: readonly Assignment[],
	people: readonly Person[]
): RoutinePlay {
	const { stops } = walkRoutine(home, routine, assignments);
	const figures = new Map(allGroupFigures(home).map((each) => [each.groupId as string, each]));
	const moments: Moment[] = [];
	const reaches = noReaches();
	const missed: string[] = [];
	const stepSeconds = stops.map(() => 0);
	let now = 0;
	let metres = 0;
	let opened = 0;
	let open: Open[] = [];
	let here: Point | null = null;
	const add = (
		stop: RoutineStop,
		step: number,
		kind: Moment['kind'],
		lasts: number,
		points: readonly Point[],
		band: ReachBand | null = null
	) => {
		if (lasts <= 0) return;
		const { groupId, nookId } = stop;
		moments.push({ kind, fromS: now, toS: now + lasts, step, points, groupId, nookId, band });
		stepSeconds[step]! += lasts;
		now += lasts;
	};
	stops.forEach((stop, step) => {
		const place = stop.nookId ? placeOfNook(home, stop.nookId) : null;
		const wanted = place ? frontsOf(place) : [];
		// Whatever the next place does not need is closed, before one walks away from it.
		for (const each of [...open].reverse())
			if (here && !wanted.some(({ key }) => key === each.key))
				add(stop, step, 'close', MOTION.closeS[each.front], [here]);
		open = open.filter((each) => wanted.some(({ key }) => key === each.key));
		if (!stop.at) {
			if (stop.groupId) missed.push(stop.groupId);
			return;
		}
		if (stop.way.length && stop.fromBeforeM) {
			metres += stop.fromBeforeM;
			add(stop, step, 'walk', stop.fromBeforeM / MOTION.walkMPerS, stop.way);
		}
		here = stop.at;
		if (!place || !stop.groupId) return;
		for (const each of wanted) {
			if (open.some(({ key }) => key === each.key)) continue;
			add(stop, step, 'open', MOTION.openS[each.front], [stop.at]);
			open.push(each);
			opened++;
		}
		const own = figures.get(stop.groupId);
		const { band, factor } = reachOf(
			{
				heightMm: handHeightMm(place),
				topMm:
					baseAboveFloorMm(place) +
					Math.min(place.nook.inside.heightMm ?? 0, own?.tallestMm ?? Infinity),
				depthMm: place.nook.inside.depthMm ?? 0,
				pullOut: isPullOut(place.nook),
				behindDoor: place.cabinet.front === 'door'
			},
			people,
			home.settings.effort
		);
		if (!Number.isFinite(factor)) {
			missed.push(stop.groupId);
			return;
		}
		reaches[band]++;
		const heavy = (own?.heaviestG ?? 0) > MOTION.heavyG ? MOTION.heavyS : 0;
		add(stop, step, 'reach', MOTION.reachS[band] + heavy, [stop.at], band);
	});
	if (here && stops.length)
		for (const each of [...open].reverse())
			add(stops.at(-1)!, stops.length - 1, 'close', MOTION.closeS[each.front], [here]);
	return { moments, seconds: now, metres, reaches, opened, missed, stepSeconds };
}

/** Where the person of a play is at a second, on the plan; null before there is anything to do. */
export function placeAt({ moments }: RoutinePlay, atS: number): Point | null {
	const moment = moments.find(({ toS }) => toS >= atS) ?? moments.at(-1);
	if (!moment) return null;
	const { points, fromS, toS } = moment;
	if (points.length < 2) return points[0] ?? null;
	const legs = points.slice(1).map((to, i) => Math.hypot(to.x - points[i]!.x, to.y - points[i]!.y));
	const share = Math.min(1, Math.max(0, (atS - fromS) / (toS - fromS)));
	let left = share * legs.reduce((sum, mm) => sum + mm, 0);
	for (let i = 0; i < legs.length; i++) {
		const [from, to] = [points[i]!, points[i + 1]!];
		if (left <= legs[i]! || i === legs.length - 1) {
			const part = legs[i]! ? Math.min(1, left / legs[i]!) : 1;
			return { x: from.x + (to.x - from.x) * part, y: from.y + (to.y - from.y) * part };
		}
		left -= legs[i]!;
	}
	return points.at(-1)!;
}

/** Two bodies pass each other with a shoulder's room; nearer, one has to wait, mm. */
const TOO_NEAR_MM = 700;
const STEP_S = 0.2;

/** A time in which two people who work at once are in each other's way. */
export interface Crossing {
	readonly fromS: number;
	readonly toS: number;
	readonly at: Point;
}

/** Finds when two plays that begin together come nearer than a body's room; sampled five times a second. */
export function crossings(a: RoutinePlay, b: RoutinePlay): Crossing[] {
	const end = Math.min(a.seconds, b.seconds);
	const found: { fromS: number; toS: number; at: Point }[] = [];
	let isNear = false;
	for (let t = 0; t <= end; t += STEP_S) {
		const [one, other] = [placeAt(a, t), placeAt(b, t)];
		const near = one && other && Math.hypot(one.x - other.x, one.y - other.y) < TOO_NEAR_MM;
		if (near && isNear) found.at(-1)!.toS = t;
		else if (near) found.push({ fromS: t, toS: t, at: one });
		isNear = !!near;
	}
	return found;
}

/** What all routines of a week come to. */
export interface WeekPlay {
	readonly seconds: number;
	readonly metres: number;
	readonly opened: number;
	readonly reaches: Readonly<Record<ReachBand, number>>;
	readonly missed: readonly string[];
	/** Seconds a week that each group costs, the dearest first. */
	readonly byGroup: readonly { readonly groupId: string; readonly seconds: number }[];
}

/** Plays all routines of a home, each as often as it is done a week. */
export function playWeek(
	home: Home,
	assignments: readonly Assignment[],
	people: readonly Person[]
): WeekPlay {
	const reaches = noReaches();
	const groups = new Map<string, number>();
	const missed = new Set<string>();
	let [total, metres, opened] = [0, 0, 0];
	for (const routine of Object.values(home.routines)) {
		const play = playRoutine(home, routine, assignments, people);
		const times = routine.timesPerWeek;
		total += play.seconds * times;
		metres += play.metres * times;
		opened += play.opened * times;
		for (const band of REACH_BANDS) reaches[band] += play.reaches[band] * times;
		for (const groupId of play.missed) missed.add(groupId);
		routine.steps.forEach(({ groupId }, i) => {
			if (groupId) groups.set(groupId, (groups.get(groupId) ?? 0) + play.stepSeconds[i]! * times);
		});
	}
	return {
		seconds: total,
		metres,
		opened,
		reaches,
		missed: [...missed],
		byGroup: [...groups]
			.map(([groupId, seconds]) => ({ groupId, seconds }))
			.sort((a, b) => b.seconds - a.seconds || (a.groupId < b.groupId ? -1 : 1))
	};
}
