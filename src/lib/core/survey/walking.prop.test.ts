import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apply, bareKitchen, NOW } from '../fixtures/tiny-home';
import { makeHome, type Home, type Point } from '../model';
import {
	addRoom,
	freeNear,
	isFree,
	layWalkSpace,
	walkGraphOf,
	walkingDistances,
	walkPath,
	type WalkSpace
} from '.';

const CELL = 40;
const WIDE = 4000;
const DEEP = 3000;

/** Walks on a fine grid in eight directions, corners not cut: up to 8.24 % longer than the shortest walk. */
function gridWalk(space: WalkSpace, from: Point, to: Point, wide: number): number {
	const columns = Math.ceil(wide / CELL) + 1;
	const rows = Math.ceil(DEEP / CELL) + 1;
	const at = (c: number, r: number) => ({ x: c * CELL + 0.3, y: r * CELL + 0.3 });
	const open = new Uint8Array(columns * rows);
	for (let r = 0; r < rows; r++)
		for (let c = 0; c < columns; c++) open[r * columns + c] = Number(isFree(space, at(c, r)));
	const cell = (p: Point) => Math.round(p.y / CELL) * columns + Math.round(p.x / CELL);
	const far = new Float64Array(columns * rows).fill(Infinity);
	const todo = [cell(from)];
	far[todo[0]!] = 0;
	while (todo.length) {
		const here = todo.shift()!;
		const c = here % columns;
		const r = (here - c) / columns;
		for (let dr = -1; dr <= 1; dr++)
			for (let dc = -1; dc <= 1; dc++) {
				const next = (r + dr) * columns + c + dc;
				if (c + dc < 0 || c + dc >= columns || r + dr < 0 || r + dr >= rows || !open[next])
					continue;
				if (dr && dc && !(open[r * columns + c + dc] && open[(r + dr) * columns + c])) continue;
				const mm = far[here]! + Math.hypot(dr, dc) * CELL;
				if (mm < far[next]! - 1e-9) {
					far[next] = mm;
					todo.push(next);
				}
			}
	}
	return far[cell(to)]!;
}

const room = (home: Home, name: string) =>
	apply(
		home,
		addRoom({
			name,
			widthMm: WIDE,
			depthMm: DEEP,
			ids: { room: name, back: `${name}-b`, front: `${name}-f` }
		})
	);
const obstacle = fc.record({
	x: fc.integer({ min: 0, max: 3600 }),
	y: fc.integer({ min: 0, max: 2600 }),
	widthMm: fc.integer({ min: 100, max: 1800 }),
	depthMm: fc.integer({ min: 100, max: 1200 })
});
const point = (wide: number) =>
	fc.record({
		x: fc.integer({ min: 50, max: wide - 50 }),
		y: fc.integer({ min: 50, max: DEEP - 50 })
	});

type Body = typeof obstacle extends fc.Arbitrary<infer B> ? B : never;
function home(rooms: number, obstacles: readonly Body[]): Home {
	let made = makeHome({ id: 'walk', name: 'Walk', now: NOW });
	for (let r = 0; r < rooms; r++) made = room(made, `room${r}`);
	return apply(made, (draft) => {
		draft.rooms['room0']!.obstacles = obstacles.map((o, i) => ({
			id: `island-${i}` as never,
			...o,
			kind: 'island',
			name: 'island',
			clearBelowMm: 0
		}));
	});
}

describe('the shortest walk', () => {
	it.each([1, 2])('agrees with a fine grid, over %d rooms', (rooms) => {
		const wide = rooms * WIDE + (rooms - 1) * 100;
		fc.assert(
			fc.property(fc.array(obstacle, { maxLength: 4 }), point(wide), point(wide), (list, a, b) => {
				const plan = home(rooms, list);
				const space = layWalkSpace(plan);
				if (!isFree(space, a) || !isFree(space, b)) return;
				const walk = walkPath(walkGraphOf(plan), a, b)?.mm ?? Infinity;
				const grid = gridWalk(space, a, b, wide);
				// A gap narrower than a cell is open for the walk and shut on the grid.
				if (grid === Infinity) return;
				expect(walk).toBeLessThanOrEqual(grid + 4 * CELL);
				expect(walk).toBeGreaterThanOrEqual(grid / 1.0824 - 4 * CELL);
			}),
			{ seed: 320, numRuns: 60 }
		);
	});
	it('turns only at free points, and is as long as its parts', () => {
		fc.assert(
			fc.property(fc.array(obstacle, { maxLength: 4 }), point(WIDE), point(WIDE), (list, a, b) => {
				const plan = home(1, list);
				const space = layWalkSpace(plan);
				const path = walkPath(walkGraphOf(plan), a, b);
				if (!path) return;
				for (const p of path.points) expect(isFree(space, p)).toBe(true);
				const sum = path.points
					.slice(1)
					.reduce(
						(mm, p, i) => mm + Math.hypot(p.x - path.points[i]!.x, p.y - path.points[i]!.y),
						0
					);
				expect(path.mm).toBeCloseTo(sum, 6);
			}),
			{ seed: 321, numRuns: 60 }
		);
	});
	it('goes straight where nothing is in the way', () => {
		const plan = home(1, []);
		expect(walkPath(walkGraphOf(plan), { x: 300, y: 400 }, { x: 3300, y: 2400 })!.mm).toBeCloseTo(
			Math.hypot(3000, 2000),
			6
		);
	});
	it('goes round an island by its near corners', () => {
		const plan = home(1, [{ x: 1500, y: 500, widthMm: 1000, depthMm: 2000 }]);
		const a = { x: 1000, y: 1500 };
		const b = { x: 3000, y: 1500 };
		// Past the corners at 100 mm from the island, above it.
		const up = 2 * Math.hypot(400, 1100) + 1200;
		expect(walkPath(walkGraphOf(plan), a, b)!.mm).toBeCloseTo(up, -1);
	});
	it('moves a standing point that is not free to the nearest that is', () => {
		const plan = home(1, [{ x: 1000, y: 1000, widthMm: 600, depthMm: 600 }]);
		const space = layWalkSpace(plan);
		const near = freeNear(space, { x: 1100, y: 1300 })!;
		expect(isFree(space, near)).toBe(true);
		expect(Math.hypot(near.x - 1100, near.y - 1300)).toBeLessThanOrEqual(300);
		expect(freeNear(space, { x: 90_000, y: 0 })).toBeNull();
	});
	it('is remembered by what it depends on, not by the record', () => {
		const plan = bareKitchen();
		const renamed = apply(plan, (draft) => void (Object.values(draft.nooks)[0]!.name = 'Other'));
		const moved = apply(plan, (draft) => void (Object.values(draft.stations)[0]!.at.x += 500));
		expect(walkGraphOf(renamed)).toBe(walkGraphOf(plan));
		// A station stands in nobody's way, but what is walked from it changes; a body changes both.
		expect(walkGraphOf(moved)).toBe(walkGraphOf(plan));
		expect(walkingDistances(moved)).not.toBe(walkingDistances(plan));
		expect(walkingDistances(renamed)).toBe(walkingDistances(plan));
		const wider = apply(plan, (draft) => void (Object.values(draft.cabinets)[0]!.depthMm += 50));
		expect(walkGraphOf(wider)).not.toBe(walkGraphOf(plan));
	});
});
