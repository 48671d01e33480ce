<script lang="ts">
	import { onMount } from 'svelte';
	import { formatMoney } from '$lib/core/model';
	import { USUAL_PRICE, WEEKS_AHEAD } from '$lib/core/rotation';
	import { dateText } from '$lib/messages/clearing';
	import { countText, wholeText } from '$lib/messages/numbers';
	import {
		buyingText,
		countedText,
		expectedText,
		shareText,
		WASTE_WORDS
	} from '$lib/messages/turning';
	import { AheadDesk, type Expected } from '$lib/state/ahead-desk.svelte';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import Bars from '$lib/ui/charts/Bars.svelte';
	import StockAhead from '$lib/ui/charts/StockAhead.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
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
			<section aria-label="Hold more, or less" class="mb-4 max-w-3xl">
				<h2>Hold more, or less</h2>
				<p class="soft text-sm">
					What spoils against what it costs you to run out ({money(home.settings.shop.runOutMinor)} each
					time; change it on the shopping list, “How you shop”).
				</p>
				<ul>
					{#each desk.better.slice(0, SHOWN) as each (each.thing.id)}
						{@const { best, now } = each.outlook}
						<li class="row">
							<button class="name" onclick={() => desk.choose(each.thing.id)}>
								<b>{each.thing.name}</b>
								<span class="soft block text-sm"
									>{best!.level} instead of {now!.level}: saves about {money(
										now!.costMinor - best!.costMinor
									)} in {WEEKS_AHEAD} weeks</span
								>
							</button>
							<button
								class="btn"
								aria-label="Hold {best!.level} {each.thing.name}"
								onclick={() => desk.take(each)}>Hold {best!.level}</button
							>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		{#if desk.runningOut.length}
			<section aria-label="May be gone before the next shop" class="mb-4 max-w-3xl">
				<h2>May be gone before the next shop</h2>
				<ul>
					{#each desk.runningOut.slice(0, SHOWN) as each (each.thing.id)}{@render row(
							each,
							shareText(each.outlook.outBeforeShop)
						)}{/each}
				</ul>
			</section>
		{/if}
		<section aria-label="Likely to spoil" class="mb-4 max-w-3xl">
			<h2>Likely to spoil <span class="measure soft">{desk.spoiling.length}</span></h2>
			<ul>
				{#each desk.spoiling.slice(0, SHOWN) as each (each.thing.id)}{@render row(
						each,
						expectedText(each.outlook),
						each.outlook.wasteMinor
					)}{:else}<li>Nothing will likely spoil.</li>{/each}
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

{#snippet row(each: Expected, words: string, costMinor = 0)}
	<li class="row">
		<button class="name" onclick={() => desk.choose(each.thing.id)}>
			<b>{each.thing.name}</b>
			<span class="soft block text-sm">{words}</span>
		</button>
		{#if costMinor}<span class="measure">{money(costMinor)}</span>{/if}
	</li>
{/snippet}

{#snippet panel()}
	{#if desk.chosen}
		{@const { thing, outlook } = desk.chosen}
		<h2>{thing.name}</h2>
		<StockAhead {outlook} name={thing.name} />
		<dl class="mt-2 grid grid-cols-[1fr_auto] gap-x-3">
			<dt>Spoils in {WEEKS_AHEAD} weeks</dt>
			<dd class="measure">{countText(Math.round(outlook.wastePacks * 10) / 10, 'pack')}</dd>
			<dt>Gone before the next shop</dt>
			<dd class="measure">{shareText(outlook.outBeforeShop)}</dd>
		</dl>
		{#if outlook.best}
			<p class="mt-2">
				Best to hold: <b class="measure">{outlook.best.level}</b>{outlook.now
					? `, now ${outlook.now.level}`
					: ''}.{#if !outlook.isPriced}{' '}No price is known; a pack counts as {money(
						USUAL_PRICE
					)}.{/if}{#if outlook.basis === 'class'}{' '}This stands on a guess of how often it is
					used: take it down here for a few weeks, and it gets better.{/if}
			</p>
			<button class="btn btn-primary mt-2" onclick={() => desk.chosen && desk.take(desk.chosen)}
				>Hold {outlook.best.level}</button
			>
		{/if}
	{/if}
{/snippet}

<style>
	.row {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		align-items: center;
		gap: 0.75rem;
		border-top: 1px solid var(--color-base-300);
	}
	.name {
		min-height: 52px;
		text-align: left;
	}
</style>
