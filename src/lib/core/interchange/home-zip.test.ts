import { strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { demoHome } from '$lib/data/demo';
import { NOW } from '../fixtures/tiny-home';
import type { Home } from '../model';
import { writeHomeFile } from './home-file';
import { readHomeZip, writeHomeZip } from './home-zip';
import { isZip, MAX_PHOTO_BYTES } from './zip-limits';

const demo = demoHome(NOW);
const jpeg = (size = 40) => {
	const bytes = new Uint8Array(size);
	bytes.set([0xff, 0xd8, 0xff, 0xe0]);
	return bytes;
};
const withPhoto = (nookId: string, photoId: string): Home => ({
	...demo,
	nooks: { ...demo.nooks, [nookId]: { ...demo.nooks[nookId]!, photoId } }
});

describe('a home with its pictures in an archive', () => {
	it('comes back as it went, and packs the same way each time', () => {
		const home = withPhoto('d-1', 'shot-1');
		const bytes = writeHomeZip(home, new Map([['shot-1', jpeg()]]));
		expect(isZip(bytes)).toBe(true);
		expect(writeHomeZip(home, new Map([['shot-1', jpeg()]]))).toEqual(bytes);
		const read = readHomeZip(bytes);
		expect(read).toMatchObject({ ok: true, lostPhotos: 0 });
		if (!read.ok) return;
		expect(read.home).toEqual(home);
		expect([...read.photos]).toEqual([['shot-1', jpeg()]]);
	});
	it('leaves out pictures that no place points to', () => {
		const bytes = writeHomeZip(demo, new Map([['orphan', jpeg()]]));
		expect(Object.keys(unzipSync(bytes))).toEqual(['home.keepnook.json']);
	});
	it('drops a missing picture, one that is none and one that is far too large, and counts them', () => {
		const home = withPhoto('d-1', 'gone');
		const files = { 'home.keepnook.json': strToU8(writeHomeFile(home)) };
		const tries: Record<string, Uint8Array>[] = [
			{},
			{ 'photos/gone.jpg': strToU8('not a picture') },
			{ 'photos/gone.jpg': jpeg(MAX_PHOTO_BYTES + 1) }
		];
		for (const photos of tries) {
			const read = readHomeZip(zipSync({ ...files, ...photos }));
			expect(read).toMatchObject({ ok: true, lostPhotos: 1 });
			if (read.ok) expect(read.home.nooks['d-1']!.photoId).toBeNull();
		}
	});
	it('never takes entries of other names, such as ones that climb out of the folder', () => {
		const read = readHomeZip(
			zipSync({
				'home.keepnook.json': strToU8(writeHomeFile(demo)),
				'../../photos/a.jpg': jpeg(),
				'photos/../b.jpg': jpeg()
			})
		);
		expect(read.ok && read.photos.size).toBe(0);
	});
	it('says what is wrong with a cut archive, one without a home, and a broken home in it', () => {
		const whole = writeHomeZip(demo, new Map());
		expect(readHomeZip(whole.slice(0, whole.length / 2))).toMatchObject({
			ok: false,
			issues: [{ code: 'zip-damaged' }]
		});
		expect(readHomeZip(zipSync({ 'notes.txt': strToU8('hello') }))).toMatchObject({
			ok: false,
			issues: [{ code: 'zip-without-home' }]
		});
		expect(readHomeZip(zipSync({ 'home.keepnook.json': strToU8('{"format":') }))).toMatchObject({
			ok: false,
			issues: [{ code: 'file-not-json' }]
		});
	});
});
