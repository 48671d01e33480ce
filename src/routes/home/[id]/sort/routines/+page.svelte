<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { proposeRoutines, walkRoutine, type RoutineDraft } from '$lib/core/upkeep';
	import { assignmentNow } from '$lib/core/zoning';
	import { metresText, stepText, timesText } from '$lib/messages/routines';
	import { command } from '$lib/core/commands';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import RoutineSheet from '$lib/ui/sort/RoutineSheet.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const routines = $derived(
		Object.values(home.routines).sort(
			(a, b) => b.timesPerWeek - a.timesPerWeek || (a.id < b.id ? -1 : 1)
		)
	);
	const usual = $derived(proposeRoutines(home));
	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	const now = $derived(assignmentNow(home));
	const walks = $derived(
		new Map(
			routines.map((routine) => [
				routine.id as string,
				{
					now: walkRoutine(home, routine, now),
					plan: plan ? walkRoutine(home, routine, plan.assignments) : null
				}
			])
		)
	);
	const week = (key: 'now' | 'plan') =>
		routines.reduce(
			(sum, { id, timesPerWeek }) => sum + timesPerWeek * (walks.get(id)?.[key]?.metres ?? 0),
			0
		);
	let picked = $state<string | null>(null);
	const chosen = $derived(picked ? home.routines[picked] : undefined);
	let view = $state<'now' | 'plan'>('now');
	const shown = $derived(view === 'plan' && plan ? 'plan' : 'now');
	const walk = $derived(chosen ? walks.get(chosen.id)?.[shown] : null);
	const isMapped = $derived(Object.keys(home.rooms).length > 0);

	function add(draft: RoutineDraft) {
		const id = newId();
		store.run(`routine ${draft.name}`, 'addRoutine', id, draft);
		picked = id;
	}
	const addOwn = () => add({ name: 'Our routine', timesPerWeek: 7, steps: [] });
	const takeAll = () =>
		store.runAll(
			'all usual routines',
			usual.map((each) => command('addRoutine', newId(), each))
		);
</script>

<Bench
	raised={!!chosen}
	chosen={picked}
	panel={chosen ? sheet : undefined}
	panelLabel="Routine"
	onclose={() => (picked = null)}
>
	<SortHead>
		<button class="btn" onclick={addOwn}><Plus size={18} />Routine of our own</button>
	</SortHead>
	<p class="soft mb-3 max-w-3xl">
		What you do, step by step: which groups you fetch, and where you stand. Groups used one after
		the other belong close together; Proposed makes them partners, and Place keeps partners near.
	</p>
	{#if routines.length}
		<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
		<div class="overflow-x-auto" role="region" aria-label="Steps" tabindex="0">
			<table class="w-full max-w-3xl" aria-label="Routines">
				<thead>
					<tr class="soft text-left text-sm">
						<th class="font-normal">Routine</th>
						<th class="pl-3 text-right font-normal">a week</th>
						<th class="pl-3 text-right font-normal">a round, now</th>
						{#if plan}<th class="pl-3 text-right font-normal">in the plan</th>{/if}
					</tr>
				</thead>
				<tbody>
					{#each routines as { id, name, timesPerWeek } (id)}
						{@const own = walks.get(id)}
						<tr class="rule-top" class:chosen={id === picked}>
							<th class="text-left font-medium">
								<button
									class="row"
									aria-pressed={id === picked}
									onclick={() => (picked = picked === id ? null : id)}>{name}</button
								>
							</th>
							<td class="measure pl-3 text-right">{timesText(timesPerWeek)}</td>
							<td class="measure pl-3 text-right">{metresText(own?.now)}</td>
							{#if plan}<td class="measure pl-3 text-right">{metresText(own?.plan)}</td>{/if}
						</tr>
					{/each}
				</tbody>
				<tfoot>
					<tr class="rule-top">
						<th class="py-2 text-left">All of them, a week</th>
						<td></td>
						<td class="measure pl-3 text-right">{Math.round(week('now'))} m</td>
						{#if plan}<td class="measure pl-3 text-right">{Math.round(week('plan'))} m</td>{/if}
					</tr>
				</tfoot>
			</table>
		</div>
		{#if isMapped}
			<div class="mt-4 mb-2 flex flex-wrap items-center gap-3">
				<h2>{chosen ? `${chosen.name}, as it is walked` : 'The walk'}</h2>
				{#if plan && chosen}
					<fieldset class="flex items-center gap-3">
						<legend class="sr-only">Walk it</legend>
						<label class="flex min-h-11 items-center gap-1"
							><input type="radio" bind:group={view} value="now" />as things stand now</label
						>
						<label class="flex min-h-11 items-center gap-1"
							><input type="radio" bind:group={view} value="plan" />in the plan</label
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
		<div class="mt-6 mb-1 flex flex-wrap items-end justify-between gap-2">
			<h2>Routines you may have</h2>
			<button class="btn" class:btn-primary={!routines.length} onclick={takeAll}
				>Take all {usual.length}</button
			>
		</div>
		<ul aria-label="Usual routines">
			{#each usual as draft (draft.name)}
				<li class="rule-top usual">
					<span class="min-w-0">
						<b>{draft.name}</b>, <span class="measure">{timesText(draft.timesPerWeek)}</span> a week
						<span class="soft block text-sm"
							>{draft.steps.map((step) => stepText(home, step)).join(' → ')}</span
						>
					</span>
					<button class="btn" aria-label="Take: {draft.name}" onclick={() => add(draft)}
						>Take it</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</Bench>

{#snippet sheet()}
	{#if chosen}
		{#key chosen.id}
			<RoutineSheet
				routine={chosen}
				stops={walk?.stops ?? []}
				onremove={() => {
					const { id, name } = chosen;
					picked = null;
					store.run(`remove ${name}`, 'removeRoutine', id);
				}}
			/>
		{/key}
	{/if}
{/snippet}

<style>
	.row {
		min-height: 44px;
		width: 100%;
		text-align: left;
		cursor: pointer;
	}
	.row:hover {
		text-decoration: underline;
	}
	td {
		white-space: nowrap;
	}
	tr.chosen {
		background: color-mix(in oklab, var(--color-primary) 12%, transparent);
	}
	.usual {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 1rem;
		align-items: center;
		padding: 0.5rem 0;
	}
</style>
