<script lang="ts">
	import type { Snippet } from 'svelte';
	import { findHidden, tapeSteps } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const parts = $derived([
		{ path: '', name: 'Walls' },
		{ path: 'plan', name: 'Plan' },
		{ path: 'tape', name: 'Tape list', count: tapeSteps(home).length },
		{ path: 'hidden', name: 'Hidden storage', count: findHidden(home).length },
		{ path: 'people', name: 'People', count: Object.keys(home.people).length }
	]);
</script>

<StageHead stage="walk" {children} />
<PartNav label="Parts of Walk" base="/home/{home.id}/walk" {parts} />
