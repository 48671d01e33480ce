<script lang="ts">
	import { formatLength } from '$lib/core/model';
	import { shelfMoveText, shelvesText } from '$lib/messages/fitting';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
</script>

{#if desk.canSetShelves}
	<section aria-label="Shelf heights" class="rule-top mt-3 pt-3">
		<h2>Shelf heights</h2>
		{#if desk.shelves}
			<ul class="mb-2">
				{#each desk.shelves.moves as move (move.nookId)}<li class="py-0.5">
						{shelfMoveText(home, move)}
					</li>{/each}
			</ul>
			<p class="mb-2">{shelvesText(home, desk.shelves)}</p>
			<p class="soft mb-2 text-sm">
				Clear heights from below: {desk.shelves.levels
					.map(({ heightMm }) => formatLength(heightMm, home.units))
					.join(', ')}. Empty a shelf before you lift it, check that all its pins are in, and
				measure again.
			</p>
			{#if !desk.shelves.against.length}<button class="btn" onclick={() => desk.setShelves()}
					>The shelves stand so now</button
				>{/if}
		{:else if desk.shelves === null}
			<p class="soft">They stand well: no other heights would hold more whole groups.</p>
		{:else}
			<button class="btn" onclick={() => desk.lookAtShelves()}
				>Would other heights hold more?</button
			>
		{/if}
	</section>
{/if}
