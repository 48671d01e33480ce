import type { Home, StationKind } from '../model';

/** Walks that the household's routines make in a week, leg by leg. */
export interface RoutineLegs {
	/** Visits a week to each group. */
	readonly visits: ReadonlyMap<string, number>;
	/** Legs a week between a group and stations, either way. */
	readonly stations: ReadonlyMap<string, ReadonlyMap<StationKind, number>>;
	/** Legs a week straight from one group to another, either way. */
	readonly groups: readonly { readonly a: string; readonly b: string; readonly times: number }[];
}

/**
 * Takes the routines apart into legs between stops that have a place: stations that the home has, groups that hold
 * something. A stop without a place is passed by, so the leg goes on to the next. Deterministic, whatever the order of
 * records.
 */
export function routineLegs(
	home: Pick<Home, 'routines' | 'stations'>,
	holds: (groupId: string) => boolean
): RoutineLegs {
	const kinds = new Set(Object.values(home.stations).map(({ kind }) => kind));
	const visits = new Map<string, number>();
	const stations = new Map<string, Map<StationKind, number>>();
	const groups = new Map<string, { a: string; b: string; times: number }>();
	const add = <K>(map: Map<K, number>, key: K, times: number) =>
		map.set(key, (map.get(key) ?? 0) + times);
	for (const { steps, timesPerWeek } of Object.values(home.routines)) {
		if (timesPerWeek <= 0) continue;
		const stops = steps.filter(({ groupId, station }) =>
			station ? kinds.has(station) : groupId !== null && holds(groupId)
		);
		stops.forEach(({ groupId, station }, i) => {
			if (!station) add(visits, groupId!, timesPerWeek);
			const next = stops[i + 1];
			if (!next || (station && next.station)) return;
			if (!station && !next.station) {
				if (groupId === next.groupId) return;
				const [a = '', b = ''] = [String(groupId), String(next.groupId)].sort();
				const known = groups.get(`${a}|${b}`) ?? { a, b, times: 0 };
				groups.set(`${a}|${b}`, { ...known, times: known.times + timesPerWeek });
				return;
			}
			const [group, kind] = station ? [next.groupId!, station] : [groupId!, next.station!];
			const own = stations.get(group) ?? new Map<StationKind, number>();
			add(own, kind, timesPerWeek);
			stations.set(group, own);
		});
	}
	return { visits, stations, groups: [...groups.values()] };
}
