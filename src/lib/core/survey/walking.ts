import { memoOn, type Home, type Point, type Room } from '../model';
import { nooksInOrder, runAxes, standingPoint } from './place';

/** Side of a grid cell, mm: half of what a person needs to pass, so that no gap is lost. */
const CELL_MM = 100;
/** Bodies whose underside is above this do not stop a walker, mm. */
const HEAD_ROOM_MM = 1200;

export interface WalkingDistances {
	readonly stationIds: readonly string[];
	readonly nookIds: readonly string[];
	/** stations × nooks, row by row, mm; Infinity where there is no way. */
	readonly stationToNookMm: Float64Array;
	/** nooks × nooks, row by row, mm between standing points. */
	readonly nookToNookMm: Float64Array;
}

interface Grid {
	readonly columns: number;
	readonly rows: number;
	readonly left: number;
	readonly top: number;
	/** 1 = can be walked. */
	readonly open: Uint8Array;
}

function isInside(outline: readonly Point[], x: number, y: number): boolean {
	let inside = false;
	for (let i = 0, j = outline.length - 1; i < outline.length; j = i++) {
		const a = outline[i]!;
		const b = outline[j]!;
		if (a.y > y !== b.y > y && x < ((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
	}
	return inside;
}

function paintDoor(grid: Grid, { a, b }: Room['doors'][number]): void {
	// A doorway lies in the wall between two outlines: open every cell within 200 mm of its line.
	const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / (CELL_MM / 2)));
	for (let s = 0; s <= steps; s++) {
		const x = a.x + ((b.x - a.x) * s) / steps;
		const y = a.y + ((b.y - a.y) * s) / steps;
		for (let dx = -2; dx <= 2; dx++)
			for (let dy = -2; dy <= 2; dy++) {
				const at = cellAt(grid, { x: x + dx * CELL_MM, y: y + dy * CELL_MM });
				if (at >= 0) grid.open[at] = 1;
			}
	}
}

function cellAt(grid: Grid, { x, y }: Point): number {
	const column = Math.floor((x - grid.left) / CELL_MM);
	const row = Math.floor((y - grid.top) / CELL_MM);
	const within = column >= 0 && row >= 0 && column < grid.columns && row < grid.rows;
	return within ? row * grid.columns + column : -1;
}

function blockBodies(grid: Grid, home: Home): void {
	for (const cabinet of Object.values(home.cabinets)) {
		const run = home.runs[cabinet.runId];
		if (!run || cabinet.baseMm >= HEAD_ROOM_MM) continue;
		const { along, towards } = runAxes(run);
		for (let s = CELL_MM / 4; s < cabinet.widthMm; s += CELL_MM / 2)
			for (let t = CELL_MM / 4; t < cabinet.depthMm; t += CELL_MM / 2) {
				const at = cellAt(grid, {
					x: run.from.x + along.x * (cabinet.offsetMm + s) + towards.x * t,
					y: run.from.y + along.y * (cabinet.offsetMm + s) + towards.y * t
				});
				if (at >= 0) grid.open[at] = 0;
			}
	}
}

function layGrid(home: Home): Grid {
	const rooms = Object.values(home.rooms);
	const xs = rooms.flatMap((room) => room.outline.map((point) => point.x));
	const ys = rooms.flatMap((room) => room.outline.map((point) => point.y));
	const left = Math.min(...xs) - 2 * CELL_MM;
	const top = Math.min(...ys) - 2 * CELL_MM;
	const columns = Math.ceil((Math.max(...xs) - left) / CELL_MM) + 2;
	const rows = Math.ceil((Math.max(...ys) - top) / CELL_MM) + 2;
	const grid: Grid = { columns, rows, left, top, open: new Uint8Array(columns * rows) };
	for (let row = 0; row < rows; row++)
		for (let column = 0; column < columns; column++) {
			const x = left + (column + 0.5) * CELL_MM;
			const y = top + (row + 0.5) * CELL_MM;
			if (rooms.some((room) => isInside(room.outline, x, y))) grid.open[row * columns + column] = 1;
		}
	blockBodies(grid, home);
	for (const room of rooms) for (const door of room.doors) paintDoor(grid, door);
	return grid;
}

/** Nearest open cell to a point, by rings outwards; -1 when the grid has none within 1.5 m. */
function openNear(grid: Grid, point: Point): number {
	let best = -1;
	let bestMm = Infinity;
	for (let dy = -15; dy <= 15; dy++)
		for (let dx = -15; dx <= 15; dx++) {
			const at = cellAt(grid, { x: point.x + dx * CELL_MM, y: point.y + dy * CELL_MM });
			const mm = Math.hypot(dx, dy);
			if (at >= 0 && grid.open[at] && mm < bestMm) [best, bestMm] = [at, mm];
		}
	return best;
}

/**
 * Walks outwards from one cell to all others in eight directions and gives the shortest lengths, mm.
 * The queue is a ring of buckets one tenth of a cell wide, so the order within a bucket does not matter
 * by more than that. A corner may not be cut. Paths are at most 8 % longer than the straight line.
 */
function flood(grid: Grid, from: number): Float64Array {
	const { columns, open } = grid;
	const far = new Float64Array(open.length).fill(Infinity);
	if (from < 0) return far;
	const width = CELL_MM / 10;
	const buckets: number[][] = [];
	const push = (at: number, mm: number) => (buckets[Math.floor(mm / width)] ??= []).push(at);
	far[from] = 0;
	push(from, 0);
	for (let b = 0; b < buckets.length; b++) {
		const bucket = buckets[b];
		if (!bucket) continue;
		for (let i = 0; i < bucket.length; i++) {
			const at = bucket[i]!;
			if (Math.floor(far[at]! / width) !== b) continue;
			for (let dy = -1; dy <= 1; dy++)
				for (let dx = -1; dx <= 1; dx++) {
					const next = at + dy * columns + dx;
					if (!open[next] || (dx && dy && !(open[at + dx] && open[at + dy * columns]))) continue;
					const mm = far[at]! + (dx && dy ? Math.SQRT2 : 1) * CELL_MM;
					if (mm < far[next]! - 1e-9) {
						far[next] = mm;
						push(next, mm);
					}
				}
		}
	}
	return far;
}

function measureWalks(home: Home): WalkingDistances {
	const places = nooksInOrder(home);
	const stations = Object.values(home.stations).sort((a, b) => (a.id < b.id ? -1 : 1));
	const N = places.length;
	const stationToNookMm = new Float64Array(stations.length * N).fill(Infinity);
	const nookToNookMm = new Float64Array(N * N);
	if (N > 0) {
		const grid = layGrid(home);
		const cells = places.map((place) => openNear(grid, standingPoint(place)));
		const fill = (from: number, row: Float64Array, offset: number) => {
			const far = flood(grid, from);
			cells.forEach((cell, n) => (row[offset + n] = cell < 0 ? Infinity : far[cell]!));
		};
		stations.forEach((station, s) => fill(openNear(grid, station.at), stationToNookMm, s * N));
		const rows = new Map<number, number>();
		cells.forEach((cell, n) => {
			const same = rows.get(cell);
			if (same === undefined) {
				fill(cell, nookToNookMm, n * N);
				rows.set(cell, n);
			} else nookToNookMm.copyWithin(n * N, same * N, same * N + N);
		});
	}
	return {
		stationIds: stations.map((station) => station.id),
		nookIds: places.map((place) => place.nook.id),
		stationToNookMm,
		nookToNookMm
	};
}

/**
 * Measures the shortest walk on the plan, round bodies and through doorways, from every station and every
 * nook's standing point to every nook. Order of nooks is walking order; a pure function of the survey.
 */
export const walkingDistances = memoOn(
	(home) => [home.nooks, home.cabinets, home.runs, home.rooms, home.stations],
	measureWalks
);
