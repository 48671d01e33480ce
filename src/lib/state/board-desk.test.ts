import { describe, expect, it } from 'vitest';
import {
	apply,
	bareKitchen,
	counter,
	groupByCategory,
	withLines
} from '../core/fixtures/tiny-home';
import { BoardDesk, LOOSE } from './board-desk.svelte';
import { DeskStore } from './desk-store';

const LINES = [
	'rice',
	'bleach',
	'minced beef frozen 01/02/26',
	'milk',
	'cat food',
	'paracetamol',
	'ladle'
];
function desk() {
	const store = new DeskStore(
		apply(withLines(bareKitchen(), LINES), groupByCategory(counter('g')))
	);
	const made = new BoardDesk({ store: store.get, newId: counter('new') });
	const thing = (name: RegExp) =>
		Object.values(store.home.things).find((one) => name.test(one.name))!;
	return { store, desk: made, thing, groupOf: (name: RegExp) => thing(name).groupId! };
}

describe('the board of Sort', () => {
	it('moves what is chosen, and lets go of it', () => {
		const { store, desk: board, thing, groupOf } = desk();
		board.selection.toggle(thing(/rice/).id);
		expect(board.moveTo(store.home.groups[groupOf(/ladle/)]!.tag.code)).toBe(true);
		expect(groupOf(/rice/)).toBe(groupOf(/ladle/));
		expect(board.chosen).toEqual([]);
	});
	it.each([
		[/bleach/, /rice/, 'bleach and food are kept apart'],
		[/minced/, /rice/, 'frozen food and food are kept apart'],
		[/minced/, /milk/, 'frozen food and chilled food are kept apart'],
		[/cat food/, /rice/, 'pet food and food are kept apart'],
		[/paracetamol/, /ladle/, 'medicines and other things are kept apart']
	])('refuses %s with %s, and says what to do', (what, into, why) => {
		const { store, desk: board, thing, groupOf } = desk();
		const before = groupOf(what);
		board.selection.toggle(thing(what).id);
		expect(board.move(groupOf(into))).toBe(false);
		expect(board.refused).toContain(why);
		expect(board.refused).toContain('Make a group of its own');
		expect([groupOf(what), store.labels]).toEqual([before, []]);
	});
	it('makes no second group of a name, nor one of what must keep apart', () => {
		const { store, desk: board, thing, groupOf } = desk();
		const taken = store.home.groups[groupOf(/rice/)]!.name;
		board.selection.toggle(thing(/ladle/).id);
		expect(board.make(` ${taken.toUpperCase()} `)).toBe(false);
		expect(board.refused).toContain(`There is a group called ${taken} already`);
		board.selection.toggle(thing(/bleach/).id);
		expect(board.make('Odd ones')).toBe(false);
		board.clear();
		board.selection.toggle(thing(/ladle/).id);
		expect(board.make('Ladles')).toBe(true);
		expect(store.home.groups[groupOf(/ladle/)]?.name).toBe('Ladles');
		expect(board.shown).toBe(groupOf(/ladle/));
	});
	it('says which group is not known', () => {
		const { desk: board, thing } = desk();
		board.selection.toggle(thing(/rice/).id);
		expect([board.moveTo('no such'), board.refused]).toEqual([
			false,
			expect.stringContaining('No group is “no such”')
		]);
		expect([board.moveTo(' '), board.refused]).toEqual([
			false,
			'Type the two letters or the name of a group.'
		]);
	});
	it('shows a group, what has none, or everything again once the group is gone', () => {
		const { store, desk: board, groupOf } = desk();
		board.shown = groupOf(/rice/);
		expect(board.rows.map(({ name }) => name)).toEqual(['rice']);
		store.run('join', 'joinGroups', groupOf(/rice/), groupOf(/ladle/));
		expect([board.shown, board.rows.length]).toEqual([null, LINES.length]);
		board.shown = LOOSE;
		expect(board.rows).toEqual([]);
		board.shown = null;
		board.sought = 'bleach';
		expect(board.rows).toHaveLength(1);
	});
	it('takes hold of what is dragged, with the others that are chosen', () => {
		const { desk: board, thing } = desk();
		board.selection.toggle(thing(/rice/).id);
		board.hold(thing(/ladle/).id);
		expect(board.chosen).toEqual([thing(/ladle/).id]);
		board.selection.toggle(thing(/rice/).id);
		board.hold(thing(/rice/).id);
		expect(board.chosen).toHaveLength(2);
	});
});
