<script lang="ts">
	import type { Snippet } from 'svelte';
	import { groupChanges, partnerChanges } from '$lib/core/grouping';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const parts = $derived([
		{ path: '', name: 'Groups' },
		{ path: 'board', name: 'Board' },
		{ path: 'routines', name: 'Routines' },
		{
			path: 'proposal',
			name: 'Proposed',
			count: groupChanges(home).length + Number(partnerChanges(home).length > 0)
		}
	]);
</script>

<StageHead stage="sort" {children} />
<PartNav label="Parts of Sort" base="/home/{home.id}/sort" {parts} />
