import type { Edit, Home, Obstacle, Point } from '../model';
import {
	changeObstacle,
	moveCabinet,
	moveCorner,
	moveStation,
	moveWall,
	snapCabinet,
	snapPoint,
	snapTo,
	type Snapped
} from './plan-edits';
import { runAxes } from './place';
import { moveSocket } from './sockets';

/** Anything on the plan that a hand can take hold of. */
export type PlanItem =
	| { readonly kind: 'room'; readonly id: string }
	| {
			readonly kind: 'corner' | 'wall' | 'door' | 'obstacle' | 'socket';
			readonly id: string;
			readonly index: number;
	  }
	| { readonly kind: 'station' | 'cabinet' | 'run'; readonly id: string }
	| { readonly kind: 'run-end'; readonly id: string; readonly end: 'from' | 'to' };

/** One text for each item of a plan. */
export const planItemKey = (item: PlanItem): string =>
	[
		item.kind,
		item.id,
		'index' in item ? item.index : '',
		item.kind === 'run-end' ? item.end : ''
	].join('/');

const plus = (a: Point, b: Point): Point => ({ x: a.x + b.x, y: a.y + b.y });
const whole = (point: Point): Point => ({ x: Math.round(point.x), y: Math.round(point.y) });

type Marks = { readonly mm: number; readonly to: NonNullable<Snapped['to']> }[];
/** Lines that sides of rooms lie on, one way, without those of one room. */
const roomMarks = (home: Home, side: 'x' | 'y', without: string | null): Marks =>
	Object.values(home.rooms).flatMap((room) =>
		room.id === without ? [] : room.outline.map((corner) => ({ mm: corner[side], to: 'room' }))
	);

/** Moves a span so that its low or its high side comes to rest on a mark; whichever is nearer. */
function snapSpan(low: number, size: number, marks: Marks): number {
	const a = snapTo(low, marks);
	const b = snapTo(low + size, marks);
	const offA = a.to ? Math.abs(a.mm - low) : Infinity;
	const offB = b.to ? Math.abs(b.mm - low - size) : Infinity;
	return offB < offA ? b.mm - size : a.mm;
}

/** Makes the edit that moves a whole room with what stands in it, by a vector. */
export function moveRoom(roomId: string, by: Point): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		if (!room) return;
		room.outline = room.outline.map((point) => plus(point, by));
		room.doors = room.doors.map(({ a, b }) => ({ a: plus(a, by), b: plus(b, by) }));
		for (const obstacle of room.obstacles) Object.assign(obstacle, plus(obstacle, by));
		room.sockets = room.sockets.map((point) => plus(point, by));
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
export function setWallLength(roomId: string, index: number, lengthMm: number): Edit {
	return (draft) => {
		const outline = draft.rooms[roomId]?.outline;
		const a = outline?.[index];
		const b = outline?.[(index + 1) % outline.length];
		const now = a && b ? Math.hypot(b.x - a.x, b.y - a.y) : 0;
		if (!outline || !a || !b || !now || lengthMm <= 0) return;
		const share = (lengthMm - now) / now;
		moveWall(
			roomId,
			(index + 1) % outline.length,
			whole({ x: (b.x - a.x) * share, y: (b.y - a.y) * share })
		)(draft);
	};
}

const USUAL_DOOR_MM = 800;
/** Half of the wall between two rooms, as rooms are set beside each other, mm. */
const HALF_WALL_MM = 50;

/** Makes the edit that adds a doorway in the middle of a wall of a room, at most as wide as the wall. */
export function addDoor(roomId: string, wall: number): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		const a = room?.outline[wall];
		const b = room?.outline[(wall + 1) % room.outline.length];
		if (!room || !a || !b) return;
		const length = Math.hypot(b.x - a.x, b.y - a.y);
		if (length < 1) return;
		const half = Math.min(USUAL_DOOR_MM, length) / 2 / length;
		const out = {
			x: ((b.y - a.y) / length) * HALF_WALL_MM,
			y: (-(b.x - a.x) / length) * HALF_WALL_MM
		};
		const at = (share: number) =>
			whole({ x: a.x + (b.x - a.x) * share + out.x, y: a.y + (b.y - a.y) * share + out.y });
		room.doors.push({ a: at(0.5 - half), b: at(0.5 + half) });
	};
}

/** Makes the edit that sets a doorway to an exact width about its middle. */
export function setDoorWidth(roomId: string, index: number, widthMm: number): Edit {
	return (draft) => {
		const door = draft.rooms[roomId]?.doors[index];
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
export function removeDoor(roomId: string, index: number): Edit {
	return (draft) => void draft.rooms[roomId]?.doors.splice(index, 1);
}

function dragObstacle(home: Home, roomId: string, index: number, by: Point): Edit | null {
	const obstacle: Obstacle | undefined = home.rooms[roomId]?.obstacles[index];
	if (!obstacle) return null;
	const to = plus(obstacle, by);
	return changeObstacle(roomId, index, {
		x: snapSpan(to.x, obstacle.widthMm, roomMarks(home, 'x', null)),
		y: snapSpan(to.y, obstacle.depthMm, roomMarks(home, 'y', null))
	});
}

function dragRoom(home: Home, roomId: string, by: Point): Edit | null {
	const room = home.rooms[roomId];
	if (!room) return null;
	const snapped = (side: 'x' | 'y') => {
		const values = room.outline.map((point) => point[side]);
		const low = Math.min(...values);
		return snapSpan(low + by[side], Math.max(...values) - low, roomMarks(home, side, roomId)) - low;
	};
	return moveRoom(roomId, { x: snapped('x'), y: snapped('y') });
}

/** A wall moves square to itself: its distance is drawn to the lines of other corners where it runs with the paper. */
function dragWall(home: Home, roomId: string, index: number, by: Point): Edit | null {
	const outline = home.rooms[roomId]?.outline;
	const a = outline?.[index];
	const b = outline?.[(index + 1) % outline.length];
	const length = a && b ? Math.hypot(b.x - a.x, b.y - a.y) : 0;
	if (!a || !b || !length) return null;
	const normal = { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
	const far = by.x * normal.x + by.y * normal.y;
	const side = a.x === b.x ? 'x' : a.y === b.y ? 'y' : null;
	if (!side) return moveWall(roomId, index, whole({ x: normal.x * far, y: normal.y * far }));
	const marks = roomMarks(home, side, null).filter(({ mm }) => mm !== a[side]);
	const moved = snapTo(a[side] + normal[side] * far, marks).mm - a[side];
	return moveWall(roomId, index, { x: side === 'x' ? moved : 0, y: side === 'y' ? moved : 0 });
}

function dragDoor(home: Home, roomId: string, index: number, by: Point): Edit | null {
	const door = home.rooms[roomId]?.doors[index];
	const length = door ? Math.hypot(door.b.x - door.a.x, door.b.y - door.a.y) : 0;
	if (!door || !length) return null;
	const along = { x: (door.b.x - door.a.x) / length, y: (door.b.y - door.a.y) / length };
	const far = Math.round((by.x * along.x + by.y * along.y) / 10) * 10;
	const move = whole({ x: along.x * far, y: along.y * far });
	return (draft) => {
		const target = draft.rooms[roomId]?.doors[index];
		if (target) Object.assign(target, { a: plus(target.a, move), b: plus(target.b, move) });
	};
}

/**
 * Makes the edit for dragging an item by a vector from where it stands, mm, with the snapping of its kind: corners
 * and walls to the lines of other corners, a wall square to itself, a doorway along its own line, a cabinet along its
 * run against its neighbours, an obstacle and a whole room by either side. Null for what is not moved as a whole.
 * @example dragPlanItem(home, { kind: 'cabinet', id: 'c1' }, { x: 595, y: 40 }) // beside its neighbour at 600
 */
export function dragPlanItem(home: Home, item: PlanItem, by: Point): Edit | null {
	switch (item.kind) {
		case 'room':
			return dragRoom(home, item.id, by);
		case 'corner': {
			const corner = home.rooms[item.id]?.outline[item.index];
			return corner
				? moveCorner(
						item.id,
						item.index,
						snapPoint(home, plus(corner, by), (room, i) => room === item.id && i === item.index)
					)
				: null;
		}
		case 'wall':
			return dragWall(home, item.id, item.index, by);
		case 'door':
			return dragDoor(home, item.id, item.index, by);
		case 'obstacle':
			return dragObstacle(home, item.id, item.index, by);
		case 'socket': {
			const socket = home.rooms[item.id]?.sockets[item.index];
			// It sits in a wall: drawn to the lines of the rooms.
			const to = socket && snapPoint(home, plus(socket, by), () => false);
			return to ? moveSocket(item.id, item.index, to) : null;
		}
		case 'station': {
			const station = home.stations[item.id];
			if (!station) return null;
			const to = plus(station.at, by);
			return moveStation(item.id, { x: snapTo(to.x, []).mm, y: snapTo(to.y, []).mm });
		}
		case 'cabinet': {
			const cabinet = home.cabinets[item.id];
			const run = cabinet && home.runs[cabinet.runId];
			if (!run) return null;
			const { along } = runAxes(run);
			const offset = cabinet.offsetMm + by.x * along.x + by.y * along.y;
			return moveCabinet(item.id, snapCabinet(home, item.id, offset).mm);
		}
		case 'run-end': {
			const run = home.runs[item.id];
			if (!run) return null;
			const to = snapPoint(home, plus(run[item.end], by), () => false);
			return (draft) => {
				const target = draft.runs[item.id];
				if (target) target[item.end] = to;
			};
		}
		case 'run':
			return null;
	}
}

/** Makes the edit for a step of an arrow key, mm: exact, without snapping to anything but whole millimetres. */
export function nudgePlanItem(home: Home, item: PlanItem, by: Point): Edit | null {
	switch (item.kind) {
		case 'room':
			return moveRoom(item.id, by);
		case 'corner': {
			const corner = home.rooms[item.id]?.outline[item.index];
			return corner ? moveCorner(item.id, item.index, plus(corner, by)) : null;
		}
		case 'wall':
			return moveWall(item.id, item.index, by);
		case 'obstacle': {
			const obstacle = home.rooms[item.id]?.obstacles[item.index];
			return obstacle ? changeObstacle(item.id, item.index, plus(obstacle, by)) : null;
		}
		case 'socket': {
			const socket = home.rooms[item.id]?.sockets[item.index];
			return socket ? moveSocket(item.id, item.index, plus(socket, by)) : null;
		}
		case 'station': {
			const station = home.stations[item.id];
			return station ? moveStation(item.id, plus(station.at, by)) : null;
		}
		case 'cabinet': {
			const cabinet = home.cabinets[item.id];
			const run = cabinet && home.runs[cabinet.runId];
			if (!run) return null;
			const { along } = runAxes(run);
			return moveCabinet(
				item.id,
				Math.max(0, Math.round(cabinet.offsetMm + by.x * along.x + by.y * along.y))
			);
		}
		default:
			return dragPlanItem(home, item, by);
	}
}
