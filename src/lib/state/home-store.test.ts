import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Edit } from '../core/model';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import { deleteHome, loadHome, openDatabase, putHome, type Db, type TabMessage } from '../data';
import { HomeStore, type StoreNotice } from './home-store.svelte';

let db: Db;
let listeners: ((message: TabMessage) => void)[];
let notices: StoreNotice[];
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
	await putHome(db, tinyHome(), NOW);
	listeners = [];
	notices = [];
});

/** A channel between the stores of one test, as between tabs. */
const tabs = (onMessage: (message: TabMessage) => void) => {
	listeners.push(onMessage);
	return {
		send: (message: TabMessage) =>
			listeners.filter((other) => other !== onMessage).forEach((other) => other(message)),
		close: () => void listeners.splice(listeners.indexOf(onMessage), 1)
	};
};
const deaf = () => ({ send: () => {}, close: () => {} });
async function open(channel: typeof tabs | typeof deaf = tabs): Promise<HomeStore> {
	const store = await HomeStore.open('tiny', {
		db,
		now: () => NOW,
		tabs: channel,
		onNotice: (notice) => notices.push(notice)
	});
	if (!(store instanceof HomeStore)) throw new Error(store.code);
	return store;
}
const rename =
	(name: string): Edit =>
	(draft) =>
		void (draft.name = name);
const stored = async () => {
	const result = await loadHome(db, 'tiny');
	if (!result.ok) throw new Error(result.code);
	return result.home;
};

describe('the home store', () => {
	it('shows a change at once and stores it behind', async () => {
		const store = await open();
		store.edit('rename', rename('Mill'));
		expect(store.home.name).toBe('Mill');
		expect(store.saveState).toBe('saving');
		await store.settled();
		expect(store.saveState).toBe('saved');
		expect((await stored()).name).toBe('Mill');
	});
	it('undoes and redoes, also after it was opened again', async () => {
		const store = await open();
		store.edit('first name', rename('One'));
		store.edit('second name', rename('Two'));
		await store.settled();
		const again = await open(deaf);
		expect([again.undoLabel, again.redoLabel]).toEqual(['second name', null]);
		again.undo();
		again.undo();
		expect(again.home.name).toBe('Tiny kitchen');
		await again.settled();
		const third = await open(deaf);
		expect([third.undoLabel, third.redoLabel]).toEqual([null, 'first name']);
		third.redo();
		await third.settled();
		expect((await stored()).name).toBe('One');
		third.undo();
		third.undo();
		expect(third.home.name).toBe('Tiny kitchen');
	});
	it('keeps a second tab in step', async () => {
		const [one, two] = [await open(), await open()];
		one.edit('rename', rename('Mill'));
		await one.settled();
		await two.settled();
		expect(two.home.name).toBe('Mill');
		expect(two.undoLabel).toBe('rename');
		two.undo();
		await two.settled();
		await one.settled();
		expect(one.home.name).toBe('Tiny kitchen');
	});
	it('loses neither change when two tabs write without hearing each other', async () => {
		const [one, two] = [await open(deaf), await open(deaf)];
		one.edit('rename', rename('Mill'));
		await one.settled();
		two.edit('rent', (draft) => void (draft.rented = true));
		await two.settled();
		expect(await stored()).toMatchObject({ name: 'Mill', rented: true });
		expect(two.home).toMatchObject({ name: 'Mill', rented: true });
		expect(notices).toEqual([{ code: 'merged-with-other-tab' }]);
	});
	it('takes nothing back that another tab has changed meanwhile', async () => {
		const one = await open(deaf);
		one.edit('rename', rename('Mill'));
		await one.settled();
		const two = await open(deaf);
		two.edit('rent', (draft) => void (draft.rented = true));
		await two.settled();
		one.undo();
		await one.settled();
		expect(await stored()).toMatchObject({ name: 'Mill', rented: true });
		expect(one.home).toMatchObject({ name: 'Mill', rented: true });
		expect(notices).toEqual([{ code: 'undo-lost' }]);
	});
	it('says so when a change cannot be stored, and goes on showing it', async () => {
		const store = await open();
		await deleteHome(db, 'tiny');
		store.edit('rename', rename('Mill'));
		await store.settled();
		expect(store.saveState).toBe('failed');
		expect(store.home.name).toBe('Mill');
		expect(notices).toMatchObject([{ code: 'not-stored' }]);
	});
	it('does not make a step of history out of nothing', async () => {
		const store = await open();
		store.edit('nothing', () => {});
		expect(store.undoLabel).toBeNull();
	});
	it('says what is wrong with a home that is not there', async () => {
		expect(await HomeStore.open('nobody', { db, now: () => NOW, tabs: deaf })).toEqual({
			ok: false,
			code: 'not-found'
		});
	});
});
