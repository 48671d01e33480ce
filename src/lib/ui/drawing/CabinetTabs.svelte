<script lang="ts">
	import { HANGS_FROM_MM } from '$lib/core/survey';
	import { fitWords, type FrontGeometry } from './front-geometry';
	import { STILL_PX, svgPoint } from './pointer';

	interface Props {
		view: FrontGeometry;
		tabs: {
			readonly selected: string | null;
			readonly onselect: (cabinetId: string) => void;
			readonly ondrag: (cabinetId: string, byMm: number) => void;
			readonly ondrop: (cabinetId: string) => void;
		};
		/** Turns px on the screen into mm on the drawing. */
		font: (px: number) => number;
		/** Height of a tab, px. */
		highPx: number;
	}
	let { view, tabs, font, highPx }: Props = $props();

	/** Arrow keys move by this, with Shift by ten times as much, mm. */
	const STEP_MM = 10;
	let from: { x: number; mm: number } | null = null;
	let moved = false;

	const toMm = (event: PointerEvent) => svgPoint(event)?.x ?? null;
	function down(event: PointerEvent, id: string) {
		const mm = toMm(event);
		if (mm === null || event.button !== 0) return;
		// A finger first chooses; only what is chosen follows it, so that the drawing can still be scrolled.
		if (event.pointerType === 'touch' && tabs.selected !== id) return;
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		from = { x: event.clientX, mm };
		moved = false;
	}
	function move(event: PointerEvent, id: string) {
		const mm = from && toMm(event);
		if (!from || mm === null) return;
		if (!moved && Math.abs(event.clientX - from.x) < STILL_PX) return;
		moved = true;
		tabs.ondrag(id, mm - from.mm);
	}
	function up(id: string) {
		if (moved) tabs.ondrop(id);
		from = null;
	}
	/** Chosen on the click, the last that one press brings: the sheet that opens then gets none of it. */
	function click(id: string) {
		if (!moved) tabs.onselect(id);
		moved = false;
	}
	function key(event: KeyboardEvent, id: string) {
		if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			tabs.onselect(id);
		}
		const way = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
		if (!way) return;
		event.preventDefault();
		tabs.ondrag(id, way * STEP_MM * (event.shiftKey ? 10 : 1));
		tabs.ondrop(id);
	}
	const high = $derived(font(highPx));
</script>

{#each view.cabinets as cabinet (cabinet.id)}
	{@const above = cabinet.baseMm >= HANGS_FROM_MM}
	{@const y = above ? cabinet.y + cabinet.heightMm + font(3) : view.heightMm + font(34)}
	<g
		class="tab"
		class:chosen={tabs.selected === cabinet.id}
		role="button"
		tabindex="0"
		aria-label="Cabinet {cabinet.name}"
		aria-pressed={tabs.selected === cabinet.id}
		onpointerdown={(event) => down(event, cabinet.id)}
		onpointermove={(event) => move(event, cabinet.id)}
		onpointerup={() => up(cabinet.id)}
		onclick={() => click(cabinet.id)}
		onpointercancel={() => {
			from = null;
			tabs.ondrop('');
		}}
		onkeydown={(event) => key(event, cabinet.id)}
	>
		<rect x={cabinet.x + 6} {y} width={Math.max(10, cabinet.widthMm - 12)} height={high} />
		<text
			class="d-text"
			x={cabinet.x + cabinet.widthMm / 2}
			y={y + high / 2 + font(4)}
			font-size={font(11.5)}
			text-anchor="middle">{fitWords(cabinet.name, cabinet.widthMm - 20, font(12))}</text
		>
	</g>
{/each}

<style>
	.tab {
		cursor: ew-resize;
	}
	.tab rect {
		fill: var(--color-base-200);
		stroke: var(--ink-soft);
		stroke-width: 1px;
		vector-effect: non-scaling-stroke;
	}
	.tab:hover rect,
	.tab:focus-visible rect {
		stroke: var(--color-primary);
		stroke-width: 2.4px;
	}
	.tab.chosen {
		touch-action: none;
	}
	.tab.chosen rect {
		fill: var(--color-primary);
		stroke: var(--color-primary);
	}
	.tab.chosen text {
		fill: var(--color-primary-content);
	}
</style>
