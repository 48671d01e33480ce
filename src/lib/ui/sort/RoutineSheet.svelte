<script lang="ts">
	import { fixedText } from '$lib/messages/numbers';
	import X from '@lucide/svelte/icons/x';
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Routine, StationKind } from '$lib/core/model';
	import { type RoutineStep, type RoutineStop } from '$lib/core/upkeep';
	import { stepText } from '$lib/messages/routines';
	import { getHomeStore } from '$lib/state/context';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	interface Props {
		routine: Routine;
		/** Its steps as they are walked, in the same order. */
		stops: readonly RoutineStop[];
		onremove: () => void;
	}
	let { routine, stops, onremove }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const groups = $derived(
		Object.values(home.groups)
			.filter(({ stockOf }) => !stockOf)
			.sort((a, b) => a.name.localeCompare(b.name))
	);
	const stations = $derived(
		[...new Set(Object.values(home.stations).map(({ kind }) => kind))].sort()
	);
	const nameOf = (step: RoutineStep) => stepText(home, step);
	const steps = (label: string, next: Routine['steps']) =>
		store.run(label, 'changeRoutine', routine.id, { steps: next });
	let added = $state('');
	function add() {
		const [kind, id] = [added.slice(0, 1), added.slice(1)];
		added = '';
		const group = home.groups[id];
		const step: RoutineStep | null =
			kind === '@'
				? { groupId: null, station: id as StationKind }
				: group
					? { groupId: group.id, station: null }
					: null;
		if (step) steps(`${nameOf(step)} in ${routine.name}`, [...routine.steps, step]);
	}
	const MOST_TIMES = 200;
</script>

<h2 class="mb-2 min-h-11">{routine.name}</h2>
<div class="mb-3 grid grid-cols-[minmax(0,1fr)_6rem] gap-2">
	<label class="text-sm font-semibold"
		>Name<input
			class="input font-normal"
			maxlength="200"
			value={routine.name}
			onchange={(event) => {
				const name = event.currentTarget.value.trim();
				if (name) store.run(`name ${name}`, 'changeRoutine', routine.id, { name });
				else event.currentTarget.value = routine.name;
			}}
		/></label
	>
	<label class="text-sm font-semibold"
		>Times a week<input
			class="input measure font-normal"
			type="number"
			min="0"
			max={MOST_TIMES}
			step="0.5"
			value={routine.timesPerWeek}
			onchange={(event) => {
				const times = event.currentTarget.valueAsNumber;
				if (times >= 0 && times <= MOST_TIMES)
					store.run(`${routine.name} ${times} a week`, 'changeRoutine', routine.id, {
						timesPerWeek: times
					});
				else event.currentTarget.value = String(routine.timesPerWeek);
			}}
		/></label
	>
</div>
<ol aria-label="Steps of {routine.name}">
	{#each routine.steps as step, i (i)}
		{@const group = step.groupId ? home.groups[step.groupId] : undefined}
		{@const far = stops[i]?.fromBeforeM}
		<li class="rule-top step">
			<span class="measure soft text-right">{i + 1}</span>
			<span class="min-w-0"
				>{#if group}<TagChip {group} />{:else}<span class="station">{nameOf(step)}</span>{/if}
				<span class="soft block text-sm"
					>{#if far === null || far === undefined}no place yet{:else if i > 0}{fixedText(far, 1)} m on{/if}</span
				></span
			>
			<button
				class="btn btn-ghost"
				disabled={i === 0}
				aria-label="{nameOf(step)} earlier"
				onclick={() => store.run(`${nameOf(step)} earlier`, 'moveStep', routine.id, i, -1)}
				><ArrowUp size={18} /></button
			>
			<button
				class="btn btn-ghost"
				disabled={i === routine.steps.length - 1}
				aria-label="{nameOf(step)} later"
				onclick={() => store.run(`${nameOf(step)} later`, 'moveStep', routine.id, i, 1)}
				><ArrowDown size={18} /></button
			>
			<button
				class="btn btn-ghost"
				aria-label="Take out {nameOf(step)}"
				onclick={() =>
					steps(
						`take ${nameOf(step)} out`,
						routine.steps.filter((_, j) => j !== i)
					)}><X size={18} /></button
			>
		</li>
	{:else}
		<li class="soft">No steps yet. Add what you fetch first.</li>
	{/each}
</ol>
<label class="mt-2 block text-sm font-semibold"
	>Next step<select class="select font-normal" bind:value={added} onchange={add}>
		<option value="">choose a group, or where one stands</option>
		<optgroup label="Groups">
			{#each groups as { id, name } (id)}<option value="#{id}">{name}</option>{/each}
		</optgroup>
		<optgroup label="Where one stands">
			{#each stations as kind (kind)}<option value="@{kind}"
					>{nameOf({ groupId: null, station: kind })}</option
				>{/each}
		</optgroup>
	</select></label
>
<button class="btn btn-ghost mt-3" onclick={onremove}><Trash2 size={18} />Remove the routine</button
>

<style>
	.step {
		display: grid;
		grid-template-columns: 1.4rem minmax(0, 1fr) auto auto auto;
		align-items: center;
		gap: 0.25rem;
		padding: 0.25rem 0;
	}
	@media (pointer: fine) {
		.step .btn {
			padding-inline: 0.3rem;
			min-width: 32px;
		}
	}
	.station {
		font-weight: 600;
		color: var(--color-primary);
	}
</style>
