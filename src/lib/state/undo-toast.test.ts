import { describe, expect, it } from 'vitest';
import type { HomeStore } from './home-store.svelte';
import { IN_SIGHT, Notices } from './undo-toast';

const store = {} as HomeStore;

/** A board that keeps what is on it, and a paint that comes when it is told to. */
function set() {
	const on: string[] = [];
	const paints: (() => void)[] = [];
	const notices = new Notices(
		{
			show: ({ key, words }) => void on.push(`${key} ${words}`),
			dismiss: (key) =>
				void on.splice(
					on.findIndex((each) => each.startsWith(`${key} `)),
					1
				)
		},
		(call) => {
			paints.push(call);
			return () => undefined;
		}
	);
	const paint = () => paints.splice(0).forEach((call) => call());
	const add = (key: string, words = 'done') => notices.add({ store, words, key, own: null });
	return { on, add, paint };
}

describe('notices of what was done', () => {
	it('come after the paint, the last few of many', () => {
		const { on, add, paint } = set();
		for (let i = 0; i < 300; i++) add(`k${i}`);
		expect(on).toEqual([]);
		paint();
		expect(on).toEqual(['k298 done', 'k299 done']);
	});
	it('leave when newer ones come', () => {
		const { on, add, paint } = set();
		for (const key of ['a', 'b', 'c']) {
			add(key);
			paint();
		}
		expect(on).toHaveLength(IN_SIGHT);
		expect(on).toEqual(['b done', 'c done']);
	});
	it('are replaced by what has the same key', () => {
		const { on, add, paint } = set();
		add('a', 'one');
		add('b');
		add('a', 'two');
		paint();
		expect(on).toEqual(['b done', 'a two']);
		add('c');
		paint();
		expect(on).toEqual(['a two', 'c done']);
	});
});
