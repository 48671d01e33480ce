import { describe, expect, it } from 'vitest';
import { tinyHome } from '../core/fixtures/tiny-home';
import { DeskStore } from './desk-store';
import { PictureTaps } from './picture-taps.svelte';

function made() {
	const home = structuredClone(tinyHome());
	const nook = Object.values(home.nooks)[0]!;
	nook.readings = { widthMm: [], depthMm: [], heightMm: [] };
	const store = new DeskStore(home);
	return { store, nook, taps: new PictureTaps(store.get, () => nook.id) };
}
/** One picture pixel is a millimetre here. */
const corners = (x: number, y: number, w: number, h: number) =>
	[
		{ x, y },
		{ x: x + w, y },
		{ x: x + w, y: y + h },
		{ x, y: y + h }
	] as const;

describe('corners tapped on a picture', () => {
	it('are asked for in their order, and give a size once all are there', () => {
		const { taps } = made();
		expect(taps.next).toBe('the sheet: top left corner (1 of 8)');
		corners(100, 100, 210, 297).forEach((point) => taps.tap(point));
		expect(taps.next).toBe('the opening: top left corner (5 of 8)');
		expect(taps.size).toBeNull();
		corners(0, 0, 600, 450).forEach((point) => taps.tap(point));
		expect([taps.next, taps.size]).toMatchObject(['', { ok: true, widthMm: 600, heightMm: 450 }]);
		taps.tap({ x: 1, y: 1 });
		expect(taps.taps).toHaveLength(8);
	});
	it('can be taken back, and a sheet that lies across is another size', () => {
		const { taps } = made();
		[...corners(0, 0, 297, 210), ...corners(0, 0, 600, 450)].forEach((point) => taps.tap(point));
		taps.across = true;
		expect(taps.size).toMatchObject({ widthMm: 600, heightMm: 450 });
		taps.back();
		expect(taps.size).toBeNull();
	});
	it('are kept as an estimate with its error', () => {
		const { store, nook, taps } = made();
		[...corners(100, 100, 210, 297), ...corners(0, 0, 600, 450)].forEach((point) =>
			taps.tap(point)
		);
		taps.keep();
		expect(store.home.nooks[nook.id]!.inside).toMatchObject({ widthMm: 600, heightMm: 450 });
		expect(store.home.nooks[nook.id]!.pictured!.widthMm).toBeGreaterThan(0);
		expect(taps.taps).toEqual([]);
	});
});
