<script lang="ts">
	import { largestGapMm } from '$lib/core/fitting';
	import { formatLength, formatMass, formatMoney } from '$lib/core/model';
	import {
		filledText,
		heightText,
		holdsText,
		overText,
		proofText,
		standsText
	} from '$lib/messages/fitting';
	import { listText } from '$lib/messages/numbers';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
	const gapMm = $derived(
		desk.shown && desk.nookId ? largestGapMm(home, desk.nookId, desk.shown) : 0
	);
	const length = (mm: number) => formatLength(mm, home.units);
</script>

{#snippet behind(id: string)}
	{#if desk.behind.has(id)}<span class="soft">, behind other things</span>{/if}
{/snippet}

{#if desk.shown}
	{#if desk.shown.leftOver.length}
		<section aria-label="Did not fit" class="mb-3">
			<h3 class="text-error">Did not fit</h3>
			<ul>
				{#each desk.shown.leftOver as over (`${over.groupId}/${over.thingId}`)}
					{@const others = over.thingId ? desk.elsewhere(over.thingId) : undefined}
					<li class="py-0.5">
						{overText(home, over, gapMm)}
						{#if over.thingId && others === undefined}<button
								class="link min-h-11"
								onclick={() => desk.lookElsewhere(over.thingId!)}
								>Where else?<span class="sr-only"> {home.things[over.thingId]?.name}</span></button
							>{/if}
						{#if others}
							{#each others as other (other.nookId)}<button
									class="btn btn-sm mt-1 mr-1 min-h-11"
									onclick={() => desk.putElsewhere(over.thingId!, other.nookId)}
									>Put in {home.nooks[other.nookId]?.name}</button
								>{:else}<span class="soft block text-sm"
									>Nowhere: no place that suits it has floor left. Fit the open places first, or let
									something go.</span
								>{/each}
						{/if}
					</li>
				{/each}
			</ul>
			<p class="mt-1">
				Try another arrangement, or <a class="link" href="/home/{home.id}/place"
					>move it to another place</a
				>.
			</p>
		</section>
	{/if}
	{#if desk.past.length}
		<p class="mb-3">
			<b>Past its date, left out:</b>
			{listText(desk.past, 6)}. <a class="link" href="/home/{home.id}/clear">Decide in Clear</a>.
		</p>
	{/if}
	<h3>Containers</h3>
	<ul class="mb-3">
		{#each desk.containers as { kind, each, buy } (kind.id)}
			<li class="rule-top py-1">
				<span class="measure">{each.length}</span> ×
				{kind.name}
				<span class="soft measure text-sm"
					>{length(kind.outerTop.widthMm)} × {length(kind.outerTop.depthMm)} × {length(
						kind.heightMm
					)}</span
				>{#if buy}{' '}<b class="text-primary">
						buy {buy}, {formatMoney(kind.priceMinor * buy, home.currency)}</b
					>{/if}
				<ul class="ml-4 text-sm">
					{#each each as one (one.id)}
						{@const stands = standsText(home, one, desk.shown.placements)}
						{#if one.holds.length || stands}<li class="py-0.5">
								{#if stands}<b class="font-semibold">{stands}{one.holds.length ? ': ' : ''}</b
									>{/if}{holdsText(home, one.holds)}
								<span class="soft measure">{filledText(home, kind.massG, one.holds)}</span
								>{@render behind(one.id)}
							</li>{/if}
					{/each}
				</ul>
			</li>
		{:else}
			<li class="soft py-1">None: everything stands straight on the shelf.</li>
		{/each}
	</ul>
	{#if desk.holders.dripping.length}
		<p role="alert" class="text-error mb-3">
			Without a tray: {desk.holders.dripping.join(', ')}. Raw meat and fish stand in something that
			holds what drips; any deep dish will do until a tray is bought.
		</p>
	{/if}
	{#if desk.shown.standing.length}
		<h3>Standing free, in rows from the front</h3>
		<ul class="mb-3 text-sm">
			{#each desk.shown.standing as block (block.id)}<li class="py-0.5">
					{block.holds.length
						? holdsText(home, block.holds)
						: block.names.join(', ')}{@render behind(block.id)}
				</li>{/each}
		</ul>
	{/if}
	{#if desk.arrangement}<p class="soft mb-3">
			{#if desk.arrangement.hasDailyBehind}Something you use daily stands behind something else.{' '}{/if}{Math.round(
				desk.arrangement.freeShare * 100
			)} % of the floor stays free; {formatMass(desk.arrangement.massG)} in all{desk.nook?.loadG
				? ` of ${formatMass(desk.nook.loadG)} allowed`
				: ''}. {heightText(home, desk.heightLeft)}
			{proofText(home, desk.arrangement)}
		</p>{/if}
{/if}
