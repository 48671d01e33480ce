<script lang="ts">
	import { onMount } from 'svelte';
	import { formatMoney } from '$lib/core/model';
	import { WEEKS_AHEAD } from '$lib/core/rotation';
	import { dateText } from '$lib/messages/clearing';
	import { wholeText } from '$lib/messages/numbers';
	import {
		buyingText,
		countedText,
		expectedText,
		shareText,
		WASTE_WORDS
	} from '$lib/messages/turning';
	import { AheadDesk } from '$lib/state/ahead-desk.svelte';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import Bars from '$lib/ui/charts/Bars.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import AheadPanel from '$lib/ui/turn/AheadPanel.svelte';
	import ExpectedRow from '$lib/ui/turn/ExpectedRow.svelte';
	import HoldBetter from '$lib/ui/turn/HoldBetter.svelte';
	import TurnHead from '$lib/ui/turn/TurnHead.svelte';
	import { createForecastClient } from '$lib/workers/forecast.client';

	const desk = new AheadDesk({ store: getHomeStore(), today, runner: createForecastClient() });
	const home = $derived(desk.home);
	const money = (minor: number) => formatMoney(minor, home.currency);
	onMount(() => {
		void desk.look();
		return () => desk.leave();
	});
	/** A long list says little: the first of it carries nearly all. */
	const SHOWN = 25;
</script>

<Bench
	panel={desk.chosen ? panel : undefined}
	panelLabel="What to expect of it"
	raised
	chosen={desk.chosen?.thing.id ?? null}
	onclose={() => desk.choose(null)}
>
	<TurnHead>
		{#if desk.isStale}<button class="btn btn-primary" onclick={() => desk.look()}>Look again</button
			>{/if}
	</TurnHead>
	{#if desk.failure}<p role="alert" class="text-error mb-2">
			The forecast was not made: {desk.failure} Reload and try again.
		</p>{/if}
	{#if desk.isRunning && !desk.outlook}
		<p role="status">
			Looking {WEEKS_AHEAD} weeks ahead{desk.progress
				? `: ${desk.progress.done} of ${desk.progress.of} things`
				: ''} …
		</p>
	{:else if desk.outlook && !desk.outlook.things.length}
		<EmptyNote title="Nothing to look ahead to yet">
			<p>
				This foretells what will spoil and what will run out, from dates and from how fast things
				go. Enter some stock with dates in Clear.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to Clear</a>
		</EmptyNote>
	{:else if desk.outlook}
		<p class="mb-3 max-w-3xl">
			By {dateText(desk.outlook.until)} about
			<b class="measure">{wholeText(desk.outlook.wastePacks)}</b>
			packs will have spoiled, worth about <b class="measure">{money(desk.outlook.wasteMinor)}</b>.
			A thousand runs with chance, at the rates that are known{desk.isStale
				? '; the home has changed since'
				: ''}.
		</p>
		{#if desk.wasteByBranch.length}
			<section aria-label="Where it spoils" class="mb-4 max-w-3xl">
				<h2>Where it spoils</h2>
				<Bars
					label="Packs that will spoil"
					rows={desk.wasteByBranch.map(({ name, packs }) => ({ name, value: packs }))}
				/>
			</section>
		{/if}
		{#if desk.better.length}
			<HoldBetter {desk} shown={SHOWN} />
		{/if}
		{#if desk.runningOut.length}
			<section aria-label="May be gone before the next shop" class="mb-4 max-w-3xl">
				<h2>May be gone before the next shop</h2>
				<ul>
					{#each desk.runningOut.slice(0, SHOWN) as each (each.thing.id)}<ExpectedRow
							{desk}
							{each}
							words={shareText(each.outlook.outBeforeShop)}
						/>{/each}
				</ul>
			</section>
		{/if}
		<section aria-label="Likely to spoil" class="mb-4 max-w-3xl">
			<h2>Likely to spoil <span class="measure soft">{desk.spoiling.length}</span></h2>
			<ul>
				{#each desk.spoiling.slice(0, SHOWN) as each (each.thing.id)}<ExpectedRow
						{desk}
						{each}
						words={expectedText(each.outlook)}
						costMinor={each.outlook.wasteMinor}
					/>{:else}<li>Nothing will likely spoil.</li>{/each}
			</ul>
		</section>
		{#if desk.counted.length}
			<section aria-label="Counted uses" class="mb-4 max-w-3xl">
				<h2>Used otherwise than you said</h2>
				<ul>
					{#each desk.counted.slice(0, SHOWN) as each (each.thing.id)}
						<li class="rule-top py-2"><b>{each.thing.name}</b>: {countedText(each)}</li>
					{/each}
				</ul>
				<button class="btn mt-1" onclick={() => desk.takeCounted()}
					>Let Sort and Place go by what was counted</button
				>
			</section>
		{/if}
		{#if desk.buying.length}
			<section aria-label="When you buy" class="mb-4 max-w-3xl">
				<h2>When you buy</h2>
				<ul>
					{#each desk.buying.slice(0, SHOWN) as each (each.thing.id)}
						<li class="rule-top py-2"><b>{each.thing.name}</b>: {buyingText(each, money)}.</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if desk.thrownOut.length}
			<section aria-label="Thrown out so far" class="mb-4 max-w-3xl">
				<h2>Thrown out so far</h2>
				<Bars
					label="Times something was thrown out"
					rows={desk.thrownOut.map(({ why, times }) => ({
						name: why ? WASTE_WORDS[why] : 'In a clear-out',
						value: times
					}))}
				/>
			</section>
		{/if}
	{/if}
</Bench>

{#snippet panel()}{#if desk.chosen}<AheadPanel {desk} expected={desk.chosen} />{/if}{/snippet}
