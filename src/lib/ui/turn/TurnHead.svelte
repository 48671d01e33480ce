<script lang="ts">
	import type { Snippet } from 'svelte';
	import { shoppingList } from '$lib/core/rotation';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { Later } from '$lib/state/later.svelte';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	// The count may come after the edit it counts.
	const lines = new Later(
		() => home,
		(home) => shoppingList(home, today()).length
	);
	$effect(() => () => lines.leave());
	const parts = $derived([
		{ path: '', name: 'Today' },
		{ path: 'stock', name: 'Stock' },
		{
			path: 'list',
			name: 'Shopping list',
			...(lines.value === null ? {} : { count: lines.value })
		},
		{ path: 'meals', name: 'Meals' },
		{ path: 'ahead', name: 'Ahead' }
	]);
</script>

<StageHead stage="turn" {children} />
<PartNav label="Parts of Turn" base="/home/{home.id}/turn" {parts} />
