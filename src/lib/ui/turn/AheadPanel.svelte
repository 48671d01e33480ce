<script lang="ts">
	import { formatMoney } from '$lib/core/model';
	import { USUAL_PRICE, WEEKS_AHEAD } from '$lib/core/rotation';
	import { countText } from '$lib/messages/numbers';
	import { shareText } from '$lib/messages/turning';
	import type { AheadDesk, Expected } from '$lib/state/ahead-desk.svelte';
	import StockAhead from '$lib/ui/charts/StockAhead.svelte';

	/** What is to be expected of one thing over the coming weeks. */
	let { desk, expected }: { desk: AheadDesk; expected: Expected } = $props();
	const { thing, outlook } = $derived(expected);
	const money = (minor: number) => formatMoney(minor, desk.home.currency);
</script>

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
			)}.{/if}{#if outlook.basis === 'class'}{' '}This stands on a guess of how often it is used:
			take it down here for a few weeks, and it gets better.{/if}
	</p>
	<button class="btn btn-primary mt-2" onclick={() => desk.take(expected)}
		>Hold {outlook.best.level}</button
	>
{/if}
