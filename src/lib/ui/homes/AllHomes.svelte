<script lang="ts">
	import Archive from '@lucide/svelte/icons/archive';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import { dayOf } from '$lib/core/model';
	import { dateText } from '$lib/messages/clearing';
	import { now } from '$lib/state/clock.svelte';
	import type { HomesDesk } from '$lib/state/homes-desk.svelte';
	import { saveFile } from '$lib/ui/forms/save-file';

	let { desk }: { desk: HomesDesk } = $props();
	const homes = $derived(desk.homes);
	async function saveBackup() {
		const bytes = await desk.backup();
		const day = dayOf(now());
		if (bytes) saveFile(`keep-nook-${day}.zip`, Uint8Array.from(bytes).buffer, 'application/zip');
	}
	let isForgetting = $state(false);
</script>

{#if homes?.length || desk.deleted.length}
	<section aria-label="All of it" class="mb-8">
		<div class="flex flex-wrap gap-2">
			{#if homes?.length}<button class="btn" onclick={saveBackup}
					><Archive size={18} />Back up all homes</button
				>{/if}
			<button
				class="btn btn-ghost"
				aria-expanded={isForgetting}
				onclick={() => (isForgetting = !isForgetting)}>Forget everything here</button
			>
		</div>
		{#if isForgetting}
			<p class="mt-2 max-w-xl">
				All homes of this browser go for good, the deleted ones too: no undo brings them back. Save
				a backup first.
			</p>
			<button
				class="btn mt-2"
				style="border-color:var(--color-error);color:var(--color-error)"
				onclick={() => {
					isForgetting = false;
					void desk.forgetAll();
					// What this browser remembers of screens goes with the homes.
					localStorage.clear();
				}}><Trash2 size={18} />Delete all of it for good</button
			>
		{/if}
	</section>
{/if}
{#if desk.deleted.length}
	<details class="mb-8">
		<summary class="min-h-11 cursor-pointer font-semibold"
			>Deleted homes ({desk.deleted.length})</summary
		>
		<p class="soft mb-2">They are deleted for good after 30 days.</p>
		<ul>
			{#each desk.deleted as row (row.id)}
				<li class="rule-top flex flex-wrap items-center gap-2 py-1">
					<span class="flex-1"
						>{row.head?.name}, deleted {dateText(dayOf(row.deletedAt!))}, last changed {dateText(
							dayOf(row.changedAt)
						)}</span
					>
					<button class="btn" onclick={() => desk.bringBack(row.id)}
						><Undo2 size={18} />Bring it back</button
					>
					<button class="btn btn-ghost" onclick={() => desk.purge([row.id])}
						><Trash2 size={18} />Delete for good</button
					>
				</li>
			{/each}
		</ul>
	</details>
{/if}
