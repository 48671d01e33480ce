<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { formatMoney } from '$lib/core/model';
	import { partCountText, partPlaceText } from '$lib/messages/small-parts';
	import type { ShopDesk } from '$lib/state/shop-desk.svelte';

	/** Liners, hooks and dividers on the shop card, with how they are cut. */
	let { desk }: { desk: ShopDesk } = $props();
	const home = $derived(desk.home);
</script>

<h2 class="mt-4 max-w-3xl">Liners, hooks and dividers</h2>
<ul class="max-w-3xl">
	{#each desk.card.parts as line (line.part.key)}
		<li class="rule-top flex items-start gap-3 py-3">
			<div class="min-w-0 flex-1">
				<b><span class="measure">{partCountText(line)}</span> × {line.part.name}</b>
				<ul class="soft text-sm">
					{#each line.places as place (place.nookId)}<li>{partPlaceText(home, place)}</li>{/each}
				</ul>
			</div>
			<span class="measure">{formatMoney(line.priceMinor, home.currency)}</span>
			<button
				class="btn no-print"
				aria-label="Bought: {line.part.name}"
				onclick={() => desk.tickParts(line)}><Check size={18} />Got it</button
			>
		</li>
	{/each}
</ul>
<p class="soft max-w-3xl text-sm">Prices are what such parts usually cost.</p>
