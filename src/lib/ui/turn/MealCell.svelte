<script lang="ts">
	import ChefHat from '@lucide/svelte/icons/chef-hat';
	import { dateText } from '$lib/messages/clearing';
	import { SLOT_WORDS } from '$lib/messages/turning';
	import type { MealsDesk, PlanCell } from '$lib/state/meals-desk.svelte';

	/** One meal of one day: what it is, and that it is cooked now. */
	let { desk, cell }: { desk: MealsDesk; cell: PlanCell } = $props();
</script>

<span class="cell">
	{#if cell.planned?.cookedOn}
		<span class="grow"
			><b>{cell.name}</b>
			<span class="text-success">{cell.planned.lotId ? 'eaten' : 'cooked'}</span></span
		>
	{:else}
		<label class="grow"
			><span class={desk.slots.length > 1 ? 'soft text-sm' : 'sr-only'}
				>{SLOT_WORDS[cell.slot]}<span class="sr-only"> on {dateText(cell.on)}</span></span
			>
			<select
				class="select w-full"
				value={cell.planned?.mealId ?? ''}
				onchange={(event) => desk.setCell(cell, event.currentTarget.value)}
			>
				<option value="">{cell.planned?.lotId ? cell.name : 'nothing planned'}</option>
				{#each desk.stocks as { meal } (meal.id)}<option value={meal.id}>{meal.name}</option>{/each}
			</select></label
		>
		{#if cell.planned}
			{@const planned = cell.planned}
			<button
				class="btn"
				aria-label="{planned.lotId ? 'Eat' : 'Cook'} {cell.name}, {dateText(cell.on)}"
				onclick={() => desk.beginCooking(planned)}
				><ChefHat size={18} />{planned.lotId ? 'Eaten' : 'Cook'}</button
			>
		{/if}
	{/if}
</span>

<style>
	.cell {
		display: flex;
		align-items: end;
		gap: 0.5rem;
		min-height: 44px;
	}
</style>
