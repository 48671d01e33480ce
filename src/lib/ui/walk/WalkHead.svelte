<script lang="ts">
	import type { Snippet } from 'svelte';
	import { findHidden, tapeSteps } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';
	import { Later } from '$lib/state/later.svelte';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const unused = new Later(
		() => getStore().home,
		(now) => findHidden(now).length
	);
	$effect(() => () => unused.leave());
	const parts = $derived([
		{ path: '', name: 'Walls' },
		{ path: 'plan', name: 'Plan' },
		{ path: 'tape', name: 'Tape list', count: tapeSteps(home).length },
		{ path: 'hidden', name: 'Hidden storage', count: unused.value ?? 0 },
		{ path: 'people', name: 'People', count: Object.keys(home.people).length }
	]);
</script>

<StageHead stage="walk" {children} />
<PartNav label="Parts of Walk" base="/home/{home.id}/walk" {parts} />
