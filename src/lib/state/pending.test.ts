import { describe, expect, it } from 'vitest';
import { command } from '../core/commands';
import { advance, type Entry, type Timeline } from '../core/commands/timeline';
import { NOW, tinyHome } from '../core/fixtures/tiny-home';
import { labelOf, rebase, type Pending } from './pending';

const start: Timeline = { home: tinyHome(), history: [], cursor: 0 };
const nook = Object.keys(start.home.nooks).at(-1)!;
const rename = (id: string, name: string): Entry => ({
	kind: 'do',
	id,
	at: NOW,
	label: name,
	commands: [command('changeHome', { name })]
});
const widen = (id: string, mm: number): Entry => ({
	kind: 'do',
	id,
	at: NOW,
	label: `width ${mm}`,
	commands: [command('setInside', nook, 'widthMm', mm)]
});
const made = (now: Timeline, entry: Entry) => {
	const found = advance(now, entry);
	if (!found.ok) throw new Error(found.lost.code);
	return found;
};
/** Entries done one after the other. */
function pendingOf(...entries: Entry[]): Pending[] {
	let now = start;
	return entries.map((entry) => {
		const step = made(now, entry);
		now = step.after;
		return { entry, made: step };
	});
}
const idsOf = (kept: readonly Pending[]) => kept.map(({ entry }) => entry.id);

describe('what is pending, on a newer home', () => {
	it('is done again in its order, on what another tab did', () => {
		const other = made(start, widen('x', 345)).after;
		const { kept, shown, notices } = rebase(
			other,
			pendingOf(rename('a', 'Mill'), rename('b', 'Barn')),
			new Set()
		);
		expect([idsOf(kept), notices]).toEqual([['a', 'b'], []]);
		expect(shown.home.name).toBe('Barn');
		expect(shown.home.nooks[nook]!.inside.widthMm).toBe(345);
		expect(shown.history.map(({ id }) => id)).toEqual(['x', 'a', 'b']);
	});
	it('is not done twice when it was written, nor told when another did the very same', () => {
		const pending = pendingOf(rename('a', 'Mill'), widen('b', 321));
		const one = made(start, rename('a', 'Mill')).after;
		expect(rebase(one, pending, new Set(['a']))).toMatchObject({
			kept: [{ entry: { id: 'b' } }],
			notices: []
		});
		const same = made(start, rename('other', 'Mill')).after;
		const { kept, notices } = rebase(same, pending, new Set());
		expect([idsOf(kept), notices]).toEqual([['b'], []]);
	});
	it('is told when what it is about is gone, and what comes after it is done', () => {
		const gone = made(start, {
			kind: 'do',
			id: 'x',
			at: NOW,
			label: 'remove',
			commands: [command('removeNook', nook)]
		}).after;
		const { kept, notices } = rebase(
			gone,
			pendingOf(widen('a', 321), rename('b', 'Barn')),
			new Set()
		);
		expect(idsOf(kept)).toEqual(['b']);
		expect(notices).toMatchObject([{ code: 'lost', label: 'width 321' }]);
	});
	it('names a step that is taken back by what it was', () => {
		const [{ made: first }] = pendingOf(rename('a', 'Mill')) as [Pending];
		const undo: Entry = { kind: 'undo', id: 'u', at: NOW, stepId: 'a' };
		expect(labelOf(undo, first.after)).toBe('undo Mill');
		expect(labelOf(undo, start)).toBe('undo');
		// Not the last step any more: it is told, not done.
		const later = made(first.after, rename('z', 'Barn')).after;
		const pending = [{ entry: undo, made: made(first.after, undo) }];
		expect(rebase(later, pending, new Set()).notices).toMatchObject([
			{ code: 'lost', lost: { code: 'not-last' } }
		]);
	});
});
