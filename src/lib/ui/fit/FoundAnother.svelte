<script lang="ts">
	import type { ShopLine } from '$lib/core/fitting';
	import { formatMoney, parseLength } from '$lib/core/model';
	import { standInText } from '$lib/messages/fitting';
	import type { ShopDesk } from '$lib/state/shop-desk.svelte';

	let { desk, line }: { desk: ShopDesk; line: ShopLine } = $props();
	const home = $derived(desk.home);
	let size = $state('');
	let price = $state('');
	let wrong = $state('');
	const found = $derived(desk.found?.line.kind.id === line.kind.id ? desk.found : null);
	const needed = $derived(
		found?.places.reduce((sum, place) => sum + (place.status === 'does' ? place.count : 0), 0) ?? 0
	);
	function look(event: SubmitEvent) {
		event.preventDefault();
		const sides = size.split(/[x×*]/i).map((text) => parseLength(text, home.units));
		const [width, depth, height] = sides;
		if (sides.length !== 3 || !width?.ok || !depth?.ok || !height?.ok)
			return void (wrong = `Type width × depth × height, such as 200 x 300 x 130. “${size}” is not that.`);
		if (Math.min(width.mm, depth.mm, height.mm) < 10)
			return void (wrong = 'A container is at least 10 mm on every side. Check the unit.');
		const each = price.trim() ? Number(price.replace(',', '.')) : line.kind.priceMinor / 100;
		if (!(each >= 0))
			return void (wrong = `A price is a number, such as 4.50. “${price}” is none.`);
		wrong = '';
		desk.look(line, {
			widthMm: width.mm,
			depthMm: depth.mm,
			heightMm: height.mm,
			priceMinor: Math.round(each * 100)
		});
	}
</script>

<details class="mt-1">
	<summary class="min-h-11 cursor-pointer">Found another one?</summary>
	<form class="flex flex-wrap items-end gap-2" onsubmit={look}>
		<label class="flex flex-col"
			><span class="soft text-sm">Outer size, width × depth × height</span>
			<input class="input measure w-56" placeholder="200 x 300 x 130" bind:value={size} /></label
		>
		<label class="flex flex-col"
			><span class="soft text-sm">Price each</span>
			<input class="input measure w-24" inputmode="decimal" bind:value={price} /></label
		>
		<button class="btn">Would it do?</button>
	</form>
	{#if wrong}<p role="alert" class="text-error mt-1 text-sm">{wrong}</p>{/if}
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
