<script lang="ts">
	import Camera from '@lucide/svelte/icons/camera';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { IdText } from '$lib/core/model';
	import { getPhoto, putPhoto } from '$lib/data';
	import { photoIssueText } from '$lib/messages/files';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { getDb } from '$lib/state/database';
	import { newId } from '$lib/state/ids';
	import { shrinkPhoto } from '$lib/state/shrink-photo';
	import PictureSize from './PictureSize.svelte';

	let { nookId }: { nookId: string } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const nook = $derived(store.home.nooks[nookId]);
	let url = $state('');
	let missing = $state(false);
	/** The picture is shown larger, to be measured in. */
	let isSizing = $state(false);
	let said = $state('');
	let wrong = $state('');

	const set = (photoId: string | null, words: string) =>
		store.run(words, 'changeNook', nookId, { photoId: photoId && IdText.parse(photoId) });
	$effect(() => {
		const id = nook?.photoId;
		const homeId = store.home.id;
		let gone = false;
		let made = '';
		missing = false;
		url = '';
		if (id)
			void getDb()
				.then((db) => getPhoto(db, homeId, id))
				.then((row) => {
					if (gone) return;
					missing = !row;
					if (row) url = made = URL.createObjectURL(new Blob([row.bytes], { type: row.type }));
				});
		return () => {
			gone = true;
			if (made) URL.revokeObjectURL(made);
		};
	});
	async function take(file: File) {
		said = wrong = '';
		const shrunk = await shrinkPhoto(file);
		if (!shrunk.ok) return void (wrong = photoIssueText(shrunk.issue));
		const id = newId();
		const { bytes, from, to } = shrunk.photo;
		try {
			await putPhoto(await getDb(), {
				homeId: store.home.id,
				id,
				type: 'image/jpeg',
				bytes,
				addedAt: now()
			});
		} catch (error) {
			wrong = `The picture was not stored: ${error instanceof Error ? error.message : String(error)}. Free some space and take it again; the old picture stays.`;
			return;
		}
		set(id, `picture of ${nook?.name ?? 'the place'}`);
		said =
			from.widthPx > to.widthPx
				? `Shrunk from ${from.widthPx} × ${from.heightPx} to ${to.widthPx} × ${to.heightPx}, ${Math.ceil(bytes.byteLength / 1000)} kB.`
				: `Kept at ${to.widthPx} × ${to.heightPx}, ${Math.ceil(bytes.byteLength / 1000)} kB.`;
	}
</script>

{#if nook}
	<section class="rule-top py-3" aria-label="Picture">
		<h3 class="mb-2">Picture</h3>
		{#if url && !isSizing}<img
				src={url}
				alt="{nook.name}, as it was"
				class="mb-2 max-h-60 w-full object-contain"
			/>
		{:else if missing}<p class="mb-2">
				The picture is not in this browser. Export the home with its pictures where it is, and
				import it here.
			</p>{/if}
		{#if url}
			<details class="mb-2" bind:open={isSizing}>
				<summary class="min-h-11 cursor-pointer py-2">Size from this picture (experimental)</summary
				>
				<PictureSize {nookId} {url} name={nook.name} />
			</details>
		{/if}
		<div class="flex flex-wrap gap-2">
			<label class="btn relative"
				><Camera size={18} />{nook.photoId ? 'Another one' : 'Take one'}
				<input
					type="file"
					accept="image/*"
					class="absolute inset-0 cursor-pointer opacity-0"
					aria-label="Picture of this place"
					onchange={(event) => {
						const input = event.currentTarget;
						const file = input.files?.[0];
						if (file) void take(file).finally(() => (input.value = ''));
					}}
				/>
			</label>
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
