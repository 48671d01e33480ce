<script lang="ts">
	import type { LabelText } from '$lib/core/marking';
	import { MOST_LETTERS } from '$lib/core/model';
	import { HAZARD_WORDS } from '$lib/messages/marking';
	import type { MarkDesk } from '$lib/state/mark-desk.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';

	let { desk }: { desk: MarkDesk } = $props();
</script>

<h2 class="rule-top mt-4 pt-3">Words</h2>
<p class="soft mb-1 text-sm">
	Broad words outlast narrow ones. What you change here is said of all that are alike. Clear a line
	to go back to the proposal.
</p>
<VirtualList items={desk.labels} key={(label) => label.id} estimatePx={92} label="Words" {row} />

{#snippet row(label: LabelText)}
	<div class="rule-top py-1.5">
		<label
			><span class="soft text-sm"
				>{label.note}, {label.side === 'top' ? 'on top' : 'in front'}{label.hazard
					? ` · ${HAZARD_WORDS[label.hazard]}`
					: ''}</span
			>
			<input
				class="input w-full"
				value={label.title}
				maxlength={MOST_LETTERS * 3}
				disabled={label.bare || label.isFixed}
				onchange={(event) => desk.rename(label, event.currentTarget.value)}
			/></label
		>
		{#if label.lookAt}
			<p class="look">
				What is in it has changed.
				<button class="btn btn-sm" onclick={() => desk.confirm(label)}>The words still hold</button>
			</p>
		{/if}
		{#if !label.isFixed}<label class="flex min-h-9 items-center gap-1.5 text-sm"
				><input
					class="checkbox"
					type="checkbox"
					checked={label.bare}
					onchange={(event) => desk.setBare(label, event.currentTarget.checked)}
				/>leave it without a label</label
			>{/if}
	</div>
{/snippet}

<style>
	.look {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
		color: var(--color-primary);
	}
</style>
