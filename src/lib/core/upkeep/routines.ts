import { z } from 'zod';
import rows from '../../../../data/routines.json';
import { allGroupFigures, mainCategories } from '../grouping';
import { RoutineId, StationKind, type Edit, type Home, type Routine } from '../model';

export type RoutineStep = Routine['steps'][number];
export type RoutineDraft = Pick<Routine, 'name' | 'timesPerWeek' | 'steps'>;

/** Usual routines: a name, times a week, and steps that are a category or, with an @, a station. */
const USUAL = z.array(z.tuple([z.string(), z.number(), z.array(z.string())])).parse(rows);

/** A routine of fewer groups walks nowhere. */
const LEAST_GROUPS = 2;

/**
 * Proposes the usual routines that this home could have and does not: each category stands for its most used group,
 * stations and categories that the home lacks are left out. In the order of the table; ties of groups by id.
 */
export function proposeRoutines(home: Home): RoutineDraft[] {
	const uses = new Map(allGroupFigures(home).map((f) => [f.groupId, f.usesPerWeek]));
	const groupOf = new Map<string, string>();
	for (const [groupId, code] of mainCategories(home)) {
		const known = groupOf.get(code);
		const more = (uses.get(groupId) ?? 0) - (known ? (uses.get(known) ?? 0) : -1);
		if (!known || more > 0 || (more === 0 && groupId < known)) groupOf.set(code, groupId);
	}
	const stations = new Set<string>(Object.values(home.stations).map(({ kind }) => kind));
	const names = new Set(Object.values(home.routines).map(({ name }) => name.toLowerCase()));
	return USUAL.flatMap(([name, timesPerWeek, words]) => {
		const steps = words.flatMap((word): RoutineStep[] => {
			if (word.startsWith('@')) {
				const station = StationKind.parse(word.slice(1));
				return stations.has(station) ? [{ groupId: null, station }] : [];
			}
			const group = home.groups[groupOf.get(word) ?? ''];
			return group ? [{ groupId: group.id, station: null }] : [];
		});
		const groups = steps.filter(({ groupId }) => groupId !== null).length;
		if (groups < LEAST_GROUPS || names.has(name.toLowerCase())) return [];
		return [{ name, timesPerWeek, steps }];
	});
}

/** Makes the edit that adds a routine. */
export function addRoutine(id: string, { name, timesPerWeek, steps }: RoutineDraft): Edit {
	return (draft) => {
		const routineId = RoutineId.parse(id);
		draft.routines[routineId] = {
			id: routineId,
			name,
			timesPerWeek,
			steps: steps.map((step) => ({ ...step }))
		};
	};
}

/** Makes the edit that changes a routine; nothing when it is gone. */
export function changeRoutine(id: string, change: Partial<RoutineDraft>): Edit {
	return (draft) => {
		const routine = draft.routines[id];
		if (routine) Object.assign(routine, change);
	};
}

/** Makes the edit that takes a routine away. */
export function removeRoutine(id: string): Edit {
	return (draft) => void delete draft.routines[id];
}

/** Makes the edit that moves one step of a routine by some places, at most to its ends. */
export function moveStep(id: string, index: number, by: number): Edit {
	return (draft) => {
		const steps = draft.routines[id]?.steps;
		const [step] = steps?.splice(index, 1) ?? [];
		if (step) steps!.splice(Math.max(0, index + by), 0, step);
	};
}
