<script lang="ts">
	import Columns2 from '@lucide/svelte/icons/columns-2';
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { formatLength } from '$lib/core/model';
	import { nextPegMm, placeOfNook } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';

	let { nookId, onremoved }: { nookId: string; onremoved: () => void } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const place = $derived(placeOfNook(home, nookId));
	let parts = $state(2);
	const half = $derived(Math.floor((place?.nook.inside.heightMm ?? 0) / 2));
	/** A shelf goes in the middle, or on the peg above it. */
	const peg = $derived(
		place ? nextPegMm(place.nook, place.cabinet, Math.max(60, half - 16)) : null
	);
</script>

{#if place}
	{@const { nook, cabinet } = place}
	<section class="rule-top py-3" aria-label="Divide it">
		<h3 class="mb-2">Divide it</h3>
		<div class="flex flex-wrap items-end gap-2">
			{#if peg !== null}
				<button
					class="btn"
					onclick={() =>
						store.run(
							`shelf in ${nook.name}`,
							'addShelf',
							nookId,
							Math.max(60, half - 16),
							newId()
						)}
					><Plus size={18} />Shelf at {formatLength(peg, home.units)}{cabinet.shelves
						? ', on a peg'
						: ''}</button
				>
			{/if}
			{#if nook.inside.widthMm}
				<label class="text-sm font-semibold"
					>Equal parts<select class="select font-normal" bind:value={parts}
						>{#each [2, 3, 4, 5, 6] as n (n)}<option value={n}>{n}</option>{/each}</select
					></label
				>
				<button
					class="btn"
					onclick={() => store.run(`divide ${nook.name}`, 'divideNook', nookId, parts, newId())}
					><Columns2 size={18} />Side by side</button
				>
			{/if}
		</div>
		<button
			class="btn btn-ghost mt-2"
			onclick={() => {
				// The edit first: once the sheet is put away there is no place to name.
				store.run(`remove ${nook.name}`, 'removeNook', nookId);
				onremoved();
			}}><Trash2 size={18} />Remove this place</button
		>
	</section>
{/if}
