<script lang="ts">
	import { allGroupFigures, thingsAbout } from '$lib/core/grouping';
	import { categoryOf, usesPerWeek, type Thing } from '$lib/core/model';
	import { usesText } from '$lib/messages/sorting';
	import { page } from '$app/state';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { Selection } from '$lib/state/selection.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import MoveBar from '$lib/ui/sort/MoveBar.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';
	import TagRail from '$lib/ui/sort/TagRail.svelte';
	import ThingFields from '$lib/ui/sort/ThingFields.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const figures = $derived(new Map(allGroupFigures(home).map((f) => [f.groupId, f])));
	const groups = $derived(Object.values(home.groups).sort((a, b) => a.name.localeCompare(b.name)));
	const targets = $derived(groups.filter(({ stockOf }) => !stockOf));
	/** null: everything; '': what has no group. */
	let shown = $state<string | null>(null);
	let sought = $state('');
	let dragging = $state(false);
	let bar = $state<MoveBar>();
	const selection = new Selection();

	const things = $derived(
		Object.values(home.things).sort(
			(a, b) => a.name.localeCompare(b.name) || (a.id < b.id ? -1 : 1)
		)
	);
	const loose = $derived(things.filter(({ groupId }) => !groupId).length);
	const rows = $derived.by(() => {
		const inGroup =
			shown === null
				? things
				: things.filter(({ id, groupId }) =>
						shown === ''
							? !groupId
							: groupId === shown || figures.get(shown!)?.things.some((thing) => thing.id === id)
					);
		return thingsAbout(home, inGroup, sought);
	});
	const ids = $derived(rows.map(({ id }) => id as string));
	const chosen = $derived([...selection.ids].filter((id) => home.things[id]));
	/** The thing whose own figures are shown. */
	let opened = $derived<string | null>(page.url.searchParams.get('thing'));
	const single = $derived(opened ? home.things[opened] : undefined);
	const allChosen = $derived(ids.length > 0 && ids.every((id) => selection.has(id)));

	const many = (list: readonly string[]) =>
		list.length === 1 ? (home.things[list[0]!]?.name ?? '') : `${list.length} things`;
	function move(groupId: string) {
		const list = chosen;
		if (!list.length) return;
		store.run(`move ${many(list)} to ${home.groups[groupId]?.name}`, 'moveThings', list, groupId);
		selection.clear();
	}
	function make(name: string) {
		const list = chosen;
		const first = home.things[list[0]!];
		if (!first) return;
		const id = newId();
		const called = name || categoryOf(first.category).name;
		store.run(`make ${called} of ${many(list)}`, 'splitOff', list, id, called);
		selection.clear();
		shown = id;
	}
	/** Moves the focus up or down the list, and chooses on the way where shift is held. */
	function walk(event: KeyboardEvent) {
		const at = ids.indexOf((event.target as HTMLElement).dataset['thing'] ?? '');
		if (at < 0) return;
		const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
		const next = ids[at + step];
		if (step && next !== undefined) {
			event.preventDefault();
			if (event.shiftKey) {
				if (!selection.has(ids[at]!)) selection.toggle(ids[at]!);
				selection.extend(next, ids);
			}
			const list = event.currentTarget as HTMLElement;
			list.querySelector<HTMLElement>(`[data-thing="${CSS.escape(next)}"]`)?.focus();
		} else if (event.key === 'a' && (event.ctrlKey || event.metaKey)) {
			event.preventDefault();
			selection.toggleAll(ids);
		} else if (event.key === 'm' && chosen.length) {
			event.preventDefault();
			bar?.focus();
		} else if (event.key === 'Escape') selection.clear();
	}
	$effect(() => {
		// A group that was joined or undone is no longer there to be shown.
		if (shown && !home.groups[shown]) shown = null;
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
	{#if !things.length}
		<EmptyNote title="Nothing to sort yet">
			<p>Things come from Clear, one line each. Here they are put together by what they are for.</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to Clear</a>
		</EmptyNote>
	{:else}
		<div class="board" class:beside={!!single}>
			<TagRail
				{groups}
				{figures}
				{shown}
				total={things.length}
				{loose}
				{dragging}
				onshow={(next) => (shown = next)}
				ondrop={move}
			/>
			<div class="min-w-0">
				<div class="flex flex-wrap items-center gap-2 pb-2">
					<label class="small grow"
						><span class="sr-only">Show group</span>
						<select class="select" bind:value={shown}>
							<option value={null}>Everything</option>
							{#if loose}<option value="">Loose</option>{/if}
							{#each groups as group (group.id)}<option value={group.id}>{group.name}</option
								>{/each}
						</select></label
					>
					<label class="grow"
						><span class="sr-only">Find things</span>
						<input
							class="input"
							type="search"
							bind:value={sought}
							placeholder="Find by name, category or tag"
						/></label
					>
					<button class="btn" disabled={!ids.length} onclick={() => selection.toggleAll(ids)}
						>{allChosen ? 'Clear selection of' : 'Choose'} all {ids.length}</button
					>
				</div>
				<p class="soft wide pb-1 text-sm">
					Drag onto a tag, or choose and move. By keyboard: space chooses, shift with an arrow goes
					on choosing, M moves.
				</p>
				<div class="heads soft text-sm" aria-hidden="true">
					<span></span><span>Thing</span><span class="wide">Category</span><span class="text-right"
						>Uses a week</span
					><span class="text-right">Tag</span>
				</div>
				<!-- svelte-ignore a11y_no_static_element_interactions -->
				<div onkeydown={walk}>
					<VirtualList
						items={rows}
						key={(thing) => thing.id}
						label="Things"
						estimatePx={52}
						{row}
					/>
				</div>
				{#if !rows.length}<p class="soft py-6">Nothing here by that name.</p>{/if}
				{#if chosen.length}
					<MoveBar
						bind:this={bar}
						count={chosen.length}
						groups={targets}
						onmove={move}
						onmake={make}
						onclear={() => selection.clear()}
					/>
				{/if}
			</div>
		</div>
	{/if}
</Bench>

{#snippet row(thing: Thing)}
	{@const group = thing.groupId ? home.groups[thing.groupId] : undefined}
	<!-- svelte-ignore a11y_no_static_element_interactions -->
	<div
		class="thing"
		class:held={selection.has(thing.id)}
		draggable="true"
		ondragstart={(event) => {
			if (!selection.has(thing.id)) {
				selection.clear();
				selection.toggle(thing.id);
			}
			dragging = true;
			event.dataTransfer?.setData('text/plain', thing.name);
		}}
		ondragend={() => (dragging = false)}
	>
		<label class="pick"
			><input
				type="checkbox"
				data-thing={thing.id}
				aria-label={thing.name}
				checked={selection.has(thing.id)}
				onclick={(event) => {
					if (event.shiftKey) selection.extend(thing.id, ids);
					else selection.toggle(thing.id);
				}}
			/></label
		>
		<button
			class="name"
			aria-label="About {thing.name}"
			aria-pressed={opened === thing.id}
			onclick={() => (opened = opened === thing.id ? null : thing.id)}>{thing.name}</button
		>
		<span class="soft wide truncate text-sm">{categoryOf(thing.category).name}</span>
		<span class="measure text-right" title="uses a week">{usesText(usesPerWeek(thing))}</span>
		<span class="flex min-w-0 justify-end"
			>{#if group}<TagChip {group} short={shown !== null} />{:else}<span class="soft text-sm"
					>loose</span
				>{/if}</span
		>
	</div>
{/snippet}

{#snippet sheet()}
	{#if single}
		<h2 class="mb-2">{single.name}</h2>
		{#if single.groupId && home.groups[single.groupId]}
			<TagChip group={home.groups[single.groupId]!} />
		{/if}
		{#if single.groupByHand}<p class="soft mt-1 text-sm">
				Put there by hand: proposals leave it there.
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
	.heads,
	.thing {
		display: grid;
		grid-template-columns: 2.75rem minmax(0, 1.2fr) minmax(0, 0.8fr) 4.5rem minmax(0, 14rem);
		gap: 0.6rem;
		align-items: center;
		padding: 0 0.4rem;
	}
	.thing {
		min-height: 52px;
		border-top: 1px solid var(--color-base-300);
	}
	.thing:hover,
	.thing.held {
		background: var(--color-base-200);
	}
	.pick {
		display: grid;
		place-items: center;
		min-height: 44px;
		cursor: pointer;
	}
	.name {
		overflow: hidden;
		min-height: 44px;
		text-align: left;
		text-overflow: ellipsis;
		white-space: nowrap;
		cursor: pointer;
	}
	.name[aria-pressed='true'] {
		font-weight: 700;
	}
	.pick input {
		flex: none;
		width: 20px;
		height: 20px;
	}
	/* With the panel beside it the name matters more than the category. */
	.beside .heads,
	.beside .thing {
		grid-template-columns: 2.75rem minmax(0, 1fr) 4.5rem minmax(0, 11rem);
	}
	.beside .wide {
		display: none;
	}
	@media (max-width: 1023px) {
		.heads,
		.thing,
		.beside .heads,
		.beside .thing {
			grid-template-columns: 2.75rem minmax(0, 1fr) 3rem 4rem;
		}
		.wide,
		.thing :global(.tag .name) {
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
