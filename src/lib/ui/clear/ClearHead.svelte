<script lang="ts">
	import type { Snippet } from 'svelte';
	import { goingOut, halfDone, onTheTable } from '$lib/core/clearing';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const out = $derived(goingOut(home, today()).reduce((sum, list) => sum + list.items.length, 0));
	const parts = $derived([
		{ path: '', name: 'Bench', count: halfDone(home).length },
		{ path: 'day', name: 'Day' },
		{ path: 'sets', name: 'Sets' },
		{ path: 'boundary', name: 'Boundary' },
		{ path: 'capacity', name: 'Capacity' },
		{ path: 'out', name: 'Going out', count: out + onTheTable(home).length },
		{ path: 'tally', name: 'Tally' }
	]);
</script>

<StageHead stage="clear" {children} />
<PartNav label="Parts of Clear" base="/home/{home.id}/clear" {parts} />
