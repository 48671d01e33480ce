<script lang="ts">
	import type { Snippet } from 'svelte';
	import { resetsDue } from '$lib/core/upkeep';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import PartNav from '$lib/ui/frame/PartNav.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	let { children }: { children?: Snippet } = $props();
	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const due = $derived(resetsDue(home, today()).filter(({ daysLeft }) => daysLeft <= 0).length);
	const parts = $derived([
		{ path: '', name: 'Resets', ...(due ? { count: due } : {}) },
		{ path: 'week', name: 'A week' },
		{ path: 'practice', name: 'Practice' },
		{ path: 'record', name: 'Record' },
		{ path: 'handover', name: 'Hand over' }
	]);
</script>

<StageHead stage="keep" {children} />
<PartNav label="Parts of Keep" base="/home/{home.id}/keep" {parts} />
