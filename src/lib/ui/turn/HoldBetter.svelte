<script lang="ts">
	import { formatMoney } from '$lib/core/model';
	import { WEEKS_AHEAD } from '$lib/core/rotation';
	import type { AheadDesk } from '$lib/state/ahead-desk.svelte';
	import ExpectedRow from './ExpectedRow.svelte';

	/** Things of which another number in stock would cost less. */
	let { desk, shown }: { desk: AheadDesk; shown: number } = $props();
	const home = $derived(desk.home);
	const money = (minor: number) => formatMoney(minor, home.currency);
</script>

<section aria-label="Hold more, or less" class="mb-4 max-w-3xl">
	<h2>Hold more, or less</h2>
	<p class="soft text-sm">
		What spoils against what it costs you to run out ({money(home.settings.shop.runOutMinor)} each time;
		change it on the shopping list, “How you shop”).
	</p>
	<ul>
		{#each desk.better.slice(0, shown) as each (each.thing.id)}
			{@const { best, now } = each.outlook}
			<ExpectedRow
				{desk}
				{each}
				words="{best!.level} instead of {now!.level}: saves about {money(
					now!.costMinor - best!.costMinor
				)} in {WEEKS_AHEAD} weeks"
			>
				<button
					class="btn"
					aria-label="Hold {best!.level} {each.thing.name}"
					onclick={() => desk.take(each)}>Hold {best!.level}</button
				>
			</ExpectedRow>
		{/each}
	</ul>
</section>
