<script lang="ts">
	import { page } from '$app/state';
	import { getHomeStore } from '$lib/state/context';
	import { BoardDesk, LOOSE } from '$lib/state/board-desk.svelte';
	import { newId } from '$lib/state/ids';
	import { dragging } from '$lib/ui/drawing/drag';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import BoardList from '$lib/ui/sort/BoardList.svelte';
	import MoveBar from '$lib/ui/sort/MoveBar.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';
	import TagRail from '$lib/ui/sort/TagRail.svelte';
	import ThingPanel from '$lib/ui/sort/ThingPanel.svelte';

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
		<div class="board" {@attach rowDrag}>
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
				<BoardList
					{desk}
					opened={single?.id ?? null}
					onopen={(id) => (opened = id)}
					onmove={() => bar?.focus()}
				/>
				{#if !desk.rows.length}<p class="soft py-6">Nothing here by that name.</p>{/if}
				{#if desk.chosen.length || desk.refused}
					<MoveBar {desk} bind:this={bar} />
				{/if}
			</div>
		</div>
	{/if}
</Bench>

{#snippet sheet()}{#if single}<ThingPanel {home} thing={single} />{/if}{/snippet}

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
	@media (max-width: 1023px) {
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
