import { zipSync, strToU8 } from 'fflate';
import { describe, expect, it } from 'vitest';
import { demoHome } from '../../data/demo';
import { apply, NOW, tinyHome } from '../fixtures/tiny-home';
import { isBackup, readBackup, writeBackup } from './backup';
import { writeHomeZip } from './home-zip';

const jpeg = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]);
const pictured = apply(tinyHome(), (draft) => {
	Object.values(draft.nooks)[0]!.photoId = 'pic-1';
});
const homes = [
	{ home: demoHome(NOW), photos: new Map() },
	{ home: pictured, photos: new Map([['pic-1', jpeg]]) }
];

describe('a backup of all homes', () => {
	const bytes = writeBackup(homes);
	it('gives them all back, with their pictures', () => {
		const read = readBackup(bytes);
		expect(read.ok).toBe(true);
		if (!read.ok) return;
		expect(read.bad).toEqual([]);
		const byId = new Map(read.homes.map((each) => [each.home.id as string, each]));
		for (const { home, photos } of homes) {
			expect(byId.get(home.id)!.home).toEqual(home);
			expect([...byId.get(home.id)!.photos]).toEqual([...photos]);
		}
	});
	it('is the same for the same homes, in whichever order, and is told from an archive of one', () => {
		expect(writeBackup([...homes].reverse())).toEqual(bytes);
		expect(isBackup(bytes)).toBe(true);
		expect(isBackup(writeHomeZip(pictured, new Map()))).toBe(false);
		expect(isBackup(strToU8('no archive'))).toBe(false);
	});
	it('loses one damaged home, and none of the others', () => {
		const damaged = zipSync({
			'homes/tiny.keepnook.zip': writeHomeZip(pictured, new Map()),
			'homes/bad.keepnook.zip': strToU8('torn'),
			'homes/../evil.keepnook.zip': writeHomeZip(pictured, new Map()),
			'other.txt': strToU8('x')
		});
		const read = readBackup(damaged);
		expect(read).toMatchObject({ ok: true, bad: [{ entry: 'homes/bad.keepnook.zip' }] });
		if (read.ok) expect(read.homes.map(({ home }) => home.id)).toEqual(['tiny']);
	});
	it('says what is none', () => {
		expect(readBackup(bytes.slice(0, 40))).toMatchObject({
			ok: false,
			issues: [{ code: 'zip-damaged' }]
		});
		expect(readBackup(zipSync({ 'a.txt': strToU8('a') }))).toMatchObject({
			ok: false,
			issues: [{ code: 'zip-without-home' }]
		});
	});
});
