<script lang="ts">
	import type { BoardDesk } from '$lib/state/board-desk.svelte';
	import { keysHere } from '$lib/state/page-keys.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import ThingRow from './ThingRow.svelte';

	/** The things of the board; `opened` is the one whose figures stand beside it. */
	interface Props {
		desk: BoardDesk;
		opened: string | null;
		onopen: (thingId: string | null) => void;
		/** Where to move what is chosen is asked for. */
		onmove: () => void;
	}
	let { desk, opened, onopen, onmove }: Props = $props();
	const { selection } = $derived(desk);
	/** Moves the focus up or down the list, and chooses on the way where shift is held. */
	function walk(event: KeyboardEvent) {
		const { ids } = desk;
		const at = ids.indexOf((event.target as HTMLElement).dataset['thing'] ?? '');
		if (at < 0) return;
		const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
		const next = ids[at + step];
		if (!step || next === undefined) return;
		event.preventDefault();
		if (event.shiftKey) {
			if (!selection.has(ids[at]!)) selection.toggle(ids[at]!);
			selection.extend(next, ids);
		}
		const list = event.currentTarget as HTMLElement;
		list.querySelector<HTMLElement>(`[data-thing="${CSS.escape(next)}"]`)?.focus();
	}
	const listKeys = keysHere('The list of things', [
		{ keys: 'M', does: 'Move what is chosen', run: () => onmove() },
		{ keys: 'Ctrl+A', does: 'Choose all that show', run: () => selection.toggleAll(desk.ids) },
		{ keys: 'Escape', does: 'Clear the selection', run: () => desk.clear() }
	]);
</script>

<div class:beside={!!opened} class="heads soft text-sm" aria-hidden="true">
	<span></span><span>Thing</span><span class="wide">Category</span><span class="text-right"
		>Uses a week</span
	><span class="text-right">Tag</span>
</div>
<!-- svelte-ignore a11y_no_static_element_interactions -->
<div onkeydown={walk} {@attach listKeys}>
	<VirtualList items={desk.rows} key={(thing) => thing.id} label="Things" estimatePx={52}>
		{#snippet row(thing)}
			<ThingRow
				{desk}
				{thing}
				isOpen={opened === thing.id}
				isBeside={!!opened}
				onopen={() => onopen(opened === thing.id ? null : thing.id)}
			/>
		{/snippet}
	</VirtualList>
</div>

<style>
	.heads {
		display: grid;
		grid-template-columns: 2.75rem minmax(0, 1.2fr) minmax(0, 0.8fr) 4.5rem minmax(0, 14rem);
		gap: 0.6rem;
		align-items: center;
		padding: 0 0.4rem;
	}
	.heads.beside {
		grid-template-columns: 2.75rem minmax(0, 1fr) 4.5rem minmax(0, 11rem);
	}
	.beside .wide {
		display: none;
	}
	@media (max-width: 1023px) {
		.heads,
		.heads.beside {
			grid-template-columns: 2.75rem minmax(0, 1fr) minmax(0, 3rem) minmax(0, 4rem);
			gap: 0.3rem;
			overflow-wrap: anywhere;
		}
		.wide {
			display: none;
		}
	}
</style>
