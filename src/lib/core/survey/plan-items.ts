import { PartId, type Edit, type Point } from '../model';
import { moveWall } from './plan-edits';
import { dropPart, partOf, wallOf } from './parts';

export const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
export const whole = (point: Point): Point => ({ x: Math.round(point.x), y: Math.round(point.y) });

/** Makes the edit that moves a whole room with what stands in it, by a vector. */
export function moveRoom(roomId: string, by: Point): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		if (!room) return;
		for (const door of room.doors)
			Object.assign(door, { a: plus(door.a, by), b: plus(door.b, by) });
		for (const part of [...room.outline, ...room.obstacles, ...room.sockets])
			Object.assign(part, plus(part, by));
		for (const run of Object.values(draft.runs))
			if (run.roomId === roomId) {
				run.from = plus(run.from, by);
				run.to = plus(run.to, by);
			}
		for (const station of Object.values(draft.stations))
			if (station.roomId === roomId) station.at = plus(station.at, by);
	};
}

/** Makes the edit that sets one wall to an exact length: the wall after it is moved along, so that corners stay square. */
export function setWallLength(roomId: string, wall: string, lengthMm: number): Edit {
	return (draft) => {
		const ends = wallOf(draft.rooms[roomId]?.outline, wall);
		if (!ends || lengthMm <= 0) return;
		const [a, b] = ends;
		const now = Math.hypot(b.x - a.x, b.y - a.y);
		if (!now) return;
		const share = (lengthMm - now) / now;
		const by = whole({ x: (b.x - a.x) * share, y: (b.y - a.y) * share });
		moveWall(roomId, b.id, by)(draft);
	};
}

const USUAL_DOOR_MM = 800;
/** Half of the wall between two rooms, as rooms are set beside each other, mm. */
const HALF_WALL_MM = 50;

/** Makes the edit that adds a doorway in the middle of a wall of a room, at most as wide as the wall. */
export function addDoor(roomId: string, wall: string, id: string): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		const ends = wallOf(room?.outline, wall);
		if (!room || !ends) return;
		const [a, b] = ends;
		const length = Math.hypot(b.x - a.x, b.y - a.y);
		if (length < 1) return;
		const half = Math.min(USUAL_DOOR_MM, length) / 2 / length;
		const out = {
			x: ((b.y - a.y) / length) * HALF_WALL_MM,
			y: (-(b.x - a.x) / length) * HALF_WALL_MM
		};
		const at = (share: number) =>
			whole({ x: a.x + (b.x - a.x) * share + out.x, y: a.y + (b.y - a.y) * share + out.y });
		room.doors.push({ id: PartId.parse(id), a: at(0.5 - half), b: at(0.5 + half) });
	};
}

/** Makes the edit that sets a doorway to an exact width about its middle. */
export function setDoorWidth(roomId: string, doorId: string, widthMm: number): Edit {
	return (draft) => {
		const door = partOf(draft.rooms[roomId]?.doors, doorId);
		const now = door ? Math.hypot(door.b.x - door.a.x, door.b.y - door.a.y) : 0;
		if (!door || !now || widthMm <= 0) return;
		const grow = (widthMm / now - 1) / 2;
		const dx = (door.b.x - door.a.x) * grow;
		const dy = (door.b.y - door.a.y) * grow;
		door.a = whole({ x: door.a.x - dx, y: door.a.y - dy });
		door.b = whole({ x: door.b.x + dx, y: door.b.y + dy });
	};
}

/** Makes the edit that closes a doorway. */
export function removeDoor(roomId: string, doorId: string): Edit {
	return (draft) => dropPart(draft.rooms[roomId]?.doors, doorId);
}

/** Makes the edit that moves a doorway by a vector. */
export function moveDoor(roomId: string, doorId: string, by: Point): Edit {
	return (draft) => {
		const door = partOf(draft.rooms[roomId]?.doors, doorId);
		if (door) Object.assign(door, { a: plus(door.a, by), b: plus(door.b, by) });
	};
}

/** Makes the edit that sets one end of a run. */
export function moveRunEnd(runId: string, end: 'from' | 'to', to: Point): Edit {
	return (draft) => {
		const run = draft.runs[runId];
		if (run) run[end] = to;
	};
}
