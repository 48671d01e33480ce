<script lang="ts">
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import Minus from '@lucide/svelte/icons/minus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Home } from '$lib/core/model';
	import type { Pick } from '$lib/core/rotation';
	import { dateText, daysText } from '$lib/messages/clearing';
	import { amountText, BASIS_WORDS } from '$lib/messages/turning';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	interface Props {
		home: Home;
		pick: Pick;
		/** What to do with it, in a few words. */
		note?: string;
		/** Marked, as what was searched for. */
		sought?: boolean;
		/** Its place is said elsewhere. */
		here?: boolean;
		ontake: () => void;
		/** In place of taking one down: it must not be eaten. */
		onthrow?: () => void;
		onmore: () => void;
	}
	let {
		home,
		pick,
		note = '',
		sought = false,
		here = false,
		ontake,
		onthrow,
		onmore
	}: Props = $props();
	const { lot, thing, date, daysLeft } = $derived(pick);
	const group = $derived(thing.groupId ? home.groups[thing.groupId] : undefined);
	const place = $derived(lot.nookId ? home.nooks[lot.nookId]?.name : 'on the table');
</script>

<div class="row" class:sought>
	<span class="when measure" class:past={daysLeft !== null && daysLeft < 0}
		>{daysLeft === null ? 'no date' : daysText(daysLeft)}</span
	>
	<span class="min-w-0">
		<b>{thing.name}</b>{#if lot.states.includes('open')}{' '}<span class="soft">open</span>{/if}
		{#if note}<span class="note">{note}</span>{/if}
		<span class="soft block text-sm"
			>{date ? `${dateText(date.on)}, ${BASIS_WORDS[date.basis]}` : 'nothing printed'}{here
				? ''
				: ` · ${place}`}</span
		>
	</span>
	<span class="tag"
		>{#if group}<TagChip {group} short />{/if}</span
	>
	<span class="measure count">{amountText(lot.count, lot.unit)}</span>
	{#if onthrow}
		<button class="btn" onclick={onthrow} aria-label="Throw out {thing.name}"
			><Trash2 size={18} />Out</button
		>
	{:else}
		<button class="btn" onclick={ontake} aria-label="Take down one {thing.name}"
			><Minus size={18} />1</button
		>
	{/if}
	<button
		class="btn btn-ghost btn-square"
		onclick={onmore}
		aria-label="More for {thing.name}"
		title="Open, freeze, thaw, move, throw out"><Ellipsis size={18} /></button
	>
</div>

<style>
	.row {
		display: grid;
		grid-template-columns: 7.5rem minmax(0, 1fr) auto minmax(2.5rem, auto) auto auto;
		gap: 0.75rem;
		align-items: center;
		min-height: 54px;
		border-top: 1px solid var(--color-base-300);
		padding: 0.25rem 0;
	}
	.row.sought {
		background: var(--color-base-200);
		box-shadow: inset 4px 0 0 var(--color-primary);
		padding-left: 0.75rem;
	}
	.when {
		color: var(--color-primary);
		font-size: 0.95rem;
	}
	.when.past {
		color: var(--color-error);
		font-weight: 700;
	}
	.note {
		display: block;
		font-size: 0.95rem;
		color: var(--color-primary);
	}
	.count {
		text-align: right;
		font-size: 1.1rem;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: minmax(0, 1fr) auto auto auto;
			gap: 0.4rem;
		}
		.when {
			grid-column: 1 / -1;
			margin-bottom: -0.4rem;
		}
		.tag {
			display: none;
		}
	}
</style>
