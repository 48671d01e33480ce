import type { Attachment } from 'svelte/attachments';

/** So much of the window stays free below a drawing, px; a phone has its bar there. */
const BELOW_PX = 20;
const PHONE_BAR_PX = 76;
const PHONE_PX = 640;
const LEAST_TALL_PX = 240;
/** Below this part of the window a drawing is one of several: it begins anew at the top, below what sticks there. */
const FURTHER_DOWN = 0.45;
const STICKY_PX = 60;

/** How tall a drawing may be on a page to be seen whole without scrolling. @example roomBelow(800, 250, 900) // 530 */
export function roomBelow(windowPx: number, topPx: number, widthPx: number): number {
	const bottom = widthPx < PHONE_PX ? PHONE_BAR_PX : BELOW_PX;
	const top = topPx > windowPx * FURTHER_DOWN ? STICKY_PX : topPx;
	return Math.max(LEAST_TALL_PX, windowPx - top - bottom);
}

/** The room that a window leaves for a drawing: it follows the window and the width of what holds the drawing. */
export class WindowRoom {
	widthPx = $state(900);
	heightPx = $state(500);

	readonly attach: Attachment<HTMLElement> = (element) => {
		const measure = () => {
			this.widthPx = Math.max(1, element.clientWidth);
			const topPx = element.getBoundingClientRect().top + scrollY;
			this.heightPx = roomBelow(innerHeight, topPx, this.widthPx);
		};
		measure();
		const sizes = new ResizeObserver(measure);
		sizes.observe(element);
		addEventListener('resize', measure);
		return () => {
			sizes.disconnect();
			removeEventListener('resize', measure);
		};
	};
}
