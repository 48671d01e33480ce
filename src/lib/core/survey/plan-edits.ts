import {
	PartId,
	RunId,
	type Edit,
	type Home,
	type Obstacle,
	type Point,
	type Run,
	type StationKind
} from '../model';
import { dropPart, partOf, wallOf } from './parts';
import { runAxes } from './place';
import { isInside } from './walk-space';

/** How near a dragged side comes to another before it is drawn to it, mm. */
export const SNAP_MM = 60;
/** Without a side near it, a drag stops at whole steps, mm. */
const STEP_MM = 10;

export interface Snapped {
	readonly mm: number;
	/** What it was drawn to; null: the nearest step. */
	readonly to: 'wall' | 'neighbour' | 'room' | null;
}

/**
 * Draws a length along a line to the nearest of some marks within `SNAP_MM`, else to the nearest 10 mm.
 * Ties go to the first mark.
 */
export function snapTo(
	mm: number,
	marks: readonly { readonly mm: number; readonly to: NonNullable<Snapped['to']> }[]
): Snapped {
	let best: Snapped = { mm: Math.round(mm / STEP_MM) * STEP_MM, to: null };
	let far = SNAP_MM;
	for (const mark of marks) {
		const off = Math.abs(mark.mm - mm);
		if (off < far || (off === far && best.to === null)) [best, far] = [mark, off];
	}
	return best;
}

/**
 * Finds where a cabinet dragged along its run comes to rest: against the end of the run or the side of a neighbour at
 * its height. It never leaves the run by its left end.
 */
export function snapCabinet(home: Home, cabinetId: string, offsetMm: number): Snapped {
	const cabinet = home.cabinets[cabinetId];
	const run = cabinet && home.runs[cabinet.runId];
	if (!cabinet || !run) return { mm: offsetMm, to: null };
	const low = cabinet.baseMm;
	const high = cabinet.baseMm + cabinet.heightMm;
	const beside = Object.values(home.cabinets).filter(
		(other) =>
			other.id !== cabinetId &&
			other.runId === cabinet.runId &&
			other.baseMm < high &&
			low < other.baseMm + other.heightMm
	);
	const snapped = snapTo(offsetMm, [
		{ mm: 0, to: 'wall' },
		{ mm: Math.round(runAxes(run).lengthMm) - cabinet.widthMm, to: 'wall' },
		...beside.flatMap((other) => [
			{ mm: other.offsetMm + other.widthMm, to: 'neighbour' as const },
			{ mm: other.offsetMm - cabinet.widthMm, to: 'neighbour' as const }
		])
	]);
	return { ...snapped, mm: Math.max(0, snapped.mm) };
}

/** Draws a point to the lines on which corners of rooms lie, each way on its own. */
export function snapPoint(
	home: Home,
	point: Point,
	skip: (room: string, corner: string) => boolean
): Point {
	const marks = (side: 'x' | 'y') =>
		Object.values(home.rooms).flatMap((room) =>
			room.outline.flatMap((corner) =>
				skip(room.id, corner.id) ? [] : [{ mm: corner[side], to: 'room' as const }]
			)
		);
	return { x: snapTo(point.x, marks('x')).mm, y: snapTo(point.y, marks('y')).mm };
}

/** How far from a wall's corner the end of a run still belongs to it, mm. */
const CORNER_MM = 20;
const near = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y) <= CORNER_MM;

/** Makes the edit that moves a corner of a room; the ends of runs that lie on it go along. */
export function moveCorner(roomId: string, cornerId: string, to: Point): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		const corner = partOf(room?.outline, cornerId);
		if (!room || !corner) return;
		const from = { x: corner.x, y: corner.y };
		for (const run of Object.values(draft.runs)) {
			if (run.roomId !== roomId) continue;
			if (near(run.from, from)) run.from = { x: to.x, y: to.y };
			if (near(run.to, from)) run.to = { x: to.x, y: to.y };
		}
		Object.assign(corner, { x: to.x, y: to.y });
	};
}

/** Makes the edit that moves a whole wall of a room, from its corner to the next, by a vector. */
export function moveWall(roomId: string, wall: string, by: Point): Edit {
	return (draft) => {
		for (const { id, x, y } of wallOf(draft.rooms[roomId]?.outline, wall) ?? [])
			moveCorner(roomId, id, { x: x + by.x, y: y + by.y })(draft);
	};
}

/** Makes the edit that adds a corner in the middle of a wall, so that a room can have a recess. */
export function addCorner(roomId: string, wall: string, id: string): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		const ends = wallOf(room?.outline, wall);
		if (!room || !ends) return;
		const [a, b] = ends;
		room.outline.splice(room.outline.indexOf(a) + 1, 0, {
			id: PartId.parse(id),
			x: Math.round((a.x + b.x) / 2),
			y: Math.round((a.y + b.y) / 2)
		});
	};
}

/** Makes the edit that takes a corner out of a room, which keeps at least three. */
export function removeCorner(roomId: string, cornerId: string): Edit {
	return (draft) => {
		const outline = draft.rooms[roomId]?.outline;
		if (outline && outline.length > 3) dropPart(outline, cornerId);
	};
}

/** Makes the edit that sets a rectangular room to an exact width and depth, from its left top corner. */
export function resizeRoom(roomId: string, widthMm: number, depthMm: number): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		if (!room) return;
		const xs = room.outline.map((p) => p.x);
		const ys = room.outline.map((p) => p.y);
		const left = Math.min(...xs);
		const top = Math.min(...ys);
		const right = Math.max(...xs);
		const bottom = Math.max(...ys);
		// Corners in between keep their share of the way.
		const scale = (value: number, from: number, to: number, size: number) =>
			to > from ? Math.round(from + ((value - from) / (to - from)) * size) : value;
		room.outline.forEach((point) =>
			moveCorner(roomId, point.id, {
				x: scale(point.x, left, right, widthMm),
				y: scale(point.y, top, bottom, depthMm)
			})(draft)
		);
	};
}

/** Makes the edit that moves a station on the plan. */
export function moveStation(stationId: string, at: Point): Edit {
	return (draft) => {
		const station = draft.stations[stationId];
		if (station) station.at = at;
	};
}

/** Makes the edit that takes a station away. */
export function removeStation(stationId: string): Edit {
	return (draft) => void delete draft.stations[stationId];
}

/** Stations that are built into a cabinet or stand in its place: they go where it goes. */
const BUILT_IN: ReadonlySet<StationKind> = new Set([
	'sink',
	'hob',
	'oven',
	'fridge',
	'freezer',
	'dishwasher',
	'basin',
	'laundry'
]);
/** So far before a body stands whoever uses it, mm. */
const BEFORE_MM = 600;

/** Makes the edit that moves a cabinet along its run. */
export function moveCabinet(cabinetId: string, offsetMm: number): Edit {
	return (draft) => {
		const cabinet = draft.cabinets[cabinetId];
		const run = cabinet && draft.runs[cabinet.runId];
		if (!cabinet || !run) return;
		const { along, towards } = runAxes(run);
		const by = offsetMm - cabinet.offsetMm;
		for (const station of Object.values(draft.stations)) {
			if (!BUILT_IN.has(station.kind) || station.roomId !== run.roomId) continue;
			const [dx, dy] = [station.at.x - run.from.x, station.at.y - run.from.y];
			const s = dx * along.x + dy * along.y - cabinet.offsetMm;
			const t = dx * towards.x + dy * towards.y;
			if (s < 0 || s > cabinet.widthMm || t < 0 || t > cabinet.depthMm + BEFORE_MM) continue;
			station.at = {
				x: Math.round(station.at.x + along.x * by),
				y: Math.round(station.at.y + along.y * by)
			};
		}
		cabinet.offsetMm = offsetMm;
	};
}

export type NewObstacle = Omit<Obstacle, 'id' | 'x' | 'y'>;

/** Usual sizes of what one walks round, that a user then corrects, mm. */
export const USUAL_OBSTACLES: Readonly<Record<Obstacle['kind'], NewObstacle>> = {
	island: { kind: 'island', name: 'Island', widthMm: 1800, depthMm: 900, clearBelowMm: 0 },
	table: { kind: 'table', name: 'Table', widthMm: 1600, depthMm: 900, clearBelowMm: 700 },
	bed: { kind: 'bed', name: 'Bed', widthMm: 900, depthMm: 2000, clearBelowMm: 250 },
	pillar: { kind: 'pillar', name: 'Pillar', widthMm: 300, depthMm: 300, clearBelowMm: 0 },
	other: { kind: 'other', name: 'Obstacle', widthMm: 600, depthMm: 600, clearBelowMm: 0 }
};

/** Makes the edit that sets something to walk round into the middle of a room. */
export function addObstacle(roomId: string, obstacle: NewObstacle, id: string): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		if (!room) return;
		const middle = (side: 'x' | 'y') =>
			room.outline.reduce((sum, point) => sum + point[side], 0) / room.outline.length;
		room.obstacles.push({
			id: PartId.parse(id),
			...obstacle,
			x: Math.round(middle('x') - obstacle.widthMm / 2),
			y: Math.round(middle('y') - obstacle.depthMm / 2)
		});
	};
}

/** Makes the edit that changes one obstacle of a room. */
export function changeObstacle(
	roomId: string,
	obstacleId: string,
	change: Partial<Omit<Obstacle, 'id'>>
): Edit {
	return (draft) => {
		const obstacle = partOf(draft.rooms[roomId]?.obstacles, obstacleId);
		if (obstacle) Object.assign(obstacle, change);
	};
}

/** Makes the edit that takes an obstacle out of a room. */
export function removeObstacle(roomId: string, obstacleId: string): Edit {
	return (draft) => dropPart(draft.rooms[roomId]?.obstacles, obstacleId);
}

/** Makes the edit that adds a run along a wall of a room: whoever faces it sees its `from` on the left. */
export function addRun(roomId: string, id: string, name: string, wall: string): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		const ends = wallOf(room?.outline, wall)?.map(({ x, y }) => ({ x, y }));
		if (!room || !ends) return;
		const [a, b] = ends as [Point, Point];
		const runId = RunId.parse(id);
		draft.runs[runId] = {
			id: runId,
			roomId: room.id,
			name,
			from: { ...a },
			to: { ...b }
		} satisfies Run;
		// Inside of the room has to lie before the run, not behind it.
		const { along, towards } = runAxes(draft.runs[runId]!);
		const length = Math.hypot(b.x - a.x, b.y - a.y);
		const probe = {
			x: a.x + (along.x * length) / 2 + towards.x * 50,
			y: a.y + (along.y * length) / 2 + towards.y * 50
		};
		if (!isInside(room.outline, probe))
			Object.assign(draft.runs[runId]!, { from: { ...b }, to: { ...a } });
	};
}

/** Makes the edit that takes a run away when no cabinet stands on it. */
export function removeRun(runId: string): Edit {
	return (draft) => {
		if (!Object.values(draft.cabinets).some((cabinet) => cabinet.runId === runId))
			delete draft.runs[runId];
	};
}

/** Makes the edit that takes a room away when it is empty: no cabinet stands in it. Its runs and stations go along. */
export function removeRoom(roomId: string): Edit {
	return (draft) => {
		const stands = Object.values(draft.cabinets).some(
			({ runId }) => draft.runs[runId]?.roomId === roomId
		);
		if (!stands) delete draft.rooms[roomId];
	};
}
