<script lang="ts">
	import { surveyIssueText } from '$lib/messages/survey';
	import type { WalkDesk } from '$lib/state/walk-desk.svelte';
	import SpaceTable from './SpaceTable.svelte';

	/** What is still to be measured, what looks wrong, and how much room there is. */
	let { desk }: { desk: WalkDesk } = $props();
	const home = $derived(desk.home);
</script>

<h2 class="mb-1">To check</h2>
<ul class="mb-5">
	{#if desk.unmeasured.length}
		<li class="rule-top">
			<a class="flex min-h-11 items-center underline" href="/home/{home.id}/walk/tape"
				>{desk.unmeasured.length}
				{desk.unmeasured.length === 1 ? 'place is' : 'places are'} still to be measured: go to the tape
				list</a
			>
		</li>
	{/if}
	{#each desk.doubts as issue, i (i)}
		<li class="rule-top">
			<button
				class="min-h-11 w-full cursor-pointer py-2 text-left hover:underline"
				onclick={() =>
					issue.cabinetId ? desk.chooseCabinet(issue.cabinetId) : desk.choose(issue.nookId)}
				><b
					>{issue.cabinetId
						? home.cabinets[issue.cabinetId]?.name
						: home.nooks[issue.nookId]?.name}</b
				>: {surveyIssueText(issue, home.units)}</button
			>
		</li>
	{:else}
		{#if !desk.unmeasured.length}<li class="rule-top py-2">Nothing looks wrong.</li>{/if}
	{/each}
</ul>
<h2 class="mb-1">Usable space</h2>
<SpaceTable />
<p class="soft mt-5">
	Choose a place on the drawing to see and change its size, or a cabinet by its tab.
</p>
