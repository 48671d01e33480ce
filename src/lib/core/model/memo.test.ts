import { produce } from 'immer';
import { describe, expect, it } from 'vitest';
import { apply, tinyHome } from '../fixtures/tiny-home';
import { memoOn } from './memo';

describe('memoOn', () => {
	const counting = () => {
		let runs = 0;
		const count = memoOn(['lots', 'groups'], (home) => {
			runs++;
			return Object.keys(home.lots).length;
		});
		return { count, runs: () => runs };
	};
	it('computes once for the same collections, also across edits elsewhere', () => {
		const { count, runs } = counting();
		const home = tinyHome();
		expect([count(home), count(home)]).toEqual([12, 12]);
		expect(count(apply(home, (draft) => void (draft.name = 'Mill')))).toBe(12);
		expect(runs()).toBe(1);
	});
	it('computes anew when any of them changes', () => {
		const { count, runs } = counting();
		const home = tinyHome();
		count(home);
		const fewer = apply(home, (draft) => void delete draft.lots[Object.keys(draft.lots)[0]!]);
		expect(count(fewer)).toBe(11);
		count(apply(home, (draft) => void (Object.values(draft.groups)[0]!.name = 'Other')));
		expect(runs()).toBe(3);
	});
	it('never remembers a draft under edit', () => {
		const { count } = counting();
		produce(tinyHome(), (draft) => {
			expect(count(draft)).toBe(12);
			delete draft.lots[Object.keys(draft.lots)[0]!];
			expect(count(draft)).toBe(11);
		});
	});
});
