<script lang="ts">
	import Camera from '@lucide/svelte/icons/camera';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Picture } from '$lib/core/model';
	import { dateText } from '$lib/messages/clearing';
	import type { PicturesDesk } from '$lib/state/pictures-desk.svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import StoredPhoto from '$lib/ui/forms/StoredPhoto.svelte';

	interface Props {
		desk: PicturesDesk;
		nookId: string;
		/** Small, beside other things. */
		small?: boolean;
	}
	let { desk, nookId, small = false }: Props = $props();
	const pair = $derived(desk.pairOf(nookId));
	const name = $derived(desk.home.nooks[nookId]?.name ?? '');
	const SIDES = ['before', 'after'] as const;
	const TITLES: Record<Picture['when'], string> = { before: 'Before', after: 'After' };
</script>

<div class="pair" class:small>
	{#each SIDES as when (when)}
		{@const picture = pair[when]}
		<figure>
			{#if picture}
				<StoredPhoto
					homeId={desk.home.id}
					photoId={picture.photoId}
					alt="{name}, {when}"
					class="photo"
				/>
			{/if}
			<figcaption class="flex flex-wrap items-center gap-x-2">
				{#if picture}<span
						><b>{TITLES[when]}</b>
						<span class="soft measure text-sm">{dateText(picture.on)}</span></span
					>{/if}
				<FileButton
					accept="image/*"
					camera
					label="Picture {when}, {name}"
					class={picture ? 'btn-ghost btn-square' : ''}
					onfile={(file) => desk.take(nookId, when, file)}
					><Camera size={18} />{picture ? '' : TITLES[when]}</FileButton
				>
				{#if picture && !small}
					<button
						class="btn btn-ghost btn-square"
						aria-label="Take the picture {when} of {name} away"
						onclick={() => desk.remove(picture)}><Trash2 size={18} /></button
					>
				{/if}
			</figcaption>
		</figure>
	{/each}
</div>

<style>
	.pair {
		display: grid;
		grid-template-columns: repeat(2, minmax(0, 1fr));
		gap: 0.75rem;
	}
	.pair :global(.photo) {
		width: 100%;
		max-height: 22rem;
		object-fit: cover;
		aspect-ratio: 4 / 3;
		background: var(--color-base-300);
	}
	.small {
		grid-template-columns: repeat(2, auto);
		justify-content: start;
	}
	.small :global(.photo) {
		width: 5.5rem;
		height: 4rem;
	}
</style>
