<script lang="ts">
	import type { Snippet } from 'svelte';
	import { groupChanges, partnerChanges } from '$lib/core/grouping';
	import { getHomeStore } from '$lib/state/context';
	import { Later } from '$lib/state/later.svelte';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	// Too slow for the path of an edit: the count comes after it.
	const proposed = new Later(
		() => getStore().home,
		(now) => groupChanges(now).length + Number(partnerChanges(now).length > 0)
	);
	$effect(() => () => proposed.leave());
	const parts = $derived([
		{ path: '', name: 'Groups' },
		{ path: 'board', name: 'Board' },
		{ path: 'routines', name: 'Routines' },
		{
			path: 'proposal',
			name: 'Proposed',
			count: proposed.value ?? 0
		}
	]);
</script>

<StageHead stage="sort" {children} />
<PartNav label="Parts of Sort" base="/home/{home.id}/sort" {parts} />
