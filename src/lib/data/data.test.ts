import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, it } from 'vitest';
import { IDBFactory } from 'fake-indexeddb';
import { applyEdit, type Edit, type Home } from '../core/model';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import { demoHome } from './demo';
import {
	deleteHome,
	HISTORY_LIMIT,
	listHomes,
	loadHome,
	openDatabase,
	putHome,
	writeChange,
	type Db
} from '.';

let db: Db;
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
});

const loaded = async (id = 'tiny') => {
	const result = await loadHome(db, id);
	if (!result.ok) throw new Error(`not loaded: ${result.code}`);
	return result;
};
async function write(home: Home, edit: Edit, baseRevision: number) {
	const step = applyEdit(home, edit);
	const result = await writeChange(db, {
		homeId: home.id,
		home: step.home,
		patches: step.patches,
		baseRevision,
		now: NOW,
		step: { kind: 'new', label: 'edit', inverse: step.inverse }
	});
	return { ...step, result };
}
const rename =
	(name: string): Edit =>
	(draft) =>
		void (draft.name = name);

describe('the store', () => {
	it('gives back the home it was given', async () => {
		const home = tinyHome();
		await putHome(db, home, NOW);
		expect((await loaded()).home).toEqual(home);
		expect((await listHomes(db)).map((row) => row.head.name)).toEqual(['Tiny kitchen']);
	});
	it('keeps the demo home whole', async () => {
		const home = demoHome(NOW);
		await putHome(db, home, NOW);
		expect((await loaded('demo')).home).toEqual(home);
	});
	it('writes only the records that changed, with the step of history, in one transaction', async () => {
		const home = tinyHome();
		await putHome(db, home, NOW);
		const lotId = Object.keys(home.lots)[0]!;
		const { home: next, result } = await write(home, (draft) => void delete draft.lots[lotId], 1);
		expect(result).toEqual({ ok: true, revision: 2, cursor: 1 });
		const again = await loaded();
		expect(again.home).toEqual(next);
		expect(again.history.map((row) => row.label)).toEqual(['edit']);
	});
	it('refuses a change made on an older state, and then nothing is stored', async () => {
		const home = tinyHome();
		await putHome(db, home, NOW);
		await write(home, rename('First'), 1);
		const late = await write(home, rename('Late'), 1);
		expect(late.result).toEqual({ ok: false, code: 'conflict' });
		expect((await loaded()).home.name).toBe('First');
		expect((await loaded()).history).toHaveLength(1);
	});
	it('loses nothing when a write breaks off in the middle', async () => {
		const home = tinyHome();
		await putHome(db, home, NOW);
		const {
			patches,
			inverse,
			home: next
		} = applyEdit(home, (draft) => {
			draft.name = 'Half';
			for (const lot of Object.values(draft.lots)) lot.count = 99;
		});
		const last = Object.keys(home.lots).at(-1)!;
		// A value that cannot be stored, in the last record: what was put before it must go back too.
		const poisoned = {
			...next,
			lots: { ...next.lots, [last]: { ...next.lots[last]!, states: [() => 0] as never } }
		};
		await expect(
			writeChange(db, {
				homeId: home.id,
				home: poisoned,
				patches,
				baseRevision: 1,
				now: NOW,
				step: { kind: 'new', label: 'x', inverse }
			})
		).rejects.toThrow();
		expect((await loaded()).home).toEqual(home);
		expect((await loaded()).revision).toBe(1);
	});
	it('forgets what could be redone once something else is done', async () => {
		const home = tinyHome();
		await putHome(db, home, NOW);
		const one = await write(home, rename('One'), 1);
		const back = await writeChange(db, {
			homeId: home.id,
			home,
			patches: one.inverse,
			baseRevision: 2,
			now: NOW,
			step: { kind: 'cursor', cursor: 0 }
		});
		expect(back).toEqual({ ok: true, revision: 3, cursor: 0 });
		await write(home, rename('Other'), 3);
		const { history, cursor } = await loaded();
		expect(history.map((row) => row.seq)).toEqual([1]);
		expect(cursor).toBe(1);
	});
	it(`keeps the last ${HISTORY_LIMIT} steps`, async () => {
		let home = tinyHome();
		await putHome(db, home, NOW);
		for (let i = 0; i < HISTORY_LIMIT + 5; i++)
			home = (await write(home, rename(`Name ${i}`), i + 1)).home;
		const { history } = await loaded();
		expect(history).toHaveLength(HISTORY_LIMIT);
		expect(history.at(-1)!.seq).toBe(HISTORY_LIMIT + 5);
	});
	it('says what is missing, newer or damaged, and touches nothing', async () => {
		expect(await loadHome(db, 'nobody')).toEqual({ ok: false, code: 'not-found' });
		await putHome(db, tinyHome(), NOW);
		const row = (await db.get('homes', 'tiny'))!;
		await db.put('homes', { ...row, version: 99 });
		expect(await loadHome(db, 'tiny')).toEqual({ ok: false, code: 'newer', version: 99 });
		await db.put('homes', row);
		await db.put('records', {
			homeId: 'tiny',
			collection: 'lots',
			id: 'bad',
			value: { id: 'bad' }
		});
		expect(await loadHome(db, 'tiny')).toMatchObject({ ok: false, code: 'damaged' });
	});
	it('deletes a home with all that belongs to it, and no other', async () => {
		await putHome(db, tinyHome(), NOW);
		await putHome(db, { ...tinyHome(), id: 'tiny-2' as never }, NOW);
		await deleteHome(db, 'tiny');
		expect((await loadHome(db, 'tiny')).ok).toBe(false);
		expect((await loaded('tiny-2')).home.lots).toEqual(tinyHome().lots);
	});
});

describe('the demo home', () => {
	const home = demoHome(NOW);
	it('has what the tour promises', () => {
		const count = (record: object) => Object.keys(record).length;
		expect(count(home.cabinets)).toBeGreaterThanOrEqual(16);
		expect(count(home.nooks)).toBeGreaterThanOrEqual(70);
		expect(count(home.groups)).toBeGreaterThanOrEqual(40);
		expect(count(home.things)).toBeGreaterThanOrEqual(350);
		expect(count(home.lots)).toBeGreaterThanOrEqual(420);
		expect(count(home.containerKinds)).toBe(40);
		expect(Object.values(home.containerKinds).filter((kind) => kind.owned).length).toBe(15);
		expect([count(home.meals), count(home.routines)]).toEqual([20, 8]);
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
