<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Stage } from '$lib/core/upkeep';
	import { STAGE_WORDS } from '$lib/messages/steps';

	let { stage, children }: { stage: Stage; children?: Snippet } = $props();
</script>

<div class="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
	<div>
		<h1>{STAGE_WORDS[stage].name}</h1>
		<p class="soft">{STAGE_WORDS[stage].question}</p>
	</div>
	<div class="no-print ml-auto flex flex-wrap items-center gap-2">{@render children?.()}</div>
</div>
