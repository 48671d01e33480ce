<script lang="ts">
	import { fixedText } from '$lib/messages/numbers';
	import { SvelteSet } from 'svelte/reactivity';
	import { cutPlace, piecesOut, type Wanting } from '$lib/core/clearing';
	import { formatLength, formatVolume } from '$lib/core/model';
	import { nooksInOrder } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import { page } from '$app/state';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const places = $derived(nooksInOrder(home));
	const NONE = { stay: new Set<string>(), go: new Set<string>() };
	let chosen = $state<string | null>(page.url.searchParams.get('place'));
	const heldIn = $derived(
		new Set(
			Object.values(home.lots).flatMap((lot) => (lot.count > 0 && lot.nookId ? [lot.nookId] : []))
		)
	);
	/** Places with more in them than they hold. */
	const full = $derived(
		new Set(
			places
				.map(({ nook }) => nook.id)
				.filter((id) => {
					const found = heldIn.has(id) ? cutPlace(home, id, NONE) : null;
					return !!found && found.cut.keep.length < found.wanting.length;
				})
				.map(String)
		)
	);
	const nookId = $derived(
		chosen && home.nooks[chosen] ? chosen : ([...full][0] ?? places[0]?.nook.id ?? null)
	);
	const stay = new SvelteSet<string>();
	const go = new SvelteSet<string>();
	const best = $derived(nookId ? cutPlace(home, nookId, NONE) : null);
	const mine = $derived(
		nookId ? cutPlace(home, nookId, { stay: new Set(stay), go: new Set(go) }) : null
	);
	const keep = $derived(new Set(mine?.cut.keep));
	const byValue = (a: Wanting, b: Wanting) => b.value - a.value || a.name.localeCompare(b.name);
	const kept = $derived(
		mine ? mine.wanting.filter((item) => keep.has(item.key)).sort(byValue) : []
	);
	const out = $derived(
		mine ? mine.wanting.filter((item) => !keep.has(item.key)).sort(byValue) : []
	);
	const costs = $derived(best && mine ? best.cut.value - mine.cut.value : 0);
	const over = $derived(
		mine
			? mine.cut.volumeMl > mine.limits.volumeMl + 1 || mine.cut.runMm > mine.limits.runMm + 1
			: false
	);
	function choose(id: string) {
		chosen = id;
		stay.clear();
		go.clear();
	}
	function swap(item: Wanting) {
		const stays = keep.has(item.key);
		stay.delete(item.key);
		go.delete(item.key);
		(stays ? go : stay).add(item.key);
	}
	function carryOut() {
		if (!mine || !nookId) return;
		store.run(`boundary of ${home.nooks[nookId]!.name}`, 'applyCut', [...piecesOut(mine)], newId());
		stay.clear();
		go.clear();
	}
	const share = (used: number, limit: number) => Math.min(120, (100 * used) / (limit || 1));
</script>

<Bench>
	<ClearHead>
		<label class="flex items-center gap-2"
			><span class="soft">Place</span>
			<select class="select" value={nookId} onchange={(event) => choose(event.currentTarget.value)}>
				{#each places as place (place.nook.id)}<option value={place.nook.id}
						>{place.nook.name}{full.has(place.nook.id) ? ' (too full)' : ''}</option
					>{/each}
			</select></label
		>
	</ClearHead>
	<WallStrip {home} flagged={full} selected={nookId} onselect={choose} />
	{#if mine && best && nookId}
		<h2 class="mt-2">What {home.nooks[nookId]?.name} holds</h2>
		<p class="soft mb-2">
			A shelf only holds so much. The most-used things that fit together stay; a box counts with its
			lid. The first of a kind counts by its uses a week, each further one for less.
		</p>
		<div class="gauges">
			{#each [['Litres', mine.cut.volumeMl, mine.limits.volumeMl, formatVolume(mine.cut.volumeMl), formatVolume(mine.limits.volumeMl)], ['Front run', mine.cut.runMm, mine.limits.runMm, formatLength(mine.cut.runMm, home.units), formatLength(mine.limits.runMm, home.units)]] as const as [word, used, limit, usedText, limitText] (word)}
				<p>
					<span>{word}</span>
					<span class="gauge" aria-hidden="true"
						><i class:over={used > limit + 1} style:width="{share(used, limit) / 1.2}%"></i></span
					>
					<span class="measure">{usedText} of {limitText}</span>
				</p>
			{/each}
		</div>
		{#if stay.size || go.size}
			<p class="mine" role="status">
				{#if over}
					<b style="color:var(--color-error)">What you keep is more than the place holds.</b> Let something
					else go.
				{:else if costs > 0.0005}
					Your choice costs <b class="measure">{fixedText(costs, 2)}</b> uses a week against the best
					one.
				{:else}
					Your choice is as good as the best one.
				{/if}
				<button
					class="btn"
					onclick={() => {
						stay.clear();
						go.clear();
					}}>Back to the best</button
				>
			</p>
		{/if}
		<ul aria-label="Stays">
			{#each kept as item (item.key)}{@render row(item, true)}{/each}
		</ul>
		<p class="cut" role="separator" aria-label="Cut line">
			<span
				>{out.length
					? 'the place is full here'
					: `everything fits, ${formatVolume(mine.limits.volumeMl - mine.cut.volumeMl)} are left`}</span
			>
		</p>
		<ul aria-label="Too many">
			{#each out as item (item.key)}{@render row(item, false)}{/each}
		</ul>
		{#if out.length}
			<button class="btn btn-primary mt-4" onclick={carryOut}
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
			{home.nooks[nookId]?.name} is not measured yet, so there is no telling what it holds.
			<a class="underline" href="/home/{home.id}/walk/tape">Go to the tape list</a>
		</p>
	{:else}
		<p class="my-4">No places yet. Add a room and a cabinet in Walk first.</p>
	{/if}
</Bench>

{#snippet row(item: Wanting, stays: boolean)}
	<li class="item" class:out={!stays}>
		<label
			><input
				type="checkbox"
				class="checkbox"
				checked={stays}
				onchange={() => swap(item)}
				aria-label="{item.name} stays"
			/><span class="min-w-0 flex-1"
				><b>{item.name}</b>{#if stay.has(item.key) || go.has(item.key)}
					<span class="soft">by hand</span>{/if}</span
			></label
		>
		<span class="measure soft">{fixedText(item.value, 2)}/week</span>
		<span class="measure soft wide">{formatVolume(item.volumeMl)}</span>
	</li>
{/snippet}

<style>
	.gauges p {
		display: grid;
		grid-template-columns: 6rem minmax(4rem, 22rem) auto;
		align-items: center;
		gap: 0.8rem;
		min-height: 32px;
	}
	.gauge {
		position: relative;
		height: 14px;
		border: 1.3px solid var(--color-base-content);
		border-right: 0;
	}
	.gauge::after {
		content: '';
		position: absolute;
		inset: -3px auto -3px 83.33%;
		border-left: 2px solid var(--color-base-content);
	}
	.gauge i {
		display: block;
		height: 100%;
		background: color-mix(in oklab, var(--color-success) 60%, transparent);
	}
	.gauge i.over {
		background: color-mix(in oklab, var(--color-error) 60%, transparent);
	}
	.mine {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.6rem;
		min-height: 44px;
	}
	.item {
		display: flex;
		align-items: center;
		gap: 1rem;
		border-top: 1px solid var(--color-base-300);
	}
	.item label {
		display: flex;
		align-items: center;
		gap: 0.7rem;
		flex: 1 1 auto;
		min-width: 0;
		min-height: 44px;
	}
	.item.out {
		background: var(--color-base-200);
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
	@media (max-width: 640px) {
		.wide {
			display: none;
		}
		.gauges p {
			grid-template-columns: 4.5rem minmax(3rem, 1fr) auto;
		}
	}
</style>
