import { describe, expect, it } from 'vitest';
import { roomBelow } from './window-room.svelte';

describe('the room a window leaves for a drawing', () => {
	it('goes down to the edge of the window', () => expect(roomBelow(800, 250, 900)).toBe(530));
	it('stops above the bar of a phone', () => expect(roomBelow(844, 250, 370)).toBe(518));
	it('begins anew at the top for one of several below each other', () =>
		expect(roomBelow(800, 1400, 900)).toBe(720));
	it('is never too small to be read', () => expect(roomBelow(300, 130, 900)).toBe(240));
});
