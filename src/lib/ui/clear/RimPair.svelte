<script lang="ts">
	import type { RimPiece } from '$lib/core/clearing';

	let { vessel, lid }: { vessel: RimPiece; lid: RimPiece } = $props();
	/** All pairs at one scale, so that sizes can be told by eye: 400 mm across the drawing. */
	const SIDE = 400;
	const turned = $derived(
		Math.abs(vessel.widthMm - lid.widthMm) > Math.abs(vessel.widthMm - lid.depthMm)
	);
	const size = (rim: RimPiece, turn: boolean) => ({
		w: Math.min(SIDE, turn ? rim.depthMm : rim.widthMm),
		h: Math.min(SIDE, turn ? rim.widthMm : rim.depthMm)
	});
	const a = $derived(size(vessel, false));
	const b = $derived(size(lid, turned));
</script>

<svg width="76" height="76" viewBox="0 0 {SIDE} {SIDE}" aria-hidden="true" class="shrink-0">
	{#if vessel.shape === 'round'}
		<circle cx={SIDE / 2} cy={SIDE / 2} r={a.w / 2} class="d-carcass" />
		<circle cx={SIDE / 2} cy={SIDE / 2} r={b.w / 2} class="lid" />
	{:else}
		<rect
			x={(SIDE - a.w) / 2}
			y={(SIDE - a.h) / 2}
			width={a.w}
			height={a.h}
			rx="14"
			class="d-carcass"
		/>
		<rect x={(SIDE - b.w) / 2} y={(SIDE - b.h) / 2} width={b.w} height={b.h} rx="14" class="lid" />
	{/if}
</svg>

<style>
	.lid {
		fill: color-mix(in oklab, var(--color-primary) 16%, transparent);
		stroke: var(--color-primary);
		stroke-width: 1.2px;
		stroke-dasharray: 4 3;
		vector-effect: non-scaling-stroke;
	}
</style>
