import type { Cabinet, Edit, Home, Nook, Room } from '../model';
import { followOutside } from './measure';

/** Makes the edit that changes what is known of a place, besides its sizes. */
export function changeNook(
	nookId: string,
	change: Partial<
		Pick<
			Nook,
			| 'name'
			| 'loadG'
			| 'tags'
			| 'climate'
			| 'temperatureC'
			| 'locked'
			| 'childCatch'
			| 'fixings'
			| 'photoId'
		>
	>
): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (nook) Object.assign(nook, change);
	};
}

/** What is called after a cabinet is called after its new name: its places, and notes on labels that name it. */
function renameWith(home: Home, cabinetId: string, before: string, after: string): void {
	if (!before) return;
	for (const nook of Object.values(home.nooks))
		if (nook.cabinetId === cabinetId && nook.name.startsWith(before))
			nook.name = (after + nook.name.slice(before.length)).slice(0, 200);
	for (const mark of Object.values(home.marks))
		if (home.nooks[mark.nookId]?.cabinetId === cabinetId && mark.note.includes(before))
			mark.note = mark.note.replace(before, after).slice(0, 120);
}

/**
 * Makes the edit that changes what is known of a cabinet. Inside sizes that nobody has read follow its outside, and what
 * is called after it is called after its new name.
 */
export function changeCabinet(
	cabinetId: string,
	change: Partial<Omit<Cabinet, 'id' | 'runId'>>
): Edit {
	return (draft) => {
		const cabinet = draft.cabinets[cabinetId];
		if (!cabinet) return;
		const { name, widthMm, heightMm, depthMm } = cabinet;
		Object.assign(cabinet, change);
		followOutside(draft as Home, cabinetId, { widthMm, heightMm, depthMm });
		if (change.name && change.name !== name)
			renameWith(draft as Home, cabinetId, name, change.name);
	};
}

/** Makes the edit that changes what is known of a room, besides its walls. */
export function changeRoom(
	roomId: string,
	change: Partial<Pick<Room, 'name' | 'ceilingMm' | 'climate' | 'look'>>
): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		if (room) Object.assign(room, change);
	};
}

/** Makes the edit that names a run. */
export function nameRun(runId: string, name: string): Edit {
	return (draft) => {
		const run = draft.runs[runId];
		if (run) run.name = name;
	};
}

/** Makes the edit that names a station. */
export function nameStation(stationId: string, name: string): Edit {
	return (draft) => {
		const station = draft.stations[stationId];
		if (station) station.name = name;
	};
}
