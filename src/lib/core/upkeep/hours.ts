import { workedMinutes } from '../clearing';
import {
	MaterialId,
	WORK_STAGES,
	WorkTimeId,
	type Edit,
	type HomePart,
	type Material,
	type WorkTime
} from '../model';

type HoursHome = HomePart<'sessions' | 'resets' | 'workTimes'>;
export type WorkStage = WorkTime['stage'];

/**
 * Minutes of work by stage, those with any, in the order of the work: clear-outs and resets as they were timed, and what
 * was written down by hand.
 */
export function hoursByStage(home: HoursHome): { stage: WorkStage; minutes: number }[] {
	const minutes = new Map<WorkStage, number>();
	const add = (stage: WorkStage, more: number) =>
		minutes.set(stage, (minutes.get(stage) ?? 0) + more);
	for (const session of Object.values(home.sessions))
		if (session.endedAt) add('clear', workedMinutes(session, session.endedAt));
	for (const { log } of Object.values(home.resets))
		for (const done of log) add('keep', done.minutes ?? 0);
	for (const { stage, minutes: by } of Object.values(home.workTimes)) add(stage, by);
	return WORK_STAGES.flatMap((stage) => {
		const sum = minutes.get(stage) ?? 0;
		return sum > 0 ? [{ stage, minutes: sum }] : [];
	});
}

/** What the materials of a home cost, minor units, and how many lines have no price. */
export function materialsCost({ materials }: HomePart<'materials'>): {
	readonly minor: number;
	readonly unpriced: number;
} {
	let [minor, unpriced] = [0, 0];
	for (const { count, priceMinor } of Object.values(materials)) {
		if (priceMinor === null) unpriced++;
		else minor += Math.round(count * priceMinor);
	}
	return { minor, unpriced };
}

/** Makes the edit that writes down time that no clear-out timed. */
export function addWorkTime(time: Omit<WorkTime, 'id'>, id: string): Edit {
	const key = WorkTimeId.parse(id);
	return (draft) => void (draft.workTimes[key] = { ...time, id: key });
}
/** Makes the edit that takes a time away. */
export function removeWorkTime(id: string): Edit {
	return (draft) => void delete draft.workTimes[id];
}
/** Makes the edit that writes down what was used. */
export function addMaterial(material: Omit<Material, 'id'>, id: string): Edit {
	const key = MaterialId.parse(id);
	return (draft) => void (draft.materials[key] = { ...material, id: key });
}
/** Makes the edit that takes a line of material away. */
export function removeMaterial(id: string): Edit {
	return (draft) => void delete draft.materials[id];
}
