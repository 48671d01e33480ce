import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { IDBFactory } from 'fake-indexeddb';
import { command } from '../core/commands';
import { advance, type Timeline } from '../core/commands/timeline';
import { HomeId, type Home } from '../core/model';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import { readFileSync } from 'node:fs';
import { demoHome } from './demo';
import {
	addHome,
	bringBackHome,
	CHANGES_LIMIT,
	changesSince,
	commit,
	HISTORY_LIMIT,
	listHomes,
	loadHome,
	NoAnswer,
	openDatabase,
	openStored,
	purgeHomes,
	putAwayHome,
	putPhoto,
	readRawHome,
	sweepPhotos,
	troubleOf,
	type Db,
	type LoadedHome
} from '.';

let db: Db;
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
});

const put = (home: Home) => addHome(db, { home, now: NOW, ifThere: { do: 'say' } });
const loaded = async (id = 'tiny') => {
	const result = await loadHome(db, id, NOW);
	if (!result.ok) throw new Error(`not loaded: ${result.code}`);
	return result;
};
let made = 0;
/** Writes one rename on top of what is known, as a tab does. */
async function write(now: LoadedHome, name: string) {
	const entry = {
		kind: 'do',
		id: `e${++made}`,
		label: name,
		at: NOW,
		commands: [command('changeHome', { name })]
	} as const;
	const step = advance(now, entry);
	if (!step.ok) throw new Error(step.lost.code);
	const result = await commit(db, now.home.id, now.revision, (news) =>
		news.length
			? []
			: [
					{
						entryId: entry.id,
						home: step.after.home,
						patches: step.patches,
						change: step.change,
						now: NOW
					}
				]
	);
	return { after: step.after as Timeline, result };
}
const count = async (store: 'records' | 'history' | 'changes' | 'photos' | 'wrecks') =>
	(await db.getAll(store)).length;

describe('a home that was stored just now', () => {
	it('opens as it would be read', async () => {
		const home = tinyHome();
		const added = await put(home);
		if (!added.ok) throw new Error('not stored');
		const opened = await openStored(db, { home, revision: added.revision });
		expect(opened).toEqual(await loaded());
	});
	it('is read when another tab changed it, put it away or deleted it', async () => {
		const home = tinyHome();
		const added = await put(home);
		if (!added.ok) throw new Error('not stored');
		const stored = { home, revision: added.revision };
		await putAwayHome(db, home.id, NOW);
		expect(await openStored(db, stored)).toBeNull();
		await bringBackHome(db, home.id);
		await write(await loaded(), 'Another name');
		expect(await openStored(db, stored)).toBeNull();
		await purgeHomes(db, [home.id]);
		expect(await openStored(db, stored)).toBeNull();
	});
});

describe('the store', () => {
	it('gives back the home it was given', async () => {
		const home = tinyHome();
		await put(home);
		expect((await loaded()).home).toEqual(home);
		expect((await listHomes(db)).map((row) => row.head.name)).toEqual(['Tiny kitchen']);
	});
	it('keeps the demo home whole', async () => {
		const home = demoHome(NOW);
		await put(home);
		expect((await loaded('demo')).home).toEqual(home);
	});
	it('writes a change with its step of history and tells what was written', async () => {
		await put(tinyHome());
		const { result } = await write(await loaded(), 'Mill');
		expect(result).toMatchObject({ kind: 'stored', changes: [{ revision: 2 }] });
		const again = await loaded();
		expect([again.home.name, again.cursor, again.revision]).toEqual(['Mill', 1, 2]);
		expect(again.history.map(({ label }) => label)).toEqual(['Mill']);
	});
	it('tells what was written since, and nothing is written on an older state unasked', async () => {
		await put(tinyHome());
		const before = await loaded();
		await write(before, 'First');
		const late = await write(before, 'Late');
		expect(late.result).toEqual({ kind: 'nothing' });
		expect((await loaded()).home.name).toBe('First');
		expect(await changesSince(db, 'tiny', before.revision)).toHaveLength(1);
		expect(await changesSince(db, 'tiny', 99)).toBeNull();
	});
	it('stores nothing of a write that is refused in the middle', async () => {
		const home = tinyHome();
		await put(home);
		const now = await loaded();
		const lots = Object.values(now.home.lots);
		const poisoned = {
			...now.home,
			name: 'Half',
			// A value that cannot be stored, in the last record: what was put before it must go back too.
			lots: Object.fromEntries(
				lots.map((lot, i) => [
					lot.id,
					{ ...lot, count: 99, ...(i === lots.length - 1 ? { states: [() => 0] as never } : {}) }
				])
			)
		};
		const patches = lots.map(({ id }) => ({
			op: 'replace' as const,
			path: ['lots', id, 'count'],
			value: 99
		}));
		await expect(
			commit(db, 'tiny', 1, () => [
				{ entryId: 'x', home: poisoned, patches, change: { kind: 'cursor', cursor: 0 }, now: NOW }
			])
		).rejects.toThrow();
		const after = await loaded();
		expect(after.home).toEqual(home);
		expect(after.revision).toBe(1);
		expect(await count('changes')).toBe(0);
	});
	it('keeps the last steps and the last changes, and no more', async () => {
		await put(tinyHome());
		let now = await loaded();
		for (let i = 0; i < HISTORY_LIMIT + 5; i++) {
			const { after } = await write(now, `Name ${i}`);
			now = { ...now, ...after, revision: now.revision + 1 };
		}
		const { history } = await loaded();
		expect(history).toHaveLength(HISTORY_LIMIT);
		expect(history.at(-1)!.seq).toBe(HISTORY_LIMIT + 5);
		expect(await count('changes')).toBe(CHANGES_LIMIT);
		expect(await changesSince(db, 'tiny', 3)).toBeNull();
	});
	it('says what is missing, deleted or newer, and touches nothing', async () => {
		expect(await loadHome(db, 'nobody', NOW)).toEqual({ ok: false, code: 'not-found' });
		await put(tinyHome());
		const row = (await db.get('homes', 'tiny'))!;
		await db.put('homes', { ...row, version: 99 });
		expect(await loadHome(db, 'tiny', NOW)).toEqual({ ok: false, code: 'newer', version: 99 });
		expect(await db.get('homes', 'tiny')).toEqual({ ...row, version: 99 });
	});
});

describe('putting away', () => {
	it('brings a home back with its history and its pictures, just as it was', async () => {
		await put(tinyHome());
		await write(await loaded(), 'Mill');
		await putPhoto(db, { homeId: 'tiny', id: 'p', type: 'image/jpeg', bytes: new ArrayBuffer(4) });
		const before = await loaded();
		await putAwayHome(db, 'tiny', NOW);
		expect(await loadHome(db, 'tiny', NOW)).toMatchObject({ code: 'deleted', name: 'Mill' });
		expect(await commit(db, 'tiny', before.revision, () => [])).toEqual({
			kind: 'gone',
			code: 'deleted'
		});
		await bringBackHome(db, 'tiny');
		expect(await loaded()).toEqual(before);
		expect(await count('photos')).toBe(1);
	});
	it('deletes for good all that belongs to a home, and nothing of another', async () => {
		await put(tinyHome());
		await put({ ...tinyHome(), id: HomeId.parse('tiny-2') });
		await write(await loaded(), 'Mill');
		await purgeHomes(db, ['tiny']);
		expect((await loadHome(db, 'tiny', NOW)).ok).toBe(false);
		expect(await count('history')).toBe(0);
		expect((await loaded('tiny-2')).home.lots).toEqual(tinyHome().lots);
	});
	it('never takes the place of a home unasked', async () => {
		await put(tinyHome());
		await write(await loaded(), 'Mill');
		const other = { ...tinyHome(), name: 'From a file' };
		const said = await put(other);
		expect(said).toMatchObject({ ok: false, there: { head: { name: 'Mill' } } });
		expect((await loaded()).home.name).toBe('Mill');
	});
	it('puts the old home away when it is asked to take its place', async () => {
		await put(tinyHome());
		await write(await loaded(), 'Mill');
		const other = { ...tinyHome(), name: 'From a file' };
		const ifThere = { do: 'put-away', asideId: 'aside' } as const;
		await addHome(db, { home: other, now: NOW, ifThere });
		expect(await loaded()).toMatchObject({ home: { name: 'From a file' }, history: [] });
		await bringBackHome(db, 'aside');
		const old = await loaded('aside');
		expect(old.home).toMatchObject({ id: 'aside', name: 'Mill' });
		expect(old.history.map(({ label }) => label)).toEqual(['Mill']);
	});
	it('tells both of two tabs that bring in the same home at once', async () => {
		const second = await openDatabase();
		const results = await Promise.all(
			[db, second].map((one) =>
				addHome(one, { home: tinyHome(), now: NOW, ifThere: { do: 'say' } })
			)
		);
		expect(results.map(({ ok }) => ok).sort()).toEqual([false, true]);
	});
});

describe('a damaged home', () => {
	const bad = (collection: string, id: string, value: unknown) =>
		db.put('records', { homeId: 'tiny', collection, id, value });
	it('opens repaired, tells what was mended, and keeps what was found', async () => {
		const home = tinyHome();
		await put(home);
		await bad('lots', 'bad', { id: 'bad' });
		const nook = Object.values(home.nooks).find(({ id }) =>
			Object.values(home.lots).every(({ nookId }) => nookId !== id)
		)!;
		await db.delete('records', ['tiny', 'cabinets', nook.cabinetId]);
		const result = await loaded();
		expect(result.mends.map(({ code }) => code)).toContain('record-left-out');
		expect(result.mends.map(({ code }) => code)).toContain('link-mended');
		expect(result.home.lots['bad']).toBeUndefined();
		expect(result.home.nooks[nook.id]).toBeUndefined();
		// The second time there is nothing to mend, and what was found first is still there to be looked into.
		expect((await loaded()).mends).toEqual([]);
		expect(JSON.stringify(await readRawHome(db, 'tiny'))).toContain('"id":"bad"');
	});
	it.each([0, -3, 1.5])('opens with a layout of %s', async (version) => {
		await put(tinyHome());
		const row = (await db.get('homes', 'tiny'))!;
		await db.put('homes', { ...row, version });
		expect((await loaded()).home).toEqual(tinyHome());
	});
	it('opens without a readable head', async () => {
		await put(tinyHome());
		const row = (await db.get('homes', 'tiny'))!;
		await db.put('homes', { ...row, head: { name: 7 } as never });
		const { home, mends } = await loaded();
		expect(home.id).toBe('tiny');
		expect(home.lots).toEqual(tinyHome().lots);
		expect(mends.some(({ path }) => path === 'name')).toBe(true);
	});
	it('carries a home of an older layout up, once', async () => {
		const file = new URL('../core/interchange/fixtures/v1.keepnook.json', import.meta.url);
		const { home } = JSON.parse(readFileSync(file, 'utf8')) as { home: Record<string, never> };
		const collections = Object.entries(home).filter(([, value]) => {
			const first = Object.values(value ?? {})[0] as { id?: unknown } | undefined;
			return typeof first?.id === 'string';
		});
		const head = Object.fromEntries(
			Object.entries(home).filter(([name]) => !collections.some(([other]) => other === name))
		);
		await db.put('homes', {
			id: home.id as never,
			version: 1,
			head: head as never,
			revision: 7,
			cursor: 3,
			changedAt: NOW
		});
		for (const [collection, records] of collections)
			for (const [id, value] of Object.entries(records))
				await db.put('records', { homeId: home.id as never, collection, id, value });
		const first = await loaded();
		expect([first.revision, first.cursor, first.mends]).toEqual([8, 0, []]);
		expect(Object.keys(first.home.lots)).toHaveLength(12);
		expect((await loaded()).home).toEqual(first.home);
	});
});

describe('pictures', () => {
	const photo = (id: string, addedAt: string) =>
		putPhoto(db, { homeId: 'tiny', id, type: 'image/jpeg', bytes: new ArrayBuffer(4), addedAt });
	it('that nothing points to are removed, those of history and of today are not', async () => {
		const home = tinyHome();
		await put(home);
		const [nook] = Object.values(home.nooks);
		const show = async (photoId: string | null) => {
			const now = await loaded();
			const entry = {
				kind: 'do',
				id: `e${++made}`,
				label: 'picture',
				at: NOW,
				commands: [command('changeNook', nook!.id, { photoId })]
			} as const;
			const step = advance(now, entry);
			if (!step.ok) throw new Error(step.lost.code);
			const { patches, change, after } = step;
			await commit(db, 'tiny', now.revision, () => [
				{ entryId: entry.id, home: after.home, patches, change, now: NOW }
			]);
		};
		for (const id of ['was', 'is', 'lone']) await photo(id, '2026-01-01T00:00:00.000Z');
		await photo('young', NOW);
		await show('was');
		await show('is');
		expect(await sweepPhotos(db, 'tiny', NOW)).toBe(1);
		expect((await db.getAll('photos')).map(({ id }) => id).sort()).toEqual(['is', 'was', 'young']);
	});
});

describe('what the browser says', () => {
	it('is told apart', () => {
		const named = (name: string) => troubleOf(new DOMException('said', name)).code;
		expect(named('QuotaExceededError')).toBe('full');
		expect(named('VersionError')).toBe('newer-layout');
		expect(named('SecurityError')).toBe('refused');
		expect(named('InvalidStateError')).toBe('closed');
		expect(troubleOf(new NoAnswer(true)).code).toBe('blocked');
		expect(troubleOf(new NoAnswer(false)).code).toBe('no-answer');
		expect(troubleOf('odd')).toEqual({ code: 'unknown', said: 'odd' });
	});
	it('is waited for only so long', async () => {
		indexedDB = new IDBFactory();
		const holding = indexedDB.open('keepnook', 1);
		await new Promise((done) => (holding.onsuccess = done));
		let blocked = 0;
		const opening = openDatabase({ patienceMs: 20, onBlocked: () => blocked++ });
		await expect(opening).rejects.toThrow(NoAnswer);
		expect(blocked).toBe(1);
		holding.result.close();
	});
});

describe('the demo home', () => {
	const home = demoHome(NOW);
	it('has what the tour promises', () => {
		const size = (record: object) => Object.keys(record).length;
		expect(size(home.cabinets)).toBeGreaterThanOrEqual(16);
		expect(size(home.nooks)).toBeGreaterThanOrEqual(70);
		expect(size(home.groups)).toBeGreaterThanOrEqual(40);
		expect(size(home.things)).toBeGreaterThanOrEqual(350);
		expect(size(home.lots)).toBeGreaterThanOrEqual(420);
		expect(size(home.containerKinds)).toBe(222);
		expect(Object.values(home.containerKinds).filter((kind) => kind.owned).length).toBe(15);
		expect([size(home.meals), size(home.routines)]).toEqual([20, 8]);
	});
	it('is dated from the day it is opened', () => {
		const later = demoHome('2027-07-01T08:00:00.000Z');
		const on = (h: Home) => h.lots['penne-1']!.dates.printed!.on;
		expect(on(later) > on(home)).toBe(true);
	});
	it('cooks meals from things that are there', () => {
		for (const meal of Object.values(home.meals))
			for (const { thingId } of meal.ingredients)
				expect(home.things[thingId], `${meal.name}: ${thingId}`).toBeDefined();
	});
	it('gives every lot a place that exists', () => {
		for (const lot of Object.values(home.lots))
			expect(home.nooks[lot.nookId!], lot.id).toBeDefined();
	});
});
