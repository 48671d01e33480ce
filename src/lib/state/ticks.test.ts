import { describe, expect, it } from 'vitest';
import { bareKitchen, counter, TODAY } from '../core/fixtures/tiny-home';
import type { NookId } from '../core/model';
import { DeskStore } from './desk-store';
import { Ticks } from './ticks.svelte';

function made() {
	const store = new DeskStore(bareKitchen());
	const nookId = Object.keys(store.home.nooks)[0] as NookId;
	const ticks = new Ticks({
		store: store.get,
		nookId: () => nookId,
		newId: counter('t'),
		today: () => TODAY
	});
	return { store, ticks, nookId };
}

describe('usual things that are ticked', () => {
	it('are counted up and down, and never below none', () => {
		const { ticks } = made();
		ticks.add('cumin');
		ticks.add('cumin');
		ticks.add('salt', -1);
		expect([ticks.countOf('cumin'), ticks.countOf('salt'), ticks.ticked]).toEqual([2, 0, 1]);
		ticks.add('cumin', -1);
		ticks.add('cumin', -1);
		expect(ticks.ticked).toBe(0);
	});
	it('are entered in one step into the place at hand, each of its kind', () => {
		const { store, ticks, nookId } = made();
		ticks.show('Under the sink');
		expect(ticks.list.name).toBe('Under the sink');
		ticks.add('bleach');
		ticks.add('sponges');
		ticks.add('sponges');
		ticks.enter();
		const lots = Object.values(store.home.lots);
		expect(lots.map(({ count, nookId: at }) => [count, at])).toEqual([
			[1, nookId],
			[2, nookId]
		]);
		const bleach = Object.values(store.home.things).find(({ name }) => name === 'bleach')!;
		expect(bleach.hazards).toContain('bleach');
		expect([ticks.ticked, ticks.hereOf('sponges')]).toEqual([0, 2]);
		store.undo();
		expect(Object.values(store.home.lots)).toEqual([]);
	});
	it('keep their name whole, where it holds words that a line reads otherwise', () => {
		const { store, ticks } = made();
		ticks.add('tin opener');
		ticks.add('frozen peas');
		ticks.enter();
		expect(Object.values(store.home.things).map(({ name }) => name)).toEqual([
			'tin opener',
			'frozen peas'
		]);
	});
	it('do nothing when none is ticked', () => {
		const { store, ticks } = made();
		ticks.enter();
		expect(store.labels).toEqual([]);
	});
});
