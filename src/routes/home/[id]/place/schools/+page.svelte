<script lang="ts">
	import Play from '@lucide/svelte/icons/play';
	import Square from '@lucide/svelte/icons/square';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { SchoolsDesk } from '$lib/state/schools-desk.svelte';
	import { createPlaceClient } from '$lib/workers/place.client';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';
	import SchoolPlan from '$lib/ui/place/SchoolPlan.svelte';
	import SchoolsPanel from '$lib/ui/place/SchoolsPanel.svelte';

	const desk = new SchoolsDesk({ store: getHomeStore(), newId, now, runner: createPlaceClient() });
	const home = $derived(desk.home);
	const { compare } = desk;
	$effect(() => () => compare.stop());
</script>

<Bench
	raised={!!desk.group}
	panel={compare.plans.length ? panel : undefined}
	panelLabel="Group by group"
	onclose={() => (desk.groupId = null)}
>
	<PlaceHead>
		{#if compare.running !== null}
			<span role="status" class="measure">plan {compare.running + 1} of 4 …</span>
			<button class="btn" onclick={() => compare.stop()}><Square size={18} />Stop</button>
		{:else}
			<button
				class="btn"
				class:btn-primary={!compare.plans.length}
				onclick={() => desk.start()}
				disabled={!Object.keys(home.groups).length}><Play size={18} />Plan by four schools</button
			>
		{/if}
	</PlaceHead>
	{#if compare.failure}
		<p role="alert" class="mb-3" style="color:var(--color-error)">
			The plan was not computed: {compare.failure} Your plan is still here.
		</p>
	{/if}
	{#if !compare.plans.length && compare.running === null}
		<EmptyNote title="People disagree, and each is right somewhere">
			<p>
				Cups by the kettle or by the dishwasher? Change little or start afresh? Room to grow or use
				every inch? Plan it each way, and see what it would mean in this home.
			</p>
		</EmptyNote>
	{/if}
	<div class="plans">
		{#each compare.plans as each (each.variant.key)}
			<SchoolPlan {desk} {each} />
		{/each}
	</div>
</Bench>

{#snippet panel()}<SchoolsPanel {desk} />{/snippet}

<style>
	.plans {
		display: grid;
		gap: 1.6rem 2rem;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
	}
</style>
