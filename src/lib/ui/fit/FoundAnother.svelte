<script lang="ts">
	import Ruler from '@lucide/svelte/icons/ruler';
	import type { ShopLine } from '$lib/core/fitting';
	import { formatMoney } from '$lib/core/model';
	import { standInMeter } from '$lib/data/devices';
	import { standInText } from '$lib/messages/fitting';
	import { FoundDesk } from '$lib/state/found-desk.svelte';
	import type { ShopDesk } from '$lib/state/shop-desk.svelte';

	let { desk, line }: { desk: ShopDesk; line: ShopLine } = $props();
	const home = $derived(desk.home);
	const other = new FoundDesk({ shop: () => desk, line: () => line, meter: standInMeter });
	const found = $derived(desk.found?.line.kind.id === line.kind.id ? desk.found : null);
	const needed = $derived(
		found?.places.reduce((sum, place) => sum + (place.status === 'does' ? place.count : 0), 0) ?? 0
	);
</script>

<details class="mt-1">
	<summary class="min-h-11 cursor-pointer">Found another one?</summary>
	<form
		class="flex flex-wrap items-end gap-2"
		onsubmit={(event) => {
			event.preventDefault();
			other.look();
		}}
	>
		<label class="flex flex-col"
			><span class="soft text-sm">Outer size, width × depth × height</span>
			<input
				class="input measure w-56"
				placeholder="200 x 300 x 130"
				bind:value={other.size}
			/></label
		>
		<button
			type="button"
			class="btn"
			disabled={other.isWaiting}
			onclick={() => void other.measure()}
			><Ruler size={18} />Read its {other.next ?? 'size again'}</button
		>
		<label class="flex flex-col"
			><span class="soft text-sm">Price each</span>
			<input class="input measure w-24" inputmode="decimal" bind:value={other.price} /></label
		>
		<button class="btn">Would it do?</button>
	</form>
	{#if other.wrong}<p role="alert" class="text-error mt-1 text-sm">{other.wrong}</p>{/if}
	{#if found}
		<ul class="mt-2" aria-label="Where it would do">
			{#each found.places as place (place.nookId)}<li class="py-0.5">
					{standInText(home, place)}
				</li>{/each}
		</ul>
		{#if needed}<button class="btn btn-primary mt-1" onclick={() => desk.take()}
				>Take {needed} of these, {formatMoney(
					found.kind.priceMinor * needed,
					home.currency
				)}</button
			>{/if}
	{/if}
</details>
