<script lang="ts">
	import type { Snippet } from 'svelte';
	let { title, children }: { title: string; children: Snippet } = $props();
</script>

<div class="mx-auto my-8 max-w-xl border-l-4 py-2 pl-5" style="border-color:var(--color-primary)">
	<h2 class="mb-2">{title}</h2>
	<div class="flex flex-col items-start gap-3">{@render children()}</div>
</div>
