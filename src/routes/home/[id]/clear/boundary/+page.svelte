<script lang="ts">
	import { page } from '$app/state';
	import { formatVolume } from '$lib/core/model';
	import { fixedText } from '$lib/messages/numbers';
	import { getHomeStore } from '$lib/state/context';
	import { CutDesk } from '$lib/state/cut-desk.svelte';
	import { newId } from '$lib/state/ids';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import CutGauges from '$lib/ui/clear/CutGauges.svelte';
	import CutRow from '$lib/ui/clear/CutRow.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';

	const desk = new CutDesk({
		store: getHomeStore(),
		newId,
		placeAsked: page.url.searchParams.get('place')
	});
	const home = $derived(desk.home);
	const { nookId, mine, out } = $derived(desk);
</script>

<Bench>
	<ClearHead>
		<label class="flex items-center gap-2"
			><span class="soft">Place</span>
			<select
				class="select"
				value={nookId}
				onchange={(event) => desk.choose(event.currentTarget.value)}
			>
				{#each desk.places as place (place.nook.id)}<option value={place.nook.id}
						>{place.nook.name}{desk.full.has(place.nook.id) ? ' (too full)' : ''}</option
					>{/each}
			</select></label
		>
	</ClearHead>
	<WallStrip {home} flagged={desk.full} selected={nookId} onselect={(id) => desk.choose(id)} />
	{#if mine && nookId}
		<h2 class="mt-2">What {desk.name} holds</h2>
		<p class="soft mb-2">
			A shelf only holds so much. The most-used things that fit together stay; a box counts with its
			lid. The first of a kind counts by its uses a week, each further one for less.
		</p>
		<CutGauges {mine} units={home.units} />
		{#if desk.isByHand}
			<p class="mine" role="status">
				{#if desk.isOver}
					<b style="color:var(--color-error)">What you keep is more than the place holds.</b> Let something
					else go.
				{:else if desk.costs > 0.0005}
					Your choice costs <b class="measure">{fixedText(desk.costs, 2)}</b> uses a week against the
					best one.
				{:else}
					Your choice is as good as the best one.
				{/if}
				<button class="btn" onclick={() => desk.backToBest()}>Back to the best</button>
			</p>
		{/if}
		<ul aria-label="Stays">
			{#each desk.kept as item (item.key)}<CutRow {desk} {item} stays />{/each}
		</ul>
		<p class="cut" role="separator" aria-label="Cut line">
			<span
				>{out.length
					? 'the place is full here'
					: `everything fits, ${formatVolume(mine.limits.volumeMl - mine.cut.volumeMl)} are left`}</span
			>
		</p>
		<ul aria-label="Too many">
			{#each out as item (item.key)}<CutRow {desk} {item} stays={false} />{/each}
		</ul>
		{#if out.length}
			<button class="btn btn-primary mt-4" onclick={() => desk.carryOut()}
				>Move the {out.length} that don’t fit to the table</button
			>
		{/if}
		{#if mine.cut.status === 'limit'}
			<p class="soft mt-2">
				So many are alike that not every choice was tried; a better one could add at most
				{fixedText(mine.cut.bound - mine.cut.value, 2)} uses a week more.
			</p>
		{/if}
	{:else if nookId}
		<p class="my-4">
			{desk.name} is not measured yet, so there is no telling what it holds.
			<a class="underline" href="/home/{home.id}/walk/tape">Go to the tape list</a>
		</p>
	{:else}
		<p class="my-4">No places yet. Add a room and a cabinet in Walk first.</p>
	{/if}
</Bench>

<style>
	.mine {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.6rem;
		min-height: 44px;
	}
	.cut {
		display: flex;
		align-items: center;
		gap: 0.8rem;
		margin: 0.3rem 0;
		color: var(--color-primary);
		font-weight: 600;
	}
	.cut::before,
	.cut::after {
		content: '';
		flex: 1;
		border-top: 2px dashed var(--color-primary);
	}
</style>
