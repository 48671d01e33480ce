import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Selection } from './selection.svelte';

const rows = ['a', 'b', 'c', 'd', 'e'];
const made = (...ids: string[]) => {
	const selection = new Selection();
	for (const id of ids) selection.toggle(id);
	return selection;
};
const held = (selection: Selection) => [...selection.ids].sort();

describe('what is chosen in a list', () => {
	it('is toggled one by one', () => {
		expect(held(made('a', 'c', 'a'))).toEqual(['c']);
		expect(made('a').has('a')).toBe(true);
	});
	it('goes on from the last row that was touched, up or down', () => {
		const down = made('b');
		down.extend('d', rows);
		expect(held(down)).toEqual(['b', 'c', 'd']);
		const up = made('d');
		up.extend('c', rows);
		up.extend('a', rows);
		expect(held(up)).toEqual(['a', 'b', 'c', 'd']);
	});
	it('takes one row when there is nothing to go on from, or it is out of sight', () => {
		const fresh = made();
		fresh.extend('c', rows);
		expect(held(fresh)).toEqual(['c']);
		const away = made('z');
		away.extend('b', rows);
		expect(held(away)).toEqual(['b', 'z']);
	});
	it('takes all, then lets go of all, and of nothing else', () => {
		const selection = made('z', 'b');
		selection.toggleAll(rows);
		expect(held(selection)).toEqual([...rows, 'z']);
		selection.toggleAll(rows);
		expect(held(selection)).toEqual(['z']);
		selection.toggleAll([]);
		expect(held(selection)).toEqual(['z']);
		selection.clear();
		expect(held(selection)).toEqual([]);
	});
	it('holds every row between two ends, whichever came first', () => {
		fc.assert(
			fc.property(fc.nat(4), fc.nat(4), (from, to) => {
				const selection = made(rows[from]!);
				if (from !== to) selection.extend(rows[to]!, rows);
				expect(held(selection)).toEqual(rows.slice(Math.min(from, to), Math.max(from, to) + 1));
			}),
			{ seed: 57 }
		);
	});
});
