import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bareKitchen } from '../fixtures/tiny-home';
import { editOf } from '../commands';
import { applyEdit, type Edit, type Home } from '../model';
import { addObstacle } from './plan-edits';
import { addSocket } from './sockets';
import {
	dragPlanItem,
	nudgePlanItem,
	planItemKey,
	type PlanItem,
	type PlanMove
} from './plan-drag';
import { addDoor, moveRoom, setDoorWidth, setWallLength } from './plan-items';

const apply = (home: Home, change: Edit | PlanMove | null): Home =>
	change ? applyEdit(home, typeof change === 'function' ? change : editOf(change)).home : home;
function kitchen() {
	let home = bareKitchen();
	const room = Object.values(home.rooms)[0]!;
	home = apply(
		home,
		addObstacle(
			room.id,
			{
				kind: 'island',
				name: 'Island',
				widthMm: 800,
				depthMm: 600,
				clearBelowMm: 0
			},
			'island'
		)
	);
	const named = (form: string) => Object.values(home.cabinets).find((c) => c.form === form)!;
	return { home, room: home.rooms[room.id]!, left: named('drawers'), right: named('fridge') };
}
const size = ({ outline }: Home['rooms'][string]) => ({
	w: Math.max(...outline.map((p) => p.x)) - Math.min(...outline.map((p) => p.x)),
	d: Math.max(...outline.map((p) => p.y)) - Math.min(...outline.map((p) => p.y))
});

describe('dragging on the plan', () => {
	it('brings a cabinet to rest against its neighbour, along its run alone', () => {
		const { home, left, right } = kitchen();
		const away = apply(
			home,
			dragPlanItem(home, { kind: 'cabinet', id: right.id }, { x: 240, y: 0 })
		);
		const back = apply(
			away,
			dragPlanItem(away, { kind: 'cabinet', id: right.id }, { x: -200, y: 300 })
		);
		expect(away.cabinets[right.id]!.offsetMm).toBe(right.offsetMm + 240);
		expect(back.cabinets[right.id]!.offsetMm).toBe(left.offsetMm + left.widthMm);
	});
	it('draws a socket to the wall, takes it along with its room, and steps it exactly', () => {
		const { home, room } = kitchen();
		const [wall] = room.outline;
		const item = { kind: 'socket', id: room.id, part: 's1' } as const;
		const set = apply(home, addSocket(room.id, { x: wall!.x + 700, y: wall!.y + 300 }, 's1'));
		const dragged = apply(set, dragPlanItem(set, item, { x: 110, y: -280 }));
		expect(dragged.rooms[room.id]!.sockets).toEqual([{ id: 's1', x: wall!.x + 810, y: wall!.y }]);
		const stepped = apply(dragged, nudgePlanItem(dragged, item, { x: 7, y: 0 }));
		expect(stepped.rooms[room.id]!.sockets[0]!.x).toBe(wall!.x + 817);
		const moved = apply(stepped, moveRoom(room.id, { x: 1000, y: 0 }));
		expect(moved.rooms[room.id]!.sockets[0]!.x).toBe(wall!.x + 1817);
		const gone = { ...item, part: 'none' };
		expect(dragPlanItem(set, gone, { x: 1, y: 1 })).toBeNull();
		expect(nudgePlanItem(set, gone, { x: 1, y: 1 })).toBeNull();
	});
	it('moves a wall square to itself and takes the runs on it along', () => {
		const { home, room } = kitchen();
		const moved = apply(
			home,
			dragPlanItem(home, { kind: 'wall', id: room.id, part: 'corner-2' }, { x: 503, y: 240 })
		);
		expect(size(moved.rooms[room.id]!)).toEqual({ w: size(room).w + 500, d: size(room).d });
		const ends = Object.values(moved.runs).map(({ from, to }) => Math.max(from.x, to.x));
		expect(ends).toEqual(
			ends.map(() => Math.max(...moved.rooms[room.id]!.outline.map((p) => p.x)))
		);
	});
	it('draws an obstacle to a wall by whichever side comes near', () => {
		const { home, room } = kitchen();
		const right = Math.max(...room.outline.map((p) => p.x));
		const island = room.obstacles[0]!;
		const by = { x: right - island.widthMm - island.x - 40, y: 0 };
		const moved = apply(
			home,
			dragPlanItem(home, { kind: 'obstacle', id: room.id, part: 'island' }, by)
		);
		expect(moved.rooms[room.id]!.obstacles[0]!.x).toBe(right - island.widthMm);
	});
	it('does nothing for what is gone or cannot be moved as a whole', () => {
		const { home } = kitchen();
		const by = { x: 100, y: 100 };
		expect(dragPlanItem(home, { kind: 'station', id: 'none' }, by)).toBeNull();
		expect(dragPlanItem(home, { kind: 'corner', id: 'none', part: 'corner-1' }, by)).toBeNull();
		expect(dragPlanItem(home, { kind: 'run', id: Object.keys(home.runs)[0]! }, by)).toBeNull();
	});
});

describe('exact numbers on the plan', () => {
	it('sets a wall to a length and leaves corners square', () => {
		const { home, room } = kitchen();
		const longer = apply(home, setWallLength(room.id, 'corner-1', 4321)).rooms[room.id]!;
		expect(size(longer)).toEqual({ w: 4321, d: size(room).d });
		expect(apply(home, setWallLength(room.id, 'corner-1', 0)).rooms[room.id]).toEqual(room);
	});
	it('adds a doorway outside the wall, no wider than the wall, and widens it about its middle', () => {
		const { home, room } = kitchen();
		const doors = room.doors.length;
		const made = apply(home, addDoor(room.id, 'corner-3', 'd'));
		const door = made.rooms[room.id]!.doors[doors]!;
		expect(Math.hypot(door.b.x - door.a.x, door.b.y - door.a.y)).toBe(800);
		// The third wall runs along the bottom; the doorway lies in the wall below it.
		expect(door.a.y).toBe(Math.max(...room.outline.map((p) => p.y)) + 50);
		const wide = apply(made, setDoorWidth(room.id, 'd', 1000)).rooms[room.id]!.doors[doors]!;
		expect(wide.a.x + wide.b.x).toBe(door.a.x + door.b.x);
		expect(Math.abs(wide.b.x - wide.a.x)).toBe(1000);
	});
	it('moves everything in a room with it, and back again to the same home', () => {
		const { home, room } = kitchen();
		fc.assert(
			fc.property(
				fc.integer({ min: -3000, max: 3000 }),
				fc.integer({ min: -3000, max: 3000 }),
				(x, y) => {
					const there = apply(home, moveRoom(room.id, { x, y }));
					expect(size(there.rooms[room.id]!)).toEqual(size(room));
					expect(apply(there, moveRoom(room.id, { x: -x, y: -y }))).toEqual(home);
				}
			),
			{ seed: 7, numRuns: 40 }
		);
	});
	it('undoes a nudge by the nudge back, for every kind of item', () => {
		const { home, room, right } = kitchen();
		const station = Object.keys(home.stations)[0]!;
		const items: PlanItem[] = [
			{ kind: 'room', id: room.id },
			{ kind: 'corner', id: room.id, part: 'corner-3' },
			{ kind: 'obstacle', id: room.id, part: 'island' },
			{ kind: 'station', id: station },
			{ kind: 'cabinet', id: right.id }
		];
		for (const item of items) {
			const there = apply(home, nudgePlanItem(home, item, { x: 10, y: 0 }));
			expect(there, planItemKey(item)).not.toEqual(home);
			expect(apply(there, nudgePlanItem(there, item, { x: -10, y: 0 })), planItemKey(item)).toEqual(
				home
			);
		}
	});
});
