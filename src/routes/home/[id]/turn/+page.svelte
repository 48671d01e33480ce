<script lang="ts">
	import { goto } from '$app/navigation';
	import Snowflake from '@lucide/svelte/icons/snowflake';
	import type { TodayItem } from '$lib/core/rotation';
	import { TODAY_HEADS, todayText } from '$lib/messages/turning';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { ColdDesk } from '$lib/state/cold-desk.svelte';
	import { standInThermometer } from '$lib/data/devices';
	import { TurnDesk } from '$lib/state/turn-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import LastOne from '$lib/ui/turn/LastOne.svelte';
	import StockRow from '$lib/ui/turn/StockRow.svelte';
	import StockSheet from '$lib/ui/turn/StockSheet.svelte';
	import TodayPanel from '$lib/ui/turn/TodayPanel.svelte';
	import TurnHead from '$lib/ui/turn/TurnHead.svelte';

	const getStore = getHomeStore();
	const desk = new TurnDesk(turnDeps(getStore));
	const cold = new ColdDesk({
		...turnDeps(getStore),
		thermometer: (name, kind) => standInThermometer(name, kind, now)
	});
	const home = $derived(desk.home);
	const pickOf = (item: TodayItem) => ('pick' in item ? item.pick : null);
	/** What is past its best hurts nobody today: a few of it, unless all are asked for. */
	const FEW = 5;
	let allPast = $state(false);
	const hasStock = $derived(Object.keys(home.lots).length > 0);
</script>

<Bench panel={hasStock ? panel : undefined} panelLabel="Running out and due">
	<TurnHead>
		<label class="flex items-center gap-2"
			><span class="soft">Within</span>
			<select class="select" bind:value={desk.days}
				><option value={3}>3 days</option><option value={14}>two weeks</option><option value={60}
					>two months</option
				></select
			></label
		>
	</TurnHead>
	{#if !hasStock}
		<EmptyNote title="No stock yet">
			<p>
				This shows what to use first, by its printed date or by how long it keeps once opened,
				thawed or frozen. Enter some stock in Clear.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to Clear</a>
		</EmptyNote>
	{:else}
		<LastOne {desk} />
		<WallStrip
			{home}
			flagged={desk.flagged}
			selected={null}
			onselect={(id) => void goto(`/home/${home.id}/turn/stock?place=${id}`)}
		/>
		{#each desk.lists as code (code)}
			<section aria-label={TODAY_HEADS[code]} class="mt-4">
				<h2>{TODAY_HEADS[code]} <span class="measure soft">{desk.now[code].length}</span></h2>
				{#if code === 'past'}<p class="soft text-sm">
						Look and smell, then use it or throw it out. Many at once go faster in Clear, place by
						place.
					</p>{/if}
				<VirtualList
					items={allPast || code !== 'past' ? desk.now[code] : desk.now[code].slice(0, FEW)}
					key={(item) => pickOf(item)!.lot.id}
					estimatePx={60}
					label={TODAY_HEADS[code]}
					{row}
				/>
				{#if code === 'past' && !allPast && desk.now.past.length > FEW}
					<button class="btn mt-2" onclick={() => (allPast = true)}
						>Show all {desk.now.past.length}</button
					>
				{/if}
			</section>
		{:else}
			<p class="py-4">Nothing is due. Well done.</p>
		{/each}
	{/if}
</Bench>
<StockSheet {desk} />

{#snippet row(item: TodayItem)}
	{@const pick = pickOf(item)}
	{#if pick}
		<StockRow
			{home}
			{pick}
			note={todayText(item)}
			ontake={() => desk.take(pick.lot)}
			{...item.code === 'must-go'
				? { onthrow: () => desk.throwOut(pick.lot, pick.lot.count, 'past-date') }
				: {}}
			onmore={() => desk.choose(pick.lot.id)}
		/>
		{#if item.code === 'thaw'}
			<button class="btn mb-2" onclick={() => desk.thaw(pick.lot, Math.min(1, pick.lot.count))}
				><Snowflake size={18} />Take one out to thaw</button
			>
		{/if}
	{/if}
{/snippet}

{#snippet panel()}<TodayPanel {desk} {cold} />{/snippet}
