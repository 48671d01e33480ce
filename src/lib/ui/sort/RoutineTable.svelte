<script lang="ts">
	import { metresText, timesText } from '$lib/messages/routines';
	import type { RoutinesDesk } from '$lib/state/routines-desk.svelte';

	/** All routines with the metres of a round, as things stand and in the plan. */
	let { desk }: { desk: RoutinesDesk } = $props();
	const { plan, routines } = $derived(desk);
</script>

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
				{@const own = desk.walksOf(id)}
				<tr class="rule-top" class:chosen={id === desk.picked}>
					<th class="text-left font-medium">
						<button class="row" aria-pressed={id === desk.picked} onclick={() => desk.pick(id)}
							>{name}</button
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
				<td class="measure pl-3 text-right">{Math.round(desk.metresAWeek('now'))} m</td>
				{#if plan}<td class="measure pl-3 text-right">{Math.round(desk.metresAWeek('plan'))} m</td
					>{/if}
			</tr>
		</tfoot>
	</table>
</div>

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
</style>
