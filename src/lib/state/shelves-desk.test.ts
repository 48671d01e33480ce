import { describe, expect, it, vi } from 'vitest';
import { solvedOnce } from '../core/fixtures/solved-once';
import { demoHome } from '../data/demo';
import { NOW } from '../core/fixtures/tiny-home';
import { applyEdit, type Home } from '../core/model';
import { adoptPlan, toZonePlan } from '../core/zoning';
import { handleHeights } from '../workers/heights.protocol';
import { DeskStore } from './desk-store';
import { ShelvesDesk } from './shelves-desk.svelte';

const demo = demoHome(NOW);
const planned: Home = (() => {
	const result = solvedOnce('demo', () => demo).result;
	return applyEdit(demo, adoptPlan(toZonePlan(result, 'plan', 'a plan', NOW))).home;
})();
const nookOf = (name: string) => Object.values(demo.nooks).find((nook) => nook.name === name)!.id;
/** Shelves that may be set, and a drawer. */
const SHELF = nookOf('Over the drawers, lowest shelf');
const DRAWER = nookOf('Top drawer');

function desk(at: string = SHELF, isTooLow = false) {
	const store = new DeskStore(planned);
	const run = vi.fn((payload: object) => {
		const handled = handleHeights(payload);
		return Promise.resolve(
			handled.ok
				? ({ kind: 'done', result: handled.result } as const)
				: ({ kind: 'refused', issues: handled.issues } as const)
		);
	});
	const state = { nookId: at, isTooLow };
	const shelves = new ShelvesDesk({
		store: store.get,
		runner: { run, cancel: vi.fn() },
		nookId: () => state.nookId,
		isTooLow: () => state.isTooLow
	});
	return { store, shelves, run, state };
}

describe('the heights of shelves', () => {
	it('can be set where boards sit on pegs, of places of the plan', () => {
		expect(desk().shelves.canSet).toBe(true);
		expect(desk(DRAWER).shelves.canSet).toBe(false);
		expect(desk('gone').shelves.canSet).toBe(false);
	});
	it('are looked at when asked, and forgotten when the home or the place is another', async () => {
		const { shelves, store, state } = desk();
		expect(shelves.setting).toBeUndefined();
		await shelves.look();
		expect(shelves.setting).not.toBeUndefined();
		state.nookId = DRAWER;
		expect(shelves.setting).toBeUndefined();
		state.nookId = SHELF;
		store.run('narrower', 'setInside', SHELF, 'widthMm', 200);
		expect(shelves.setting).toBeUndefined();
	});
	it('are offered by themselves where something is too tall, once', async () => {
		const at = desk(SHELF, true);
		at.shelves.offer();
		at.shelves.offer();
		await vi.waitFor(() => expect(at.shelves.setting).not.toBeUndefined());
		at.shelves.offer();
		expect(at.run).toHaveBeenCalledTimes(1);
		const well = desk(SHELF, false);
		well.shelves.offer();
		expect(well.run).not.toHaveBeenCalled();
	});
	it('are set as proposed, unless a hard rule is against it', async () => {
		const { shelves, store } = desk();
		shelves.set();
		expect(store.labels).toEqual([]);
		await shelves.look();
		const { setting } = shelves;
		shelves.set();
		if (setting && !setting.against.length) {
			expect(store.labels).toEqual(['set the shelves']);
			for (const { nookId, heightMm } of setting.levels)
				expect(store.home.nooks[nookId]!.inside.heightMm).toBe(heightMm);
		} else expect(store.labels).toEqual([]);
	});
	it('are refused for a place that is not there', () => {
		const handled = handleHeights({ home: planned, nookId: 'gone' });
		expect(handled).toMatchObject({ ok: false, issues: [{ code: 'unknown-nook' }] });
		expect(handleHeights({ nookId: SHELF }).ok).toBe(false);
	});
});
