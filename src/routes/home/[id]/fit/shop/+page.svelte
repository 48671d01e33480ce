<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import FileDown from '@lucide/svelte/icons/file-down';
	import Printer from '@lucide/svelte/icons/printer';
	import { outerOf } from '$lib/core/fitting';
	import { formatLength, formatMoney } from '$lib/core/model';
	import { shopPlaceText } from '$lib/messages/fitting';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { ShopDesk } from '$lib/state/shop-desk.svelte';
	import FitHead from '$lib/ui/fit/FitHead.svelte';
	import FoundAnother from '$lib/ui/fit/FoundAnother.svelte';
	import PartsToBuy from '$lib/ui/fit/PartsToBuy.svelte';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';

	const desk = new ShopDesk({ store: getHomeStore(), newId, now });
	const home = $derived(desk.home);
	const { card } = $derived(desk);
	const money = (minor: number) => formatMoney(minor, home.currency);
	const length = (mm: number) => formatLength(mm, home.units);
</script>

<Bench>
	<FitHead>
		{#if card.lines.length || card.parts.length}
			<button class="btn" onclick={() => window.print()}><Printer size={18} />Print</button>
			<button
				class="btn"
				onclick={() => saveFile(fileName(`${home.name} shop card`, 'csv'), desk.csv(), 'text/csv')}
				><FileDown size={18} />As a table</button
			>
		{/if}
	</FitHead>
	{#if card.lines.length || card.parts.length}
		<p class="mb-3">
			To buy: <b class="measure">{money(card.costMinor)}</b>{#if card.leftMinor !== null}{' '}<span
					class:text-error={card.leftMinor < 0}
					>{card.leftMinor < 0
						? `${money(-card.leftMinor)} over the budget`
						: `${money(card.leftMinor)} of the budget left`}</span
				>{/if}. Take a tape: outer sizes count, and the play is what the place leaves.
		</p>
		<datalist id="shops"
			>{#each desk.shops as shop (shop)}<option value={shop}></option>{/each}</datalist
		>
		{#each desk.parts as part (part.shop)}
			{#if desk.parts.length > 1}
				<h2 class="mt-4 flex max-w-3xl justify-between gap-4">
					<span>{part.shop || 'Shop not said'}</span><span class="measure"
						>{money(part.costMinor)}</span
					>
				</h2>
			{/if}
			<ul class="max-w-3xl">
				{#each part.lines as line (line.kind.id)}
					{@const outer = outerOf(line.kind)}
					<li class="rule-top py-3">
						<div class="flex items-start gap-3">
							<div class="min-w-0 flex-1">
								<b><span class="measure">{line.count}</span> × {line.kind.name}</b>
								<span class="measure block"
									>{length(outer.widthMm)} × {length(outer.depthMm)} × {length(line.kind.heightMm)} outside{line
										.kind.soldBy > 1
										? `, sold in packs of ${line.kind.soldBy}`
										: ''}</span
								>
								<ul class="soft text-sm">
									{#each line.places as place (place.nookId)}<li>
											{shopPlaceText(home, place)}
										</li>{/each}
								</ul>
							</div>
							<span class="measure">{money(line.priceMinor)}</span>
							<button
								class="btn no-print"
								aria-label="Bought: {line.kind.name}"
								onclick={() => desk.tick(line)}><Check size={18} />Got it</button
							>
						</div>
						<div class="no-print flex flex-wrap items-end gap-x-4 gap-y-1">
							<label class="text-sm"
								><span class="soft">Sold at</span>
								<input
									class="input w-44"
									list="shops"
									maxlength="60"
									aria-label="Where {line.kind.name} is sold"
									value={line.kind.shop}
									onchange={(event) => desk.sellAt(line, event.currentTarget.value)}
								/></label
							>
							<FoundAnother {desk} {line} />
						</div>
					</li>
				{/each}
			</ul>
		{/each}
		{#if card.parts.length}<PartsToBuy {desk} />{/if}
	{:else}
		<EmptyNote title={desk.bought.length ? 'All bought' : 'Nothing to buy'}>
			<p>
				{desk.bought.length
					? 'Everything on the card is in the basket.'
					: 'The arrangements you kept use containers you own. Keep one that needs more, and it stands here with its size and its place.'}
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/fit">Go to the places</a>
		</EmptyNote>
	{/if}
	{#if desk.bought.length}
		<section aria-label="In the basket" class="rule-top no-print mt-4 max-w-3xl pt-3">
			<h2>In the basket</h2>
			<ul>
				{#each desk.bought as bought (bought)}
					<li class="flex items-center gap-3 py-1">
						<span class="min-w-0 flex-1"
							><span class="measure">{bought.amount}</span> × {bought.name}</span
						>
						<button class="btn" onclick={() => desk.putBack(bought)}>Put back</button>
					</li>
				{/each}
			</ul>
		</section>
	{/if}
</Bench>
