import { describe, expect, it } from 'vitest';
import { bareKitchen, counter } from '../core/fixtures/tiny-home';
import { addUsualKinds } from '../core/fitting';
import { applyEdit } from '../core/model';
import { DeskStore } from './desk-store';
import { KindsDesk } from './kinds-desk.svelte';

function desk(home = applyEdit(bareKitchen(), addUsualKinds()).home) {
	const store = new DeskStore(home);
	return { store, desk: new KindsDesk({ store: store.get, newId: counter('k') }) };
}

describe('the containers of a home', () => {
	it('are counted by taps, what the house has first, each tap one step', () => {
		const { desk: kinds, store } = desk();
		const last = kinds.kinds.at(-1)!;
		kinds.count(last, 1);
		kinds.count(store.home.containerKinds[last.id]!, 1);
		expect(kinds.kinds[0]).toMatchObject({ id: last.id, owned: 2 });
		expect(kinds.owned).toBe(2);
		kinds.onlyOwned = true;
		expect(kinds.kinds).toHaveLength(1);
		store.undo();
		expect(kinds.owned).toBe(1);
	});
	it('are found by words and by form', () => {
		const { desk: kinds } = desk();
		kinds.role = 'jar';
		expect(new Set(kinds.kinds.map(({ role }) => role))).toEqual(new Set(['jar']));
		kinds.words = 'NO SUCH';
		expect(kinds.kinds).toEqual([]);
	});
	it('have whole numbers within what they may be, whatever is typed', () => {
		const { desk: kinds } = desk();
		kinds.begin();
		for (const [text, cells] of [
			['6', 6],
			['2.6', 3],
			['99', 24],
			['-4', 1],
			['many', 1]
		] as const) {
			kinds.writeWhole('cells', text);
			expect(kinds.draft!.cells).toBe(cells);
		}
		kinds.writeWhole('owned', '');
		kinds.writeWhole('soldBy', '4');
		expect(kinds.draft).toMatchObject({ owned: 0, soldBy: 4 });
	});
	it('are written with base and inside following the outside, until they are told apart', () => {
		const { desk: kinds, store } = desk();
		kinds.begin();
		expect(kinds.issues.map(({ code }) => code)).toContain('no-name');
		kinds.save();
		expect(store.labels).toEqual([]);
		kinds.write({ name: 'Shoe box' });
		kinds.writeOuter('widthMm', 200);
		kinds.writeOuter('depthMm', 300);
		kinds.writeOuter('heightMm', 130);
		expect(kinds.draft).toMatchObject({
			outerBase: { widthMm: 200, depthMm: 300 },
			inner: { widthMm: 194, depthMm: 294, heightMm: 127 }
		});
		kinds.write({ inner: { ...kinds.draft!.inner, widthMm: 180 } });
		kinds.writeOuter('widthMm', 210);
		expect(kinds.draft!.inner.widthMm).toBe(180);
		kinds.writeOuter('widthMm', 170);
		expect(kinds.issues.map(({ code }) => code)).toEqual(['inner-larger']);
		kinds.writeOuter('widthMm', 210);
		kinds.save();
		expect(store.labels).toEqual(['container Shoe box']);
		expect(kinds.draft).toBeNull();
	});
	it('are copied, and deleted with undo', () => {
		const { desk: kinds, store } = desk();
		const [first] = kinds.kinds;
		kinds.copy(first!);
		kinds.write({ name: 'Mine' });
		kinds.save();
		const mine = kinds.kinds.find(({ name }) => name === 'Mine')!;
		expect(mine).toMatchObject({ heightMm: first!.heightMm, owned: 0 });
		kinds.remove(mine);
		expect(store.home.containerKinds[mine.id]).toBeUndefined();
		store.undo();
		expect(store.home.containerKinds[mine.id]).toBeDefined();
	});
	it('come in from a table: shown first, matched by hand where it has to be, then one step', () => {
		const { desk: kinds, store } = desk();
		kinds.bring('a,b,c,d\nBin,200,300,130\nFlat,200,300,');
		expect(kinds.sound).toEqual([]);
		for (const [i, field] of (['name', 'width', 'depth', 'height'] as const).entries())
			kinds.match(field, i);
		expect(kinds.rows.map(({ kind }) => kind?.name ?? null)).toEqual(['Bin', null]);
		expect(store.labels).toEqual([]);
		kinds.take();
		expect(store.labels).toEqual(['1 container kind']);
		expect(kinds.coming).toBeNull();
	});
	it('go out as a table that comes in as it was', () => {
		const { desk: kinds, store } = desk();
		const other = desk(bareKitchen());
		other.desk.bring(kinds.csv());
		expect(other.desk.rows.every(({ issues }) => issues.length === 0)).toBe(true);
		other.desk.take();
		const sizes = (home: typeof store.home) =>
			Object.values(home.containerKinds)
				.map((kind) => ({ ...kind, id: kind.name }))
				.sort((a, b) => (a.name < b.name ? -1 : 1));
		expect(sizes(other.store.home)).toEqual(sizes(store.home));
		// Taken in where they are already, they change what is there and double nothing.
		const before = store.home;
		kinds.bring(kinds.csv());
		expect(kinds.rows.every(({ isKnown }) => isKnown)).toBe(true);
		kinds.take();
		expect(store.home.containerKinds).toEqual(before.containerKinds);
	});
	it('say why a file is no table', () => {
		const { desk: kinds } = desk();
		kinds.bring('');
		expect(kinds.trouble).toContain('nothing under the head');
		kinds.bring('name,width,depth,height\nBin,200,300,130');
		expect(kinds.trouble).toBe('');
		kinds.leaveOut();
		expect(kinds.coming).toBeNull();
	});
});
