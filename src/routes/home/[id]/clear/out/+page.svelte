<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import { doNotBuy, goingOut, halfDone, onTheTable, type GoingOut } from '$lib/core/clearing';
	import { dayOf } from '$lib/core/model';
	import { dateText, goneText, OUT_WORDS, VERDICT_WORDS } from '$lib/messages/clearing';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import OutLine from '$lib/ui/clear/OutLine.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const lists = $derived(goingOut(home, today()));
	const table = $derived(onTheTable(home));
	const avoid = $derived(doNotBuy(home));
	const begun = $derived(halfDone(home));
	function gone(items: readonly GoingOut[], words: string) {
		store.run(
			words,
			'markGone',
			items.map(({ decision }) => decision.id),
			today()
		);
	}
</script>

<Bench>
	<ClearHead>
		<button class="btn" onclick={() => window.print()}><Printer size={18} />Print</button>
	</ClearHead>
	{#if begun.length}
		<section class="no-print mb-5" aria-label="Half done">
			<h2 class="mb-1">Half done</h2>
			<ul>
				{#each begun as session (session.id)}
					<li class="rule-top">
						<a
							class="flex min-h-11 items-center hover:underline"
							href="/home/{home.id}/clear?place={session.nookId}"
							>{home.nooks[session.nookId]?.name ?? 'A place that is gone'}, begun {dateText(
								dayOf(session.startedAt)
							)}</a
						>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#each lists as list (list.verdict)}
		<section class="mb-6" aria-label={OUT_WORDS[list.verdict].title}>
			<div class="flex flex-wrap items-end gap-x-4">
				<h2>
					{OUT_WORDS[list.verdict].title} <span class="soft measure">{list.items.length}</span>
				</h2>
				<button
					class="btn no-print ml-auto"
					onclick={() => gone(list.items, `${VERDICT_WORDS[list.verdict].toLowerCase()}: all done`)}
					>All of it: {goneText(list.verdict).toLowerCase()}</button
				>
			</div>
			<p class="soft mb-1">{OUT_WORDS[list.verdict].how}</p>
			<ul>
				{#each list.items as item (item.decision.id)}
					<OutLine {item} verdict={list.verdict} ongone={(words) => gone([item], words)} />
				{/each}
			</ul>
		</section>
	{/each}
	{#if table.length}
		<section class="mb-6" aria-label="On the table">
			<h2>On the table <span class="soft measure">{table.length}</span></h2>
			<p class="soft mb-1">
				Taken out and not put away yet. <a
					class="no-print underline"
					href="/home/{home.id}/clear?place=on-the-table">Decide on it</a
				>
			</p>
			<ul class="columns">
				{#each table as item (item.lotId)}
					<li class="rule-top py-1"><b class="measure">{item.count}</b> {item.name}</li>
				{/each}
			</ul>
		</section>
	{/if}
	{#if avoid.length}
		<section class="mb-6" aria-label="Do not buy again">
			<h2 class="mb-1">Do not buy again</h2>
			<p>{avoid.join(', ')}</p>
		</section>
	{/if}
	{#if !lists.length && !table.length && !avoid.length}
		<p class="py-4">
			Nothing is waiting to leave the house. What you give, return, recycle or put on hold at the
			bench shows here, with a day to have it gone by.
		</p>
	{/if}
</Bench>

<style>
	@media (min-width: 900px) {
		.columns {
			columns: 2;
		}
	}
</style>
