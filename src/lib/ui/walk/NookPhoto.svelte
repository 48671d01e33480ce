<script lang="ts">
	import Camera from '@lucide/svelte/icons/camera';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { IdText } from '$lib/core/model';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { getDb } from '$lib/state/database';
	import { newId } from '$lib/state/ids';
	import { keepPhoto } from '$lib/state/keep-photo';
	import { shrinkPhoto } from '$lib/state/shrink-photo';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import StoredPhoto from '$lib/ui/forms/StoredPhoto.svelte';
	import PictureSize from './PictureSize.svelte';

	let { nookId }: { nookId: string } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const nook = $derived(store.home.nooks[nookId]);
	let url = $state('');
	/** The picture is shown larger, to be measured in. */
	let isSizing = $state(false);
	let said = $state('');
	let wrong = $state('');

	const set = (photoId: string | null, words: string) =>
		store.run(words, 'changeNook', nookId, { photoId: photoId && IdText.parse(photoId) });
	async function take(file: File) {
		said = wrong = '';
		const deps = { db: getDb, now, newId, shrink: shrinkPhoto };
		const kept = await keepPhoto(deps, store.home.id, file);
		if (!kept.ok) return void (wrong = kept.wrong);
		const { bytes, from, to } = kept.photo;
		set(kept.id, `picture of ${nook?.name ?? 'the place'}`);
		said =
			from.widthPx > to.widthPx
				? `Shrunk from ${from.widthPx} × ${from.heightPx} to ${to.widthPx} × ${to.heightPx}, ${Math.ceil(bytes.byteLength / 1000)} kB.`
				: `Kept at ${to.widthPx} × ${to.heightPx}, ${Math.ceil(bytes.byteLength / 1000)} kB.`;
	}
</script>

{#if nook}
	<section class="rule-top py-3" aria-label="Picture">
		<h3 class="mb-2">Picture</h3>
		{#if nook.photoId}
			<div class:hidden={isSizing}>
				<StoredPhoto
					homeId={store.home.id}
					photoId={nook.photoId}
					alt="{nook.name}, as it was"
					class="mb-2 max-h-60 w-full object-contain"
					bind:url
				/>
			</div>
		{/if}
		{#if nook.photoId && url}
			<details class="mb-2" bind:open={isSizing}>
				<summary class="min-h-11 cursor-pointer py-2">Size from this picture (experimental)</summary
				>
				<PictureSize {nookId} {url} name={nook.name} />
			</details>
		{/if}
		<div class="flex flex-wrap gap-2">
			<FileButton accept="image/*" label="Picture of this place" onfile={take}
				><Camera size={18} />{nook.photoId ? 'Another one' : 'Take one'}</FileButton
			>
			{#if nook.photoId}
				<button
					class="btn btn-ghost"
					onclick={() => {
						said = '';
						set(null, `remove the picture of ${nook.name}`);
					}}><Trash2 size={18} />Remove it</button
				>
			{/if}
		</div>
		{#if wrong}<p role="alert" class="mt-1 text-sm" style="color:var(--color-error)">
				{wrong}
			</p>{/if}
		{#if said}<p role="status" class="soft mt-1 text-sm">{said}</p>{/if}
		<p class="soft mt-1 text-sm">It stays in this browser, and in the archive you export.</p>
	</section>
{/if}
