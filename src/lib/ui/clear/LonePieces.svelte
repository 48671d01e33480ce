<script lang="ts">
	import type { RimsDesk } from '$lib/state/rims-desk.svelte';

	/** Boxes without a lid, lids without a box. */
	let { desk }: { desk: RimsDesk } = $props();
</script>

<section class="mt-5" aria-label="Orphans">
	<h2 class="mb-1">Without their other half</h2>
	<ul>
		{#each desk.orphans as key (key)}
			{@const piece = desk.pieceOf(key)}
			{@const misses = desk.missesOf(key)}
			<li class="rule-top flex flex-wrap items-center gap-x-4 py-2">
				<span class="min-w-0 flex-1">
					<b>{desk.nameOf(key)}</b>
					<span class="soft measure">{piece ? desk.rimText(piece) : ''}</span>
					{#if misses.length}
						<span class="block text-sm"
							>Near: {misses.map(({ name, offMm }) => `${name}, ${offMm} mm off`).join('; ')}. Try
							it once by hand.</span
						>
					{/if}
				</span>
				<button class="btn" onclick={() => desk.recycle(key)}>Recycle it</button>
			</li>
		{/each}
	</ul>
	<p class="soft mt-2">
		Have one look for the other half: in the sink, the dishwasher, the fridge, the lunch bags.
	</p>
</section>
