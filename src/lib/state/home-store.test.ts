import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it } from 'vitest';
import { parseIntake } from '../core/clearing';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import {
	addHome,
	bringBackHome,
	loadHome,
	openDatabase,
	purgeHomes,
	putAwayHome,
	type Db
} from '../data';
import { FakeChannel, FakeWords, faultyDb, type Fault } from './fake-tabs';
import { HomeStore, type HomeStoreDeps, type StoreNotice } from './home-store.svelte';
import { Outbox } from './outbox';

let db: Db;
let channel: FakeChannel;
let notices: StoreNotice[];
let waiting: (() => void)[];
let ids = 0;
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
	await addHome(db, { home: tinyHome(), now: NOW, ifThere: { do: 'say' } });
	channel = new FakeChannel();
	notices = [];
	waiting = [];
});

async function open(more: Partial<HomeStoreDeps> = {}): Promise<HomeStore> {
	const store = await HomeStore.open('tiny', {
		db: async () => db,
		now: () => NOW,
		newId: () => `id-${++ids}`,
		tabs: channel.open,
		later: (_ms, call) => {
			waiting.push(call);
			return () => void waiting.splice(waiting.indexOf(call), 1);
		},
		onNotice: (notice) => notices.push(notice),
		...more
	});
	if (!(store instanceof HomeStore)) throw new Error(store.code);
	return store;
}
const rename = (store: HomeStore, name: string) => store.run(name, 'changeHome', { name });
const rent = (store: HomeStore) => store.run('rent', 'changeHome', { rented: true });
const stored = async () => {
	const result = await loadHome(db, 'tiny', NOW);
	if (!result.ok) throw new Error(result.code);
	return result;
};
const settle = async (...stores: HomeStore[]) => {
	// A message may set the other to work, and its answer the first again.
	for (let i = 0; i < 4; i++) {
		await new Promise((done) => setImmediate(done));
		channel.deliver();
		for (const store of stores) await store.settled();
	}
};
const lotOf = (store: HomeStore) => Object.values(store.home.lots).find(({ count }) => count >= 6)!;
const use = (store: HomeStore, count = 1) =>
	store.run('use', 'takeDown', { lotId: lotOf(store).id, count, eventId: `u-${++ids}`, now: NOW });

describe('the home store', () => {
	it('shows a change at once and stores it behind', async () => {
		const store = await open();
		rename(store, 'Mill');
		expect(store.home.name).toBe('Mill');
		expect(store.saveState).toBe('saving');
		await store.settled();
		expect(store.saveState).toBe('saved');
		expect((await stored()).home.name).toBe('Mill');
	});
	it('undoes and redoes, also after it was opened again', async () => {
		const store = await open();
		rename(store, 'One');
		rename(store, 'Two');
		await store.settled();
		store.close();
		const again = await open();
		expect([again.undoLabel, again.redoLabel]).toEqual(['Two', null]);
		again.undo();
		again.undo();
		expect(again.home.name).toBe('Tiny kitchen');
		await again.settled();
		again.close();
		const third = await open();
		expect([third.undoLabel, third.redoLabel]).toEqual([null, 'One']);
		third.redo();
		await third.settled();
		expect((await stored()).home.name).toBe('One');
		third.undo();
		third.undo();
		expect(third.home.name).toBe('Tiny kitchen');
	});
	it('has on the next page what it could not store before it went, once, with its undo', async () => {
		const words = new FakeWords();
		let pages = 0;
		const boxed = (more: Partial<HomeStoreDeps> = {}) =>
			open({ outbox: new Outbox(() => words, 'tiny', `page-${++pages}`), ...more });
		const store = await boxed({ db: async () => faultyDb(db, () => 'unheard') });
		rename(store, 'Mill');
		await store.settled();
		rename(store, 'Barn');
		// The first is stored without its having heard of it, the second is not.
		expect([store.saveState, store.leave()]).toEqual(['failed', false]);
		store.close();
		const next = await boxed();
		expect(next.home.name).toBe('Barn');
		await next.settled();
		next.undo();
		next.undo();
		expect([next.home.name, next.undoLabel]).toEqual(['Tiny kitchen', null]);
		await next.settled();
		expect(words.length).toBe(0);
		expect([next.leave(), notices.filter(({ code }) => code === 'lost')]).toEqual([true, []]);
	});
	it('says what it could not do on the next page, since what it is about is gone', async () => {
		const words = new FakeWords();
		const boxed = (page: string) => open({ outbox: new Outbox(() => words, 'tiny', page) });
		const store = await boxed('one');
		const other = await open();
		const nook = Object.keys(store.home.nooks).at(-1)!;
		store.run('width', 'setInside', nook, 'widthMm', 432);
		expect(store.leave()).toBe(true);
		store.close();
		await store.settled();
		other.run('remove', 'removeNook', nook);
		await other.settled();
		await boxed('two');
		expect(notices.at(-1)).toMatchObject({ code: 'lost', label: 'width' });
		expect(words.length).toBe(0);
	});
	it('makes several changes as one step', async () => {
		const store = await open();
		store.runAll('both', [
			{ name: 'changeHome', args: [{ name: 'Mill' }] },
			{ name: 'chooseSchools', args: [{ tops: true }] }
		]);
		expect(store.home).toMatchObject({ name: 'Mill', schools: { tops: true } });
		store.undo();
		expect(store.home).toMatchObject({ name: 'Tiny kitchen', schools: { tops: false } });
	});
	it('does not make a step of history out of nothing', async () => {
		const store = await open();
		rename(store, 'Tiny kitchen');
		expect(store.undoLabel).toBeNull();
		expect(store.saveState).toBe('saved');
	});
	it('says what is wrong with a home that is not there', async () => {
		const deps = { db: async () => db, now: () => NOW, newId: () => 'x', tabs: channel.open };
		expect(await HomeStore.open('nobody', deps)).toEqual({ ok: false, code: 'not-found' });
	});
	it('keeps 200 quick changes and undos of one tab, all of them', async () => {
		const store = await open();
		for (let i = 0; i < 200; i++)
			if (i % 3 === 2) store.undo();
			else rename(store, `Name ${i}`);
		const shown = store.home;
		await store.settled();
		expect((await stored()).home).toEqual(shown);
	});
});

describe('two tabs', () => {
	it('are kept in step, and either takes back the last step of both', async () => {
		const [one, two] = [await open(), await open()];
		rename(one, 'Mill');
		await settle(one, two);
		expect([two.home.name, two.undoLabel]).toEqual(['Mill', 'Mill']);
		two.undo();
		await settle(one, two);
		expect(one.home.name).toBe('Tiny kitchen');
	});
	it.each([true, false])('lose no change made at once (hearing nothing: %s)', async (deaf) => {
		channel.deaf = deaf;
		for (let round = 0; round < 40; round++) {
			const [one, two] = [await open(), await open()];
			one.run('units', 'changeHome', { units: round % 2 ? 'cm' : 'in' });
			if (round < 3) use(two);
			rename(two, `Name ${round}`);
			await settle(one, two);
			const { home } = await stored();
			expect(home).toMatchObject({ name: `Name ${round}`, units: round % 2 ? 'cm' : 'in' });
			expect(two.home).toEqual(home);
			one.close();
			two.close();
		}
		expect(lotOf(await open()).count).toBe(6 - 3 + 3);
	});
	it('take 100 things down each: 200 are noted, and the stock falls by 200', async () => {
		const [one, two] = [await open(), await open()];
		one.run('buy', 'takeIn', {
			line: parseIntake('500 rice', { order: 'dmy', today: '2026-03-02' }).line,
			nookId: null,
			thingId: 'rice',
			lotId: 'rice-1',
			today: '2026-03-02'
		});
		await settle(one, two);
		const takeRice = (store: HomeStore) =>
			store.run('use', 'takeDown', { lotId: 'rice-1', count: 1, eventId: `r-${++ids}`, now: NOW });
		for (let i = 0; i < 100; i++) {
			takeRice(one);
			takeRice(two);
			if (i % 7 === 0) await new Promise((done) => setImmediate(done));
		}
		await settle(one, two);
		const { home } = await stored();
		expect(Object.keys(home.useEvents)).toHaveLength(200);
		expect(home.lots['rice-1']!.count).toBe(300);
		expect(one.home).toEqual(home);
		expect(two.home).toEqual(home);
		expect(notices).toEqual([]);
	});
	it('keep a change made just after the message of the other, and name the right step', async () => {
		const [one, two] = [await open(), await open()];
		for (let round = 0; round < 20; round++) {
			rename(one, `One ${round}`);
			await one.settled();
			channel.deliver();
			rent(two);
			two.run('rent ends', 'changeHome', { rented: false });
			expect(two.undoLabel).toBe('rent ends');
			await settle(one, two);
			expect(two.home).toEqual((await stored()).home);
			expect(two.home.name).toBe(`One ${round}`);
			expect(one.undoLabel).toBe('rent ends');
		}
	});
	it('take nothing back that is not the last step any more, and say so', async () => {
		channel.deaf = true;
		const one = await open();
		rename(one, 'Mill');
		await one.settled();
		const two = await open();
		rent(two);
		await two.settled();
		one.undo();
		await one.settled();
		expect((await stored()).home).toMatchObject({ name: 'Mill', rented: true });
		expect(one.home).toMatchObject({ name: 'Mill', rented: true });
		expect(notices).toMatchObject([
			{ code: 'lost', label: 'undo Mill', lost: { code: 'not-last' } }
		]);
	});
	it('open a home in which one removed a place and the other put a thing there', async () => {
		channel.deaf = true;
		const [one, two] = [await open(), await open()];
		const nook = Object.values(one.home.nooks)[0]!;
		one.run('remove', 'removeNook', nook.id);
		two.run('put', 'takeIn', {
			line: parseIntake('1 rice', { order: 'dmy', today: '2026-03-02' }).line,
			nookId: nook.id,
			thingId: 'rice',
			lotId: 'rice-1',
			today: '2026-03-02'
		});
		await settle(one, two);
		const { home, mends } = await stored();
		expect(mends).toEqual([]);
		expect(home.lots['rice-1']).toMatchObject({ nookId: null, count: 1 });
		expect(notices).toMatchObject([{ code: 'mended', label: 'put' }]);
	});
	it('say which change could not be kept, since what it changes is gone', async () => {
		channel.deaf = true;
		const [one, two] = [await open(), await open()];
		const nook = Object.values(one.home.nooks)[0]!;
		one.run('remove', 'removeNook', nook.id);
		await one.settled();
		two.run('width', 'setInside', nook.id, 'widthMm', 321);
		rename(two, 'Mill');
		await two.settled();
		expect(notices).toMatchObject([{ code: 'lost', label: 'width' }]);
		expect((await stored()).home.name).toBe('Mill');
	});
	it('catch up without reading the home again, and read it when they missed too much', async () => {
		channel.deaf = true;
		const [one, two] = [await open(), await open()];
		for (let i = 0; i < 230; i++) rename(one, `Name ${i}`);
		await one.settled();
		rent(two);
		await two.settled();
		expect(two.home).toMatchObject({ name: 'Name 229', rented: true });
		expect(two.home).toEqual((await stored()).home);
	});
});

describe('a write that fails', () => {
	const failing = (plan: (Fault | null)[]) =>
		open({ db: async () => faultyDb(db, () => plan.shift() ?? null) });
	const again = () => waiting.shift()?.();

	it.each(['full', 'closed', 'middle', 'unheard'] as const)(
		'is tried again in its place and never overtaken: %s',
		async (fault) => {
			const store = await failing([fault]);
			rename(store, 'First');
			rent(store);
			await store.settled();
			expect(store.saveState).toBe('failed');
			expect(store.unsaved).toBe(2);
			// What comes later waits behind it.
			store.run('tops', 'chooseSchools', { tops: true });
			await store.settled();
			expect(store.saveState).toBe('failed');
			if (fault !== 'unheard') expect((await stored()).home).toEqual(tinyHome());
			expect(notices).toMatchObject([{ code: 'not-stored' }]);
			again();
			await store.settled();
			expect(store.saveState).toBe('saved');
			const { home, history } = await stored();
			expect(home).toMatchObject({ name: 'First', rented: true, schools: { tops: true } });
			expect(history.map(({ label, seq }) => [seq, label])).toEqual([
				[1, 'First'],
				[2, 'rent'],
				[3, 'tops']
			]);
			expect(home).toEqual(store.home);
		}
	);
	it('says so once, waits longer each time, and can be tried at once', async () => {
		const store = await failing(['full', 'full', 'full']);
		rename(store, 'Mill');
		await store.settled();
		again();
		await store.settled();
		expect(notices).toHaveLength(1);
		expect(store.trouble?.code).toBe('full');
		await store.retry();
		expect(store.saveState).toBe('failed');
		await store.retry();
		expect(store.saveState).toBe('saved');
		expect(waiting).toEqual([]);
	});
	it('is not made twice when it went through unheard', async () => {
		const store = await failing(['unheard']);
		use(store);
		await store.settled();
		expect(store.saveState).toBe('failed');
		await store.retry();
		const { home } = await stored();
		expect(Object.keys(home.useEvents)).toHaveLength(1);
		expect(store.home).toEqual(home);
	});
	it('waits for a database that cannot be opened now', async () => {
		let broken = false;
		const store = await open({
			db: async () => {
				if (broken) throw new DOMException('no', 'InvalidStateError');
				return db;
			}
		});
		broken = true;
		rename(store, 'Mill');
		await store.settled();
		expect(store.saveState).toBe('failed');
		broken = false;
		again();
		await store.settled();
		expect((await stored()).home.name).toBe('Mill');
	});
});

describe('a home that is gone from the store', () => {
	it('is brought back with what was done since, when another tab deleted it', async () => {
		const store = await open();
		rename(store, 'Mill');
		await store.settled();
		await putAwayHome(db, 'tiny', NOW);
		rent(store);
		await store.settled();
		expect([store.saveState, store.gone]).toEqual(['gone', 'deleted']);
		expect(notices).toEqual([{ code: 'gone', why: 'deleted' }]);
		await store.restore();
		expect(store.saveState).toBe('saved');
		expect((await stored()).home).toMatchObject({ name: 'Mill', rented: true });
		expect(store.undoLabel).toBe('rent');
	});
	it('goes on by itself when it is brought back elsewhere', async () => {
		const store = await open();
		await putAwayHome(db, 'tiny', NOW);
		rename(store, 'Mill');
		await store.settled();
		await bringBackHome(db, 'tiny');
		channel.open(() => {}).send({ kind: 'replaced', homeId: 'tiny' });
		await settle(store);
		expect(store.saveState).toBe('saved');
		expect((await stored()).home.name).toBe('Mill');
	});
	it('is stored again as it is shown, when the site data was cleared', async () => {
		const store = await open();
		rename(store, 'Mill');
		await store.settled();
		await purgeHomes(db, ['tiny']);
		rent(store);
		await store.settled();
		expect(store.gone).toBe('not-found');
		expect(store.home).toMatchObject({ name: 'Mill', rented: true });
		await store.restore();
		expect(store.saveState).toBe('saved');
		expect((await stored()).home).toMatchObject({ name: 'Mill', rented: true });
		rename(store, 'After');
		await store.settled();
		expect((await stored()).home.name).toBe('After');
	});
	it('shows the home that was brought in in its place', async () => {
		const store = await open();
		rename(store, 'Mill');
		await store.settled();
		const home = { ...tinyHome(), name: 'From a file' };
		await addHome(db, { home, now: NOW, ifThere: { do: 'put-away', asideId: 'aside' } });
		channel.open(() => {}).send({ kind: 'replaced', homeId: 'tiny' });
		await settle(store);
		expect(store.home.name).toBe('From a file');
		rent(store);
		await store.settled();
		expect((await stored()).home).toMatchObject({ name: 'From a file', rented: true });
	});
});
