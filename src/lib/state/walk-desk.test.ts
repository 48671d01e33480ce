import { describe, expect, it } from 'vitest';
import { bareKitchen, counter } from '../core/fixtures/tiny-home';
import { DeskStore } from './desk-store';
import { WalkDesk } from './walk-desk.svelte';

function desk() {
	const store = new DeskStore(bareKitchen());
	return { store, desk: new WalkDesk({ store: store.get, newId: counter('w') }) };
}

describe('the walls in Walk', () => {
	it('begins at the fullest wall, and stays at a wall when a sheet is put away', () => {
		const { desk: walk, store } = desk();
		expect(walk.run?.id).toBe('back');
		walk.showWall('front');
		expect([walk.run?.id, walk.isBare]).toEqual(['front', true]);
		const [nookId] = Object.keys(store.home.nooks);
		walk.choose(nookId!);
		expect(walk.run?.id).toBe('back');
		walk.choose(nookId!);
		expect([walk.nook, walk.run?.id]).toEqual([undefined, 'back']);
	});
	it('shows what an address asks for', () => {
		const { desk: walk, store } = desk();
		const [cabinet] = Object.values(store.home.cabinets);
		walk.open({ nookId: null, cabinetId: cabinet!.id, runId: null });
		expect(walk.cabinet?.id).toBe(cabinet!.id);
		walk.open({ nookId: 'gone', cabinetId: null, runId: 'gone' });
		expect([walk.nook, walk.run?.id]).toEqual([undefined, 'back']);
	});
	it('adds a cabinet to the wall that is shown, and chooses it', () => {
		const { desk: walk, store } = desk();
		walk.showWall('front');
		walk.add('base');
		expect(walk.cabinet?.runId).toBe('front');
		expect(store.labels).toEqual(['add Base cabinet']);
		walk.chooseCabinet(walk.cabinet!.id);
		expect(walk.cabinet).toBeUndefined();
	});
	it('moves a cabinet on the drawing first, and in the home once it is let go', () => {
		const { desk: walk, store } = desk();
		const last = Object.values(store.home.cabinets).at(-1)!;
		walk.drag(last.id, 120);
		expect(store.home.cabinets[last.id]!.offsetMm).toBe(last.offsetMm);
		const there = walk.drawn.cabinets[last.id]!.offsetMm;
		expect(there).not.toBe(last.offsetMm);
		walk.drop(last.id);
		expect(store.home.cabinets[last.id]!.offsetMm).toBe(there);
		walk.drag(last.id, 400);
		walk.drop('');
		expect([walk.drawn, store.labels.length]).toEqual([store.home, 1]);
	});
	it('flags what is not measured and what cannot be right, and captions the rest with litres', () => {
		const { desk: walk, store } = desk();
		const [first, second] = Object.values(store.home.nooks);
		store.run('blank', 'setInside', first!.id, 'widthMm', 9000);
		expect(walk.doubts.map(({ nookId }) => nookId)).toContain(first!.id);
		expect(walk.flagged.has(first!.id)).toBe(true);
		expect(walk.captionOf(second!.id)).toMatch(/ l$/);
		expect(walk.captionOf('gone')).toBe('measure');
	});
});
