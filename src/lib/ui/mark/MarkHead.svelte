<script lang="ts">
	import type { Snippet } from 'svelte';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const parts = [
		{ path: '', name: 'Labels' },
		{ path: 'prints', name: 'Prints and binder' }
	];
</script>

<StageHead stage="mark" {children} />
<PartNav label="Parts of Mark" base="/home/{home.id}/mark" {parts} />
