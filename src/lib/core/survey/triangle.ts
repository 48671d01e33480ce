import type { Home, Point, Room, Station } from '../model';
import { HANGS_FROM_MM, runAxes } from './place';
import { walkGraphOf, walkPath } from './walking';

const CORNERS = ['sink', 'hob', 'fridge'] as const;
type Corner = (typeof CORNERS)[number];

export interface TriangleSide {
	readonly from: Station;
	readonly to: Station;
	readonly mm: number;
	readonly points: readonly Point[];
}
export type TriangleIssue =
	| {
			readonly code: 'side-short' | 'side-long';
			readonly side: TriangleSide;
			readonly limitMm: number;
	  }
	| { readonly code: 'sum-long'; readonly sumMm: number; readonly limitMm: number }
	| { readonly code: 'no-way'; readonly from: Station; readonly to: Station }
	| { readonly code: 'path-crosses'; readonly from: string; readonly to: string };
export type WorkTriangle =
	| { readonly ok: false; readonly missing: readonly Corner[] }
	| {
			readonly ok: true;
			readonly sides: readonly TriangleSide[];
			readonly sumMm: number;
			readonly issues: readonly TriangleIssue[];
	  };

const turn = (a: Point, b: Point, c: Point) =>
	(b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);
const crosses = (a: Point, b: Point, c: Point, d: Point) =>
	turn(a, b, c) * turn(a, b, d) < 0 && turn(c, d, a) * turn(c, d, b) < 0;

const pairsOf = (points: readonly Point[]) =>
	points.slice(1).map((point, i) => [points[i]!, point] as const);

/** Ways through the room of the triangle: from each of its doors, and its entrance, to every other and to the table. */
function throughTraffic(home: Home, room: Room): { name: string; at: Point }[] {
	const doors = Object.values(home.rooms).flatMap((other) =>
		other.doors
			.map(({ a, b }) => ({ x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }))
			.filter((at) => other.id === room.id || touches(room, at))
			.map((at) => ({ name: other.id === room.id ? 'a door' : `the door of ${other.name}`, at }))
	);
	const ends = Object.values(home.stations)
		.filter(({ kind, roomId }) => roomId === room.id && (kind === 'entrance' || kind === 'table'))
		.map(({ name, at }) => ({ name, at }));
	return [...doors, ...ends];
}

/** A door of the next room leads into this one when it lies at its outline, mm. */
const WALL_MM = 300;
const touches = (room: Room, at: Point) => {
	const xs = room.outline.map((p) => p.x);
	const ys = room.outline.map((p) => p.y);
	return (
		at.x > Math.min(...xs) - WALL_MM &&
		at.x < Math.max(...xs) + WALL_MM &&
		at.y > Math.min(...ys) - WALL_MM &&
		at.y < Math.max(...ys) + WALL_MM
	);
};

/** A station belongs to the front that lies within an arm's length of it, mm. */
const ARM_MM = 600;

/**
 * The point of the nearest cabinet front that a station works at: a triangle is measured from front to front, while a
 * station is where one stands. The station itself where there is no front within an arm's length.
 */
function frontOf(home: Home, { at }: Station): Point {
	let best = at;
	let bestMm = ARM_MM;
	for (const cabinet of Object.values(home.cabinets)) {
		const run = home.runs[cabinet.runId];
		if (!run || cabinet.baseMm >= HANGS_FROM_MM) continue;
		const { along, towards } = runAxes(run);
		const s = (at.x - run.from.x) * along.x + (at.y - run.from.y) * along.y;
		const on = Math.min(Math.max(s, cabinet.offsetMm), cabinet.offsetMm + cabinet.widthMm);
		const point = {
			x: run.from.x + along.x * on + towards.x * cabinet.depthMm,
			y: run.from.y + along.y * on + towards.y * cabinet.depthMm
		};
		const mm = Math.hypot(point.x - at.x, point.y - at.y);
		if (mm < bestMm) [best, bestMm] = [point, mm];
	}
	return best;
}

const lengthOf = (points: readonly Point[]) =>
	pairsOf(points).reduce((sum, [a, b]) => sum + Math.hypot(b.x - a.x, b.y - a.y), 0);

/**
 * Measures the work triangle between sink, hob and fridge, from front to front along the way that is walked, and says what is wrong with it: a side
 * too short to put anything down or too long, a sum that is too long, no way, or a way through the room that crosses
 * it. The limits are settings (1.2 m, 2.7 m and 7.9 m at first).
 */
export function workTriangle(home: Home): WorkTriangle {
	const byId = Object.values(home.stations).sort((a, b) => (a.id < b.id ? -1 : 1));
	const found = CORNERS.map((kind) => byId.find((station) => station.kind === kind));
	const missing = CORNERS.filter((_, i) => !found[i]);
	if (missing.length) return { ok: false, missing };
	const [sink, hob, fridge] = found as [Station, Station, Station];
	const graph = walkGraphOf(home);
	const { leastSideMm, mostSideMm, mostSumMm } = home.settings.triangle;
	const sides: TriangleSide[] = [];
	const issues: TriangleIssue[] = [];
	for (const [from, to] of [
		[sink, hob],
		[hob, fridge],
		[fridge, sink]
	] as const) {
		const path = walkPath(graph, from.at, to.at);
		if (!path) {
			issues.push({ code: 'no-way', from, to });
			continue;
		}
		const points = [frontOf(home, from), ...path.points.slice(1, -1), frontOf(home, to)];
		const side = { from, to, mm: Math.round(lengthOf(points)), points };
		sides.push(side);
		if (side.mm < leastSideMm) issues.push({ code: 'side-short', side, limitMm: leastSideMm });
		if (side.mm > mostSideMm) issues.push({ code: 'side-long', side, limitMm: mostSideMm });
	}
	const sumMm = sides.reduce((sum, side) => sum + side.mm, 0);
	if (sumMm > mostSumMm) issues.push({ code: 'sum-long', sumMm, limitMm: mostSumMm });
	const room = home.rooms[sink.roomId];
	const ends = room ? throughTraffic(home, room) : [];
	const lines = sides.flatMap((side) => pairsOf(side.points));
	ends.forEach((to, i) => {
		for (const from of ends.slice(0, i)) {
			const path = walkPath(graph, from.at, to.at);
			const cuts = path
				? pairsOf(path.points).flatMap(([a, b]) => lines.filter(([c, d]) => crosses(a, b, c, d)))
				: [];
			if (cuts.length) issues.push({ code: 'path-crosses', from: from.name, to: to.name });
		}
	});
	return { ok: true, sides, sumMm, issues };
}
