<script lang="ts">
	import type { Home } from '$lib/core/model';
	import FrontView from './FrontView.svelte';

	interface Props {
		home: Home;
		selected: string | null;
		onselect: (nookId: string) => void;
		flagged?: ReadonlySet<string>;
	}
	let { home, selected, onselect, flagged }: Props = $props();
	const countOn = (runId: string) =>
		Object.values(home.cabinets).filter((cabinet) => cabinet.runId === runId).length;
	const runs = $derived(
		Object.values(home.runs)
			.filter((run) => countOn(run.id) > 0)
			.sort((a, b) => countOn(b.id) - countOn(a.id))
	);
</script>

<!-- All walls small and side by side: choose a place where it stands. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="strip" role="group" aria-label="All walls: choose a place" tabindex="0">
	{#each runs as run (run.id)}
		<FrontView {home} {run} {selected} {onselect} {flagged} compactPx={128} />
	{/each}
</div>

<style>
	.strip {
		display: flex;
		align-items: flex-end;
		gap: 0.25rem;
		overflow-x: auto;
		padding-bottom: 0.5rem;
	}
</style>
