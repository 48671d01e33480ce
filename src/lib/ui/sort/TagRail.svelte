<script lang="ts">
	import type { GroupFigures } from '$lib/core/grouping';
	import type { Group } from '$lib/core/model';
	import TagChip from '../drawing/TagChip.svelte';

	interface Props {
		groups: readonly Group[];
		figures: ReadonlyMap<string, GroupFigures>;
		/** null: everything; '': what has no group. */
		shown: string | null;
		total: number;
		loose: number;
		/** Things are held over the rail, to be let fall on a tag. */
		dragging: boolean;
		onshow: (shown: string | null) => void;
		ondrop: (groupId: string) => void;
	}
	let { groups, figures, shown, total, loose, dragging, onshow, ondrop }: Props = $props();
	let over = $state<string | null>(null);
</script>

<div class="rail" class:dragging>
	<button class="entry" aria-pressed={shown === null} onclick={() => onshow(null)}
		><span>Everything</span><span class="measure">{total}</span></button
	>
	{#if loose}
		<button class="entry" aria-pressed={shown === ''} onclick={() => onshow('')}
			><span>Loose</span><span class="measure">{loose}</span></button
		>
	{/if}
	<ul aria-label="Tags">
		{#each groups as group (group.id)}
			{@const own = figures.get(group.id)}
			<li>
				<button
					class="entry"
					class:over={over === group.id}
					aria-pressed={shown === group.id}
					aria-label="{group.name}: {own?.things.length ?? 0} things"
					onclick={() => onshow(shown === group.id ? null : group.id)}
					ondragover={(event) => {
						if (!dragging || group.stockOf) return;
						event.preventDefault();
						over = group.id;
					}}
					ondragleave={() => (over = over === group.id ? null : over)}
					ondrop={(event) => {
						event.preventDefault();
						over = null;
						ondrop(group.id);
					}}
				>
					<span class="flex min-w-0"><TagChip {group} /></span>
					<span class="measure">{own?.things.length ?? 0}</span>
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
	.dragging .entry {
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
