<script lang="ts">
	import Play from '@lucide/svelte/icons/play';
	import Square from '@lucide/svelte/icons/square';
	import { formatVolume, type Assignment, type Group } from '$lib/core/model';
	import { groupsElsewhere, toZonePlan } from '$lib/core/zoning';
	import { signedText, wholeText } from '$lib/messages/numbers';
	import { schoolText } from '$lib/messages/zoning';
	import { now } from '$lib/state/clock.svelte';
	import { Compare, type ComparedPlan } from '$lib/state/compare.svelte';
	import { command } from '$lib/core/commands';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { createPlaceClient } from '$lib/workers/place.client';
	import MiniFront from '$lib/ui/drawing/MiniFront.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const compare = new Compare(createPlaceClient());
	$effect(() => () => compare.stop());
	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	const countOn = (runId: string) =>
		Object.values(home.cabinets).filter((cabinet) => cabinet.runId === runId).length;
	const runs = $derived(
		Object.values(home.runs)
			.filter((run) => countOn(run.id) > 0)
			.sort((a, b) => countOn(b.id) - countOn(a.id))
			.slice(0, 3)
	);
	let groupId = $state<string | null>(null);
	const group = $derived(groupId ? home.groups[groupId] : undefined);
	function groupsIn(assignments: readonly Assignment[]) {
		const found = new Map<string, Group[]>();
		for (const { groupId: id, nookId } of assignments) {
			const own = home.groups[id];
			if (own) found.set(nookId, [...(found.get(nookId) ?? []), own]);
		}
		return found;
	}
	const placesText = (assignments: readonly Assignment[], id: string) =>
		assignments
			.filter((assignment) => assignment.groupId === id)
			.map(({ nookId }) => home.nooks[nookId]?.name ?? '')
			.join(' and ') || 'without a place';
	function take({ variant, result }: ComparedPlan) {
		const record = toZonePlan(result, newId(), schoolText(variant), now());
		store.runAll(`plan: ${schoolText(variant).toLowerCase()}`, [
			command('chooseSchools', variant.schools),
			command('adoptPlan', record)
		]);
	}
	const first = $derived(compare.plans[0]);
	const FIGURES = [
		['metres walked a week', 'metresPerWeek'],
		['bends, stretches, stools a week', 'hardReaches'],
		['groups to move', 'groupsToMove']
	] as const;
	/** Groups that are not everywhere in the same place. */
	const disputed = $derived([
		...new Set(
			compare.plans.flatMap(({ result }) =>
				first ? groupsElsewhere(first.result.assignments, result.assignments) : []
			)
		)
	]);
</script>

<Bench
	raised={!!group}
	panel={compare.plans.length ? panel : undefined}
	panelLabel="Group by group"
	onclose={() => (groupId = null)}
>
	<PlaceHead>
		{#if compare.running !== null}
			<span role="status" class="measure">plan {compare.running + 1} of 4 …</span>
			<button class="btn" onclick={() => compare.stop()}><Square size={18} />Stop</button>
		{:else}
			<button
				class="btn"
				class:btn-primary={!compare.plans.length}
				onclick={() => compare.start(home)}
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
			{@const groups = groupsIn(each.result.assignments)}
			<section class="plan" aria-label={schoolText(each.variant)}>
				<h2>{schoolText(each.variant)}</h2>
				<div class="walls">
					{#each runs as run (run.id)}
						<MiniFront
							{home}
							{run}
							{groups}
							chosen={groupId}
							heightPx={200}
							ongroup={(id) => (groupId = groupId === id ? null : id)}
						/>
					{/each}
				</div>
				<dl>
					{#each FIGURES as [word, key] (key)}
						<dt>{word}</dt>
						<dd class="measure">{wholeText(each.score[key])}</dd>
						<dd class="measure soft">
							{first && each !== first ? signedText(each.score[key] - first.score[key]) : ''}
						</dd>
					{/each}
					<dt>to carry</dt>
					<dd class="measure">{formatVolume(each.score.litresToCarryMl)}</dd>
					<dd></dd>
					{#if each.score.overflow}<dt style="color:var(--color-error)">without a place</dt>
						<dd class="measure" style="color:var(--color-error)">{each.score.overflow}</dd>
						<dd></dd>{/if}
				</dl>
				<button class="btn mt-2" onclick={() => take(each)}>Take this plan</button>
			</section>
		{/each}
	</div>
</Bench>

{#snippet panel()}
	{#if group}
		<h2 class="mb-2"><TagChip {group} /></h2>
		<ul>
			{#if plan}
				<li class="rule-top py-2">
					<span class="soft">your plan</span><br />{placesText(plan.assignments, group.id)}
				</li>
			{/if}
			{#each compare.plans as each (each.variant.key)}
				{@const there = placesText(each.result.assignments, group.id)}
				<li class="rule-top py-2">
					<span class="soft">{schoolText(each.variant)}</span><br />{there}
					{#if plan && there !== placesText(plan.assignments, group.id)}
						<button
							class="btn mt-1"
							onclick={() =>
								store.run(
									`${group.name} as in “${schoolText(each.variant).toLowerCase()}”`,
									'takeGroup',
									group.id,
									{ assignments: [...each.result.assignments] }
								)}>Put it there in my plan</button
						>
					{/if}
				</li>
			{/each}
		</ul>
		<button class="btn btn-ghost mt-2" onclick={() => (groupId = null)}>All groups</button>
	{:else}
		<h2 class="mb-1">Where they disagree</h2>
		<p class="soft mb-2">
			{disputed.length} of {Object.keys(home.groups).length} groups end up in different places. Choose
			one, here or on a drawing, to take just its place.
		</p>
		<ul>
			{#each disputed as id (id)}
				{#if home.groups[id]}
					<li class="rule-top">
						<button class="min-h-11 w-full cursor-pointer text-left" onclick={() => (groupId = id)}
							><TagChip group={home.groups[id]!} /></button
						>
					</li>
				{/if}
			{/each}
		</ul>
	{/if}
{/snippet}

<style>
	.plans {
		display: grid;
		gap: 1.6rem 2rem;
		grid-template-columns: repeat(auto-fit, minmax(min(100%, 380px), 1fr));
	}
	.plan {
		min-width: 0;
		border-top: 2.6px solid var(--color-base-content);
		padding-top: 0.5rem;
	}
	.walls {
		display: flex;
		align-items: flex-end;
		gap: 0.5rem;
		overflow-x: auto;
	}
	dl {
		display: grid;
		grid-template-columns: 1fr auto 4.5rem;
		gap: 0.1rem 0.8rem;
	}
	dd {
		text-align: right;
	}
</style>
