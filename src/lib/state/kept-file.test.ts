import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { beforeEach, describe, expect, it } from 'vitest';
import { apply, NOW, tinyHome } from '../core/fixtures/tiny-home';
import { readHomeFile, writeHomeFile } from '../core/interchange';
import type { Home } from '../core/model';
import { getKeptFile, openDatabase, putKeptFile, type Db, type FileHandle } from '../data';
import { KeptFile } from './kept-file.svelte';

let db: Db;
beforeEach(async () => {
	indexedDB = new IDBFactory();
	db = await openDatabase();
});
/** A file in memory; the browser's own are copied into its database, this one is looked up by its name. */
function memoryFile(name = 'home.keepnook.json') {
	const written: string[] = [];
	let permission: PermissionState = 'granted';
	let full = false;
	const handle: FileHandle = {
		name,
		queryPermission: async () => permission,
		requestPermission: async () => permission,
		createWritable: async () => {
			let text = '';
			return {
				write: async (more) => {
					if (full) throw new DOMException('No space.', 'QuotaExceededError');
					text += more;
				},
				close: async () => void written.push(text)
			};
		}
	};
	return {
		handle,
		written,
		setPermission: (state: PermissionState) => (permission = state),
		fill: (on: boolean) => (full = on)
	};
}
/** A database whose handles keep their methods: the one of tests can copy plain data alone. */
function keeping(handles: Map<string, FileHandle>): Db {
	return new Proxy(db, {
		get(target, key) {
			if (key === 'put')
				return async (_store: string, row: { homeId: string; handle: FileHandle }) =>
					void handles.set(row.homeId, row.handle);
			if (key === 'get')
				return async (_store: string, [homeId]: [string]) => {
					const handle = handles.get(homeId);
					return handle && { handle };
				};
			if (key === 'delete')
				return async (_store: string, [homeId]: [string]) => void handles.delete(homeId);
			const value: unknown = Reflect.get(target, key, target);
			return typeof value === 'function' ? (value as () => void).bind(target) : value;
		}
	});
}
function kept(file = memoryFile(), handles = new Map<string, FileHandle>()) {
	const waiting: (() => void)[] = [];
	const desk = new KeptFile({
		db: async () => keeping(handles),
		now: () => NOW,
		pick: async () => file.handle,
		write: async (home) => writeHomeFile(home),
		paused: (call) => {
			waiting.push(call);
			return () => void waiting.splice(waiting.indexOf(call), 1);
		}
	});
	/** Edits have paused: what waits is done. */
	const pause = async () => {
		for (const call of waiting.splice(0)) call();
		await desk.flush();
	};
	return { desk, file, handles, waiting, pause };
}
const named = (home: Home, name: string) => apply(home, (draft) => void (draft.name = name));
const nameIn = (text: string | undefined) => {
	const read = readHomeFile(text ?? '');
	return read.ok ? read.home.name : null;
};

describe('a file that stays up to date', () => {
	it('is written when it is chosen, and once after edits have paused, with the last of them', async () => {
		const { desk, file, pause } = kept();
		await desk.show(tinyHome());
		await desk.choose('x');
		expect(file.written.map(nameIn)).toEqual(['Tiny kitchen']);
		for (const name of ['One', 'Two', 'Three']) desk.touch(named(tinyHome(), name));
		await pause();
		expect(file.written.map(nameIn)).toEqual(['Tiny kitchen', 'Three']);
		expect(desk.writtenAt).toBe(NOW);
		// Nothing new: nothing is written.
		await desk.flush();
		expect(file.written).toHaveLength(2);
	});
	it('waits for a tap after the browser was closed, and goes on then', async () => {
		const file = memoryFile();
		const handles = new Map([['tiny', file.handle]]);
		file.setPermission('prompt');
		const { desk, pause } = kept(file, handles);
		await desk.show(tinyHome());
		expect([desk.name, desk.mustAsk]).toEqual(['home.keepnook.json', true]);
		desk.touch(named(tinyHome(), 'Later'));
		await pause();
		expect(file.written).toEqual([]);
		await desk.goOn();
		expect(desk.wrong).toMatch(/did not allow it/);
		file.setPermission('granted');
		await desk.goOn();
		expect(file.written.map(nameIn)).toEqual(['Later']);
	});
	it('says that it is behind when it could not be written, and catches up with the next change', async () => {
		const { desk, file, pause } = kept();
		await desk.show(tinyHome());
		await desk.choose('x');
		file.fill(true);
		desk.touch(named(tinyHome(), 'Two'));
		await pause();
		expect(desk.wrong).toMatch(/not up to date: No space/);
		file.fill(false);
		desk.touch(named(tinyHome(), 'Three'));
		await pause();
		expect([desk.wrong, nameIn(file.written.at(-1))]).toEqual(['', 'Three']);
	});
	it('never writes one home into the file of another', async () => {
		const { desk, file, pause } = kept();
		await desk.show(tinyHome());
		await desk.choose('x');
		desk.touch(named(tinyHome(), 'Unsaved'));
		await desk.show({ ...tinyHome(), id: 'other' as Home['id'], name: 'Other' });
		await pause();
		expect(desk.name).toBe('');
		expect(file.written.map(nameIn)).toEqual(['Tiny kitchen']);
	});
	it('is let go of, and stays as it is', async () => {
		const { desk, file, handles, pause } = kept();
		await desk.show(tinyHome());
		await desk.choose('x');
		await desk.stop();
		desk.touch(named(tinyHome(), 'Two'));
		await pause();
		expect([file.written.length, handles.size, desk.name]).toEqual([1, 0, '']);
	});
	it('is not offered where a browser cannot, and called off it changes nothing', async () => {
		const deps = {
			db: async () => db,
			now: () => NOW,
			write: async () => '',
			paused: () => () => undefined
		};
		const cannot = new KeptFile({ ...deps, pick: undefined });
		await cannot.show(tinyHome());
		expect(cannot.canKeep).toBe(false);
		const calledOff = new KeptFile({ ...deps, pick: async () => null });
		await calledOff.show(tinyHome());
		await calledOff.choose('x');
		expect([calledOff.name, calledOff.wrong]).toEqual(['', '']);
	});
	it('is remembered by home in the browser', async () => {
		const plain = { name: 'a.json' } as unknown as FileHandle;
		await putKeptFile(db, 'tiny', plain);
		expect((await getKeptFile(db, 'tiny'))?.name).toBe('a.json');
		expect(await getKeptFile(db, 'other')).toBeNull();
	});
});
