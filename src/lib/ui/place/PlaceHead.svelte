<script lang="ts">
	import type { Snippet } from 'svelte';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const parts = [
		{ path: '', name: 'Plan' },
		{ path: 'schools', name: 'Side by side' },
		{ path: 'notes', name: 'Notes' },
		{ path: 'moves', name: 'Moves' }
	];
</script>

<StageHead stage="place" {children} />
<PartNav label="Parts of Place" base="/home/{home.id}/place" {parts} />
