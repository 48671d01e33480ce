<script lang="ts">
	import { keepsBetter, openPacks, rateOf, runsOut, shoppingList } from '$lib/core/rotation';
	import { resetsDue } from '$lib/core/upkeep';
	import { daysText } from '$lib/messages/clearing';
	import { countText } from '$lib/messages/numbers';
	import { amountText, keepsBetterText, lastsText, rateText } from '$lib/messages/turning';
	import { today } from '$lib/state/clock.svelte';
	import type { ColdDesk } from '$lib/state/cold-desk.svelte';
	import { Later } from '$lib/state/later.svelte';
	import type { TurnDesk } from '$lib/state/turn-desk.svelte';
	import ColdPlaces from './ColdPlaces.svelte';

	/** What runs out, what is open, what keeps better elsewhere, how cold it is, which resets are due. */
	let { desk, cold }: { desk: TurnDesk; cold: ColdDesk } = $props();
	const home = $derived(desk.home);
	const resets = $derived(resetsDue(home, today()).filter(({ daysLeft }) => daysLeft <= 0));
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
</script>

<!-- All of it at once: nothing moves away from under a finger. -->
{#if slow.value}
	{@const known = slow.value}
	<h2>Gone before the next shop</h2>
	<p class="soft mb-1 text-sm">
		Of what you keep in stock, at the rate it goes. You shop every {countText(
			home.settings.shop.everyDays,
			'day'
		)}.
	</p>
	<ul>
		{#each known.runs.slice(0, 20) as item (item.thing.id)}
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
				{#if !known.onList.has(item.thing.id)}<button
						class="btn"
						aria-label="Put {item.thing.name} on the list"
						onclick={() => desk.list(item.thing)}>List</button
					>{/if}
			</li>
		{:else}
			<li>Nothing runs out before the next shop.</li>
		{/each}
	</ul>
	<a class="btn mt-2" href="/home/{home.id}/turn/list">Go to the shopping list</a>
	{#if known.open.length}
		<section class="rule-top mt-4 pt-3" aria-label="Open packs">
			<h2>Open packs <span class="measure soft">{known.open.length}</span></h2>
			<ul>
				{#each known.open.slice(0, OPEN_SHOWN) as pick (pick.lot.id)}
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
			{#if known.open.length > OPEN_SHOWN}<a class="link" href="/home/{home.id}/turn/stock"
					>See all of them in Stock, open only</a
				>{/if}
		</section>
	{/if}
	{#if known.better.length}
		<section class="rule-top mt-4 pt-3" aria-label="Keeps better elsewhere">
			<h2>Keeps better elsewhere</h2>
			<ul>
				{#each known.better as found (found.lot.id)}
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
{:else}
	<p class="soft" role="status">Counting what runs out …</p>
{/if}
