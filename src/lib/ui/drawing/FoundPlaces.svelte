<script lang="ts">
	import { formatVolume, type Run } from '$lib/core/model';
	import type { HiddenPlace } from '$lib/core/survey';
	import { fitWords, type FrontGeometry } from './front-geometry';
	import { hiddenBoxes } from './hidden-geometry';

	interface Props {
		places: readonly HiddenPlace[];
		view: FrontGeometry;
		run: Run;
		/** Turns px on the screen into mm on the drawing. */
		font: (px: number) => number;
		chosen: string | null;
		onchoose: ((place: HiddenPlace) => void) | undefined;
	}
	let { places, view, run, font, chosen, onchoose }: Props = $props();
	const found = $derived(hiddenBoxes(places, view, run));
</script>

<!-- Places that the home has and does not use yet: dashed. -->
{#each found as box (box.place.key)}
	<g
		class="found"
		class:chosen={chosen === box.place.key}
		role="button"
		tabindex="0"
		aria-label="Found: {box.place.where}, {formatVolume(box.place.gainMl)}"
		aria-pressed={chosen === box.place.key}
		onclick={() => onchoose?.(box.place)}
		onkeydown={(event) => {
			if (event.key !== 'Enter' && event.key !== ' ') return;
			event.preventDefault();
			onchoose?.(box.place);
		}}
	>
		<rect x={box.x} y={box.y} width={box.w} height={box.h} />
		{#if box.h > font(15) && box.w > font(40)}
			<text
				x={box.x + box.w / 2}
				y={box.y + box.h / 2 + font(4)}
				font-size={font(11.5)}
				text-anchor="middle">{fitWords(`+${formatVolume(box.place.gainMl)}`, box.w, font(12))}</text
			>
		{/if}
	</g>
{/each}

<style>
	.found {
		cursor: pointer;
	}
	.found rect {
		fill: transparent;
		stroke: var(--color-primary);
		stroke-width: 1.6px;
		stroke-dasharray: 6 4;
		vector-effect: non-scaling-stroke;
	}
	.found text {
		paint-order: stroke;
		stroke: var(--color-base-100);
		stroke-width: 4px;
		vector-effect: non-scaling-stroke;
		fill: var(--color-primary);
		font-family: var(--font-mono);
		font-weight: 700;
	}
	.found:hover rect,
	.found.chosen rect,
	.found:focus-visible rect {
		fill: color-mix(in oklab, var(--color-primary) 18%, transparent);
		stroke-width: 2.6px;
	}
</style>
