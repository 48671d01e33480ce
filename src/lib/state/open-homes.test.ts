import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it } from 'vitest';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import { HomeId } from '../core/model';
import { addHome, loadHome, openDatabase, putAwayHome, type Db } from '../data';
import { FakeChannel, faultyDb } from './fake-tabs';
import { HomeStore } from './home-store.svelte';
import { OpenHomes } from './open-homes';

let db: Db;
let opened: number;
let full: boolean;
let homes: OpenHomes;
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
	for (const id of ['tiny', 'other'])
		await addHome(db, {
			home: { ...tinyHome(), id: HomeId.parse(id) },
			now: NOW,
			ifThere: { do: 'say' }
		});
	opened = 0;
	full = false;
	let ids = 0;
	const channel = new FakeChannel();
	homes = new OpenHomes(() => {
		opened++;
		return {
			db: async () => faultyDb(db, () => (full ? 'full' : null)),
			now: () => NOW,
			newId: () => `i${++ids}`,
			tabs: channel.open,
			later: () => () => {}
		};
	});
});
const open = async (id: string) => {
	const store = await homes.open(id);
	if (!(store instanceof HomeStore)) throw new Error(store.code);
	return store;
};

describe('the homes that are open', () => {
	it('give one store a home, however many pages ask, and however fast', async () => {
		homes.show('tiny');
		const [one, two] = await Promise.all([open('tiny'), open('tiny')]);
		expect(one).toBe(two);
		one.run('depth', 'setInside', Object.keys(one.home.nooks)[0]!, 'depthMm', 432);
		// The next page asks at once; what was typed is there, and is stored.
		const next = await open('tiny');
		expect(next).toBe(one);
		expect(Object.values(next.home.nooks)[0]!.inside.depthMm).toBe(432);
		await next.settled();
		expect(opened).toBe(1);
		const stored = await loadHome(db, 'tiny', NOW);
		expect(stored.ok && stored.home).toEqual(one.home);
	});
	it('are closed when another is shown, but not while something is not stored', async () => {
		homes.show('tiny');
		const store = await open('tiny');
		full = true;
		store.run('name', 'changeHome', { name: 'Mill' });
		homes.show('other');
		await homes.leave('tiny');
		expect(homes.pageGoes()).toBe(false);
		homes.show('tiny');
		const again = await open('tiny');
		expect([again, again.home.name, again.saveState]).toEqual([store, 'Mill', 'failed']);
		full = false;
		await again.retry();
		expect(homes.pageGoes()).toBe(true);
		homes.show('other');
		await homes.leave('tiny');
		expect(await open('tiny')).not.toBe(store);
	});
	it('look again for a home that was put away meanwhile', async () => {
		homes.show('tiny');
		const store = await open('tiny');
		await putAwayHome(db, 'tiny', NOW);
		await store.refresh();
		expect(store.gone).toBe('deleted');
		expect(await homes.open('tiny')).toMatchObject({ ok: false, code: 'deleted' });
	});
	it('say what is not there', async () => {
		expect(await homes.open('nobody')).toEqual({ ok: false, code: 'not-found' });
	});
});
