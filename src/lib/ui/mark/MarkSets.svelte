<script lang="ts">
	import { SET_NAMES } from '$lib/messages/marking';
	import type { MarkDesk } from '$lib/state/mark-desk.svelte';

	/** What labels are made for, and whether all of them or those that are new. */
	let { desk }: { desk: MarkDesk } = $props();
	const home = $derived(desk.home);
</script>

<div class="mb-2 flex flex-wrap items-center gap-3">
	<div class="join" role="group" aria-label="Labels for">
		{#each desk.sets as set (set)}
			<button
				class="btn join-item"
				class:btn-primary={desk.set === set}
				aria-pressed={desk.set === set}
				onclick={() => desk.setSet(set)}>{SET_NAMES[set]}</button
			>
		{/each}
	</div>
	{#if !desk.sets.includes('places')}<a class="link" href="/home/{home.id}/place"
			>Shelves and drawers get theirs from a plan</a
		>{:else if !desk.sets.includes('containers')}<a class="link" href="/home/{home.id}/fit"
			>Containers get theirs once they are kept in Fit</a
		>{/if}
	{#if desk.unprinted.length}
		<label class="flex items-center gap-1.5"
			><input class="checkbox" type="checkbox" bind:checked={desk.onlyUnprinted} />only the {desk
				.unprinted.length} not printed yet</label
		>
	{/if}
	{#if desk.lookAt.length}
		<label class="flex items-center gap-1.5"
			><input class="checkbox" type="checkbox" bind:checked={desk.onlyChanged} />only the {desk
				.lookAt.length} to look at again</label
		>
	{/if}
</div>
