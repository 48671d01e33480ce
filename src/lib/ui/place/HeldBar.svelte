<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { PlaceDesk } from '$lib/state/place-desk.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	let { desk }: { desk: PlaceDesk } = $props();
</script>

<!-- Over the head of the screen: nothing on the drawing moves while something is in hand. -->
{#if desk.held && desk.heldGroup}
	<div class="held">
		<p class="grow" role="status">
			You hold <TagChip group={desk.heldGroup} />
			{#if desk.heldShare > 0 && desk.heldShare < 0.999}{Math.round(desk.heldShare * 100)} % of it; the
				rest stays where it is.{/if}
			Tap a place<span class="with-keys">, or press Enter on one,</span> to put it down. The figures are
			metres a week more or less.
		</p>
		<button
			class="btn"
			onclick={() => {
				desk.letGo();
				desk.close();
			}}><X size={18} />Cancel<kbd class="kbd kbd-sm with-keys">Esc</kbd></button
		>
	</div>
{/if}

<style>
	.held {
		position: fixed;
		top: 4px;
		left: 96px;
		right: 12px;
		z-index: 30;
		display: flex;
		align-items: center;
		gap: 0.5rem;
		padding: 0.4rem 0.5rem 0.4rem 0.75rem;
		background: var(--color-base-100);
		border: 2px solid var(--color-primary);
	}
	@media (max-width: 767px) {
		.held {
			left: 8px;
			right: 8px;
		}
	}
</style>
