<script lang="ts" generics="Item">
	import { createWindowVirtualizer } from '@tanstack/svelte-virtual';
	import { untrack, type Snippet } from 'svelte';
	import { get } from 'svelte/store';

	interface Props {
		items: readonly Item[];
		key: (item: Item) => string;
		row: Snippet<[Item]>;
		label: string;
		/** Usual height of a row, px; rows are measured when they show. */
		estimatePx: number;
	}
	let { items, key, row, label, estimatePx }: Props = $props();

	/** Shorter lists are drawn whole: searching the page and printing then find every row. */
	const WHOLE_UP_TO = 80;
	const whole = $derived(items.length <= WHOLE_UP_TO);
	let list = $state<HTMLUListElement>();
	const virtualizer = createWindowVirtualizer<HTMLLIElement>({
		count: 0,
		estimateSize: () => estimatePx,
		overscan: 8
	});
	let offsetPx = $state(0);
	$effect(() => {
		const shown = whole ? [] : items;
		const options = {
			count: shown.length,
			estimateSize: () => estimatePx,
			getItemKey: (index: number) => (shown[index] === undefined ? index : key(shown[index])),
			scrollMargin: offsetPx,
			// Measured as the browser lays rows out, so that nothing asks for a layout in the midst of an edit.
			measureElement: (_row: HTMLLIElement, entry: ResizeObserverEntry | undefined) =>
				entry?.borderBoxSize[0]?.blockSize ?? estimatePx
		};
		// Setting options sends the virtualizer round its store: following that here would never end.
		untrack(() => get(virtualizer).setOptions(options));
	});
	$effect(() => {
		void items;
		const frame = requestAnimationFrame(() => {
			offsetPx = list?.offsetTop ?? 0;
		});
		return () => cancelAnimationFrame(frame);
	});
	const measure = (node: HTMLLIElement) => untrack(() => get(virtualizer).measureElement(node));
</script>

{#if whole}
	<ul aria-label={label}>
		{#each items as item (key(item))}<li>{@render row(item)}</li>{/each}
	</ul>
{:else}
	<ul
		aria-label={label}
		bind:this={list}
		class="relative"
		style:height="{$virtualizer.getTotalSize()}px"
	>
		{#each $virtualizer.getVirtualItems() as shown (shown.key)}
			{@const item = items[shown.index]}
			{#if item !== undefined}
				<li
					class="absolute inset-x-0 top-0"
					style:transform="translateY({shown.start - offsetPx}px)"
					data-index={shown.index}
					aria-setsize={items.length}
					aria-posinset={shown.index + 1}
					{@attach measure}
				>
					{@render row(item)}
				</li>
			{/if}
		{/each}
	</ul>
{/if}
