import type { Home, Point, Room } from '../model';
import { runAxes } from './place';

/** Bodies whose underside is above this do not stop a walker, mm. */
const HEAD_ROOM_MM = 1200;
/** How near to a body a walker passes, mm: hips turn, feet go under the plinth. */
export const BODY_CLEAR_MM = 100;
/** How near to the corner of a wall a path turns, mm. */
const WALL_CLEAR_MM = 20;
/** How far a doorway reaches into the rooms on both its sides, mm: it bridges the wall between them. */
const DOOR_REACH_MM = 200;

/** A rectangle that may stand at an angle: a corner, two unit vectors, and the size along each, mm. */
export interface Block {
	readonly at: Point;
	readonly along: Point;
	readonly across: Point;
	readonly lengthMm: number;
	readonly depthMm: number;
}
type Segment = readonly [ax: number, ay: number, bx: number, by: number];

/** Where one can walk: inside rooms and doorways, outside the grown blocks. */
export interface WalkSpace {
	readonly polygons: readonly (readonly Point[])[];
	readonly walls: readonly Segment[];
	/** Bodies grown by `BODY_CLEAR_MM` on every side. */
	readonly blocks: readonly Block[];
	/** Points at which a shortest path may turn. */
	readonly corners: readonly Point[];
}

/** Whether a point lies inside a closed outline; on its line either answer may come. */
export const isInside = (outline: readonly Point[], { x, y }: Point): boolean => {
	let inside = false;
	for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
		const a = outline[i]!;
		const b = outline[j]!;
		if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
	}
	return inside;
};

const move = (p: Point, along: Point, s: number, across: Point, t: number): Point => ({
	x: p.x + along.x * s + across.x * t,
	y: p.y + along.y * s + across.y * t
});
const grown = (block: Block, by: number): Block => ({
	...block,
	at: move(block.at, block.along, -by, block.across, -by),
	lengthMm: block.lengthMm + 2 * by,
	depthMm: block.depthMm + 2 * by
});
const cornersOf = (block: Block): Point[] =>
	[
		[0, 0],
		[block.lengthMm, 0],
		[block.lengthMm, block.depthMm],
		[0, block.depthMm]
	].map(([s, t]) => move(block.at, block.along, s!, block.across, t!));

/** The floor bodies of a home; neighbours of the same depth on a run count as one. */
function bodiesOf(home: Home): Block[] {
	const bodies: Block[] = [];
	for (const run of Object.values(home.runs)) {
		const { along, towards } = runAxes(run);
		const own = Object.values(home.cabinets)
			.filter((cabinet) => cabinet.runId === run.id && cabinet.baseMm < HEAD_ROOM_MM)
			.sort((a, b) => a.offsetMm - b.offsetMm || (a.id < b.id ? -1 : 1));
		let from = 0;
		let to = -1;
		let depth = 0;
		const close = () => {
			if (to > from)
				bodies.push({
					at: move(run.from, along, from, towards, 0),
					along,
					across: towards,
					lengthMm: to - from,
					depthMm: depth
				});
		};
		for (const { offsetMm, widthMm, depthMm } of own) {
			if (depthMm === depth && offsetMm <= to + 1 && to > from)
				to = Math.max(to, offsetMm + widthMm);
			else {
				close();
				[from, to, depth] = [offsetMm, offsetMm + widthMm, depthMm];
			}
		}
		close();
	}
	for (const room of Object.values(home.rooms))
		for (const { x, y, widthMm, depthMm } of room.obstacles)
			bodies.push({
				at: { x, y },
				along: { x: 1, y: 0 },
				across: { x: 0, y: 1 },
				lengthMm: widthMm,
				depthMm
			});
	return bodies;
}

function doorway({ a, b }: Room['doors'][number]): Point[] {
	const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
	const normal = {
		x: (-(b.y - a.y) / length) * DOOR_REACH_MM,
		y: ((b.x - a.x) / length) * DOOR_REACH_MM
	};
	return [
		{ x: a.x + normal.x, y: a.y + normal.y },
		{ x: b.x + normal.x, y: b.y + normal.y },
		{ x: b.x - normal.x, y: b.y - normal.y },
		{ x: a.x - normal.x, y: a.y - normal.y }
	];
}

const edgesOf = (polygon: readonly Point[]): [Point, Point][] =>
	polygon.map((point, i) => [point, polygon[(i + 1) % polygon.length]!]);

/** Where along p–q (0 to 1) the line a–b crosses it; null when they are parallel or miss each other. */
function crossing(p: Point, q: Point, a: Point, b: Point): number | null {
	const rx = q.x - p.x;
	const ry = q.y - p.y;
	const sx = b.x - a.x;
	const sy = b.y - a.y;
	const cross = rx * sy - ry * sx;
	if (Math.abs(cross) < 1e-9) return null;
	const t = ((a.x - p.x) * sy - (a.y - p.y) * sx) / cross;
	const u = ((a.x - p.x) * ry - (a.y - p.y) * rx) / cross;
	return t > 0 && t < 1 && u >= 0 && u <= 1 ? t : null;
}

/** Cuts every edge where others cross it, and keeps the pieces that are not inside another room or doorway. */
function wallsOf(polygons: readonly (readonly Point[])[]): Segment[] {
	return polygons.flatMap((polygon, own) =>
		edgesOf(polygon).flatMap(([p, q]) => {
			const others = polygons.filter((_, i) => i !== own);
			const cuts = others
				.flatMap((other) => edgesOf(other).map(([a, b]) => crossing(p, q, a, b)))
				.filter((t) => t !== null)
				.sort((a, b) => a - b);
			const stops = [0, ...cuts, 1];
			return stops.slice(1).flatMap((to, i): Segment[] => {
				const from = stops[i]!;
				const at = (t: number) => ({ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t });
				if (to - from < 1e-9 || others.some((other) => isInside(other, at((from + to) / 2))))
					return [];
				const [a, b] = [at(from), at(to)];
				return [[a.x, a.y, b.x, b.y]];
			});
		})
	);
}

const inBlock = (block: Block, { x, y }: Point): boolean => {
	const dx = x - block.at.x;
	const dy = y - block.at.y;
	const s = dx * block.along.x + dy * block.along.y;
	const t = dx * block.across.x + dy * block.across.y;
	return s > 0 && s < block.lengthMm && t > 0 && t < block.depthMm;
};

/** Whether a person can stand at a point. */
export function isFree({ polygons, blocks }: WalkSpace, point: Point): boolean {
	return (
		polygons.some((polygon) => isInside(polygon, point)) &&
		!blocks.some((block) => inBlock(block, point))
	);
}

/** The diagonal points round the end of a wall; where just one is in the wall, a path turns at the one across. */
function wallCorners(space: WalkSpace): Point[] {
	return space.walls.flatMap(([ax, ay, bx, by]) => {
		const length = Math.hypot(bx - ax, by - ay);
		const along = { x: (bx - ax) / length, y: (by - ay) / length };
		const across = { x: -along.y, y: along.x };
		return [
			{ x: ax, y: ay },
			{ x: bx, y: by }
		].flatMap((end) => {
			const round = [
				[1, 1],
				[-1, 1],
				[-1, -1],
				[1, -1]
			] as const;
			const open = (by: number) =>
				round.map(([s, t]) => isFree(space, move(end, along, s * by, across, t * by)));
			const shut = open(4).flatMap((free, i) => (free ? [] : [i]));
			if (shut.length > 1) return [];
			const picks = shut.length ? [(shut[0]! + 2) % 4] : [0, 1, 2, 3];
			return picks.map((i) =>
				move(end, along, round[i]![0] * WALL_CLEAR_MM, across, round[i]![1] * WALL_CLEAR_MM)
			);
		});
	});
}

/** Lays out where one can walk in a home, with the points at which a shortest path may turn. */
export function layWalkSpace(home: Home): WalkSpace {
	const rooms = Object.values(home.rooms);
	const polygons = [
		...rooms.map((room) => room.outline),
		...rooms.flatMap((room) => room.doors.map(doorway))
	];
	const blocks = bodiesOf(home).map((body) => grown(body, BODY_CLEAR_MM));
	const bare: WalkSpace = { polygons, walls: wallsOf(polygons), blocks, corners: [] };
	const turns = [
		...blocks.flatMap((block) => cornersOf(grown(block, 0.5))),
		...wallCorners(bare)
	].filter((point) => isFree(bare, point));
	const seen = new Set<string>();
	const corners = turns.filter(({ x, y }) => {
		const key = `${Math.round(x)},${Math.round(y)}`;
		return !seen.has(key) && seen.add(key);
	});
	return { ...bare, corners };
}

/** Whether the straight line from a to b enters a block: it is clipped against the block's two pairs of sides. */
function entersBlock(block: Block, a: Point, b: Point): boolean {
	const ax = a.x - block.at.x;
	const ay = a.y - block.at.y;
	const bx = b.x - block.at.x;
	const by = b.y - block.at.y;
	let from = 0;
	let to = 1;
	for (const [axis, size] of [
		[block.along, block.lengthMm],
		[block.across, block.depthMm]
	] as const) {
		const p = ax * axis.x + ay * axis.y;
		const d = bx * axis.x + by * axis.y - p;
		if (Math.abs(d) < 1e-9) {
			if (p <= 1e-6 || p >= size - 1e-6) return false;
			continue;
		}
		const t1 = (0 - p) / d;
		const t2 = (size - p) / d;
		from = Math.max(from, Math.min(t1, t2));
		to = Math.min(to, Math.max(t1, t2));
		if (to - from < 1e-9) return false;
	}
	return true;
}

function crossesWall([cx, cy, dx, dy]: Segment, a: Point, b: Point): boolean {
	const side = (px: number, py: number, qx: number, qy: number, x: number, y: number) =>
		(qx - px) * (y - py) - (qy - py) * (x - px);
	const s1 = side(a.x, a.y, b.x, b.y, cx, cy);
	const s2 = side(a.x, a.y, b.x, b.y, dx, dy);
	if (s1 > 0 === s2 > 0 && s1 !== 0 && s2 !== 0) return false;
	const s3 = side(cx, cy, dx, dy, a.x, a.y);
	const s4 = side(cx, cy, dx, dy, b.x, b.y);
	// Touching counts as crossing only when the line really passes to the other side.
	return (s3 > 0 && s4 < 0) || (s3 < 0 && s4 > 0);
}

/** Whether one can walk straight from a to b; both are taken to be free. */
export function isClear(space: WalkSpace, a: Point, b: Point): boolean {
	return (
		!space.walls.some((wall) => crossesWall(wall, a, b)) &&
		!space.blocks.some((block) => entersBlock(block, a, b))
	);
}

const RINGS = 30;
const RING_MM = 50;
const DIRECTIONS = 16;

/** Gives the nearest point where one can stand, by rings of 50 mm outwards to 1.5 m; null when there is none. */
export function freeNear(space: WalkSpace, point: Point): Point | null {
	for (let ring = 0; ring <= RINGS; ring++)
		for (let d = 0; d < (ring ? DIRECTIONS : 1); d++) {
			const angle = (2 * Math.PI * d) / DIRECTIONS;
			const at = {
				x: point.x + Math.cos(angle) * ring * RING_MM,
				y: point.y + Math.sin(angle) * ring * RING_MM
			};
			if (isFree(space, at)) return at;
		}
	return null;
}
