<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import { freezeFill } from '$lib/core/clearing';
	import { volumeWays } from '$lib/core/model';
	import type { CapacityDesk } from '$lib/state/capacity-desk.svelte';

	/** The label for the base of a container, with what it holds. */
	let { desk, name }: { desk: CapacityDesk; name: string } = $props();
</script>

<section aria-label="Base label">
	{#if desk.ml > 0}
		<div class="label">
			{#if name.trim()}<b>{name}</b>{/if}
			<span class="big measure">{desk.ways.metric}</span>
			<span class="measure">{desk.ways.cups} · {desk.ways.flOz} · {desk.ways.quarts}</span>
			<span class="measure">to freeze: fill to {volumeWays(freezeFill(desk.ml)).metric}</span>
		</div>
		<p class="soft no-print mt-2">
			Liquids swell by about a tenth as they freeze; leave that much room.
		</p>
		<button class="btn no-print mt-2" onclick={() => window.print()}
			><Printer size={18} />Print the base label</button
		>
	{:else}
		<p class="soft">The label for its base shows here once the numbers are in.</p>
	{/if}
</section>

<style>
	.label {
		display: flex;
		flex-direction: column;
		align-items: center;
		gap: 0.15rem;
		width: 64mm;
		min-height: 34mm;
		justify-content: center;
		padding: 3mm;
		background: var(--paper);
		color: #1b2836;
		border: 1.3px solid #1b2836;
		text-align: center;
		font-size: 0.9rem;
	}
	.big {
		font-size: 1.7rem;
		font-weight: 700;
		line-height: 1.1;
	}
</style>
