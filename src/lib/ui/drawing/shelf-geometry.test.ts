import { describe, expect, it } from 'vitest';
import { apply, bareKitchen } from '$lib/core/fixtures/tiny-home';
import { addUsualKinds, type Stood } from '$lib/core/fitting';
import { partsSeen } from './shelf-geometry';

const home = apply(bareKitchen(), addUsualKinds());
const row = (id: string, xMm: number, yMm: number) => ({
	id,
	groupId: 'g',
	names: [id],
	holds: [],
	xMm,
	yMm,
	widthMm: 100,
	depthMm: 80,
	heightMm: 60
});
const turntable = Object.values(home.containerKinds).find(({ role }) => role === 'turntable')!;
const fit = {
	standing: [row('left front', 0, 0), row('right front', 300, 0), row('left back', 0, 200)],
	placements: [
		{
			id: 'round',
			kindId: turntable.id,
			groupId: 'g',
			xMm: 120,
			yMm: 90,
			zMm: 0,
			turned: false,
			holds: []
		}
	]
} as unknown as Stood;
const at = (side: 'above' | 'front' | 'side', id: string, down: number) =>
	partsSeen(home, fit, side, down).find((part) => part.id === id)!;

describe('what stands in a place, as it is seen', () => {
	it('from above has the front edge at the bottom', () => {
		expect(at('above', 'left back', 300)).toMatchObject({ x: 0, y: 20, w: 100, h: 80 });
		expect(at('above', 'left front', 300)).toMatchObject({ x: 0, y: 220, w: 100, h: 80 });
	});
	it('from the front and from the side stands on the board', () => {
		expect(at('front', 'right front', 250)).toMatchObject({ x: 300, y: 190, w: 100, h: 60 });
		expect(at('side', 'left back', 250)).toMatchObject({ x: 200, y: 190, w: 80, h: 60 });
	});
	it('is drawn from far to near: what is in front, or at the left, comes last', () => {
		const order = (side: 'front' | 'side') =>
			partsSeen(home, fit, side, 250)
				.map(({ id }) => id)
				.filter((id) => id !== 'round');
		expect(order('front')[0]).toBe('left back');
		expect(order('side')[0]).toBe('right front');
	});
	it('is round from above only, and says what it is', () => {
		expect(at('above', 'round', 300)).toMatchObject({ round: true, loose: false });
		expect(at('side', 'round', 250).round).toBe(false);
		expect(at('above', 'round', 300).label).toContain(turntable.name);
		expect(at('above', 'left front', 300)).toMatchObject({ label: 'left front', loose: true });
	});
});
