import { describe, expect, it, vi } from 'vitest';
import { solvedOnce } from '../core/fixtures/solved-once';
import { demoHome } from '../data/demo';
import { NOW } from '../core/fixtures/tiny-home';
import { applyEdit } from '../core/model';
import { adoptPlan } from '../core/zoning';
import { handleLooks } from '../workers/looks.protocol';
import { DeskStore } from './desk-store';
import { LooksDesk } from './looks-desk.svelte';

const demo = demoHome(NOW);
const planned = applyEdit(demo, adoptPlan(solvedOnce('demo', () => demo).plan)).home;
const BATH = planned.zonePlans['p']!.assignments.find(({ nookId }) =>
	planned.cabinets[planned.nooks[nookId]!.cabinetId]!.runId.startsWith('bath')
)!.nookId;

function desk(nookId: string | null = BATH) {
	const store = new DeskStore(planned);
	const askAnew = vi.fn();
	const run = vi.fn((payload: object) => {
		const handled = handleLooks(payload);
		return Promise.resolve(
			handled.ok
				? ({ kind: 'done', result: handled.result } as const)
				: ({ kind: 'refused', issues: handled.issues } as const)
		);
	});
	const looks = new LooksDesk({
		store: store.get,
		runner: { run, cancel: vi.fn() },
		nookId: () => nookId,
		askAnew
	});
	return { store, looks, askAnew };
}

describe('the look of a room', () => {
	it('is said of the room of the place at hand, and what is shown is fitted anew', () => {
		const { looks, store, askAnew } = desk();
		expect(looks.room?.id).toBe('bath');
		expect(looks.looks).toEqual(['clear', 'white', 'woven']);
		expect(looks.places).toBeGreaterThan(0);
		looks.set('white');
		expect(store.home.rooms['bath']!.look).toBe('white');
		expect(askAnew).toHaveBeenCalledTimes(1);
		looks.set('white');
		expect(askAnew).toHaveBeenCalledTimes(1);
	});
	it('has prices when they were asked for; they stay when a look is said, and go when the home is another', async () => {
		const { looks, store } = desk();
		expect(looks.prices).toBeUndefined();
		await looks.look();
		expect(looks.prices?.map(({ look }) => look)).toContain('woven');
		looks.set('woven');
		expect(looks.prices).toBeDefined();
		store.run('budget', 'setBudget', 1000);
		expect(looks.prices).toBeUndefined();
	});
	it('is no question where there is no place', async () => {
		const { looks, store } = desk(null);
		expect(looks.room).toBeUndefined();
		expect(looks.places).toBe(0);
		await looks.look();
		looks.set('white');
		expect(looks.prices).toBeUndefined();
		expect(store.home).toBe(planned);
	});
	it('of a room that is not there is refused by name', () => {
		const handled = handleLooks({ home: planned, roomId: 'attic' });
		expect(handled).toMatchObject({ ok: false, issues: [{ code: 'unknown-room' }] });
		expect(handleLooks({ home: 1 }).ok).toBe(false);
	});
});
