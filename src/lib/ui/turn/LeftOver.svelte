<script lang="ts">
	import type { MealsDesk } from '$lib/state/meals-desk.svelte';

	let { desk }: { desk: MealsDesk } = $props();
	let portions = $state(0);
</script>

{#if desk.cooking}
	<form
		class="ask"
		aria-label="What was left over"
		onsubmit={(event) => {
			event.preventDefault();
			desk.cook(portions);
			portions = 0;
		}}
	>
		<label
			>Portions left over, into the fridge <input
				class="input measure w-24"
				type="number"
				min="0"
				max="100"
				bind:value={portions}
			/></label
		>
		<button class="btn btn-primary">Cooked</button>
		<button type="button" class="btn btn-ghost" onclick={() => desk.stopCooking()}>Cancel</button>
		<span class="soft basis-full text-sm"
			>Cool within two hours, eat within three days, heat through once.</span
		>
	</form>
{/if}

<style>
	.ask {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
		margin-bottom: 0.8rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.5rem 0.7rem;
		background: var(--color-base-200);
	}
</style>
