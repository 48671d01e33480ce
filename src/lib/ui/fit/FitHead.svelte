<script lang="ts">
	import type { Snippet } from 'svelte';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const parts = [
		{ path: '', name: 'Places' },
		{ path: 'shop', name: 'Shop card' },
		{ path: 'kinds', name: 'Containers' }
	];
</script>

<StageHead stage="fit" {children} />
<PartNav label="Parts of Fit" base="/home/{home.id}/fit" {parts} />
