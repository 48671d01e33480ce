import { describe, expect, it } from 'vitest';
import { apply, bareKitchen } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { placeStation } from './edits';
import { nooksInOrder, standingPoint } from './place';
import { addSocket, moveSocket, removeSocket, socketMm } from './sockets';

const kitchen = bareKitchen();
const place = nooksInOrder(kitchen)[0]!;
const at = standingPoint(place);
const roomId = place.room.id;
const near = (home: Home, x: number) =>
	apply(home, addSocket(roomId, { x: at.x + x, y: at.y }, `s${x}`));
const far = (home: Home, ...kinds: Parameters<typeof socketMm>[2]) =>
	socketMm(home, nooksInOrder(home)[0]!, kinds);

describe('the way to a socket', () => {
	it('is not known in a home without any', () => expect(far(kitchen, 'worktop')).toBeNull());
	it('is a straight line from where one stands to the nearest', () =>
		expect(far(near(near(kitchen, 900), -400))).toBe(400));
	it('counts sockets at a station of use alone, where there are any', () => {
		const home = apply(
			near(near(kitchen, 100), 3000),
			placeStation(roomId, 'kettle', { x: at.x + 3300, y: at.y }, () => 'k')
		);
		expect(far(home, 'kettle')).toBe(3000);
		expect(far(home, 'basin')).toBe(100);
	});
	it('leads into no other room', () => {
		const home = apply(near(kitchen, 500), (draft) => {
			const room = draft.rooms[roomId]!;
			draft.rooms['other' as typeof roomId] = { ...room, id: 'other' as typeof roomId };
			room.sockets = [];
		});
		expect(far(home)).toBe(Infinity);
	});
});

it('is moved and taken away; one that is not there changes nothing', () => {
	const home = near(near(kitchen, 1), 2);
	const moved = apply(home, moveSocket(roomId, 's2', { x: 7, y: 8 }));
	expect(moved.rooms[roomId]!.sockets[1]).toEqual({ id: 's2', x: 7, y: 8 });
	expect(apply(moved, removeSocket(roomId, 's1')).rooms[roomId]!.sockets).toEqual([
		{ id: 's2', x: 7, y: 8 }
	]);
	expect(apply(home, moveSocket(roomId, 'none', { x: 7, y: 8 }))).toEqual(home);
});
