<script lang="ts">
	import { nooksInOrder } from '$lib/core/survey';
	import type { PicturesDesk } from '$lib/state/pictures-desk.svelte';
	import PicturePair from '$lib/ui/clear/PicturePair.svelte';

	let { desk }: { desk: PicturesDesk } = $props();
	const places = $derived(nooksInOrder(desk.home));
</script>

<section aria-label="Before and after">
	<h2>Before and after</h2>
	<p class="soft mb-2 text-sm">
		A picture of a place before it is cleared, and one from the same spot when it is done.
	</p>
	<select class="select mb-2" aria-label="Place to take a picture of" bind:value={desk.chosen}>
		<option value="">choose a place</option>
		{#each places as { nook } (nook.id)}<option value={nook.id}>{nook.name}</option>{/each}
	</select>
	{#if desk.wrong}<p role="alert" class="text-error mb-2">{desk.wrong}</p>{/if}
	<div class="grid gap-4 lg:grid-cols-2">
		{#each desk.shown as nookId (nookId)}
			<div>
				<h3>{desk.home.nooks[nookId]?.name}</h3>
				<PicturePair {desk} {nookId} />
			</div>
		{/each}
	</div>
</section>
