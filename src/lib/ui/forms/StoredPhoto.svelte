<script lang="ts">
	import { getPhoto } from '$lib/data';
	import { getDb } from '$lib/state/database';

	interface Props {
		homeId: string;
		photoId: string;
		alt: string;
		/** Address of the picture once it is read; empty: not yet, or not here. */
		url?: string;
		class?: string;
	}
	let { homeId, photoId, alt, url = $bindable(''), class: classes = '' }: Props = $props();
	let missing = $state(false);
	$effect(() => {
		const id = photoId;
		let gone = false;
		let made = '';
		missing = false;
		url = '';
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
</script>

{#if url}<img src={url} {alt} class={classes} />
{:else if missing}<p class="soft text-sm">
		The picture is not in this browser. Export the home with its pictures where it is, and import it
		here.
	</p>{/if}
