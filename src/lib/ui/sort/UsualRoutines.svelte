<script lang="ts">
	import { stepText, timesText } from '$lib/messages/routines';
	import type { RoutinesDesk } from '$lib/state/routines-desk.svelte';

	let { desk }: { desk: RoutinesDesk } = $props();
</script>

<div class="mt-6 mb-1 flex flex-wrap items-end justify-between gap-2">
	<h2>Routines you may have</h2>
	<button class="btn" class:btn-primary={!desk.routines.length} onclick={() => desk.takeAll()}
		>Take all {desk.usual.length}</button
	>
</div>
<ul aria-label="Usual routines">
	{#each desk.usual as draft (draft.name)}
		<li class="rule-top usual">
			<span class="min-w-0">
				<b>{draft.name}</b>, <span class="measure">{timesText(draft.timesPerWeek)}</span> a week
				<span class="soft block text-sm"
					>{draft.steps.map((step) => stepText(desk.home, step)).join(' → ')}</span
				>
			</span>
			<button class="btn" aria-label="Take: {draft.name}" onclick={() => desk.add(draft)}
				>Take it</button
			>
		</li>
	{/each}
</ul>

<style>
	.usual {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 1rem;
		align-items: center;
		padding: 0.5rem 0;
	}
</style>
