<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import { storeNoticeText, troubleText } from '$lib/messages/store';
	import { troubleOf } from '$lib/data';
	import type { HomeStore } from '$lib/state/home-store.svelte';
	import { exportHome } from '$lib/ui/forms/save-file';

	let { store }: { store: HomeStore } = $props();
	let failed = $state('');
	async function restore() {
		failed = '';
		try {
			await store.restore();
		} catch (error) {
			failed = troubleText(troubleOf(error));
		}
	}
</script>

{#if store.gone || store.saveState === 'failed'}
	<section role="alert" class="no-print m-3 border-l-4 p-3" style="border-color:var(--color-error)">
		{#if store.gone}
			<b>{storeNoticeText({ code: 'gone', why: store.gone })}</b>
		{:else if store.trouble}
			<b
				>{store.unsaved === 1
					? 'The last change is not saved yet.'
					: `The last ${store.unsaved} changes are not saved yet.`}</b
			>
			{troubleText(store.trouble)}
		{/if}
		{#if failed}<p>{failed}</p>{/if}
		<div class="mt-2 flex flex-wrap gap-2">
			{#if store.gone}
				<button class="btn btn-primary" onclick={restore}
					><Undo2 size={18} />{store.gone === 'deleted'
						? 'Bring it back'
						: 'Store it again'}</button
				>
			{:else}
				<button class="btn btn-primary" onclick={() => store.retry()}
					><RotateCcw size={18} />Save again now</button
				>
			{/if}
			<button class="btn" onclick={() => exportHome(store.home)}
				><Download size={18} />Export the home</button
			>
		</div>
	</section>
{/if}
