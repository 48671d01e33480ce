import type { Attachment } from 'svelte/attachments';

/** What a drag does. The element itself stays where it is: what moves is said by `over`. */
export interface Dragging<Held> {
	/** What is taken hold of at this element; null: nothing can be. */
	readonly find: (element: Element) => Held | null;
	/** `at`: where on the screen it was taken hold of, px. */
	readonly start: (held: Held, at: { readonly x: number; readonly y: number }) => void;
	/** The element under the pointer while it moves, and where on the screen that is, px. */
	readonly over?: (element: Element | null, at: { readonly x: number; readonly y: number }) => void;
	readonly drop: (element: Element | null) => void;
	/** Nothing comes of it: Escape, a second finger, a call, the window lost. */
	readonly cancel: () => void;
}
/** A mouse that goes this far means to drag, px. */
const FAR_PX = 8;
/** A finger that rests this long means to drag; one that moves before scrolls the page. */
const LONG_PRESS_MS = 350;
const TREMBLE_PX = 10;

/**
 * Lets what lies in an element be dragged by mouse, pen and finger (by a long press). Released anywhere, also outside
 * the window, it is dropped there or nowhere; nothing stays in hand.
 */
export function dragging<Held>(options: Dragging<Held>): Attachment<HTMLElement> {
	return (root) => {
		let pressed: {
			held: Held;
			id: number;
			x: number;
			y: number;
			timer?: ReturnType<typeof setTimeout>;
		} | null = null;
		let isDragging = false;
		const under = (event: PointerEvent) => document.elementFromPoint(event.clientX, event.clientY);
		const rest = () => {
			clearTimeout(pressed?.timer);
			pressed = null;
			isDragging = false;
		};
		function begin() {
			if (!pressed) return;
			isDragging = true;
			options.start(pressed.held, pressed);
			// What is released outside the window is heard all the same.
			if (!root.hasPointerCapture(pressed.id)) root.setPointerCapture(pressed.id);
		}
		function down(event: PointerEvent) {
			if (pressed) return cancel();
			if (event.button !== 0) return;
			const held = options.find(event.target as Element);
			if (held === null) return;
			pressed = { held, id: event.pointerId, x: event.clientX, y: event.clientY };
			if (event.pointerType === 'touch') pressed.timer = setTimeout(begin, LONG_PRESS_MS);
		}
		function move(event: PointerEvent) {
			if (!pressed || event.pointerId !== pressed.id) return;
			// It was let go where nothing here heard of it.
			if (event.buttons === 0) return cancel();
			const far = Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y);
			if (isDragging) return options.over?.(under(event), { x: event.clientX, y: event.clientY });
			if (event.pointerType === 'touch') {
				if (far > TREMBLE_PX) rest();
			} else if (far > FAR_PX) begin();
		}
		function up(event: PointerEvent) {
			if (!pressed || event.pointerId !== pressed.id) return;
			const dragged = isDragging;
			rest();
			if (!dragged) return;
			options.drop(under(event));
			// The click that follows a drag is no click.
			const stop = (click: Event) => click.stopPropagation();
			root.addEventListener('click', stop, { capture: true, once: true });
			setTimeout(() => root.removeEventListener('click', stop, { capture: true }));
		}
		function cancel() {
			const dragged = isDragging;
			rest();
			if (dragged) options.cancel();
		}
		const key = (event: KeyboardEvent) => event.key === 'Escape' && cancel();
		// Once a finger holds something, the page stays where it is.
		const still = (event: TouchEvent) => isDragging && event.preventDefault();
		// Nor are the words that it passes selected.
		const noText = (event: Event) => pressed && event.preventDefault();
		const menu = (event: Event) => pressed && event.preventDefault();
		root.addEventListener('pointerdown', down);
		root.addEventListener('pointermove', move);
		root.addEventListener('pointerup', up);
		root.addEventListener('pointercancel', cancel);
		root.addEventListener('touchmove', still, { passive: false });
		root.addEventListener('contextmenu', menu);
		root.addEventListener('selectstart', noText);
		addEventListener('keydown', key);
		addEventListener('blur', cancel);
		return () => {
			rest();
			root.removeEventListener('pointerdown', down);
			root.removeEventListener('pointermove', move);
			root.removeEventListener('pointerup', up);
			root.removeEventListener('pointercancel', cancel);
			root.removeEventListener('touchmove', still);
			root.removeEventListener('selectstart', noText);
			root.removeEventListener('contextmenu', menu);
			removeEventListener('keydown', key);
			removeEventListener('blur', cancel);
		};
	};
}
