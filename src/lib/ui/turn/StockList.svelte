<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import type { Pick } from '$lib/core/rotation';
	import { dateText } from '$lib/messages/clearing';
	import { countText } from '$lib/messages/numbers';
	import { amountText, sectionText } from '$lib/messages/turning';
	import type { HeldThing, StockDesk } from '$lib/state/stock-desk.svelte';
	import type { TurnDesk } from '$lib/state/turn-desk.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import StockRow from './StockRow.svelte';

	/** The stock by place or by thing; `sought` is the thing that was asked for. */
	let { desk, turn, sought }: { desk: StockDesk; turn: TurnDesk; sought: string | null } = $props();
	const home = $derived(desk.home);
</script>

{#if desk.by === 'place' && desk.sections}
	{#each desk.sections as { section, picks } (section?.key ?? '')}
		{@const name = section ? sectionText(section) : 'No date'}
		<section class="mb-3" aria-label={name}>
			<h3 class="section">
				{name}
				{#if section}<span class="soft text-sm font-normal"
						>counts as due {dateText(section.dueOn)}</span
					>{/if}
			</h3>
			{#each picks as pick (pick.lot.id)}{@render row(pick)}{/each}
		</section>
	{/each}
	{#if !desk.picks.length}<p class="py-4">Nothing stands here.</p>{/if}
{:else if desk.by === 'place'}
	<VirtualList
		items={desk.picks}
		key={(pick) => pick.lot.id}
		estimatePx={56}
		label={desk.nookId ? 'Stock here' : 'All stock'}
		{row}
	/>
	{#if !desk.picks.length}<p class="py-4">Nothing stands here.</p>{/if}
{:else}
	<VirtualList
		items={desk.things}
		key={(held) => held.thing.id}
		estimatePx={56}
		label="Things in stock"
		row={thingRow}
	/>
{/if}

{#snippet row(pick: Pick)}
	<StockRow
		{home}
		{pick}
		here={!!desk.nookId}
		sought={pick.thing.id === sought}
		ontake={() => turn.take(pick.lot)}
		onmore={() => turn.choose(pick.lot.id)}
	/>
{/snippet}

{#snippet thingRow(held: HeldThing)}
	<div class="row" class:sought={held.thing.id === sought}>
		<button class="name" onclick={() => desk.choose(held.thing.id)}>
			<b>{held.thing.name}</b>
			<span class="soft block text-sm"
				>{held.first?.date ? `next ${dateText(held.first.date.on)} · ` : ''}{countText(
					held.lots,
					'lot'
				)}{held.target ? ` · hold ${amountText(held.target.packs, 'pack')}` : ''}</span
			>
		</button>
		<span class="measure count">{amountText(held.packs, 'pack')}</span>
		<button
			class="btn"
			onclick={() => turn.takeNext(held.thing)}
			aria-label="Take down one {held.thing.name}"><Minus size={18} />1</button
		>
	</div>
{/snippet}

<style>
	.row {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto auto;
		gap: 0.75rem;
		align-items: center;
		min-height: 54px;
		border-top: 1px solid var(--color-base-300);
	}
	.row.sought {
		background: var(--color-base-200);
		box-shadow: inset 4px 0 0 var(--color-primary);
	}
	.section {
		border-bottom: 2px solid var(--color-base-content);
		padding: 0.2rem 0;
	}
	.name {
		min-height: 48px;
		text-align: left;
	}
	.count {
		font-size: 1.1rem;
	}
</style>
