import { PartId, type Edit, type Home, type Point, type StationKind } from '../model';
import { dropPart, partOf } from './parts';
import { standingPoint, type NookPlace } from './place';

/** What stands at a station is plugged in no farther away, mm in a straight line. */
const AT_STATION_MM = 2500;

const farMm = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

/** Makes the edit that marks a socket at a point of a room. */
export function addSocket(roomId: string, { x, y }: Point, id: string): Edit {
	return (draft) => void draft.rooms[roomId]?.sockets.push({ id: PartId.parse(id), x, y });
}

/** Makes the edit that moves one socket of a room to a point. */
export function moveSocket(roomId: string, socketId: string, { x, y }: Point): Edit {
	return (draft) => {
		const socket = partOf(draft.rooms[roomId]?.sockets, socketId);
		if (socket) Object.assign(socket, { x, y });
	};
}

/** Makes the edit that takes one socket of a room away. */
export function removeSocket(roomId: string, socketId: string): Edit {
	return (draft) => dropPart(draft.rooms[roomId]?.sockets, socketId);
}

/**
 * Measures from where one stands at a nook to the nearest socket of its room, mm in a straight line. Sockets at the
 * stations of use count; all of the home where none is at one. Infinity: none in this room; null: none in the home.
 * @example socketMm(home, toasterShelf, ['worktop']) // 900
 */
export function socketMm(
	home: Home,
	place: NookPlace,
	stations: readonly StationKind[]
): number | null {
	const sockets = Object.values(home.rooms).flatMap(({ id, sockets }) =>
		sockets.map((at) => ({ at, roomId: id }))
	);
	if (!sockets.length) return null;
	const used = Object.values(home.stations).filter(({ kind }) => stations.includes(kind));
	const ofUse = sockets.filter(({ at, roomId }) =>
		used.some((station) => station.roomId === roomId && farMm(station.at, at) <= AT_STATION_MM)
	);
	const from = standingPoint(place);
	return (ofUse.length ? ofUse : sockets).reduce(
		(least, { at, roomId }) =>
			roomId === place.room.id ? Math.min(least, farMm(from, at)) : least,
		Infinity
	);
}
