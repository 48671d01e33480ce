<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import { bringBackHome, type Trouble } from '$lib/data';
	import { troubleText } from '$lib/messages/store';
	import { getDb } from '$lib/state/database';
	import type { OpenFailure } from '$lib/state/home-store.svelte';
	import { exportRaw } from '$lib/ui/forms/export-raw';

	interface Props {
		failure: OpenFailure | { ok: false; code: 'trouble'; trouble: Trouble };
		homeId: string;
		again: () => void;
	}
	let { failure, homeId, again }: Props = $props();
	async function bringBack() {
		await bringBackHome(await getDb(), homeId);
		again();
	}
</script>

<svelte:head><title>Not opened · Keep Nook</title></svelte:head>
<main class="mx-auto max-w-2xl p-8">
	<h1>This home could not be opened</h1>
	<div role="alert" class="my-4">
		{#if failure.code === 'not-found'}
			<p>
				There is no home here under that address. It may have been deleted, or it is in another
				browser.
			</p>
		{:else if failure.code === 'deleted'}
			<p>“{failure.name}” was deleted. It can be brought back with everything in it.</p>
		{:else if failure.code === 'newer'}
			<p>
				It was stored by a newer Keep Nook. Reload the page to get it; nothing has been touched.
			</p>
		{:else}
			<p>{troubleText(failure.trouble)} What is stored has not been touched.</p>
		{/if}
	</div>
	<div class="flex flex-wrap gap-2">
		{#if failure.code === 'deleted'}
			<button class="btn btn-primary" onclick={bringBack}><Undo2 size={18} />Bring it back</button>
		{:else if failure.code === 'trouble'}
			<button class="btn btn-primary" onclick={again}><RotateCcw size={18} />Try again</button>
			<button class="btn" onclick={() => exportRaw(homeId, 'home')}
				><Download size={18} />Export what is stored</button
			>
		{/if}
		<a class="btn" href="/">Back to all homes</a>
	</div>
</main>
