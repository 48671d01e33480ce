import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { describe, expect, it } from 'vitest';
import { apply, counter, NOW, tinyHome } from '../core/fixtures/tiny-home';
import { readHomeFile } from '../core/interchange';
import type { Home } from '../core/model';
import { listCommons, openDatabase, type Db } from '../data';
import { DeskStore } from './desk-store';
import { HandOverDesk } from './hand-over-desk.svelte';
import { rememberCopy } from './hand-over';

/** One person with a browser of their own: storage, home, desk. */
async function browser(home: Home, who: string) {
	indexedDB = new IDBFactory();
	const opened: Db = await openDatabase();
	const store = new DeskStore(home);
	const said: string[] = [];
	const deps = {
		db: () => Promise.resolve(opened),
		newId: counter(who),
		// A clock that stands still: the order of the states must not hang on it.
		now: () => NOW,
		store: store.get,
		said: (words: string) => void said.push(words)
	};
	const desk = new HandOverDesk(deps);
	desk.by = who;
	const read = (text: string) => {
		const result = readHomeFile(text);
		return result.ok
			? { ...result, photos: new Map(), lostPhotos: 0, mends: [] }
			: { ...result, mended: null };
	};
	return { store, desk, said, deps, opened, bring: (text: string) => desk.bring(read(text)) };
}
/** A household that opens the file of an organizer in a browser where the home is not yet. */
async function opening(text: string, who: string) {
	const result = readHomeFile(text);
	if (!result.ok || !result.exchange) throw new Error('no copy');
	const there = await browser(result.home, who);
	await rememberCopy(there.deps, result.exchange, result.home);
	return there;
}
const price = (home: Home, i: number) => Object.values(home.things)[i]!.priceMinor;
const setPrice = (i: number, priceMinor: number) => (home: Home) =>
	apply(home, (draft) => void (Object.values(draft.things)[i]!.priceMinor = priceMinor));

describe('a home of two copies', () => {
	it('goes to and fro three times, and nothing is lost', async () => {
		const ada = await browser(tinyHome(), 'Ada');
		const household = await opening((await ada.desk.copy())!, 'Household');
		const step = (of: typeof ada, edit: (home: Home) => Home) =>
			void (of.store.home = edit(of.store.home));
		for (let round = 0; round < 3; round++) {
			step(ada, setPrice(round, 100 + round));
			step(household, setPrice(round + 4, 500 + round));
			await ada.bring((await household.desk.copy())!);
			expect(ada.desk.wrong).toBe('');
			expect(ada.desk.conflicts).toEqual([]);
			await ada.desk.confirm();
			await household.bring((await ada.desk.copy())!);
			await household.desk.confirm();
			expect(household.store.home).toEqual(ada.store.home);
		}
		for (let round = 0; round < 3; round++) {
			expect(price(ada.store.home, round)).toBe(100 + round);
			expect(price(ada.store.home, round + 4)).toBe(500 + round);
		}
		expect(ada.said.at(-1)).toBe('Copy from Household taken in.');
		expect((await listCommons(ada.opened, 'tiny')).length).toBeLessThanOrEqual(12);
	});
	it('keeps a state once, however often it is saved, and the latest of many', async () => {
		const ada = await browser(tinyHome(), 'Ada');
		const household = await opening((await ada.desk.copy())!, 'Household');
		for (let i = 0; i < 20; i++) await ada.desk.copy();
		expect(await listCommons(ada.opened, 'tiny')).toHaveLength(1);
		household.store.home = setPrice(1, 33)(household.store.home);
		await ada.bring((await household.desk.copy())!);
		await ada.desk.confirm();
		expect(price(ada.store.home, 1)).toBe(33);
		for (let i = 0; i < 20; i++) {
			ada.store.home = setPrice(0, i)(ada.store.home);
			await ada.desk.copy();
		}
		expect(await listCommons(ada.opened, 'tiny')).toHaveLength(12);
	});
	it('says both sides where they differ, and takes what is chosen', async () => {
		const ada = await browser(tinyHome(), 'Ada');
		const household = await opening((await ada.desk.copy())!, 'Household');
		ada.store.home = setPrice(0, 150)(ada.store.home);
		household.store.home = setPrice(0, 250)(household.store.home);
		await ada.bring((await household.desk.copy())!);
		const [conflict] = ada.desk.conflicts;
		const { name } = Object.values(ada.store.home.things)[0]!;
		expect(conflict).toMatchObject({
			what: `${name} (thing): price`,
			ours: '1.50',
			theirs: '2.50',
			choice: 'ours'
		});
		expect(ada.desk.words).toMatch(/Both copies say different things in 1 place/);
		ada.desk.chooseAll('theirs');
		await ada.desk.confirm();
		expect(price(ada.store.home, 0)).toBe(250);
		// The same file again brings nothing.
		await ada.bring((await household.desk.copy())!);
		expect(ada.desk.isNothing).toBe(true);
	});
	it('refuses a file of another home, one that was not made to come back, and one from elsewhere', async () => {
		const ada = await browser(tinyHome(), 'Ada');
		const other = await browser({ ...tinyHome(), id: 'other' as never, name: 'Mill' }, 'B');
		await ada.bring((await other.desk.copy())!);
		expect(ada.desk.wrong).toMatch(/of another home, “Mill”/);
		const plain = JSON.stringify({ format: 'keepnook-home', version: 12, home: tinyHome() });
		await ada.bring(plain);
		expect(ada.desk.wrong).toMatch(/not made to come back/);
		const stranger = await browser(tinyHome(), 'C');
		await ada.bring((await stranger.desk.copy())!);
		expect(ada.desk.wrong).toMatch(/none of the states/);
		await ada.bring(plain.slice(0, 400));
		expect(ada.desk.wrong).toMatch(/ends too early/);
		expect(ada.desk.merge).toBeNull();
	});
	it('is found by an earlier state when a file in between never came', async () => {
		const ada = await browser(tinyHome(), 'Ada');
		const household = await opening((await ada.desk.copy())!, 'Household');
		await ada.desk.copy();
		household.store.home = setPrice(2, 42)(household.store.home);
		await household.desk.copy();
		await ada.bring((await household.desk.copy())!);
		await ada.desk.confirm();
		expect(price(ada.store.home, 2)).toBe(42);
	});
});
