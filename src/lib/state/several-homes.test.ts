import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it } from 'vitest';
import { demoHome } from '../data/demo';
import { counter, NOW, TODAY, tinyHome } from '../core/fixtures/tiny-home';
import { makeHome, type Home } from '../core/model';
import { addHome, getPhoto, listHomes, openDatabase, type Db } from '../data';
import { DeskStore } from './desk-store';
import { HomeSummaries } from './home-summaries.svelte';
import { HoursDesk, readMinutes } from './hours-desk.svelte';
import { PicturesDesk } from './pictures-desk.svelte';
import type { Shrunk } from './shrink-photo';
import { TakeOverDesk } from './take-over-desk.svelte';

let db: Db;
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
});
const keep = (home: Home) => addHome(db, { home, now: NOW, ifThere: { do: 'say' } });
function desks(home: Home) {
	const store = new DeskStore(home);
	const said: string[] = [];
	return {
		store,
		said,
		deps: {
			store: store.get,
			db: async () => db,
			newId: counter('s'),
			now: () => NOW,
			today: () => TODAY,
			said: (words: string) => void said.push(words)
		}
	};
}

describe('several homes', () => {
	it('say what waits in each, and what went into it', async () => {
		await keep(demoHome(NOW));
		await keep(makeHome({ id: 'bare', name: 'Bare', now: NOW }));
		const summaries = new HomeSummaries({ db: async () => db, now: () => NOW, today: () => TODAY });
		expect(summaries.of('demo')).toBeUndefined();
		await summaries.look(await listHomes(db));
		expect(summaries.of('demo')!.now).toMatch(/^\d+ resets due · \d+ past their date.* h /);
		expect(summaries.of('demo')!.next).toMatch(/^Measure 2 places/);
		expect(summaries.of('bare')).toEqual({
			now: '',
			next: 'Add the first room and its cabinets'
		});
	});
	it('leave a home of an earlier layout, or one that cannot be read, to be opened', async () => {
		await keep(tinyHome());
		const [row] = await listHomes(db);
		const deps = { db: async () => db, now: () => NOW, today: () => TODAY };
		const old = new HomeSummaries(deps);
		await old.look([{ ...row!, version: 3 }]);
		expect(old.of('tiny')).toBeUndefined();
		const broken = new HomeSummaries({ ...deps, db: () => Promise.reject(new Error('gone')) });
		await broken.look([row!]);
		expect(broken.of('tiny')).toBeUndefined();
	});
	it('give what was set up in one to another, as one step', async () => {
		await keep(demoHome(NOW));
		await keep(tinyHome());
		const { store, said, deps } = desks(tinyHome());
		const desk = new TakeOverDesk(deps);
		await desk.look();
		expect(desk.homes.map(({ id }) => id)).toEqual(['demo']);
		expect(desk.parts).toEqual([]);
		await desk.choose('demo');
		expect(desk.parts.map(({ part, on }) => [part, on])).toEqual([
			['people', false],
			['ways', true],
			['containers', true]
		]);
		desk.setPart('people', true);
		desk.setPart('ways', false);
		desk.take();
		expect(said).toEqual(['Taken over from The halt at Quillmere.']);
		expect(store.labels).toHaveLength(1);
		expect(Object.keys(store.home.people).length).toBeGreaterThan(
			Object.keys(tinyHome().people).length
		);
		expect(store.home.schools).toEqual(tinyHome().schools);
		await desk.choose('nowhere');
		expect(desk.wrong).toMatch(/could not be read/);
		desk.take();
		expect(store.labels).toHaveLength(1);
	});
});

describe('hours and materials of a home', () => {
	it('are written down as people write time, and refuse what is none', () => {
		expect(
			['90', '1:30', '1.5 h', '1,5h', '1h 30', '1 h 30 min', '90 min'].map(readMinutes)
		).toEqual(Array(7).fill(90));
		expect(['', 'long', '-5', '1:75', '1 h h'].map(readMinutes)).toEqual(Array(5).fill(null));
		const { store, deps } = desks(tinyHome());
		const desk = new HoursDesk(deps);
		expect(desk.addTime('walk', 'ages', '')).toBe(false);
		expect(desk.wrong).toMatch(/“ages” is no time/);
		expect(desk.addTime('walk', '25 h', '')).toBe(false);
		expect(desk.addTime('walk', '1:30', ' with the tape ')).toBe(true);
		expect(desk.wrong).toBe('');
		expect(desk.times).toMatchObject([
			{ stage: 'walk', minutes: 90, note: 'with the tape', on: TODAY }
		]);
		expect(desk.minutes).toBe(90);
		desk.removeTime(desk.times[0]!.id);
		expect(desk.byStage).toEqual([]);
		expect(store.labels).toEqual(['hours', 'hours taken away']);
	});
	it('take a material with or without its price, and refuse one without name or number', () => {
		const { deps } = desks(tinyHome());
		const desk = new HoursDesk(deps);
		expect(desk.addMaterial(' ', '1', '')).toBe(false);
		expect(desk.addMaterial('liner', 'some', '')).toBe(false);
		expect(desk.addMaterial('liner', '0', '')).toBe(false);
		expect(desk.addMaterial('liner', '1', 'dear')).toBe(false);
		expect(desk.wrong).toMatch(/“dear” is no price/);
		expect(desk.addMaterial('liner', '3,5', '€ 2,40')).toBe(true);
		expect(desk.addMaterial('tape', '1', '')).toBe(true);
		expect(desk.cost).toEqual({ minor: 840, unpriced: 1 });
		desk.removeMaterial(desk.materials.find(({ name }) => name === 'tape')!.id);
		expect(desk.cost).toEqual({ minor: 840, unpriced: 0 });
	});
});

describe('pictures before and after', () => {
	const fine: Shrunk = {
		ok: true,
		photo: {
			bytes: new Uint8Array([0xff, 0xd8, 0xff]).buffer,
			from: { widthPx: 10, heightPx: 10 },
			to: { widthPx: 10, heightPx: 10 }
		}
	};
	const file = new File(['x'], 'x.jpg');
	it('are stored, shown in pairs, and taken away', async () => {
		const home = tinyHome();
		const [nookId] = Object.keys(home.nooks);
		const { store, deps } = desks(home);
		const desk = new PicturesDesk({ ...deps, shrink: async () => fine });
		await desk.take(nookId!, 'before', file);
		await desk.take(nookId!, 'after', file);
		const { before, after } = desk.pairOf(nookId!);
		expect([before?.on, after?.on]).toEqual([TODAY, TODAY]);
		expect(await getPhoto(db, 'tiny', before!.photoId)).not.toBeNull();
		desk.remove(after!);
		expect(desk.pairs).toMatchObject([{ nookId, after: null }]);
		store.undo();
		expect(desk.pairOf(nookId!).after).not.toBeNull();
	});
	it('say why one was not kept, and change nothing', async () => {
		const home = tinyHome();
		const [nookId] = Object.keys(home.nooks);
		const { store, deps } = desks(home);
		const noPicture = new PicturesDesk({
			...deps,
			shrink: async () => ({ ok: false, issue: { code: 'photo-not-picture', name: 'x.txt' } })
		});
		await noPicture.take(nookId!, 'before', file);
		expect(noPicture.wrong).toMatch(/x\.txt/);
		const full = new PicturesDesk({
			...deps,
			db: () => Promise.reject(new DOMException('No space.', 'QuotaExceededError')),
			shrink: async () => fine
		});
		await full.take(nookId!, 'before', file);
		expect(full.wrong).toMatch(/was not stored/);
		expect(store.labels).toEqual([]);
	});
});
