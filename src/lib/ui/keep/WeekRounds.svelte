<script lang="ts">
	import { secondsText } from '$lib/messages/keeping';
	import { fixedText } from '$lib/messages/numbers';
	import type { WeekDesk } from '$lib/state/week-desk.svelte';

	let { desk }: { desk: WeekDesk } = $props();
</script>

<table class="mt-4 w-full max-w-3xl" aria-label="Each routine, one round">
	<thead
		><tr class="soft text-left text-sm"
			><th class="font-normal">One round</th><th class="pl-3 text-right font-normal">now</th
			>{#if desk.hasPlan}<th class="pl-3 text-right font-normal">plan</th>{/if}</tr
		></thead
	>
	<tbody>
		{#each desk.rounds as { routine, now, plan } (routine.id)}
			<tr class="rule-top">
				<th class="text-left font-medium"
					><button
						class="row"
						aria-pressed={routine.id === desk.routine?.id}
						onclick={() => desk.choose(routine.id)}>{routine.name}</button
					></th
				>
				<td class="measure pl-3 text-right"
					>{secondsText(now.seconds)}, {fixedText(now.metres, 1)} m</td
				>
				{#if plan}<td class="measure pl-3 text-right"
						>{secondsText(plan.seconds)}, {fixedText(plan.metres, 1)} m</td
					>{/if}
			</tr>
		{/each}
	</tbody>
</table>

<style>
	.row {
		min-height: 44px;
		width: 100%;
		text-align: left;
		cursor: pointer;
	}
	.row[aria-pressed='true'] {
		font-weight: 700;
	}
</style>
