<script lang="ts">
	import { countText, listText, wholeText } from '$lib/messages/numbers';
	import { worseText } from '$lib/messages/zoning';
	import type { Home, ZonePlan } from '$lib/core/model';
	import { REACH_BANDS } from '$lib/core/survey';
	import { worseThanToday } from '$lib/core/zoning';
	import type { FreeSpace, PlanTotals } from '$lib/core/zoning';
	import { keptEmptyText } from '$lib/messages/zoning';
	import PlanProof from './PlanProof.svelte';
	import { BAND_WORDS } from '$lib/messages/survey';

	interface Props {
		home: Home;
		plan: ZonePlan;
		/** The plan was computed from something else: what it says of that is left out. */
		stale: boolean;
		/** As things stand today, and as the plan has them. */
		before: PlanTotals;
		after: PlanTotals;
		free: FreeSpace;
		/** Weekly effort of the plan as it stands, moves by hand included. */
		effort: number;
		/** Groups that stand today where a rule forbids it. */
		brokenNow: readonly string[];
		/** It breaks a hard rule. */
		broken: boolean;
	}
	let { home, plan, stale, before, after, free, effort, brokenNow, broken }: Props = $props();
	const worse = $derived(worseThanToday(before, after));
	const names = (ids: readonly string[]) =>
		listText(
			ids.flatMap((id) => home.groups[id]?.name ?? []),
			3
		);
	const without = $derived([...new Set(plan.overflow)]);
</script>

<h2 class="mb-2">The whole week</h2>
<table class="w-full">
	<thead
		><tr class="soft text-sm"
			><th class="text-left font-normal">a week</th><th class="text-right font-normal">now</th><th
				class="text-right font-normal">plan</th
			></tr
		></thead
	>
	<tbody class="measure">
		<tr
			><th class="text-left font-sans font-medium">metres walked</th><td class="text-right"
				>{wholeText(before.metresPerWeek)}</td
			><td class="text-right">{wholeText(after.metresPerWeek)}</td></tr
		>
		{#each REACH_BANDS as band (band)}
			<tr title={BAND_WORDS[band]}
				><th class="text-left font-sans font-medium">{band} reaches</th><td class="text-right"
					>{wholeText(before.reachesPerWeek[band])}</td
				><td class="text-right">{wholeText(after.reachesPerWeek[band])}</td></tr
			>
		{/each}
	</tbody>
</table>
{#if worse.length}
	<p class="mt-2 text-sm" role="note">
		{worseText(worse)}
		{brokenNow.length
			? `Today these are where a rule forbids it, and the plan moves them: ${names(brokenNow)}.`
			: 'It keeps more of your preferences and usual places, which count against walking.'}
	</p>
{/if}
<PlanProof {plan} {effort} {stale} {broken} />
<p class="soft mt-2 text-sm">
	{#if without.length}
		<b>{countText(without.length, 'group')} without a place: {names(without)}.</b>
		{free.empty} of {free.places} places are empty ({Math.round(free.share * 100)} % of the space), but
		none that suits {without.length === 1 ? 'it' : 'them'}.
	{:else}
		{free.empty} of {free.places} places stay empty; {Math.round(free.share * 100)} % of the space is
		free.
	{/if}
	{stale ? '' : keptEmptyText(home, plan)}
</p>
