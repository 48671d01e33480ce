<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { toast } from 'svelte-sonner';
	import { dayOf } from '$lib/core/model';
	import type { HomeRow } from '$lib/data';
	import { dateText } from '$lib/messages/clearing';
	import { now, today } from '$lib/state/clock.svelte';
	import { getDb } from '$lib/state/database';
	import { HomeSummaries } from '$lib/state/home-summaries.svelte';
	import type { HomesDesk } from '$lib/state/homes-desk.svelte';

	let { desk }: { desk: HomesDesk } = $props();
	const homes = $derived(desk.homes);
	const summaries = new HomeSummaries({ db: getDb, now, today });
	$effect(() => {
		if (homes?.length) void summaries.look(homes);
	});
	async function remove(row: HomeRow) {
		await desk.putAway(row.id);
		toast(`“${row.head.name}” was deleted.`, {
			duration: 20_000,
			action: { label: 'Undo', onClick: () => void desk.bringBack(row.id) }
		});
	}
</script>

<section aria-labelledby="homes" class="mb-8">
	<h2 id="homes" class="mb-2">Homes</h2>
	{#if homes === null && !desk.trouble}
		<p role="status" class="soft">Looking …</p>
	{:else if homes?.length}
		<ul>
			{#each homes as row (row.id)}
				{@const waiting = summaries.of(row.id)}
				<li class="rule-top flex items-center gap-3">
					<a
						class="flex min-h-14 flex-1 flex-col justify-center py-2 text-lg hover:underline"
						href="/home/{row.id}"
					>
						<b>{row.head?.name || 'A home without a name'}</b>
						{#if waiting?.now}<span class="text-base">{waiting.now}</span>{/if}
						<span class="soft text-base"
							>{waiting?.next ? `Next: ${waiting.next.toLowerCase()} · ` : ''}changed {dateText(
								dayOf(row.changedAt)
							)}</span
						>
					</a>
					<button
						class="btn btn-ghost"
						onclick={() => remove(row)}
						aria-label="Delete {row.head?.name}"><Trash2 size={18} />Delete</button
					>
				</li>
			{/each}
		</ul>
	{:else if homes}
		<p class="soft">None yet. Make one of your own, or look round the demo home first.</p>
	{/if}
</section>
