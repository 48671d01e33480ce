import { beforeEach, describe, expect, it } from 'vitest';
import type { MeterReading } from '../core/devices';
import { tinyHome } from '../core/fixtures/tiny-home';
import { alikeIn, nooksInOrder } from '../core/survey';
import { DeskStore } from './desk-store';
import { Tape } from './tape.svelte';

let store: DeskStore;
let tape: Tape;
let hear: (reading: MeterReading) => void;
let aim: () => number;
let answer: MeterReading;
beforeEach(() => {
	const home = structuredClone(tinyHome());
	for (const nook of Object.values(home.nooks))
		nook.readings = { widthMm: [], depthMm: [], heightMm: [] };
	store = new DeskStore(home);
	answer = { ok: true, mm: 555 };
	tape = new Tape(store.get, (aimMm) => {
		aim = aimMm;
		return {
			measure: async () => answer,
			listen: (onReading) => {
				hear = onReading;
				return () => (hear = () => {});
			}
		};
	});
});
const nookAt = (index: number) => nooksInOrder(store.home)[index]!.nook;
/** A place with others like it in its cabinet. */
const shelf = () =>
	nooksInOrder(store.home).find(({ nook }) => alikeIn(store.home, nook.id).length > 0)!.nook;

describe('the tape', () => {
	it('asks for one side after the other, in walking order, and is off before and after', () => {
		expect([tape.isOn, tape.step]).toEqual([false, null]);
		tape.begin(true);
		expect(tape.step).toMatchObject({ word: 'width' });
		expect(tape.step!.place.nook.id).toBe(nookAt(0).id);
		tape.next();
		expect(tape.step!.word).toBe('depth');
		tape.back();
		expect(tape.position.at).toBe(1);
		tape.end();
		expect(tape.isOn).toBe(false);
	});
	it('takes three readings of a side, keeps the smallest, and goes on by itself', () => {
		tape.begin(true);
		for (const mm of ['560', '55.8 cm', '559']) {
			for (const key of mm) tape.press(key);
			tape.take();
		}
		expect(nookAt(0).inside.widthMm).toBe(558);
		expect(tape.step!.word).toBe('depth');
	});
	it('goes on after one reading when nothing more is typed, and takes one back when erased', () => {
		tape.begin(true);
		tape.typed = '560';
		tape.take();
		expect(tape.step!.taken).toEqual([560]);
		tape.erase();
		expect(tape.step!.taken).toEqual([]);
		tape.typed = '561';
		tape.take();
		tape.take();
		expect(tape.step!.word).toBe('depth');
	});
	it('takes a whole size in one go, whichever side it asks for, and leaves the place', () => {
		tape.begin(true);
		tape.next();
		tape.typed = '564 x 512 x 276';
		tape.take();
		expect(nookAt(0).inside).toEqual({ widthMm: 564, depthMm: 512, heightMm: 276 });
		tape.back();
		tape.next();
		expect(tape.wrong).toBe('');
	});
	it('takes two numbers for the side at hand and the next', () => {
		tape.begin(true);
		tape.next();
		tape.typed = '512 x 276';
		tape.take();
		expect(nookAt(0).inside).toMatchObject({ depthMm: 512, heightMm: 276 });
		expect(tape.step!.place.nook.id).toBe(nookAt(1).id);
	});
	it('says which text is no length, and that more numbers came than there are sides', () => {
		tape.begin(true);
		tape.typed = 'wide';
		tape.take();
		expect(tape.wrong).toContain('wide');
		tape.next();
		tape.next();
		tape.typed = '1 x 2';
		tape.take();
		expect(tape.wrong).toContain('more than this place has sides');
	});
	it('gives like places the same size and leaves them off the list', () => {
		const { id } = shelf();
		tape.begin(true, id);
		tape.typed = '600 x 300 x 250';
		tape.take();
		const alike = alikeIn(store.home, id);
		expect(tape.alike).toBe(alike.length);
		tape.takeForAlike();
		for (const nook of alikeIn(store.home, id))
			expect(nook.inside).toEqual({ widthMm: 600, depthMm: 300, heightMm: 250 });
		expect(tape.alike).toBe(0);
		expect(alike.some((nook) => nook.id === tape.step?.place.nook.id)).toBe(false);
	});
	it('takes what a device measures or sends, and says when it cannot', async () => {
		tape.begin(true);
		await tape.measure();
		expect(tape.step!.taken).toEqual([555]);
		tape.listen();
		hear({ ok: true, mm: 553 });
		hear({ ok: true, mm: 554 });
		expect(nookAt(0).inside.widthMm).toBe(553);
		expect(tape.isListening).toBe(true);
		hear({ ok: false, issue: { code: 'device-away', device: 'The laser measure' } });
		expect([tape.isListening, tape.wrong]).toEqual([
			false,
			expect.stringContaining('cannot be reached')
		]);
	});
	it('tells a stand-in how far away the wall is thought to be', () => {
		expect(aim()).toBe(500);
		tape.begin(true);
		expect(aim()).toBe(nookAt(0).inside.widthMm);
	});
});
