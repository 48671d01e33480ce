import type { Attachment } from 'svelte/attachments';
import { Hotkeys, type Hotkey } from './hotkeys.svelte';

const STORED = 'keep-nook-letter-keys';
const FIELDS =
	'input:not([type=checkbox], [type=radio], [type=file], [type=button]), textarea, select, [contenteditable]';
/** Fields whose text has changed since it was last taken. */
const typing = new WeakSet<EventTarget>();
const asElement = (target: EventTarget | null) => (target instanceof Element ? target : null);

/** The keys of the page. */
export const hotkeys = new Hotkeys(
	{
		isField: (target) => !!asElement(target)?.matches(FIELDS),
		isTyping: (target) => !!target && typing.has(target) && !!(target as HTMLInputElement).value,
		isButton: (target) =>
			!!asElement(target)?.closest('a, button, summary, [role=button], [role=tab], input'),
		isInside: (target, element) => !!asElement(target) && element.contains(target as Element)
	},
	(on) => localStorage.setItem(STORED, on ? 'on' : 'off')
);

/** Listens on a page. Gives a way to stop. */
export function listenForKeys(): () => void {
	if (localStorage.getItem(STORED) === 'off') hotkeys.lettersOn = false;
	const typed = (event: Event) => event.target && typing.add(event.target);
	const taken = (event: Event) => event.target && typing.delete(event.target);
	const press = (event: KeyboardEvent) => {
		// A dialog, a list or a field that has used the key has said so.
		if (!event.defaultPrevented) hotkeys.press(event);
	};
	addEventListener('input', typed, true);
	addEventListener('change', taken);
	addEventListener('focusout', taken);
	addEventListener('keydown', press);
	return () => {
		removeEventListener('input', typed, true);
		removeEventListener('change', taken);
		removeEventListener('focusout', taken);
		removeEventListener('keydown', press);
	};
}

/** Keys that act while the focus is in this element. */
export const keysHere =
	(name: string, keys: readonly Hotkey[]): Attachment<HTMLElement> =>
	(inside) =>
		hotkeys.add({ name, inside, keys });

/** Keys that act on the whole screen while it is shown; call it while a component is set up. */
export function keysEverywhere(name: string, keys: readonly Hotkey[]): void {
	$effect(() => hotkeys.add({ name, keys }));
}
