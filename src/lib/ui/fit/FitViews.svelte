<script lang="ts">
	import type { FitDesk } from '$lib/state/fit-desk.svelte';
	import ShelfView from '$lib/ui/drawing/ShelfView.svelte';
	import DepthPart from './DepthPart.svelte';

	/** The place at hand from above, from the front, from the side, and in depth. */
	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
	/** A wide shelf is drawn over the whole width, one view under the other. */
	const isWide = $derived(
		(desk.nook?.inside.widthMm ?? 0) >
			1.8 * Math.max(desk.nook?.inside.depthMm ?? 1, desk.nook?.inside.heightMm ?? 1)
	);
	const VIEWS = [
		['above', 'From above'],
		['front', 'From the front'],
		['side', 'From the side']
	] as const;
</script>

{#if desk.nook}
	<div class="grid gap-4" class:xl:grid-cols-2={!isWide}>
		{#each VIEWS as [side, words] (side)}
			<figure>
				<figcaption class="font-semibold">{words}</figcaption>
				<ShelfView
					{home}
					nook={desk.nook}
					fit={desk.hand.drawn}
					{side}
					picked={desk.picked?.id}
					onpick={(id) => desk.pick(id)}
					hand={desk.hand}
				/>
			</figure>
		{/each}
		{#if desk.nook && desk.hand.drawn}
			<DepthPart {home} nook={desk.nook} fit={desk.hand.drawn} picked={desk.picked?.id ?? null} />
		{/if}
	</div>
{/if}
