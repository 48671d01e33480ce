import {
	blankNook,
	CabinetId,
	NookId,
	PartId,
	RoomId,
	RunId,
	StationId,
	type Cabinet,
	type Edit,
	type Home,
	type Nook,
	type Obstruction,
	type Point,
	type StationKind
} from '../model';
import type { CabinetForm } from './forms';
import { restack } from './restack';
import { HANGS_FROM_MM, runAxes } from './place';
import { dropPart, partOf } from './parts';

const GAP_BETWEEN_ROOMS_MM = 100;
const DOORWAY_MM = 900;

export interface NewRoom {
	readonly name: string;
	readonly widthMm: number;
	readonly depthMm: number;
	/** Of the room and of the runs along its walls; the side walls were not made once. */
	readonly ids: {
		readonly room: string;
		readonly back: string;
		readonly front: string;
		readonly left?: string;
		readonly right?: string;
	};
}

const rightEdge = (home: Home) =>
	Math.max(0, ...Object.values(home.rooms).flatMap((room) => room.outline.map((point) => point.x)));

/**
 * Makes the edit that adds a rectangular room to the right of the others, with a doorway between them and a run
 * along each wall that has an id.
 */
export function addRoom({ name, widthMm, depthMm, ids }: NewRoom): Edit {
	return (draft) => {
		const hasRooms = Object.keys(draft.rooms).length > 0;
		const x = hasRooms ? rightEdge(draft as Home) + GAP_BETWEEN_ROOMS_MM : 0;
		const middle = Math.round(depthMm / 2);
		const doorX = x - GAP_BETWEEN_ROOMS_MM / 2;
		const room = RoomId.parse(ids.room);
		draft.rooms[room] = {
			id: room,
			name,
			look: '',
			outline: [
				{ x, y: 0 },
				{ x: x + widthMm, y: 0 },
				{ x: x + widthMm, y: depthMm },
				{ x, y: depthMm }
			].map((point, i) => ({ id: PartId.parse(`corner-${i + 1}`), ...point })),
			doors: hasRooms
				? [
						{
							id: PartId.parse('door-1'),
							a: { x: doorX, y: middle - DOORWAY_MM / 2 },
							b: { x: doorX, y: middle + DOORWAY_MM / 2 }
						}
					]
				: [],
			obstacles: [],
			sockets: [],
			ceilingMm: 2500,
			climate: []
		};
		const run = (id: string, side: string, from: Point, to: Point) => {
			const runId = RunId.parse(id);
			draft.runs[runId] = { id: runId, roomId: room, name: `${name}, ${side}`, from, to };
		};
		run(ids.back, 'far wall', { x, y: 0 }, { x: x + widthMm, y: 0 });
		run(ids.front, 'near wall', { x: x + widthMm, y: depthMm }, { x, y: depthMm });
		if (ids.left) run(ids.left, 'left wall', { x, y: depthMm }, { x, y: 0 });
		if (ids.right)
			run(ids.right, 'right wall', { x: x + widthMm, y: 0 }, { x: x + widthMm, y: depthMm });
	};
}

/** A body that reaches above this leaves no wall for a hanging one, mm. */
const TALL_FROM_MM = 1500;

/** Where the next cabinet of its height would begin on a run, mm from its left end. */
export function nextOffsetMm(home: Home, runId: string, baseMm: number): number {
	const hangs = baseMm >= HANGS_FROM_MM;
	const isInTheWay = (cabinet: Cabinet) =>
		hangs
			? cabinet.baseMm >= HANGS_FROM_MM || cabinet.baseMm + cabinet.heightMm > TALL_FROM_MM
			: cabinet.baseMm < HANGS_FROM_MM;
	return Math.max(
		0,
		...Object.values(home.cabinets)
			.filter((cabinet) => cabinet.runId === runId && isInTheWay(cabinet))
			.map((cabinet) => cabinet.offsetMm + cabinet.widthMm)
	);
}

/** Makes the edit that adds a cabinet of a usual form at the next free place of a run, with its nooks and station. */
export function addCabinet(runId: string, form: CabinetForm, newId: () => string): Edit {
	return (draft) => {
		const run = draft.runs[runId];
		if (!run) return;
		const id = CabinetId.parse(newId());
		const offsetMm = nextOffsetMm(draft as Home, runId, form.cabinet.baseMm);
		const same = Object.values(draft.cabinets).filter(
			(cabinet) => cabinet.form === form.form
		).length;
		const name = same ? `${form.name} ${same + 1}` : form.name;
		draft.cabinets[id] = { id, runId: run.id, name, offsetMm, ...structuredClone(form.cabinet) };
		for (const shape of form.nooks) {
			const nookId = NookId.parse(newId());
			draft.nooks[nookId] = {
				id: nookId,
				cabinetId: id,
				...structuredClone(shape),
				name: `${name}: ${shape.name}`,
				...blankNook()
			};
		}
		if (form.station)
			addStation(draft as Home, run.roomId, form.station, newId, standBefore(run, offsetMm, form));
	};
}

const standBefore = (
	run: Home['runs'][string],
	offsetMm: number,
	{ cabinet }: CabinetForm
): Point => pointBefore(run, offsetMm + cabinet.widthMm / 2, cabinet.depthMm + 350);

/** The point of the plan so far along a wall and so far in front of it, mm. */
export function pointBefore(run: Home['runs'][string], s: number, t: number): Point {
	const { along, towards } = runAxes(run);
	return {
		x: Math.round(run.from.x + along.x * s + towards.x * t),
		y: Math.round(run.from.y + along.y * s + towards.y * t)
	};
}

/** Adds a station to a home that has none of its kind. */
export function addStation(
	draft: Home,
	roomId: RoomId,
	kind: StationKind,
	newId: () => string,
	at: Point
): void {
	if (Object.values(draft.stations).some((station) => station.kind === kind)) return;
	const id = StationId.parse(newId());
	draft.stations[id] = { id, kind, name: kind[0]!.toUpperCase() + kind.slice(1), roomId, at };
}

/** Two stations nearer than this lie on each other on the plan, mm. */
const STATIONS_APART_MM = 500;
const STATION_STEP_MM = 100;

/**
 * Finds where a new station is drawn in a room: the spot nearest to its middle that no other station is within half a
 * metre of; in a room that is full of them, its middle. Ties from the top left.
 */
export function freeSpot(home: Pick<Home, 'rooms' | 'stations'>, roomId: string): Point {
	const corners = home.rooms[roomId]?.outline ?? [];
	const xs = corners.map(({ x }) => x);
	const ys = corners.map(({ y }) => y);
	const [left, right] = [Math.min(...xs), Math.max(...xs)];
	const [top, bottom] = [Math.min(...ys), Math.max(...ys)];
	const middle = { x: Math.round((left + right) / 2), y: Math.round((top + bottom) / 2) };
	if (!corners.length) return { x: 0, y: 0 };
	const others = Object.values(home.stations).map(({ at }) => at);
	let best: Point | null = null;
	let least = Infinity;
	const edge = STATION_STEP_MM * 3;
	for (let y = top + edge; y <= bottom - edge; y += STATION_STEP_MM)
		for (let x = left + edge; x <= right - edge; x += STATION_STEP_MM) {
			if (others.some((at) => Math.hypot(at.x - x, at.y - y) < STATIONS_APART_MM)) continue;
			const far = Math.hypot(x - middle.x, y - middle.y);
			if (far < least - 1e-9) [best, least] = [{ x, y }, far];
		}
	return best ?? middle;
}

/** Makes the edit that puts a station at a point of a room, or moves the one of its kind there. */
export function placeStation(
	roomId: string,
	kind: StationKind,
	at: Point,
	newId: () => string
): Edit {
	return (draft) => {
		const room = draft.rooms[roomId];
		const known = Object.values(draft.stations).find((station) => station.kind === kind);
		if (known) Object.assign(known, { at, roomId });
		else if (room) addStation(draft as Home, room.id, kind, newId, at);
	};
}

export type Side = 'widthMm' | 'depthMm' | 'heightMm';

/** Makes the edit that sets one inside measure of a nook, mm. */
export function setInside(nookId: string, side: Side, mm: number): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (!nook) return;
		nook.inside[side] = mm;
		// A size that is typed over stands in the place of what was read.
		nook.readings[side] = [];
		restack(draft as Home, nook.cabinetId, nook.id);
	};
}

/** Makes the edit that sets sides of the way in of a nook, or clears it (null). A side not named stays. */
export function setOpening(
	nookId: string,
	opening: Partial<NonNullable<Nook['opening']>> | null
): Edit {
	return (draft) => {
		const nook = draft.nooks[nookId];
		if (!nook) return;
		const inside = { widthMm: nook.inside.widthMm ?? 0, heightMm: nook.inside.heightMm ?? 0 };
		nook.opening = opening && { ...(nook.opening ?? inside), ...opening };
	};
}

/** Makes the edit that adds an obstruction to a nook. */
export function addObstruction(nookId: string, obstruction: Obstruction): Edit {
	return (draft) => {
		draft.nooks[nookId]?.obstructions.push(obstruction);
	};
}

/** Makes the edit that changes one obstruction of a nook. */
export function changeObstruction(
	nookId: string,
	obstructionId: string,
	change: Partial<Omit<Obstruction, 'id'>>
): Edit {
	return (draft) => {
		const obstruction = partOf(draft.nooks[nookId]?.obstructions, obstructionId);
		if (obstruction) Object.assign(obstruction, change);
	};
}

/** Makes the edit that takes an obstruction out of a nook. */
export function removeObstruction(nookId: string, obstructionId: string): Edit {
	return (draft) => dropPart(draft.nooks[nookId]?.obstructions, obstructionId);
}

/** Makes the edit that takes a cabinet away with its nooks; stock that stood there is out of its place. */
export function removeCabinet(cabinetId: string): Edit {
	return (draft) => void delete draft.cabinets[cabinetId];
}
