import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import { writeHomeFile } from '../core/interchange';
import type { Home } from '../core/model';
import { readBackup } from '../core/interchange/backup';
import { listCommons, listPhotos, loadHome, openDatabase, type Db } from '../data';
import { FakeChannel, faultyDb, type Fault } from './fake-tabs';
import { HomeStore } from './home-store.svelte';
import { HomesDesk } from './homes-desk.svelte';
import type { Read } from './incoming';
import { takeCopy } from './pending-copy';
import { readFile } from './read-file';

let db: Db;
let shown: string[];
let full: boolean;
let now: string;
let ids: number;
let desk: HomesDesk;
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
	[shown, full, now, ids] = [[], false, NOW, 0];
	desk = new HomesDesk({
		db: async () => faultyDb(db, () => (full ? 'full' : null)),
		now: () => now,
		newId: () => `i${++ids}`,
		open: async (id) => shown.push(id)
	});
	await desk.refresh();
});
const read = (home: Home, photos = new Map<string, Uint8Array>()): Read => ({
	ok: true,
	home,
	photos,
	lostPhotos: 0,
	mends: []
});
const stored = async (id: string) => {
	const result = await loadHome(db, id, NOW);
	return result.ok ? result.home : null;
};
const names = () => desk.homes!.map(({ head }) => head.name);

describe('all homes', () => {
	it('are made, and opened', async () => {
		await desk.make('  Our flat ');
		expect(shown).toEqual(['i1']);
		expect((await stored('i1'))?.name).toBe('Our flat');
		await desk.make('   ');
		expect(shown).toHaveLength(1);
	});
	it('are made once by two presses of the button', async () => {
		const first = desk.make('Our flat');
		expect(desk.isMaking).toBe(true);
		await Promise.all([first, desk.make('Our flat')]);
		expect([shown, desk.isMaking]).toEqual([['i1'], false]);
	});
	it('say in words that there is no space, when one is made or brought in', async () => {
		full = true;
		await desk.make('Our flat');
		expect(desk.trouble?.code).toBe('full');
		await desk.take('a.json', read(tinyHome()));
		expect(desk.trouble?.code).toBe('full');
		expect(shown).toEqual([]);
		full = false;
		await desk.take('a.json', read(tinyHome()));
		expect([desk.trouble, shown]).toEqual([null, ['tiny']]);
	});
	it('are put away and brought back, and go for good when asked or after a month', async () => {
		await desk.take('a.json', read(tinyHome()));
		await desk.refresh();
		await desk.putAway('tiny');
		expect([names(), desk.deleted.length]).toEqual([[], 1]);
		await desk.bringBack('tiny');
		expect([names(), desk.deleted.length]).toEqual([['Tiny kitchen'], 0]);
		await desk.putAway('tiny');
		now = '2026-03-20T09:00:00.000Z';
		await desk.refresh();
		expect(desk.deleted).toHaveLength(1);
		now = '2026-04-20T09:00:00.000Z';
		await desk.refresh();
		expect(desk.deleted).toHaveLength(0);
		expect(await stored('tiny')).toBeNull();
	});
	it('are deleted for good with all that is theirs', async () => {
		await desk.take('a.json', read(tinyHome(), new Map([['p', new Uint8Array([1])]])));
		expect((await listPhotos(db, 'tiny')).size).toBe(1);
		await desk.putAway('tiny');
		await desk.purge(['tiny']);
		expect((await listPhotos(db, 'tiny')).size).toBe(0);
	});
});

describe('a home that is shown while it is being stored', () => {
	const open = async () => {
		const opened = await HomeStore.open('tiny', {
			db: async () => faultyDb(db, () => fault),
			now: () => now,
			newId: () => `i${++ids}`,
			tabs: new FakeChannel().open,
			later: () => () => undefined
		});
		if (!(opened instanceof HomeStore)) throw new Error(opened.code);
		return opened;
	};
	let fault: Fault | null;
	let plan: (Fault | null)[];
	let seen: HomeStore[];
	const desk = new HomesDesk({
		db: async () => faultyDb(db, () => (plan.length ? plan.shift()! : fault)),
		now: () => NOW,
		newId: () => `i${++ids}`,
		open: async () => void seen.push(await open())
	});
	beforeEach(() => {
		[fault, plan, seen] = [null, [], []];
	});

	it('says that it is being saved, and takes edits', async () => {
		const taking = desk.take('a.json', read(tinyHome()));
		await vi.waitUntil(() => seen.length);
		const store = seen[0]!;
		store.run('another name', 'changeHome', { name: 'Renamed' });
		expect(store.unsaved).toBeGreaterThan(0);
		await taking;
		await store.settled();
		expect([store.saveState, store.unsaved]).toEqual(['saved', 0]);
		expect((await stored('tiny'))?.name).toBe('Renamed');
	});
	it.each(['late', 'unheard'] as const)(
		'is not lost when the browser fails to keep it (%s)',
		async (how) => {
			fault = how;
			await desk.take('a.json', read(tinyHome(), new Map([['p', new Uint8Array([1])]])));
			const store = seen[0]!;
			await store.settled();
			expect([store.saveState, store.unsaved]).toEqual(['failed', 1]);
			expect(desk.trouble).not.toBeNull();
			expect(!!(await stored('tiny'))).toBe(how === 'unheard');
			store.run('another name', 'changeHome', { name: 'Renamed' });
			fault = null;
			await store.retry();
			expect(store.saveState).toBe('saved');
			expect((await stored('tiny'))?.name).toBe('Renamed');
			expect((await listPhotos(db, 'tiny')).size).toBe(1);
		}
	);
	it('takes the place of one that was deleted, also when that fails at first', async () => {
		await desk.take('a.json', read(tinyHome()));
		await desk.putAway('tiny');
		// Looking whether it is there goes well.
		plan = [null, 'late'];
		await desk.take('b.json', read({ ...tinyHome(), name: 'From a file' }));
		expect(seen.at(-1)!.saveState).toBe('failed');
		await seen.at(-1)!.retry();
		expect((await stored('tiny'))?.name).toBe('From a file');
		await desk.refresh();
		expect(desk.deleted.map(({ head }) => head.name)).toEqual(['Tiny kitchen']);
	});
});

describe('a home that comes from a file', () => {
	const other = { ...tinyHome(), name: 'From a file' };
	beforeEach(() => desk.take('a.json', read(tinyHome())));

	it('is asked about when it is here already, also when another tab brought it in', async () => {
		// This page has not looked since.
		expect(desk.homes).toEqual([]);
		await desk.take('b.json', read(other));
		expect(desk.clash).toMatchObject({ there: { head: { name: 'Tiny kitchen' } } });
		expect((await stored('tiny'))?.name).toBe('Tiny kitchen');
		await desk.settle('neither');
		expect(desk.clash).toBeNull();
		expect((await stored('tiny'))?.name).toBe('Tiny kitchen');
	});
	it('comes to stand beside the one that is here', async () => {
		await desk.take('b.json', read(other));
		await desk.settle('both');
		await desk.refresh();
		expect(names().sort()).toEqual(['From a file (imported)', 'Tiny kitchen']);
	});
	it('takes its place, and the old one can be brought back', async () => {
		await desk.take('b.json', read(other));
		await desk.settle('replace');
		await desk.refresh();
		expect([names(), desk.deleted.map(({ head }) => head.name)]).toEqual([
			['From a file'],
			['Tiny kitchen']
		]);
		await desk.bringBack(desk.deleted[0]!.id);
		expect(names().sort()).toEqual(['From a file', 'Tiny kitchen']);
	});
	it('takes the place of one that was deleted without asking', async () => {
		await desk.putAway('tiny');
		await desk.take('b.json', read(other));
		expect(desk.clash).toBeNull();
		expect((await stored('tiny'))?.name).toBe('From a file');
		await desk.refresh();
		expect(desk.deleted.map(({ head }) => head.name)).toEqual(['Tiny kitchen']);
	});
});

describe('a file', () => {
	const make = { newId: () => 'new', now: () => NOW };
	const file = (text: string, name = 'a.keepnook.json') => new File([text], name);
	it('is read, refused in words, or refused with what could be made of it', async () => {
		const good = writeHomeFile(tinyHome());
		expect(await readFile(file(good), make)).toMatchObject({ ok: true, mends: [] });
		expect(await readFile(file(good.slice(0, 99)), make)).toMatchObject({
			ok: false,
			issues: [{ code: 'file-not-json' }],
			mended: null
		});
		const bad = good.replace('"units":"mm"', '"units":"cubits"');
		const broken = await readFile(file(bad), make);
		await desk.take('bad.json', broken);
		expect(desk.refused).toMatchObject({ file: 'bad.json', issues: [{ path: 'units' }] });
		expect(shown).toEqual([]);
		await desk.takeMended();
		expect([desk.refused, shown]).toEqual([null, ['tiny']]);
	});
	it('is refused for its size before it is read', async () => {
		const large = { name: 'a.zip', size: 900_000_000 } as File;
		expect(await readFile(large, make)).toMatchObject({ issues: [{ code: 'file-too-large' }] });
		const text = { name: 'a.json', size: 40_000_000 } as File;
		expect(await readFile(text, make)).toMatchObject({ issues: [{ code: 'file-too-large' }] });
	});
	it('are backed up, and come back where they are missing; one that is here stays until it is chosen', async () => {
		await desk.take('a.json', read(tinyHome(), new Map()));
		await desk.make('Second');
		const bytes = (await desk.backup())!;
		await desk.refresh();
		await desk.putAway('tiny');
		await desk.restore('b.zip', readBackup(bytes));
		expect(desk.restored).toMatchObject({ added: ['Tiny kitchen'] });
		await desk.forgetAll();
		expect(names()).toEqual([]);
		await desk.restore('b.zip', readBackup(bytes));
		expect([...desk.restored!.added].sort()).toEqual(['Second', 'Tiny kitchen']);
		const changed = { ...tinyHome(), name: 'Changed since' };
		await desk.take('c.json', read(changed));
		await desk.settle('replace');
		await desk.refresh();
		await desk.restore('b.zip', readBackup(bytes));
		expect(desk.restored!.added).toEqual([]);
		expect((await stored('tiny'))!.name).toBe('Changed since');
		const old = desk.restored!.here.find(({ home }) => home.id === 'tiny')!;
		await desk.takeBackedUp(old);
		expect((await stored('tiny'))!.name).toBe('Tiny kitchen');
		await desk.refresh();
		expect(desk.deleted.map(({ head }) => head.name)).toContain('Changed since');
	});
	it('say of a broken backup what is wrong, and of a full disk', async () => {
		await desk.restore('b.zip', readBackup(new Uint8Array([1, 2, 3])));
		expect(desk.refused).toMatchObject({ file: 'b.zip', issues: [{ code: 'zip-damaged' }] });
		await desk.take('a.json', read(tinyHome()));
		const bytes = (await desk.backup())!;
		await desk.refresh();
		await desk.forgetAll();
		full = true;
		await desk.restore('b.zip', readBackup(bytes));
		expect(desk.trouble?.code).toBe('full');
	});
	it('offer to merge a copy that was made to come back', async () => {
		const exchange = { id: 'e1', after: [], by: 'Ada' };
		await desk.take('a.json', { ...read(tinyHome()), exchange } as Read);
		expect((await listCommons(db, 'tiny')).map(({ id }) => id)).toEqual(['e1']);
		await desk.take('a.json', { ...read(tinyHome()), exchange } as Read);
		expect(desk.clash).not.toBeNull();
		await desk.settle('merge');
		expect(takeCopy('other')).toBeNull();
		await desk.take('a.json', { ...read(tinyHome()), exchange } as Read);
		await desk.settle('merge');
		expect(takeCopy('tiny')?.exchange).toEqual(exchange);
		expect(takeCopy('tiny')).toBeNull();
	});
});
