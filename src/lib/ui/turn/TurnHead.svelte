<script lang="ts">
	import type { Snippet } from 'svelte';
	import { shoppingList } from '$lib/core/rotation';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const parts = $derived([
		{ path: '', name: 'Today' },
		{ path: 'stock', name: 'Stock' },
		{ path: 'list', name: 'Shopping list', count: shoppingList(home, today()).length },
		{ path: 'meals', name: 'Meals' },
		{ path: 'ahead', name: 'Ahead' }
	]);
</script>

<StageHead stage="turn" {children} />
<PartNav label="Parts of Turn" base="/home/{home.id}/turn" {parts} />
