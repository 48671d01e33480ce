import { beforeEach, describe, expect, it } from 'vitest';
import { command } from '../core/commands';
import type { Entry } from '../core/commands/timeline';
import { FakeWords } from './fake-tabs';
import { Outbox } from './outbox';

const entry = (id: string, at = '2026-03-02T09:00:00Z'): Entry => ({
	kind: 'do',
	id,
	at,
	label: id,
	commands: [command('changeHome', { name: id })]
});
let words: FakeWords;
beforeEach(() => void (words = new FakeWords()));
const box = (page: string, home = 'tiny') => new Outbox(() => words, home, page);
const idsLeft = (page = 'new', home = 'tiny') =>
	box(page, home)
		.left()
		.map(({ id }) => id);

describe('the outbox', () => {
	it('gives the next page of the same home what was left, in order, and takes it away when stored', () => {
		const undo: Entry = { kind: 'undo', id: 'c', at: '2026-03-02T09:00:02Z', stepId: 'b' };
		const left = [entry('a'), entry('b', '2026-03-02T09:00:01Z'), undo];
		expect(box('one').put(left)).toBe(true);
		expect(idsLeft('new', 'other')).toEqual([]);
		const next = box('two');
		expect(next.left()).toEqual(left);
		// Gone only when it is stored: this page may go too.
		expect(idsLeft()).toEqual(['a', 'b', 'c']);
		next.clear();
		expect(idsLeft()).toEqual([]);
	});
	it('gives a change back with what it was not given, which is not null', () => {
		const args = [{ name: undefined, rent: null, sides: [1, undefined] }, undefined, 'x', null];
		const asked = { ...entry('a'), commands: [{ name: 'changeHome', args }] } as unknown as Entry;
		box('one').put([asked]);
		const [found] = box('two').left();
		expect(found).toStrictEqual(asked);
	});
	it('gives each once, whoever was first first, of several pages', () => {
		box('one').put([entry('b', '2026-03-02T09:00:01Z'), entry('c', '2026-03-02T09:00:02Z')]);
		box('two').put([entry('a'), entry('b', '2026-03-02T09:00:01Z')]);
		expect(idsLeft()).toEqual(['a', 'b', 'c']);
	});
	it('keeps the order of a page whose clock was set back meanwhile', () => {
		box('one').put([entry('a', '2026-03-02T09:00:05Z'), entry('b', '2026-03-02T08:00:00Z')]);
		expect(idsLeft()).toEqual(['a', 'b']);
	});
	it('keeps the last of what a page put down, and nothing that another has put down since', () => {
		const one = box('one');
		one.put([entry('a')]);
		const two = box('two');
		two.left();
		one.put([entry('a'), entry('b')]);
		two.clear();
		expect(idsLeft()).toEqual(['a', 'b']);
		one.clear();
		expect(idsLeft()).toEqual([]);
	});
	it.each([
		['no words', ''],
		['half a row', '{"version":'],
		['another layout', '{"version":1,"entries":[]}'],
		[
			'a change that is none',
			`{"version":13,"entries":[{"kind":"do","id":"x","at":"","label":"","commands":[{"name":"toString","args":[]}]}]}`
		]
	])('passes over %s, and reads the rest', (_what, row) => {
		box('one').put([entry('a')]);
		words.setItem('keep-nook-left/tiny/zero', row);
		words.setItem('keep-nook-theme', 'linen');
		expect(idsLeft()).toEqual(['a']);
	});
	it('says when the browser keeps no words, and has none then', () => {
		words.most = 10;
		expect(box('one').put([entry('a')])).toBe(false);
		const refusing = new Outbox(
			() => {
				throw new DOMException('Not allowed.', 'SecurityError');
			},
			'tiny',
			'one'
		);
		expect(refusing.put([entry('a')])).toBe(false);
		expect(refusing.left()).toEqual([]);
		expect(() => refusing.clear()).not.toThrow();
	});
});
