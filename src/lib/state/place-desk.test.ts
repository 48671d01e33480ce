import { describe, expect, it, vi } from 'vitest';
import { sketchHome } from '../core/fixtures/sketch-home';
import { DOG_AND_TODDLER } from '../core/fixtures/sketches';
import { counter, NOW, tinyHome } from '../core/fixtures/tiny-home';
import {
	DEFAULT_PLACE,
	placeHome,
	type Helped,
	type PlaceProgress,
	type PlaceResult
} from '../core/zoning';
import type { JobOutcome } from '../workers/job-client';
import { DeskStore } from './desk-store';
import { PlaceDesk } from './place-desk.svelte';

const options = { ...DEFAULT_PLACE, moves: 3000 };
const result = placeHome(tinyHome(), options);
function desk(
	outcome: () => JobOutcome<PlaceResult> = () => ({ kind: 'done', result }),
	helped: () => JobOutcome<readonly Helped[]> = () => ({ kind: 'done', result: [] }),
	home = tinyHome()
) {
	const store = new DeskStore(home);
	const say = vi.fn();
	const made = new PlaceDesk({
		store: store.get,
		runner: {
			run: (_payload: object, onProgress?: (progress: PlaceProgress) => void) => {
				void onProgress;
				return Promise.resolve(outcome());
			},
			cancel: vi.fn()
		},
		helper: {
			run: () => Promise.resolve(helped()),
			cancel: vi.fn()
		},
		newId: counter('p'),
		now: () => NOW,
		say,
		afterwards: (call) => (call(), () => {})
	});
	return { store, desk: made, say };
}
async function solved() {
	const at = desk();
	await at.desk.solve();
	return at;
}
const groupOf = ({ store }: { store: DeskStore }, name: RegExp) =>
	Object.values(store.home.groups).find((group) => name.test(group.name))!;

describe('the plan on the walls', () => {
	it('hangs every group on its place, with the figures of the week', async () => {
		const { desk: plan, store } = await solved();
		expect(store.labels).toEqual(['zone plan']);
		const hung = [...plan.notes.values()].flat().map(({ group }) => group.id);
		expect(new Set(hung).size + plan.left.length).toBe(Object.keys(store.home.groups).length);
		expect(plan.leftMl > 0).toBe(plan.left.some(({ why }) => why.change.code === 'needs-room'));
		expect(plan.week?.effort).toBeCloseTo(result.objective, 3);
		expect(plan.week?.broken).toEqual([]);
		expect(plan.stale).toBe(false);
	});
	it('has no figures before there is a plan, and says so when there is nothing to place', async () => {
		const empty = desk(() => ({ kind: 'done', result: { ...result, status: 'nothing-to-place' } }));
		expect(empty.desk.plan).toBeUndefined();
		await empty.desk.solve();
		expect(empty.say).toHaveBeenCalledWith(expect.stringContaining('nothing to place'));
		expect(empty.store.labels).toEqual([]);
	});
	it('keeps the last plan and says why when the planner fails', async () => {
		const broken = desk(() => ({ kind: 'failed', reason: 'out of memory' }));
		await broken.desk.solve();
		expect([broken.desk.job.failure, broken.store.labels]).toEqual(['out of memory', []]);
	});
	it('is out of date once what it was computed from changes', async () => {
		const { desk: plan, store } = await solved();
		const [lot] = Object.values(store.home.lots);
		store.run('take', 'takeDown', { lotId: lot!.id, count: 3, eventId: 'e', now: NOW });
		expect(plan.stale).toBe(true);
	});
	it('prices every place while a tag is in hand: none better than here, and no for what a rule forbids', async () => {
		const at = await solved();
		const { desk: plan } = at;
		const frozen = groupOf(at, /frozen/i);
		const nookId = [...plan.notes].find(([, notes]) =>
			notes.some(({ group }) => group.id === frozen.id)
		)![0];
		expect(plan.prices).toBeUndefined();
		plan.pick(frozen.id, nookId);
		expect(plan.heldShare).toBe(1);
		expect(plan.prices?.get(nookId)).toMatchObject({ text: 'here', tone: 'good' });
		const others = [...plan.prices!].filter(([id]) => id !== nookId).map(([, price]) => price);
		expect(others.some(({ text }) => text === 'needs a freezer')).toBe(true);
		plan.pick(frozen.id, nookId);
		expect([plan.held, plan.prices]).toEqual([null, undefined]);
	});
	it('puts a tag where a rule forbids it, says so, and lists the rule as broken', async () => {
		const at = await solved();
		const { desk: plan, say, store } = at;
		const frozen = groupOf(at, /frozen/i);
		const from = [...plan.notes].find(([, notes]) =>
			notes.some(({ group }) => group.id === frozen.id)
		)![0];
		plan.take(frozen.id, from);
		const warm = [...plan.prices!].find(([, { text }]) => text === 'needs a freezer')![0];
		plan.drop(warm);
		expect(say).toHaveBeenCalledWith(expect.stringContaining('marked as breaking a rule'));
		expect(plan.looked).toEqual({ groupId: frozen.id, nookId: warm });
		expect(plan.held).toBeNull();
		expect(plan.week?.broken[0]).toMatchObject({ groupId: frozen.id, nookId: warm });
		store.undo();
		expect(plan.week?.broken).toEqual([]);
	});
	it('says of each wall the best it has while a tag is in hand, and nothing otherwise', async () => {
		const { desk: plan, store } = await solved();
		expect(plan.bestOnWall.size).toBe(0);
		const [nookId, [note]] = [...plan.notes][0]!;
		plan.pick(note!.group.id, nookId);
		expect(plan.bestOnWall.size).toBeGreaterThan(0);
		for (const [runId, best] of plan.bestOnWall) {
			const there = [...plan.prices!].filter(
				([id]) => store.home.cabinets[store.home.nooks[id]!.cabinetId]!.runId === runId
			);
			expect(there.map(([, price]) => price)).toContainEqual(best);
			expect(best.tone).not.toBe('bad');
		}
		plan.letGo();
		expect(plan.bestOnWall.size).toBe(0);
	});
	it('shows how much places are wanted when it is asked to, and not while a tag is in hand', async () => {
		const { desk: plan } = await solved();
		expect(plan.heat).toBeUndefined();
		plan.showsWanted = true;
		expect([...plan.heat!.keys()]).toEqual(plan.contested.map(({ nookId }) => nookId));
		for (const { share, text, why } of plan.heat!.values()) {
			expect(share).toBeGreaterThan(0);
			expect(share).toBeLessThanOrEqual(1);
			expect(text).toMatch(/ m\/l$/);
			expect(why).toContain('a litre more would save');
		}
		const [nookId, [note]] = [...plan.notes][0]!;
		plan.pick(note!.group.id, nookId);
		expect(plan.heat).toBeUndefined();
	});
	it('looks at a place without anything in hand, and pins what is looked at', async () => {
		const { desk: plan, store } = await solved();
		const [nookId, [first, ...others]] = [...plan.notes][0]!;
		plan.drop(nookId);
		expect(plan.looked).toEqual({ groupId: first!.group.id, nookId });
		expect(plan.alsoHere.map(({ id }) => id)).toEqual(others.map(({ group }) => group.id));
		plan.wish('pin');
		expect(plan.notes.get(nookId)?.[0]?.pinned).toBe(true);
		plan.wish('pin');
		expect(store.home.pins).toEqual([]);
		plan.close();
		plan.wish('ban');
		expect(store.home.pins).toEqual([]);
	});
});

describe('what helps a plan', () => {
	const cabinetId = Object.values(tinyHome().cabinets).find(({ form }) => form === 'base')!.id;
	const one: Helped = {
		help: { code: 'catch', cabinetId },
		savedM: 12,
		placed: [],
		costMinor: 600
	};
	it('is shown when it was asked for, made with one press, and gone once the plan is stale', async () => {
		const { desk: plan, store } = desk(undefined, () => ({ kind: 'done', result: [one] }));
		await plan.solve();
		expect(plan.helped).toBeNull();
		await plan.findHelp();
		expect(plan.helped).toEqual([one]);
		plan.takeHelp(one.help);
		expect(store.home.cabinets[cabinetId]!.childCatch).toBe(true);
		expect(plan.helped).toBeNull();
	});
	it('is not shown when the search failed', async () => {
		const { desk: plan } = desk(undefined, () => ({ kind: 'failed', reason: 'no thread' }));
		await plan.solve();
		await plan.findHelp();
		expect(plan.helped).toBeNull();
		expect(plan.help.failure).toBe('no thread');
	});
	it('moves a shelf, and leaves what is let go to Clear', async () => {
		const { desk: plan, store } = desk();
		const nook = Object.values(store.home.nooks).find(({ cabinetId: id }) => id === cabinetId)!;
		plan.takeHelp({ code: 'shelf', nookId: nook.id, pegs: 1, byMm: 32 });
		expect(store.home.nooks[nook.id]!.inside.heightMm).toBe(nook.inside.heightMm! + 32);
		const before = store.home;
		plan.takeHelp({ code: 'let-go', thingId: Object.keys(before.things)[0]! });
		expect(store.home).toBe(before);
		plan.lift({ code: 'fit-catch', nookId: nook.id, cabinetId });
		expect(store.home.cabinets[cabinetId]!.childCatch).toBe(true);
	});
});

describe('a lock for what is dangerous', () => {
	it('is asked for before there is a plan, and no more once it is fitted', () => {
		const { store, desk: plan } = desk(undefined, undefined, sketchHome(DOG_AND_TODDLER));
		const [first] = plan.guardsAsked;
		expect(store.home.cabinets[first!.cabinetId]!.name).toBe('Sink cabinet');
		expect(first!.guard).toBe('lock');
		plan.fitGuard(first!.cabinetId, first!.guard);
		expect(store.labels).toEqual(['lock on Sink cabinet']);
		expect(plan.guardsAsked.map(({ cabinetId }) => cabinetId)).not.toContain(first!.cabinetId);
	});
});
