import type { Assignment, Home, Point, Routine } from '../model';
import { placeOfNook, standingPoint, walkGraphOf, walkPath } from '../survey';

export interface RoutineStop {
	readonly groupId: string | null;
	readonly station: string | null;
	/** The place that holds most of the group; null: a station, or no place. */
	readonly nookId: string | null;
	/** Where one stands on the plan; null: the group has no place, or the home no such station. */
	readonly at: Point | null;
	/** Walked from the stop before that has a place, m; 0 at the first; null: no place, or no way. */
	readonly fromBeforeM: number | null;
	/** The way from the stop before, corner by corner; empty: none, or not a step. */
	readonly way: readonly Point[];
}

export interface RoutineWalk {
	readonly stops: readonly RoutineStop[];
	/** One round from the first stop to the last, m; what has no place or no way is left out. */
	readonly metres: number;
	/** Lines on the plan, one a leg. */
	readonly paths: readonly (readonly Point[])[];
	/** Whether every stop was reached. */
	readonly isWhole: boolean;
}

/** The nook that holds most of each group; ties by id. */
export function mainNooks(assignments: readonly Assignment[]): Map<string, string> {
	const most = new Map<string, Assignment>();
	for (const one of assignments) {
		const known = most.get(one.groupId);
		const more = one.share - (known?.share ?? -1);
		if (more > 0 || (more === 0 && one.nookId < known!.nookId)) most.set(one.groupId, one);
	}
	return new Map([...most].map(([groupId, { nookId }]) => [groupId, nookId]));
}

/**
 * Walks a routine once over a plan, round bodies and through doorways: to the place that holds most of each group, and
 * to its stations. A step without a place is passed by.
 * @example walkRoutine(home, breakfast, assignmentNow(home)).metres // 11.4
 */
export function walkRoutine(
	home: Home,
	{ steps }: Pick<Routine, 'steps'>,
	assignments: readonly Assignment[]
): RoutineWalk {
	const graph = walkGraphOf(home);
	const nooks = mainNooks(assignments);
	const stations = Object.values(home.stations).sort((a, b) => (a.id < b.id ? -1 : 1));
	const pointOf = ({ groupId, station }: Routine['steps'][number]): Point | null => {
		if (station) return stations.find(({ kind }) => kind === station)?.at ?? null;
		const place = placeOfNook(home, nooks.get(groupId ?? '') ?? '');
		return place && standingPoint(place);
	};
	const paths: (readonly Point[])[] = [];
	let last: Point | null = null;
	const stops = steps.map((step): RoutineStop => {
		const at = pointOf(step);
		const leg = at && last ? walkPath(graph, last, at) : null;
		const isFirst = at !== null && last === null;
		const way = leg && leg.mm > 0 ? leg.points : [];
		if (way.length) paths.push(way);
		if (at) last = at;
		return {
			...step,
			nookId: step.station ? null : (nooks.get(step.groupId ?? '') ?? null),
			at,
			fromBeforeM: isFirst ? 0 : leg ? leg.mm / 1000 : null,
			way
		};
	});
	return {
		stops,
		metres: stops.reduce((sum, { fromBeforeM }) => sum + (fromBeforeM ?? 0), 0),
		paths,
		isWhole: stops.every(({ fromBeforeM }) => fromBeforeM !== null)
	};
}
