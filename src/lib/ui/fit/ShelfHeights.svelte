<script lang="ts">
	import { formatLength } from '$lib/core/model';
	import { shelfMoveText, shelvesText } from '$lib/messages/fitting';
	import { getHomeStore } from '$lib/state/context';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';
	import { ShelvesDesk } from '$lib/state/shelves-desk.svelte';
	import { createHeightsClient } from '$lib/workers/heights.client';

	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
	const shelves = new ShelvesDesk({
		store: getHomeStore(),
		runner: createHeightsClient(),
		nookId: () => desk.nookId,
		isTooLow: () => desk.isTooLow
	});
	const setting = $derived(shelves.setting);
	$effect(() => shelves.offer());
	$effect(() => () => shelves.leave());
</script>

{#if shelves.canSet}
	<section aria-label="Shelf heights" class="rule-top mt-3 pt-3">
		<h2>Shelf heights</h2>
		{#if desk.isTooLow}<p class="mb-2">
				Something is too tall for this place as the shelves stand.
			</p>{/if}
		{#if setting}
			<ul class="mb-2">
				{#each setting.moves as move (move.nookId)}<li class="py-0.5">
						{shelfMoveText(home, move)}
					</li>{/each}
			</ul>
			<p class="mb-2">{shelvesText(home, setting)}</p>
			<p class="soft mb-2 text-sm">
				Clear heights from below: {setting.levels
					.map(({ heightMm }) => formatLength(heightMm, home.units))
					.join(', ')}. Empty a shelf before you lift it, check that all its pins are in, and
				measure again.
			</p>
			{#if !setting.against.length}<button class="btn" onclick={() => shelves.set()}
					>The shelves stand so now</button
				>{/if}
		{:else if setting === null}
			<p class="soft">They stand well: no other heights would hold more whole groups.</p>
		{:else if shelves.job.isRunning}
			<p role="status">Trying other heights …</p>
		{:else}
			{#if shelves.job.failure}<p role="alert" class="text-error mb-2">
					Not looked at: {shelves.job.failure}
				</p>{/if}
			<button class="btn" onclick={() => void shelves.look()}>Would other heights hold more?</button
			>
		{/if}
	</section>
{/if}
