<script lang="ts">
	import { page } from '$app/state';
	import { getHomeStore } from '$lib/state/context';
	import { BoardDesk, LOOSE } from '$lib/state/board-desk.svelte';
	import { newId } from '$lib/state/ids';
	import { keysHere } from '$lib/state/page-keys.svelte';
	import { dragging } from '$lib/ui/drawing/drag';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import MoveBar from '$lib/ui/sort/MoveBar.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';
	import TagRail from '$lib/ui/sort/TagRail.svelte';
	import ThingFields from '$lib/ui/sort/ThingFields.svelte';
	import ThingRow from '$lib/ui/sort/ThingRow.svelte';

	const desk = new BoardDesk({
		store: getHomeStore(),
		newId,
		groupAsked: page.url.searchParams.get('group')
	});
	const { selection } = desk;
	const home = $derived(desk.home);
	let bar = $state<MoveBar>();
	/** The tag under what is dragged; undefined: nothing is. */
	let over = $state<string | null | undefined>(undefined);
	/** The thing whose own figures are shown. */
	let opened = $derived<string | null>(page.url.searchParams.get('thing'));
	const single = $derived(opened ? home.things[opened] : undefined);

	const groupAt = (element: Element | null) =>
		element?.closest('[data-group]')?.getAttribute('data-group') ?? null;
	const rowDrag = dragging({
		find: (element) => element.closest('[data-row]')?.getAttribute('data-row') ?? null,
		start: (thingId) => {
			desk.hold(thingId);
			over = null;
		},
		over: (element) => (over = groupAt(element)),
		drop: (element) => {
			over = undefined;
			const groupId = groupAt(element);
			if (groupId) desk.move(groupId);
		},
		cancel: () => (over = undefined)
	});
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
		{ keys: 'M', does: 'Move what is chosen', run: () => bar?.focus() },
		{ keys: 'Ctrl+A', does: 'Choose all that show', run: () => selection.toggleAll(desk.ids) },
		{ keys: 'Escape', does: 'Clear the selection', run: () => desk.clear() }
	]);
</script>

<Bench
	raised={!!single}
	panel={single ? sheet : undefined}
	panelLabel="Thing"
	chosen={opened}
	onclose={() => (opened = null)}
>
	<SortHead />
	{#if !desk.things.length}
		<EmptyNote title="Nothing to sort yet">
			<p>Things come from Clear, one line each. Here they are put together by what they are for.</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to Clear</a>
		</EmptyNote>
	{:else}
		<div class="board" class:beside={!!single} {@attach rowDrag}>
			<TagRail {desk} {over} />
			<div class="min-w-0">
				<div class="flex flex-wrap items-center gap-2 pb-2">
					<label class="small grow"
						><span class="sr-only">Show group</span>
						<select class="select" bind:value={desk.shown}>
							<option value={null}>Everything</option>
							{#if desk.loose.length}<option value={LOOSE}>Loose</option>{/if}
							{#each desk.groups as group (group.id)}<option value={group.id}>{group.name}</option
								>{/each}
						</select></label
					>
					<label class="grow"
						><span class="sr-only">Find things</span>
						<input
							class="input"
							type="search"
							bind:value={desk.sought}
							placeholder="Find by name, category or tag"
						/></label
					>
					<button
						class="btn"
						disabled={!desk.ids.length}
						onclick={() => selection.toggleAll(desk.ids)}
						>{desk.areAllChosen ? 'Clear selection of' : 'Choose'} all {desk.ids.length}</button
					>
				</div>
				<p class="soft wide with-keys pb-1 text-sm">
					Drag onto a tag, or choose and move. By keyboard: Space chooses, Shift and an arrow
					chooses more, M moves.
				</p>
				<div class="heads soft text-sm" aria-hidden="true">
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
								isBeside={!!single}
								onopen={() => (opened = opened === thing.id ? null : thing.id)}
							/>
						{/snippet}
					</VirtualList>
				</div>
				{#if !desk.rows.length}<p class="soft py-6">Nothing here by that name.</p>{/if}
				{#if desk.chosen.length || desk.refused}
					<MoveBar {desk} bind:this={bar} />
				{/if}
			</div>
		</div>
	{/if}
</Bench>

{#snippet sheet()}
	{#if single}
		<h2 class="mb-2">{single.name}</h2>
		{#if single.groupId && home.groups[single.groupId]}
			<TagChip group={home.groups[single.groupId]!} />
		{/if}
		{#if single.groupByHand}<p class="soft mt-1 text-sm">
				You put it there: proposals leave it alone.
			</p>{/if}
		<ThingFields thing={single} />
	{/if}
{/snippet}

<style>
	.board {
		display: grid;
		grid-template-columns: 16rem minmax(0, 1fr);
		gap: 1rem;
		align-items: start;
	}
	.small {
		display: none;
	}
	.heads {
		display: grid;
		grid-template-columns: 2.75rem minmax(0, 1.2fr) minmax(0, 0.8fr) 4.5rem minmax(0, 14rem);
		gap: 0.6rem;
		align-items: center;
		padding: 0 0.4rem;
	}
	.beside .heads {
		grid-template-columns: 2.75rem minmax(0, 1fr) 4.5rem minmax(0, 11rem);
	}
	.beside .wide {
		display: none;
	}
	@media (max-width: 1023px) {
		.heads,
		.beside .heads {
			grid-template-columns: 2.75rem minmax(0, 1fr) minmax(0, 3rem) minmax(0, 4rem);
			gap: 0.3rem;
			overflow-wrap: anywhere;
		}
		.wide {
			display: none;
		}
	}
	@media (max-width: 767px) {
		.board {
			grid-template-columns: minmax(0, 1fr);
		}
		.small {
			display: block;
		}
	}
</style>
