<script lang="ts">
	import type { Snippet } from 'svelte';
	import { moveOrder } from '$lib/core/zoning';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	const parts = $derived([
		{ path: '', name: 'Plan' },
		{ path: 'schools', name: 'Side by side' },
		{ path: 'notes', name: 'Notes' },
		{ path: 'moves', name: 'Moves', count: plan ? moveOrder(home, plan).steps.length : 0 }
	]);
</script>

<StageHead stage="place" {children} />
<PartNav label="Parts of Place" base="/home/{home.id}/place" {parts} />
