<script lang="ts">
	import type { TurnDesk } from '$lib/state/turn-desk.svelte';

	let { desk }: { desk: TurnDesk } = $props();
</script>

{#if desk.last}
	<p class="last" role="status">
		<span>That was the last {desk.last.name}.</span>
		<button class="btn btn-primary" onclick={() => desk.answer('list')}>Put it on the list</button>
		<button class="btn" onclick={() => desk.answer('not-again')}>Not again</button>
		<button class="btn btn-ghost" onclick={() => desk.answer('leave')}>Leave it</button>
	</p>
{/if}

<style>
	.last {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
		margin-bottom: 0.6rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.4rem 0.7rem;
		background: var(--color-base-200);
	}
</style>
