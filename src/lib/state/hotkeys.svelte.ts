import { untrack } from 'svelte';

/** A key and what it does. `keys` as it is written on the page of keys: `K`, `Shift+K`, `Ctrl+Z`, `/`. */
export interface Hotkey {
	readonly keys: string;
	readonly does: string;
	readonly run: () => void;
}
/** Keys that act together, and where: everywhere, or only while the focus is inside an element. */
export interface HotkeyScope {
	readonly name: string;
	readonly inside?: HTMLElement;
	readonly keys: readonly Hotkey[];
}
/** What of a key press decides; a KeyboardEvent has it. */
export interface Pressed {
	readonly key: string;
	readonly ctrlKey: boolean;
	readonly metaKey: boolean;
	readonly altKey: boolean;
	readonly shiftKey: boolean;
	readonly repeat: boolean;
	readonly target: EventTarget | null;
	preventDefault(): void;
}
/** What a page tells of where the focus is. */
export interface FocusView {
	/** A field that text is typed into. */
	readonly isField: (target: EventTarget | null) => boolean;
	/** A field that holds text which is not taken yet: its own undo goes first. */
	readonly isTyping: (target: EventTarget | null) => boolean;
	/** Something that Enter and Space press. */
	readonly isButton: (target: EventTarget | null) => boolean;
	readonly isInside: (target: EventTarget | null, element: HTMLElement) => boolean;
}

/** Writes what was pressed as the registry does: `Ctrl+Shift+Z`, `Shift+K`, `/`. */
export function chordOf({
	key,
	ctrlKey,
	metaKey,
	altKey,
	shiftKey
}: Omit<Pressed, 'preventDefault' | 'target' | 'repeat'>): string {
	const isLetter = /^\p{L}$/u.test(key);
	const parts = [
		ctrlKey || metaKey ? 'Ctrl' : '',
		altKey ? 'Alt' : '',
		// A sign that needs Shift to be typed is that sign.
		shiftKey && (isLetter || key.length > 1) ? 'Shift' : '',
		isLetter ? key.toUpperCase() : key === ' ' ? 'Space' : key
	];
	return parts.filter(Boolean).join('+');
}
const isSingle = (chord: string) => !/^(Ctrl|Alt)\+/.test(chord) && chord !== 'Escape';

/**
 * All keys of the program, by scope. Single letters act only where their scope is, never while text is typed, never again
 * while they are held down, and not at all once they are switched off.
 */
export class Hotkeys {
	#scopes = $state.raw<readonly HotkeyScope[]>([]);
	#lettersOn = $state(true);
	constructor(
		private readonly focus: FocusView,
		private readonly remember: (lettersOn: boolean) => void = () => {}
	) {}

	/** The keys that act on the screen at hand, for the page of keys. */
	get scopes(): readonly HotkeyScope[] {
		return this.#scopes;
	}
	get lettersOn(): boolean {
		return this.#lettersOn;
	}
	set lettersOn(on: boolean) {
		this.#lettersOn = on;
		this.remember(on);
	}

	/** Adds keys; gives a way to take them away again. */
	add(scope: HotkeyScope): () => void {
		// Whoever adds keys does not hang on the other keys.
		untrack(() => (this.#scopes = [...this.#scopes, scope]));
		return () => {
			this.#scopes = untrack(() => this.#scopes.filter((other) => other !== scope));
		};
	}

	/** Does what was pressed; whether there was anything to do. The latest scope goes first. */
	press(event: Pressed): boolean {
		const chord = chordOf(event);
		const single = isSingle(chord);
		if (single && (!this.#lettersOn || this.focus.isField(event.target) || event.repeat))
			return false;
		if (/^Ctrl\+/.test(chord) && this.focus.isTyping(event.target)) return false;
		if ((chord === 'Enter' || chord === 'Space') && this.focus.isButton(event.target)) return false;
		for (const scope of [...this.#scopes].reverse()) {
			if (scope.inside && !this.focus.isInside(event.target, scope.inside)) continue;
			const found = scope.keys.find(({ keys }) => keys === chord);
			if (!found) continue;
			event.preventDefault();
			found.run();
			return true;
		}
		return false;
	}
}
