import { commandsOf, type CommandOf, type Home, type Point } from '../model';
import { partOf, wallOf } from './parts';
import { runAxes } from './place';
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
import { moveDoor, moveRoom, moveRunEnd, plus, whole } from './plan-items';
import { moveSocket } from './sockets';

/** What a drag on the plan can come to. */
export const PLAN_MOVES = {
	changeObstacle,
	moveCabinet,
	moveCorner,
	moveDoor,
	moveRoom,
	moveRunEnd,
	moveSocket,
	moveStation,
	moveWall
} as const;
export type PlanMove = CommandOf<typeof PLAN_MOVES>;
const { make } = commandsOf(PLAN_MOVES);

/** Anything on the plan that a hand can take hold of. */
export type PlanItem =
	| { readonly kind: 'room'; readonly id: string }
	| {
			readonly kind: 'corner' | 'wall' | 'door' | 'obstacle' | 'socket';
			readonly id: string;
			/** Id of the part within its room; a wall is known by the corner it begins at. */
			readonly part: string;
	  }
	| { readonly kind: 'station' | 'cabinet' | 'run'; readonly id: string }
	| { readonly kind: 'run-end'; readonly id: string; readonly end: 'from' | 'to' };

/** One text for each item of a plan. */
export const planItemKey = (item: PlanItem): string =>
	[
		item.kind,
		item.id,
		'part' in item ? item.part : '',
		item.kind === 'run-end' ? item.end : ''
	].join('/');

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

function dragObstacle(home: Home, roomId: string, part: string, by: Point): PlanMove | null {
	const obstacle = partOf(home.rooms[roomId]?.obstacles, part);
	if (!obstacle) return null;
	const to = plus(obstacle, by);
	return make('changeObstacle', roomId, part, {
		x: snapSpan(to.x, obstacle.widthMm, roomMarks(home, 'x', null)),
		y: snapSpan(to.y, obstacle.depthMm, roomMarks(home, 'y', null))
	});
}

function dragRoom(home: Home, roomId: string, by: Point): PlanMove | null {
	const room = home.rooms[roomId];
	if (!room) return null;
	const snapped = (side: 'x' | 'y') => {
		const values = room.outline.map((point) => point[side]);
		const low = Math.min(...values);
		return snapSpan(low + by[side], Math.max(...values) - low, roomMarks(home, side, roomId)) - low;
	};
	return make('moveRoom', roomId, { x: snapped('x'), y: snapped('y') });
}

/** A wall moves square to itself: its distance is drawn to the lines of other corners where it runs with the paper. */
function dragWall(home: Home, roomId: string, wall: string, by: Point): PlanMove | null {
	const ends = wallOf(home.rooms[roomId]?.outline, wall);
	if (!ends) return null;
	const [a, b] = ends;
	const length = Math.hypot(b.x - a.x, b.y - a.y);
	if (!length) return null;
	const normal = { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
	const far = by.x * normal.x + by.y * normal.y;
	const side = a.x === b.x ? 'x' : a.y === b.y ? 'y' : null;
	if (!side) return make('moveWall', roomId, wall, whole({ x: normal.x * far, y: normal.y * far }));
	const marks = roomMarks(home, side, null).filter(({ mm }) => mm !== a[side]);
	const moved = snapTo(a[side] + normal[side] * far, marks).mm - a[side];
	return make('moveWall', roomId, wall, {
		x: side === 'x' ? moved : 0,
		y: side === 'y' ? moved : 0
	});
}

function dragDoor(home: Home, roomId: string, part: string, by: Point): PlanMove | null {
	const door = partOf(home.rooms[roomId]?.doors, part);
	const length = door ? Math.hypot(door.b.x - door.a.x, door.b.y - door.a.y) : 0;
	if (!door || !length) return null;
	const along = { x: (door.b.x - door.a.x) / length, y: (door.b.y - door.a.y) / length };
	const far = Math.round((by.x * along.x + by.y * along.y) / 10) * 10;
	return make('moveDoor', roomId, part, whole({ x: along.x * far, y: along.y * far }));
}

/**
 * Makes the change for dragging an item by a vector from where it stands, mm, with the snapping of its kind: corners
 * and walls to the lines of other corners, a wall square to itself, a doorway along its own line, a cabinet along its
 * run against its neighbours, an obstacle and a whole room by either side. Null for what is not moved as a whole.
 * @example dragPlanItem(home, { kind: 'cabinet', id: 'c1' }, { x: 595, y: 40 }) // beside its neighbour at 600
 */
export function dragPlanItem(home: Home, item: PlanItem, by: Point): PlanMove | null {
	switch (item.kind) {
		case 'room':
			return dragRoom(home, item.id, by);
		case 'corner': {
			const corner = partOf(home.rooms[item.id]?.outline, item.part);
			const own = (room: string, id: string) => room === item.id && id === item.part;
			return corner
				? make('moveCorner', item.id, item.part, snapPoint(home, plus(corner, by), own))
				: null;
		}
		case 'wall':
			return dragWall(home, item.id, item.part, by);
		case 'door':
			return dragDoor(home, item.id, item.part, by);
		case 'obstacle':
			return dragObstacle(home, item.id, item.part, by);
		case 'socket': {
			const socket = partOf(home.rooms[item.id]?.sockets, item.part);
			// It sits in a wall: drawn to the lines of the rooms.
			const to = socket && snapPoint(home, plus(socket, by), () => false);
			return to ? make('moveSocket', item.id, item.part, to) : null;
		}
		case 'station': {
			const station = home.stations[item.id];
			if (!station) return null;
			const to = plus(station.at, by);
			return make('moveStation', item.id, { x: snapTo(to.x, []).mm, y: snapTo(to.y, []).mm });
		}
		case 'cabinet': {
			const cabinet = home.cabinets[item.id];
			const run = cabinet && home.runs[cabinet.runId];
			if (!run) return null;
			const { along } = runAxes(run);
			const offset = cabinet.offsetMm + by.x * along.x + by.y * along.y;
			return make('moveCabinet', item.id, snapCabinet(home, item.id, offset).mm);
		}
		case 'run-end': {
			const run = home.runs[item.id];
			if (!run) return null;
			const to = snapPoint(home, plus(run[item.end], by), () => false);
			return make('moveRunEnd', item.id, item.end, to);
		}
		case 'run':
			return null;
	}
}

/** Makes the change for a step of an arrow key, mm: exact, without snapping to anything but whole millimetres. */
export function nudgePlanItem(home: Home, item: PlanItem, by: Point): PlanMove | null {
	switch (item.kind) {
		case 'room':
			return make('moveRoom', item.id, by);
		case 'corner': {
			const corner = partOf(home.rooms[item.id]?.outline, item.part);
			return corner ? make('moveCorner', item.id, item.part, plus(corner, by)) : null;
		}
		case 'wall':
			return make('moveWall', item.id, item.part, by);
		case 'obstacle': {
			const obstacle = partOf(home.rooms[item.id]?.obstacles, item.part);
			return obstacle ? make('changeObstacle', item.id, item.part, plus(obstacle, by)) : null;
		}
		case 'socket': {
			const socket = partOf(home.rooms[item.id]?.sockets, item.part);
			return socket ? make('moveSocket', item.id, item.part, plus(socket, by)) : null;
		}
		case 'station': {
			const station = home.stations[item.id];
			return station ? make('moveStation', item.id, plus(station.at, by)) : null;
		}
		case 'cabinet': {
			const cabinet = home.cabinets[item.id];
			const run = cabinet && home.runs[cabinet.runId];
			if (!run) return null;
			const { along } = runAxes(run);
			return make(
				'moveCabinet',
				item.id,
				Math.max(0, Math.round(cabinet.offsetMm + by.x * along.x + by.y * along.y))
			);
		}
		default:
			return dragPlanItem(home, item, by);
	}
}
