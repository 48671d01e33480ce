<script lang="ts">
	import { FIT_MM } from '$lib/core/model';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { RimsDesk } from '$lib/state/rims-desk.svelte';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import LonePieces from '$lib/ui/clear/LonePieces.svelte';
	import MeasureRims from '$lib/ui/clear/MeasureRims.svelte';
	import RimPair from '$lib/ui/clear/RimPair.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';

	const desk = new RimsDesk({ store: getHomeStore(), newId, now });
	const { match, pairs, pieces } = $derived(desk);
</script>

<Bench panel={measure} panelLabel="Rims to measure">
	<ClearHead />
	<h2>Boxes and their lids</h2>
	<p class="soft mb-3">
		A round lid fits within {FIT_MM.round} mm, a rectangular one within {FIT_MM.rect} mm a side. As many
		pairs as possible, with the closest fit overall.
	</p>
	{#if match.pairs.length}
		<ul class="pairs" aria-label="Pairs">
			{#each pairs as { pair, count } (pair.vessel)}
				{@const vessel = desk.pieceOf(pair.vessel)}
				{@const lid = desk.pieceOf(pair.lid)}
				<li>
					{#if vessel && lid}<RimPair {vessel} {lid} />{/if}
					<span
						>{#if count > 1}<span class="measure">{count} ×</span>{' '}{/if}<b
							>{desk.nameOf(pair.vessel)}</b
						>
						with <b>{desk.nameOf(pair.lid)}</b><br /><span class="soft measure"
							>{vessel ? desk.rimText(vessel) : ''}, off by {pair.misfitMm} mm</span
						></span
					>
				</li>
			{/each}
		</ul>
	{:else if !pieces.vessels.length && !pieces.lids.length}
		<p class="py-3">
			No rims are measured yet. Measure across each box and each lid; the matches are then found for
			you.
		</p>
	{:else}
		<p class="py-3">None of the measured boxes and lids match.</p>
	{/if}
	{#if desk.orphans.length}
		<LonePieces {desk} />
	{/if}
</Bench>

{#snippet measure()}<MeasureRims {desk} />{/snippet}

<style>
	.pairs {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(17rem, 100%), 1fr));
		gap: 0.5rem 1rem;
	}
	.pairs li {
		display: flex;
		flex-wrap: wrap;
		min-width: 0;
		overflow-wrap: anywhere;
		align-items: center;
		gap: 0.8rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.5rem 0;
	}
</style>
