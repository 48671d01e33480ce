<script lang="ts">
	import { REACH_BANDS } from '$lib/core/survey';
	import { minutesText } from '$lib/messages/clearing';
	import { secondsText } from '$lib/messages/keeping';
	import { wholeText } from '$lib/messages/numbers';
	import { BAND_WORDS } from '$lib/messages/survey';
	import type { WeekDesk } from '$lib/state/week-desk.svelte';

	let { desk }: { desk: WeekDesk } = $props();
	const { now, plan } = $derived(desk.weeks);
	const missed = $derived((desk.view === 'plan' ? plan : now)?.missed ?? []);
	const dearest = $derived(((desk.view === 'plan' ? plan : now) ?? now).byGroup.slice(0, 5));
</script>

<h2 class="mb-2">Your routines, a week</h2>
<table class="w-full">
	<thead
		><tr class="soft text-sm"
			><th></th><th class="text-right font-normal">now</th>{#if plan}<th
					class="text-right font-normal">plan</th
				>{/if}</tr
		></thead
	>
	<tbody>
		{#snippet line(name: string, of: (week: typeof now) => string, title = '')}
			<tr class="rule-top" {title}
				><th class="py-1 text-left font-medium">{name}</th><td
					class="measure pl-3 text-right whitespace-nowrap">{of(now)}</td
				>{#if plan}<td class="measure pl-3 text-right whitespace-nowrap">{of(plan)}</td>{/if}</tr
			>
		{/snippet}
		{@render line('time', (week) => minutesText(week.seconds / 60))}
		{@render line('metres walked', (week) => wholeText(week.metres))}
		{@render line('doors and drawers opened', (week) => wholeText(week.opened))}
		{#each REACH_BANDS as band (band)}
			{@render line(`${band} reaches`, (week) => wholeText(week.reaches[band]), BAND_WORDS[band])}
		{/each}
	</tbody>
</table>
{#if desk.whole}
	<p class="soft mt-2 text-sm">
		All walking in a week, with what is in no routine: {wholeText(desk.whole.now)} m{desk.whole
			.plan === null
			? ''
			: ` now, ${wholeText(desk.whole.plan)} m planned`}, as Place counts it.
	</p>
{/if}
{#if missed.length}
	<p class="mt-2 text-sm">
		Left out, since they have no place or cannot be reached: {missed
			.map((id) => desk.home.groups[id]?.name ?? '')
			.filter(Boolean)
			.join(', ')}.
	</p>
{/if}
{#if dearest.length}
	<h2 class="rule-top mt-4 pt-3">What costs most</h2>
	<ol>
		{#each dearest as { groupId, seconds } (groupId)}
			<li class="rule-top flex justify-between py-1.5">
				<span>{desk.home.groups[groupId]?.name}</span><span class="measure"
					>{secondsText(seconds)}</span
				>
			</li>
		{/each}
	</ol>
	<a class="link mt-1 inline-block" href="/home/{desk.home.id}/place"
		>See in Place which change saves most</a
	>
{/if}
