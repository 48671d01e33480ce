import type { Cabinet, Edit, Nook, Room } from '../model';

/** Makes the edit that changes what is known of a place, besides its sizes. */
export function changeNook(
	nookId: string,
	change: Partial<
		Pick<
			Nook,
			'name' | 'loadG' | 'tags' | 'climate' | 'temperatureC' | 'locked' | 'fixings' | 'photoId'
		>
	>
): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (nook) Object.assign(nook, change);
	};
}

/** Makes the edit that changes what is known of a cabinet. */
export function changeCabinet(
	cabinetId: string,
	change: Partial<Omit<Cabinet, 'id' | 'runId'>>
): Edit {
	return (draft) => {
		const cabinet = draft.cabinets[cabinetId];
		if (cabinet) Object.assign(cabinet, change);
	};
}

/** Makes the edit that changes what is known of a room, besides its walls. */
export function changeRoom(
	roomId: string,
	change: Partial<Pick<Room, 'name' | 'ceilingMm' | 'climate'>>
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
