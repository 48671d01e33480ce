<script lang="ts">
	import { clockText, minutesText } from '$lib/messages/clearing';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { DayDesk } from '$lib/state/day-desk.svelte';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import DayChoice from '$lib/ui/clear/DayChoice.svelte';
	import DayLine from '$lib/ui/clear/DayLine.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';

	const desk = new DayDesk({ store: getHomeStore(), today });
	const { nameOf } = desk;
	const home = $derived(desk.home);
	const { day, plan, ranked } = $derived(desk);
	const WORK = {
		clear: 'Clear',
		empty: 'Take everything out and wipe',
		decide: 'Look through and decide',
		'put-back': 'Put back what stays'
	} as const;
</script>

<Bench panel={choice} panelLabel="What the day is made of">
	<ClearHead />
	{#if !ranked.length}
		<EmptyNote title="Nothing to plan yet">
			<p>A place can be planned once there is something in it. Enter things at the bench.</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to the bench</a>
		</EmptyNote>
	{:else}
		<h2 class="mb-2">Plan of the day</h2>
		<DayLine
			fromMin={day.fromMin}
			stopMin={day.stopMin}
			fixed={day.fixed}
			blocks={plan.blocks}
			{nameOf}
		/>
		<ol class="mt-4" aria-label="Blocks of the day">
			{#each plan.blocks as block, i (i)}
				<li class="rule-top flex flex-wrap items-center gap-x-3 py-1">
					<span class="measure w-28">{clockText(block.fromMin)}–{clockText(block.toMin)}</span>
					<b class="min-w-0 flex-1">{block.nookId ? nameOf(block.nookId) : WORK[block.work]}</b>
					<span class="soft measure">{minutesText(block.toMin - block.fromMin)}</span>
					{#if block.nookId}<a
							class="btn btn-ghost"
							href="/home/{home.id}/clear?place={block.nookId}">Go to it</a
						>{/if}
				</li>
			{:else}
				<li class="rule-top py-3">
					Nothing fits between {clockText(day.fromMin)} and {clockText(day.stopMin)}. Make the day
					longer, or choose a smaller place.
				</li>
			{/each}
		</ol>
		{#if home.schools.clear === 'all-at-once' && plan.taken.length}
			<p class="mt-2">All at once: {plan.taken.map(nameOf).join(', ')}.</p>
		{/if}
		{#if plan.left.length}
			<section class="mt-4" aria-label="Not today">
				<h2 class="mb-1">Not today</h2>
				<p class="soft">
					The stop rule: open nothing that you cannot close again by {clockText(day.stopMin)}.
				</p>
				<ul>
					{#each plan.left as item (item.nookId)}
						<li class="rule-top py-2">
							<b>{nameOf(item.nookId)}</b> needs {minutesText(item.minutes)}; the longest stretch
							left is {minutesText(item.longestMin)}.
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		<p class="soft mt-3">{minutesText(plan.freeMin)} stay free.</p>
	{/if}
</Bench>

{#snippet choice()}<DayChoice {desk} />{/snippet}
