import { cacheByKey, fingerprint, type Home, type Point } from '../model';
import { nooksInOrder, standingPoint } from './place';
import { freeNear, isClear, layWalkSpace, type WalkSpace } from './walk-space';

export interface WalkingDistances {
	readonly stationIds: readonly string[];
	readonly nookIds: readonly string[];
	/** stations × nooks, row by row, mm; Infinity where there is no way. */
	readonly stationToNookMm: Float64Array;
	/** nooks × nooks, row by row, mm between standing points. */
	readonly nookToNookMm: Float64Array;
}

/** Straight walks between the corners of a space: corners × corners, mm, Infinity where something is in the way. */
export interface WalkGraph {
	readonly space: WalkSpace;
	readonly linkMm: Float64Array;
}

const far = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);

/** Joins every pair of corners that see each other. */
export function linkCorners(space: WalkSpace): WalkGraph {
	const { corners } = space;
	const C = corners.length;
	const linkMm = new Float64Array(C * C).fill(Infinity);
	for (let i = 0; i < C; i++)
		for (let j = 0; j < i; j++)
			if (isClear(space, corners[i]!, corners[j]!))
				linkMm[i * C + j] = linkMm[j * C + i] = far(corners[i]!, corners[j]!);
	return { space, linkMm };
}

interface Outwards {
	/** Shortest walk from the start to each corner, mm. */
	readonly mm: Float64Array;
	/** The corner before each one; −1: straight from the start. */
	readonly before: Int32Array;
}

/** Dijkstra over the corners from one free point; dense, since most corners of a room see each other. */
function walkOut({ space, linkMm }: WalkGraph, sees: Float64Array): Outwards {
	const C = space.corners.length;
	const mm = sees.slice();
	const before = new Int32Array(C).fill(-1);
	const done = new Uint8Array(C);
	for (;;) {
		let at = -1;
		for (let c = 0; c < C; c++) if (!done[c] && mm[c]! < (at < 0 ? Infinity : mm[at]!)) at = c;
		if (at < 0) return { mm, before };
		done[at] = 1;
		for (let c = 0; c < C; c++) {
			const through = mm[at]! + linkMm[at * C + c]!;
			if (through < mm[c]! - 1e-9) {
				mm[c] = through;
				before[c] = at;
			}
		}
	}
}

/** Straight walks from a free point to every corner, mm. */
const seenFrom = ({ space }: WalkGraph, point: Point): Float64Array =>
	Float64Array.from(space.corners, (corner) =>
		isClear(space, point, corner) ? far(point, corner) : Infinity
	);

/**
 * Finds the shortest walk between two points round bodies and walls; points that are not free are moved to the
 * nearest free one first. Null where there is no way. Includes both ends.
 * @example walkPath(graph, sink, hob)?.mm // 1840
 */
export function walkPath(
	graph: WalkGraph,
	from: Point,
	to: Point
): { readonly mm: number; readonly points: readonly Point[] } | null {
	const a = freeNear(graph.space, from);
	const b = freeNear(graph.space, to);
	if (!a || !b) return null;
	if (isClear(graph.space, a, b)) return { mm: far(a, b), points: [a, b] };
	const { mm, before } = walkOut(graph, seenFrom(graph, a));
	const sees = seenFrom(graph, b);
	let last = -1;
	let best = Infinity;
	mm.forEach((reach, c) => {
		if (reach + sees[c]! < best) [best, last] = [reach + sees[c]!, c];
	});
	if (last < 0) return null;
	const points = [b];
	for (let c = last; c >= 0; c = before[c]!) points.unshift(graph.space.corners[c]!);
	return { mm: best, points: [a, ...points] };
}

/** Shortest walks between all pairs of points; the matrix is symmetric and 0 on its diagonal. */
export function walksBetween(graph: WalkGraph, points: readonly (Point | null)[]): Float64Array {
	const P = points.length;
	const result = new Float64Array(P * P).fill(Infinity);
	const sees = points.map((point) => (point ? seenFrom(graph, point) : new Float64Array()));
	for (let i = 0; i < P; i++) {
		const a = points[i];
		if (!a) continue;
		result[i * P + i] = 0;
		const { mm } = walkOut(graph, sees[i]!);
		for (let j = 0; j < i; j++) {
			const b = points[j];
			if (!b) continue;
			let least = Infinity;
			if (isClear(graph.space, a, b)) least = far(a, b);
			else {
				const row = sees[j]!;
				for (let c = 0; c < mm.length; c++) {
					const through = mm[c]! + row[c]!;
					if (through < least) least = through;
				}
			}
			result[i * P + j] = result[j * P + i] = least;
		}
	}
	return result;
}

/** All of a home that can stand in a walker's way. */
const spaceOf = (home: Home): unknown => [
	Object.values(home.rooms).map(({ id, outline, doors, obstacles }) => [
		id,
		outline,
		doors,
		obstacles.map(({ x, y, widthMm, depthMm }) => [x, y, widthMm, depthMm])
	]),
	Object.values(home.runs).map(({ id, from, to }) => [id, from, to]),
	Object.values(home.cabinets).map((c) => [
		c.id,
		c.runId,
		c.offsetMm,
		c.baseMm,
		c.widthMm,
		c.depthMm
	])
];
/** The corners of a home's plan and which of them see each other; the last few plans are remembered. */
export const walkGraphOf = cacheByKey(
	4,
	(home: Home) => fingerprint(spaceOf(home)),
	(home) => linkCorners(layWalkSpace(home))
);

function measureWalks(home: Home): WalkingDistances {
	const places = nooksInOrder(home);
	const stations = Object.values(home.stations).sort((a, b) => (a.id < b.id ? -1 : 1));
	const graph = walkGraphOf(home);
	// Nooks over each other share a standing point: each point is walked from once.
	const at = new Map<string, number>();
	const points: Point[] = [];
	const indexOf = (point: Point): number => {
		const key = `${point.x},${point.y}`;
		if (!at.has(key)) at.set(key, points.push(point) - 1);
		return at.get(key)!;
	};
	const ofNook = places.map((place) => indexOf(standingPoint(place)));
	const ofStation = stations.map((station) => indexOf(station.at));
	const walks = walksBetween(
		graph,
		points.map((point) => freeNear(graph.space, point))
	);
	const between = (from: readonly number[]) =>
		Float64Array.from(
			from.flatMap((a) => ofNook.map((b) => (a === b ? 0 : walks[a * points.length + b]!)))
		);
	return {
		stationIds: stations.map((station) => station.id),
		nookIds: places.map((place) => place.nook.id),
		stationToNookMm: between(ofStation),
		nookToNookMm: between(ofNook)
	};
}

/** All of a home that its walks depend on: what is moved on the plan, and nothing else. */
const planOf = (home: Home): unknown => [
	spaceOf(home),
	Object.values(home.stations).map(({ id, at }) => [id, at]),
	nooksInOrder(home).map((place) => [place.nook.id, standingPoint(place)])
];

/**
 * Measures the shortest walk on the plan, at any angle, round bodies and through doorways, from every station and
 * every nook's standing point to every nook. Order of nooks is walking order. The last few plans are remembered by
 * their fingerprint.
 */
export const walkingDistances = cacheByKey(
	4,
	(home: Home) => fingerprint(planOf(home)),
	measureWalks
);
