<script lang="ts">
	import { page } from '$app/state';
	import type { DateSchool } from '$lib/core/rotation';
	import { rateText } from '$lib/messages/turning';
	import { countText } from '$lib/messages/numbers';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { StockDesk } from '$lib/state/stock-desk.svelte';
	import { TurnDesk } from '$lib/state/turn-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import Tablet from '@lucide/svelte/icons/tablet';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import HoldSheet from '$lib/ui/turn/HoldSheet.svelte';
	import LastOne from '$lib/ui/turn/LastOne.svelte';
	import StockList from '$lib/ui/turn/StockList.svelte';
	import StockSheet from '$lib/ui/turn/StockSheet.svelte';
	import TurnHead from '$lib/ui/turn/TurnHead.svelte';

	const getStore = getHomeStore();
	const turn = new TurnDesk(turnDeps(getStore));
	const desk = new StockDesk({ store: getStore, today });
	const home = $derived(desk.home);
	const sought = $derived(page.url.searchParams.get('thing'));
	$effect(() => desk.goTo(page.url.searchParams.get('place')));
	const none = new Set<string>();
</script>

<Bench
	panel={desk.held ? panel : undefined}
	panelLabel="How much to hold"
	raised
	chosen={desk.held?.thing.id ?? null}
	onclose={() => desk.choose(null)}
>
	<TurnHead>
		<div class="join" role="group" aria-label="Stock by">
			{#each [['place', 'By place'], ['thing', 'By thing']] as const as [by, name] (by)}
				<button
					class="btn join-item"
					class:btn-primary={desk.by === by}
					aria-pressed={desk.by === by}
					onclick={() => (desk.by = by)}>{name}</button
				>
			{/each}
		</div>
	</TurnHead>
	{#if !Object.keys(home.lots).length}
		<EmptyNote title="No stock yet">
			<p>All that is in the house stands here, place by place. Enter some stock in Clear.</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to Clear</a>
		</EmptyNote>
	{:else}
		<LastOne desk={turn} />
		{#if desk.by === 'place'}
			<WallStrip
				{home}
				flagged={none}
				selected={desk.nookId}
				onselect={(id) => desk.goTo(desk.nookId === id ? null : id)}
			/>
		{/if}
		<div class="my-2 flex flex-wrap items-center gap-3">
			<h2>{desk.nookId && desk.by === 'place' ? home.nooks[desk.nookId]?.name : 'All stock'}</h2>
			<span class="soft"
				>{desk.by === 'place'
					? `${countText(desk.picks.length, 'lot')}, nearest date in front`
					: countText(desk.things.length, 'thing')}</span
			>
			<label class="grow"
				><span class="sr-only">Search the stock</span>
				<input class="input" type="search" placeholder="Search" bind:value={desk.words} /></label
			>
			<label class="flex items-center gap-2"
				><input class="checkbox" type="checkbox" bind:checked={desk.onlyOpen} />open only</label
			>
			{#if desk.by === 'place'}
				<label class="flex items-center gap-2"
					><span class="soft">Dates</span>
					<select
						class="select"
						aria-label="How dates are kept"
						value={home.schools.dates}
						onchange={(event) => desk.keepDates(event.currentTarget.value as DateSchool)}
						><option value="packs">of each pack</option><option value="month"
							>by section, a month each</option
						><option value="quarter">by section, a quarter each</option></select
					></label
				>
			{/if}
			{#if desk.nookId && desk.by === 'place'}
				<button class="btn btn-ghost" onclick={() => desk.goTo(null)}>Show all places</button>
				<a class="btn" href="/home/{home.id}/kiosk/{desk.nookId}"
					><Tablet size={18} />Page for this door</a
				>
			{/if}
		</div>
		<StockList {desk} {turn} {sought} />
	{/if}
</Bench>
<StockSheet desk={turn} />

{#snippet panel()}
	{#if desk.held}
		<HoldSheet {desk} held={desk.held} rate={rateText(desk.held.rate)} />
	{/if}
{/snippet}
