<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import X from '@lucide/svelte/icons/x';
	import { mendText } from '$lib/messages/store';
	import type { HomeStore } from '$lib/state/home-store.svelte';
	import { exportRaw } from '$lib/ui/forms/export-raw';

	let { store }: { store: HomeStore } = $props();
	const SHOWN = 8;
	const mends = $derived(store.mends);
</script>

{#if mends.length}
	<section role="alert" class="no-print m-3 border-l-4 p-3" style="border-color:var(--color-error)">
		<b
			>This home’s stored data was damaged. It was repaired in {mends.length === 1
				? 'one place'
				: `${mends.length} places`}:</b
		>
		<ul class="my-2 list-disc pl-6">
			{#each mends.slice(0, SHOWN) as mend, i (i)}<li>{mendText(mend)}</li>{/each}
			{#if mends.length > SHOWN}<li>and {mends.length - SHOWN} more.</li>{/if}
		</ul>
		<div class="flex flex-wrap gap-2">
			<button class="btn" onclick={() => exportRaw(store.home.id, store.home.name)}
				><Download size={18} />Export what was found</button
			>
			<button class="btn" onclick={() => store.dismissMends()}><X size={18} />Close</button>
		</div>
	</section>
{/if}
