<script lang="ts">
	import { categoryOf, usesPerWeek, type Thing } from '$lib/core/model';
	import { usesText } from '$lib/messages/sorting';
	import type { BoardDesk } from '$lib/state/board-desk.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	interface Props {
		desk: BoardDesk;
		thing: Thing;
		/** Its figures are shown in the panel. */
		isOpen: boolean;
		/** A panel stands beside the list: there is less room. */
		isBeside: boolean;
		onopen: () => void;
	}
	let { desk, thing, isOpen, isBeside, onopen }: Props = $props();
	const group = $derived(thing.groupId ? desk.home.groups[thing.groupId] : undefined);
	const isHeld = $derived(desk.selection.has(thing.id));
</script>

<div class="thing" class:held={isHeld} class:beside={isBeside} data-row={thing.id}>
	<label class="pick"
		><input
			type="checkbox"
			class="checkbox"
			data-thing={thing.id}
			aria-label={thing.name}
			checked={isHeld}
			onclick={(event) => {
				if (event.shiftKey) desk.selection.extend(thing.id, desk.ids);
				else desk.selection.toggle(thing.id);
			}}
		/></label
	>
	<button class="name" aria-label="About {thing.name}" aria-pressed={isOpen} onclick={onopen}
		>{thing.name}</button
	>
	<span class="soft wide truncate text-sm">{categoryOf(thing.category).name}</span>
	<span class="measure text-right" title="uses a week">{usesText(usesPerWeek(thing))}</span>
	<span class="flex min-w-0 justify-end"
		>{#if group}<TagChip {group} short={desk.shown !== null} />{:else}<span class="soft text-sm"
				>loose</span
			>{/if}</span
	>
</div>

<style>
	.thing {
		display: grid;
		grid-template-columns: 2.75rem minmax(0, 1.2fr) minmax(0, 0.8fr) 4.5rem minmax(0, 14rem);
		gap: 0.6rem;
		align-items: center;
		min-height: 52px;
		padding: 0 0.4rem;
		border-top: 1px solid var(--color-base-300);
		cursor: grab;
	}
	.thing:hover,
	.thing.held {
		background: var(--color-base-200);
	}
	/* With the panel beside it the name matters more than the category. */
	.thing.beside {
		grid-template-columns: 2.75rem minmax(0, 1fr) 4.5rem minmax(0, 11rem);
	}
	.beside .wide {
		display: none;
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
	@media (max-width: 1023px) {
		.thing,
		.thing.beside {
			grid-template-columns: 2.75rem minmax(0, 1fr) minmax(0, 3rem) minmax(0, 4rem);
			gap: 0.3rem;
		}
		.wide,
		.thing :global(.tag .name) {
			display: none;
		}
	}
</style>
