<script lang="ts">
	import type { ClearDesk } from '$lib/state/clear-desk.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import PileNotes from './PileNotes.svelte';
	import PileRow from './PileRow.svelte';

	/** What stands in the place at hand, with what is to be said of all of it. */
	let { desk }: { desk: ClearDesk } = $props();
</script>

<PileNotes {desk} />
{#if desk.queue.length}
	<VirtualList
		items={desk.queue}
		key={(lot) => lot.id}
		label="Pile: {desk.nook?.name ?? 'on the table'}"
		estimatePx={58}
	>
		{#snippet row(lot)}<PileRow {desk} {lot} />{/snippet}
	</VirtualList>
{:else}
	<p class="py-4">
		This place is empty. Type what you find in it, one thing a line, or choose another place.
	</p>
{/if}
