<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { RoutinesDesk } from '$lib/state/routines-desk.svelte';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import RoutineSheet from '$lib/ui/sort/RoutineSheet.svelte';
	import RoutineTable from '$lib/ui/sort/RoutineTable.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';
	import UsualRoutines from '$lib/ui/sort/UsualRoutines.svelte';

	const desk = new RoutinesDesk({ store: getHomeStore(), newId });
	const home = $derived(desk.home);
	const { chosen, plan, routines, usual, walk } = $derived(desk);
</script>

<Bench
	raised={!!chosen}
	chosen={desk.picked}
	panel={chosen ? sheet : undefined}
	panelLabel="Routine"
	onclose={() => desk.close()}
>
	<SortHead>
		<button class="btn" onclick={() => desk.addOwn()}><Plus size={18} />Routine of our own</button>
	</SortHead>
	<p class="soft mb-3 max-w-3xl">
		What you do, step by step: which groups you fetch, and where you stand. Groups used one after
		the other belong close together; Proposed makes them partners, and Place keeps partners near.
	</p>
	{#if routines.length}
		<RoutineTable {desk} />
		{#if desk.isMapped}
			<div class="mt-4 mb-2 flex flex-wrap items-center gap-3">
				<h2>{chosen ? `${chosen.name}, as it is walked` : 'The walk'}</h2>
				{#if plan && chosen}
					<fieldset class="flex items-center gap-3">
						<legend class="sr-only">Walk it</legend>
						<label class="flex min-h-11 items-center gap-1"
							><input type="radio" bind:group={desk.view} value="now" />as things stand now</label
						>
						<label class="flex min-h-11 items-center gap-1"
							><input type="radio" bind:group={desk.view} value="plan" />in the plan</label
						>
					</fieldset>
				{/if}
			</div>
			{#if !chosen}<p class="soft mb-2">Choose a routine to see its route on the plan.</p>{/if}
			<PlanView {home} walks={walk?.paths ?? []} maxPx={420} />
		{/if}
	{:else if !usual.length}
		<EmptyNote title="No routines yet">
			<p>
				A routine needs groups to fetch. Group your things first, or write a routine of your own.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/sort">Show the groups</a>
		</EmptyNote>
	{/if}
	{#if usual.length}
		<UsualRoutines {desk} />
	{/if}
</Bench>

{#snippet sheet()}
	{#if chosen}
		{#key chosen.id}
			<RoutineSheet
				routine={chosen}
				stops={walk?.stops ?? []}
				onremove={() => desk.remove(chosen)}
			/>
		{/key}
	{/if}
{/snippet}
