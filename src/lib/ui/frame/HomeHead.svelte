<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import Pencil from '@lucide/svelte/icons/pencil';
	import { listPhotos } from '$lib/data';
	import { countText } from '$lib/messages/numbers';
	import { now } from '$lib/state/clock.svelte';
	import { getDb } from '$lib/state/database';
	import type { HomeStore } from '$lib/state/home-store.svelte';
	import { newId } from '$lib/state/ids';
	import { exportHome, fileName, saveFile } from '$lib/ui/forms/save-file';
	import HomeChoices from './HomeChoices.svelte';

	/** The name of a home, how much there is of it, and its files. */
	let { store, isEmpty }: { store: HomeStore; isEmpty: boolean } = $props();
	const home = $derived(store.home);
	const count = (record: object) => Object.keys(record).length;
	const counts = $derived([
		countText(count(home.cabinets), 'cabinet'),
		countText(count(home.nooks), 'place'),
		countText(count(home.things), 'thing'),
		countText(count(home.groups), 'group')
	]);
	const pictures = $derived(Object.values(home.nooks).filter(({ photoId }) => photoId).length);
	async function exportZip() {
		const { writeHomeZip } = await import('$lib/core/interchange/home-zip');
		const photos = await listPhotos(await getDb(), home.id);
		const bytes = writeHomeZip(home, photos);
		saveFile(fileName(home.name, 'keepnook.zip'), Uint8Array.from(bytes).buffer, 'application/zip');
	}
	async function exportCopy() {
		// A file that can come back and be merged; where that cannot be remembered, a file all the same.
		const { writeCopy } = await import('$lib/state/hand-over');
		const text = await writeCopy({ db: getDb, newId, now }, home, '').catch(() => null);
		if (text) saveFile(fileName(home.name, 'keepnook.json'), text, 'application/json');
		else await exportHome(home);
	}
</script>

<div class="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-2">
	<h2 id="plan" class="sr-only">{home.name}</h2>
	<label class="flex flex-1 items-center gap-1" title="Rename this home">
		<Pencil size={16} aria-hidden="true" />
		<input
			class="name"
			aria-label="Name of this home"
			value={home.name}
			maxlength="200"
			onchange={(event) => {
				const name = event.currentTarget.value.trim();
				if (name) store.run(`name ${name}`, 'changeHome', { name });
				else event.currentTarget.value = home.name;
			}}
		/>
	</label>
	{#if !isEmpty}
		<p class="soft measure text-sm">
			{counts.join(' · ')}
		</p>
		<button class="btn ml-auto" onclick={exportCopy}><Download size={18} />Export the home</button>
	{/if}
	<span class="flex items-center gap-1 sm:hidden"><HomeChoices {store} /></span>
	{#if pictures}
		<button class="btn" onclick={exportZip}
			><Download size={18} />With its {pictures === 1 ? 'picture' : `${pictures} pictures`}</button
		>
	{/if}
</div>

<style>
	.name {
		width: 100%;
		min-width: 8rem;
		min-height: 44px;
		background: transparent;
		font-family: var(--font-display);
		font-size: 1.25rem;
		font-weight: 650;
		border-bottom: 1.5px solid transparent;
	}
	.name:hover,
	.name:focus {
		border-bottom-color: var(--ink-soft);
	}
</style>
