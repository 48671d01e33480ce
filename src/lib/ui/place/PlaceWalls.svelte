<script lang="ts">
	import type { PlaceDesk } from '$lib/state/place-desk.svelte';
	import { dragging } from '$lib/ui/drawing/drag';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';

	let { desk }: { desk: PlaceDesk } = $props();
	let walls = $state<HTMLElement>();
	/** The wall that shows, where only one does. */
	let shown = $state(0);

	const nookAt = (element: Element | null) =>
		element?.closest('[data-nook]')?.getAttribute('data-nook');
	/** So near the edge a tag in hand asks for the next wall, px, and waits so long for the one after it, ms. */
	const EDGE_PX = 36;
	const TURN_MS = 700;
	let turned = 0;

	function show(index: number) {
		const wall = walls?.children[index] as HTMLElement | undefined;
		if (wall && walls) walls.scrollTo({ left: wall.offsetLeft - walls.offsetLeft });
	}
	/** A tag that is held at the edge of a phone turns to the next wall. */
	function turn(x: number) {
		if (!walls || walls.scrollWidth <= walls.clientWidth) return;
		const way = x < EDGE_PX ? -1 : x > innerWidth - EDGE_PX ? 1 : 0;
		if (!way) turned = 0;
		else if (performance.now() - turned > TURN_MS) {
			turned = performance.now();
			show(shown + way);
		}
	}
	/** A tag may also be dragged: where it is let go decides. */
	const tagDrag = dragging({
		find: (element) => {
			const note = element.closest('[data-note]')?.getAttribute('data-note');
			const [groupId, nookId] = note?.split('/') ?? [];
			return groupId && nookId ? { groupId, nookId } : null;
		},
		start: ({ groupId, nookId }) => desk.take(groupId, nookId),
		over: (_, { x }) => turn(x),
		drop: (element) => {
			const nookId = nookAt(element);
			if (nookId) desk.drop(nookId);
			else desk.letGo();
		},
		cancel: () => desk.letGo()
	});
</script>

{#if desk.walls.length > 1}
	<nav class="names" aria-label="Walls">
		{#each desk.walls as run, i (run.id)}
			{@const best = desk.bestOnWall.get(run.id)}
			<button
				class="btn btn-sm"
				class:btn-primary={shown === i}
				aria-current={shown === i ? 'true' : undefined}
				onclick={() => show(i)}
				>{run.name}{#if best}<span class="measure">{best.text}</span>{/if}</button
			>
		{/each}
	</nav>
{/if}
<div
	class="walls"
	bind:this={walls}
	onscroll={({ currentTarget }) =>
		(shown = Math.round(currentTarget.scrollLeft / currentTarget.clientWidth))}
	{@attach tagDrag}
>
	{#each desk.walls as run (run.id)}
		<section aria-label={run.name} class="run">
			<h2 class="mb-1">{run.name}</h2>
			<FrontView
				home={desk.home}
				{run}
				notes={desk.notes}
				prices={desk.prices}
				heat={desk.heat}
				held={desk.held}
				selected={desk.looked?.nookId ?? null}
				onselect={(id) => desk.drop(id)}
				onnote={(groupId, nookId) => desk.pick(groupId, nookId)}
			/>
		</section>
	{/each}
</div>

<style>
	.names {
		display: none;
	}
	.walls {
		display: flex;
		flex-direction: column;
		gap: 1.5rem;
	}
	/* On a phone one wall at a time: a swipe turns to the next. */
	@media screen and (max-width: 639px) {
		.names {
			display: flex;
			gap: 0.5rem;
			overflow-x: auto;
			padding-bottom: 0.5rem;
			scrollbar-width: none;
		}
		.names button {
			flex: none;
			min-height: 44px;
		}
		.walls {
			flex-direction: row;
			gap: 0;
			overflow-x: auto;
			scroll-snap-type: x mandatory;
			scroll-behavior: smooth;
			scrollbar-width: none;
		}
		.run {
			flex: 0 0 100%;
			min-width: 0;
			scroll-snap-align: start;
		}
		.run h2 {
			display: none;
		}
	}
	@media print {
		.run {
			break-after: page;
		}
	}
</style>
