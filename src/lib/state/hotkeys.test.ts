import { describe, expect, it, vi } from 'vitest';
import { chordOf, Hotkeys, type Pressed } from './hotkeys.svelte';

type Spot = 'page' | 'field' | 'dirty field' | 'button' | 'pile';
const focus = {
	isField: (target: unknown) => target === 'field' || target === 'dirty field',
	isTyping: (target: unknown) => target === 'dirty field',
	isButton: (target: unknown) => target === 'button',
	isInside: (target: unknown, element: unknown) => target === element
};
const press = (key: string, at: Spot = 'page', more: Partial<Pressed> = {}): Pressed => ({
	key,
	ctrlKey: false,
	metaKey: false,
	altKey: false,
	shiftKey: false,
	repeat: false,
	target: at as never,
	preventDefault: vi.fn(),
	...more
});
function keys() {
	const remember = vi.fn();
	const hotkeys = new Hotkeys(focus, remember);
	const done: string[] = [];
	const does = (name: string, chord: string) => ({
		keys: chord,
		does: name,
		run: () => void done.push(name)
	});
	hotkeys.add({
		name: 'all',
		keys: [does('undo', 'Ctrl+Z'), does('find', '/'), does('all k', 'K')]
	});
	const off = hotkeys.add({
		name: 'pile',
		inside: 'pile' as never,
		keys: [does('keep', 'K'), does('all', 'Shift+K'), does('take', 'Enter')]
	});
	return { hotkeys, done, off, remember };
}

describe('what is pressed', () => {
	it.each([
		[press('k'), 'K'],
		[press('K', 'page', { shiftKey: true }), 'Shift+K'],
		[press('z', 'page', { ctrlKey: true }), 'Ctrl+Z'],
		[press('Z', 'page', { metaKey: true, shiftKey: true }), 'Ctrl+Shift+Z'],
		[press('?', 'page', { shiftKey: true }), '?'],
		[press(' '), 'Space'],
		[press('ArrowUp', 'page', { shiftKey: true }), 'Shift+ArrowUp']
	])('is written %#', (event, chord) => expect(chordOf(event)).toBe(chord));
});

describe('the registry of keys', () => {
	it('lets letters act in their own list first, then everywhere', () => {
		const { hotkeys, done } = keys();
		hotkeys.press(press('k', 'pile'));
		hotkeys.press(press('k'));
		hotkeys.press(press('K', 'pile', { shiftKey: true }));
		expect(done).toEqual(['keep', 'all k', 'all']);
	});
	it('never acts while text is typed, nor again while a key is held', () => {
		const { hotkeys, done } = keys();
		expect(hotkeys.press(press('k', 'field'))).toBe(false);
		expect(hotkeys.press(press('k', 'pile', { repeat: true }))).toBe(false);
		expect(done).toEqual([]);
	});
	it('leaves Enter to a button, and undo to a field with text that is not taken yet', () => {
		const { hotkeys, done } = keys();
		const ctrl = { ctrlKey: true };
		expect(hotkeys.press(press('Enter', 'button'))).toBe(false);
		expect(hotkeys.press(press('z', 'dirty field', ctrl))).toBe(false);
		expect(hotkeys.press(press('z', 'field', ctrl))).toBe(true);
		expect(done).toEqual(['undo']);
	});
	it('can be switched off for single letters, and remembers it', () => {
		const { hotkeys, done, remember } = keys();
		hotkeys.lettersOn = false;
		hotkeys.press(press('k', 'pile'));
		hotkeys.press(press('/'));
		hotkeys.press(press('z', 'page', { ctrlKey: true }));
		expect(done).toEqual(['undo']);
		expect(remember).toHaveBeenCalledWith(false);
	});
	it('forgets a scope that is taken away, and says what acts now', () => {
		const { hotkeys, done, off } = keys();
		off();
		hotkeys.press(press('k', 'pile'));
		expect(done).toEqual(['all k']);
		expect(hotkeys.scopes.map(({ name }) => name)).toEqual(['all']);
	});
	it('stops the browser from doing what it has done itself', () => {
		const { hotkeys } = keys();
		const known = press('/');
		const unknown = press('q');
		hotkeys.press(known);
		hotkeys.press(unknown);
		expect(known.preventDefault).toHaveBeenCalled();
		expect(unknown.preventDefault).not.toHaveBeenCalled();
	});
});
