<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import { tallyHome, type PlaceTally } from '$lib/core/clearing';
	import { tallyCsv, tallyMarkdown, type ReportWords } from '$lib/core/interchange/reports';
	import { addDays, instantOn, formatMoney, formatVolume } from '$lib/core/model';
	import { minutesText, VERDICT_WORDS } from '$lib/messages/clearing';
	import { now, today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';

	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	let span = $state<'day' | 'month' | 'ever'>('ever');
	/** From the first minute of that day, as people here count it. */
	const since = $derived(
		span === 'ever' ? '' : instantOn(span === 'day' ? today() : addDays(today(), -30), 0)
	);
	const found = $derived(tallyHome(home, since, now()));
	const most = $derived(Math.max(1, ...found.places.map((place) => place.beforeMl)));
	const words: ReportWords = $derived({
		verdict: VERDICT_WORDS,
		volume: formatVolume,
		money: (minor) => formatMoney(minor, home.currency),
		minutes: minutesText
	});
	const nameOf = (nookId: string | null) => (nookId && home.nooks[nookId]?.name) || 'On the table';
	const LEFT = { ever: 'ever', day: 'today', month: 'the last 30 days' } as const;
</script>

<Bench>
	<ClearHead>
		<label class="flex items-center gap-2"
			><span class="soft">Of</span><select class="select" bind:value={span}
				><option value="day">today</option><option value="month">the last 30 days</option><option
					value="ever">ever</option
				></select
			></label
		>
		<button
			class="btn"
			onclick={() =>
				saveFile(fileName(`${home.name} tally`, 'csv'), tallyCsv(home, found, words), 'text/csv')}
			><Download size={18} />CSV</button
		>
		<button
			class="btn"
			onclick={() =>
				saveFile(
					fileName(`${home.name} tally`, 'md'),
					tallyMarkdown(home, found, words, `${home.name}: the tally`),
					'text/markdown'
				)}><Download size={18} />Markdown</button
		>
	</ClearHead>
	{#if found.places.length}
		{@render sum('The whole home', found.whole, true)}
		<h2 class="mt-6 mb-1">Place by place</h2>
		<p class="soft mb-2">
			Space taken before and after your decisions, to one scale: the light part has gone.
		</p>
		{#each found.places as place (place.nookId)}{@render sum(
				nameOf(place.nookId),
				place,
				false
			)}{/each}
	{:else}
		<p class="py-4">
			Nothing was decided {LEFT[span]}. Start at the bench: choose a place, start the clock, and
			decide on one thing after another.
		</p>
		<a class="btn btn-primary" href="/home/{home.id}/clear">Go to the bench</a>
	{/if}
</Bench>

{#snippet sum(name: string, tally: Omit<PlaceTally, 'nookId'>, whole: boolean)}
	<section class="rule-top py-3" aria-label={name}>
		<div class="flex flex-wrap items-baseline gap-x-4">
			{#if whole}<h2>{name}</h2>{:else}<h3>{name}</h3>{/if}
			<span class="measure soft"
				>{formatVolume(tally.beforeMl)} before, {formatVolume(tally.afterMl)} after</span
			>
			{#if tally.sessions}<span class="measure soft ml-auto"
					>{minutesText(tally.takenMin)} taken, {minutesText(tally.plannedMin)} planned</span
				>{/if}
		</div>
		{#if !whole}
			<div class="room" aria-hidden="true">
				<i style:width="{(100 * tally.afterMl) / most}%"></i><i
					class="left"
					style:width="{(100 * Math.max(0, tally.beforeMl - tally.afterMl)) / most}%"
				></i>
			</div>
		{/if}
		<ul class="lines">
			{#each tally.lines as line (line.verdict)}
				<li>
					<b>{VERDICT_WORDS[line.verdict]}</b>
					<span class="measure"
						>{line.things}, {formatVolume(line.volumeMl)}{line.lostMinor
							? `, ${formatMoney(line.lostMinor, home.currency)} thrown away`
							: ''}</span
					>
				</li>
			{/each}
		</ul>
	</section>
{/snippet}

<style>
	.room {
		display: flex;
		height: 14px;
		margin: 0.3rem 0;
		max-width: 40rem;
	}
	.room i {
		background: var(--color-secondary);
	}
	.room .left {
		background: transparent;
		border: 1.3px dashed var(--color-secondary);
		border-left: 0;
	}
	.lines {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1.6rem;
	}
</style>
