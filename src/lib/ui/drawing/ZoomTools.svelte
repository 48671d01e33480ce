<script lang="ts">
	import Maximize from '@lucide/svelte/icons/maximize';
	import Minus from '@lucide/svelte/icons/minus';
	import Plus from '@lucide/svelte/icons/plus';
	import type { Zoom } from './zoom.svelte';

	let { zoom, name }: { zoom: Zoom; name: string } = $props();
</script>

<div class="join no-print" role="group" aria-label="Size of the drawing of {name}">
	<button
		class="btn join-item"
		onclick={() => zoom.smaller()}
		disabled={zoom.isWhole}
		aria-label="Smaller"><Minus size={18} /></button
	>
	<button class="btn join-item" onclick={() => zoom.larger()} aria-label="Larger"
		><Plus size={18} /></button
	>
	{#if !zoom.isWhole}
		<button class="btn join-item" onclick={() => zoom.whole()} aria-label="Show all of it"
			><Maximize size={18} /></button
		>
	{/if}
</div>

<style>
	.join {
		position: absolute;
		right: 0;
		top: 0;
		z-index: 3;
	}
	/* With a mouse or keys they come when one is at the drawing; they would lie over a corner of it else. */
	@media (hover: hover) and (min-width: 641px) {
		.join:not(:focus-within) {
			opacity: 0;
		}
		:global(.zooms:hover) > .join,
		:global(.zooms:focus-within) > .join {
			opacity: 1;
		}
	}
	@media (max-width: 640px), (hover: none) {
		.join {
			position: static;
			display: flex;
			justify-content: flex-end;
			margin-top: 0.4rem;
		}
	}
	.btn {
		padding-inline: 0.65rem;
	}
</style>
