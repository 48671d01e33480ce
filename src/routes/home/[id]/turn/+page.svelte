<script lang="ts">
	import { goto } from '$app/navigation';
	import Snowflake from '@lucide/svelte/icons/snowflake';
	import {
		keepsBetter,
		openPacks,
		rateOf,
		runsOut,
		shoppingList,
		type TodayCode,
		type TodayItem
	} from '$lib/core/rotation';
	import { resetsDue } from '$lib/core/upkeep';
	import {
		amountText,
		keepsBetterText,
		lastsText,
		rateText,
		TODAY_HEADS,
		todayText
	} from '$lib/messages/turning';
	import { daysText } from '$lib/messages/clearing';
	import { countText } from '$lib/messages/numbers';
	import { now, today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { Later } from '$lib/state/later.svelte';
	import { ColdDesk } from '$lib/state/cold-desk.svelte';
	import { standInThermometer } from '$lib/data/devices';
	import { TurnDesk } from '$lib/state/turn-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import ColdPlaces from '$lib/ui/turn/ColdPlaces.svelte';
	import LastOne from '$lib/ui/turn/LastOne.svelte';
	import StockRow from '$lib/ui/turn/StockRow.svelte';
	import StockSheet from '$lib/ui/turn/StockSheet.svelte';
	import TurnHead from '$lib/ui/turn/TurnHead.svelte';

	const getStore = getHomeStore();
	const desk = new TurnDesk(turnDeps(getStore));
	const cold = new ColdDesk({
		...turnDeps(getStore),
		thermometer: (name, kind) => standInThermometer(name, kind, now)
	});
	const home = $derived(desk.home);
	/** In the order in which a day goes: first what hurts, then what is eaten, then what is fetched. */
	const ORDER: readonly TodayCode[] = ['must-go', 'leftover', 'due', 'thaw', 'past'];
	const lists = $derived(ORDER.filter((code) => desk.now[code].length));
	const resets = $derived(resetsDue(home, today()).filter(({ daysLeft }) => daysLeft <= 0));
	/** As text first: an edit that flags the same places draws nothing anew. */
	const flaggedIds = $derived(
		[
			...new Set(
				lists.flatMap((code) =>
					desk.now[code].flatMap((item) => ('pick' in item ? (item.pick.lot.nookId ?? []) : []))
				)
			)
		]
			.sort()
			.join(' ')
	);
	const flagged = $derived(new Set(flaggedIds.split(' ')));
	const pickOf = (item: TodayItem) => ('pick' in item ? item.pick : null);
	/** What is past its best hurts nobody today: a few of it, unless all are asked for. */
	const FEW = 5;
	let allPast = $state(false);
	const OPEN_SHOWN = 8;
	/** What is due within these stands in the lists already. */
	const SOON_DAYS = 14;
	/** What runs out says nothing that a taking waits for. */
	const slow = new Later(
		() => home,
		(home) => ({
			runs: runsOut(home, today()),
			better: keepsBetter(home),
			open: openPacks(home, today(), SOON_DAYS),
			onList: new Set(shoppingList(home, today()).map(({ thingId }) => thingId))
		})
	);
	$effect(() => () => slow.leave());
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
			{flagged}
			selected={null}
			onselect={(id) => void goto(`/home/${home.id}/turn/stock?place=${id}`)}
		/>
		{#each lists as code (code)}
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

{#snippet panel()}
	<h2>Gone before the next shop</h2>
	<p class="soft mb-1 text-sm">
		Of what you keep in stock, at the rate it goes. You shop every {countText(
			home.settings.shop.everyDays,
			'day'
		)}.
	</p>
	<ul>
		{#each slow.value?.runs.slice(0, 20) ?? [] as item (item.thing.id)}
			<li
				class="rule-top flex items-center gap-2 py-1.5"
				title={rateText(rateOf(home, item.thing, today()))}
			>
				<span class="min-w-0 grow"
					><b>{item.thing.name}</b>
					<span class="soft block text-sm"
						>{lastsText(item)}{item.held > 0
							? ` · have ${amountText(item.held, 'pack')}`
							: ''}</span
					></span
				>
				{#if !slow.value?.onList.has(item.thing.id)}<button
						class="btn"
						aria-label="Put {item.thing.name} on the list"
						onclick={() => desk.list(item.thing)}>List</button
					>{/if}
			</li>
		{:else}
			<!-- Not before it is known. -->
			{#if slow.value}<li>Nothing runs out before the next shop.</li>{/if}
		{/each}
	</ul>
	<a class="btn mt-2" href="/home/{home.id}/turn/list">Go to the shopping list</a>
	{#if slow.value?.open.length}
		<section class="rule-top mt-4 pt-3" aria-label="Open packs">
			<h2>Open packs <span class="measure soft">{slow.value.open.length}</span></h2>
			<ul>
				{#each slow.value.open.slice(0, OPEN_SHOWN) as pick (pick.lot.id)}
					<li class="rule-top flex items-center gap-2 py-1.5">
						<span class="min-w-0 grow"
							><b>{pick.thing.name}</b>
							<span class="soft block text-sm"
								>{pick.daysLeft === null ? 'no date' : daysText(pick.daysLeft)}</span
							></span
						>
						<button
							class="btn"
							aria-label="Used up: {pick.thing.name}"
							onclick={() => desk.take(pick.lot, pick.lot.count)}>Used up</button
						>
					</li>
				{/each}
			</ul>
			{#if slow.value.open.length > OPEN_SHOWN}<a class="link" href="/home/{home.id}/turn/stock"
					>See all of them in Stock, open only</a
				>{/if}
		</section>
	{/if}
	{#if slow.value?.better.length}
		<section class="rule-top mt-4 pt-3" aria-label="Keeps better elsewhere">
			<h2>Keeps better elsewhere</h2>
			<ul>
				{#each slow.value.better as found (found.lot.id)}
					<li class="rule-top flex items-center gap-2 py-1.5">
						<span class="min-w-0 grow"
							><b>{found.thing.name}</b>
							<span class="soft block text-sm">{keepsBetterText(found)}</span></span
						>
						<button
							class="btn"
							aria-label="Move {found.thing.name}"
							onclick={() => {
								desk.choose(found.lot.id);
								desk.setCount(found.lot.count);
							}}>Move</button
						>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	<ColdPlaces desk={cold} />
	{#if resets.length}
		<h2 class="rule-top mt-4 pt-3">Resets due</h2>
		<p>
			{countText(resets.length, 'place')} to go through.
			<a class="link" href="/home/{home.id}/keep">See them in Keep</a>
		</p>
	{/if}
{/snippet}
