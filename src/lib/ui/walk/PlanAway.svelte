<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { Command } from '$lib/core/commands';
	import { getHomeStore } from '$lib/state/context';
	import type { PlanDrag } from '$lib/state/plan-drag.svelte';

	let { drag, words, change }: { drag: PlanDrag; words: string; change: Command } = $props();
	const getStore = getHomeStore();
	function remove() {
		getStore().runAll(words.toLowerCase(), [change]);
		drag.choose(null);
	}
</script>

<button class="btn btn-ghost mt-3" onclick={remove}><Trash2 size={18} />{words}</button>
