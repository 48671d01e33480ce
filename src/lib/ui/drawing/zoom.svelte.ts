import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomBehavior } from 'd3-zoom';
import type { Attachment } from 'svelte/attachments';

/** What of a drawing is in sight: `k` times as large as whole, moved by x and y, px. */
export interface Sight {
	readonly k: number;
	readonly x: number;
	readonly y: number;
}
const WHOLE: Sight = { k: 1, x: 0, y: 0 };
const MOST = 8;
const STEP = 1.6;

/**
 * Zoom and pan of a drawing by wheel, pinch, drag and keys (`+`, `-`, `0`). The wheel zooms with Ctrl, and without it once
 * the drawing is larger than its frame, so that a page with several drawings can still be scrolled.
 */
export class Zoom {
	#sight = $state.raw<Sight>(WHOLE);
	#behavior: ZoomBehavior<SVGSVGElement, unknown> | null = null;
	#svg: SVGSVGElement | null = null;
	/** What is dragged on the drawing itself, as a selector: a drag there pans nothing. */
	constructor(private readonly holds = '[data-note], .tab, [data-drag]') {}

	get sight(): Sight {
		return this.#sight;
	}
	get isWhole(): boolean {
		return this.#sight.k === 1;
	}

	readonly attach: Attachment<SVGSVGElement> = (svg) => {
		this.#svg = svg;
		const size = () => [svg.clientWidth || 1, svg.clientHeight || 1] as const;
		this.#behavior = zoom<SVGSVGElement, unknown>()
			.scaleExtent([1, MOST])
			.extent(() => [[0, 0], [...size()]])
			.filter((event: MouseEvent | WheelEvent | TouchEvent) => {
				const isZoomed = this.#sight.k > 1;
				if (event.type === 'wheel') return isZoomed || event.ctrlKey || event.metaKey;
				if ('touches' in event && event.touches.length > 1) return true;
				const isHeld = !!(event.target as Element | null)?.closest(this.holds);
				return isZoomed && !isHeld && !('button' in event && event.button);
			})
			.on('start', () => this.#behavior?.translateExtent([[0, 0], [...size()]]))
			.on('zoom', ({ transform: { k, x, y } }: D3ZoomEvent<SVGSVGElement, unknown>) => {
				this.#sight = { k, x, y };
			});
		select(svg).call(this.#behavior).on('dblclick.zoom', null);
		return () => {
			select(svg).on('.zoom', null);
			this.#svg = this.#behavior = null;
		};
	};

	larger(): void {
		this.#by(STEP);
	}
	smaller(): void {
		this.#by(1 / STEP);
	}
	/** Shows the whole drawing. */
	whole(): void {
		if (this.#svg && this.#behavior) select(this.#svg).call(this.#behavior.transform, zoomIdentity);
	}
	/** Shows a box of the drawing, given in px of the whole, as large as it goes. */
	show(box: {
		readonly x: number;
		readonly y: number;
		readonly w: number;
		readonly h: number;
	}): void {
		const svg = this.#svg;
		if (!svg || !this.#behavior) return;
		const [width, height] = [svg.clientWidth || 1, svg.clientHeight || 1];
		const k = Math.max(1, Math.min(MOST, 0.85 * Math.min(width / box.w, height / box.h)));
		const at = zoomIdentity
			.translate(width / 2, height / 2)
			.scale(k)
			.translate(-(box.x + box.w / 2), -(box.y + box.h / 2));
		select(svg).call(this.#behavior.transform, at);
	}
	/** Does what a key asks for; whether it asked for anything. */
	key(key: string): boolean {
		if (key === '+' || key === '=') this.larger();
		else if (key === '-') this.smaller();
		else if (key === '0') this.whole();
		else return false;
		return true;
	}

	#by(factor: number): void {
		if (this.#svg && this.#behavior) select(this.#svg).call(this.#behavior.scaleBy, factor);
	}
}
