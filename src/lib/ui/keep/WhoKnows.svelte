<script lang="ts">
	import type { PracticeDesk } from '$lib/state/practice-desk.svelte';

	/** How much each person knows, and which notes may come down. */
	let { desk }: { desk: PracticeDesk } = $props();
	const home = $derived(desk.home);
</script>

<h2 class="mb-1">Who knows what</h2>
<ul>
	{#each desk.people as { id, name } (id)}
		<li class="rule-top py-2">
			<span class="flex justify-between"
				><b>{name}</b><span class="measure">{desk.knownOf(id)} of {desk.knowing.of}</span></span
			>
			<progress
				class="progress w-full"
				value={desk.knownOf(id)}
				max={desk.knowing.of}
				aria-label="{name} knows {desk.knownOf(id)} of {desk.knowing.of}"
			></progress>
		</li>
	{/each}
</ul>
<h2 class="rule-top mt-4 pt-3">Notes on the doors</h2>
{#if desk.knowing.isAll}
	<p>Everybody knows all of it: the notes may come down.</p>
{:else if desk.knowing.downNookIds.length}
	<p>
		May come down: {desk.knowing.downNookIds.map((id) => home.nooks[id]?.name).join(', ')}. The
		others stay up for now.
	</p>
{:else}
	<p>All stay up until everybody knows what is behind them.</p>
{/if}
