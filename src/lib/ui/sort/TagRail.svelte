<script lang="ts">
	import { LOOSE, type BoardDesk } from '$lib/state/board-desk.svelte';
	import TagChip from '../drawing/TagChip.svelte';

	interface Props {
		desk: BoardDesk;
		/** The group under what is dragged; undefined: nothing is dragged. */
		over: string | null | undefined;
	}
	let { desk, over }: Props = $props();
</script>

<div class="rail" class:dragging={over !== undefined}>
	<button class="entry" aria-pressed={desk.shown === null} onclick={() => (desk.shown = null)}
		><span>Everything</span><span class="measure">{desk.things.length}</span></button
	>
	{#if desk.loose.length}
		<button class="entry" aria-pressed={desk.shown === LOOSE} onclick={() => (desk.shown = LOOSE)}
			><span>Loose</span><span class="measure">{desk.loose.length}</span></button
		>
	{/if}
	<ul aria-label="Tags">
		{#each desk.groups as group (group.id)}
			{@const count = desk.figures.get(group.id)?.things.length ?? 0}
			<li>
				<button
					class="entry"
					class:over={over === group.id}
					data-group={group.stockOf ? undefined : group.id}
					aria-pressed={desk.shown === group.id}
					aria-label="{group.name}: {count} {count === 1 ? 'thing' : 'things'}"
					onclick={() => (desk.shown = desk.shown === group.id ? null : group.id)}
				>
					<span class="flex min-w-0"><TagChip {group} /></span>
					<span class="measure">{count}</span>
				</button>
			</li>
		{/each}
	</ul>
</div>

<style>
	.rail {
		position: sticky;
		top: 0;
		max-height: calc(100dvh - 60px);
		overflow-y: auto;
		border-right: 1px solid var(--color-base-300);
		scrollbar-width: thin;
	}
	.entry {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 0.5rem;
		align-items: center;
		width: 100%;
		min-height: 44px;
		padding: 0.2rem 0.6rem 0.2rem 0.3rem;
		text-align: left;
		border-left: 4px solid transparent;
		cursor: pointer;
	}
	.entry:hover {
		background: var(--color-base-200);
	}
	.entry[aria-pressed='true'] {
		border-left-color: var(--color-primary);
		background: var(--color-base-200);
		font-weight: 700;
	}
	.dragging [data-group].entry {
		outline: 1px dashed var(--color-base-content);
		outline-offset: -3px;
	}
	.entry.over {
		outline: 3px solid var(--color-primary);
		outline-offset: -3px;
	}
	@media (max-width: 767px) {
		.rail {
			display: none;
		}
	}
</style>
