<script lang="ts">
	import { lookPriceText } from '$lib/messages/fitting';
	import { getHomeStore } from '$lib/state/context';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';
	import { LooksDesk } from '$lib/state/looks-desk.svelte';
	import { createLooksClient } from '$lib/workers/looks.client';

	/** One look for the containers of the room at hand, as a wish with its price. */
	let { desk }: { desk: FitDesk } = $props();
	const looks = new LooksDesk({
		store: getHomeStore(),
		runner: createLooksClient(),
		nookId: () => desk.nookId,
		askAnew: () => desk.askAnew()
	});
	$effect(() => () => looks.leave());
	const room = $derived(looks.room);
</script>

{#if room && looks.looks.length > 1}
	<section aria-label="One look" class="rule-top mt-3 pt-3">
		<h2>One look</h2>
		<label class="flex flex-wrap items-center gap-2 py-1">
			<span class="min-w-0 flex-1">Containers in {room.name}</span>
			<select
				class="select w-48"
				value={room.look}
				onchange={(event) => looks.set(event.currentTarget.value)}
			>
				<option value="">any, mixed</option>
				{#each looks.looks as look (look)}<option value={look}>{look}</option>{/each}
				{#if room.look && !looks.looks.includes(room.look)}<option value={room.look}
						>{room.look}</option
					>{/if}
			</select>
		</label>
		{#if looks.prices}
			<ul aria-label="What each look costs" class="mb-1">
				{#each looks.prices as price (price.look)}<li class="rule-top py-1">
						{lookPriceText(desk.home, price, looks.prices[0]!)}
					</li>{/each}
			</ul>
		{:else if looks.job.isRunning}
			<p role="status" class="measure">
				{looks.job.progress
					? `trying looks, place ${looks.job.progress.done} of ${looks.job.progress.of}`
					: 'trying looks …'}
			</p>
			<button class="btn" onclick={() => looks.job.stop()}>Stop</button>
		{:else}
			{#if looks.job.failure}<p role="alert" class="text-error mb-2">
					Not looked at: {looks.job.failure}
				</p>{/if}
			<button class="btn" onclick={() => void looks.look()}>What would one look cost here?</button>
		{/if}
	</section>
{/if}
