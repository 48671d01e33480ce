<script lang="ts">
	import { dateFormat, MEAL_SLOTS } from '$lib/core/model';
	import { dateText } from '$lib/messages/clearing';
	import { missingText, SLOT_WORDS } from '$lib/messages/turning';
	import { today } from '$lib/state/clock.svelte';
	import type { MealsDesk } from '$lib/state/meals-desk.svelte';
	import MealCell from './MealCell.svelte';

	/** The meals of the coming week, day by day. */
	let { desk }: { desk: MealsDesk } = $props();
	const days = $derived([...new Set(desk.cells.map(({ on }) => on))]);
	const WEEKDAY = dateFormat({ weekday: 'long' });
	const dayName = (on: string) =>
		on === today() ? 'Today' : WEEKDAY().format(new Date(`${on}T00:00:00Z`));
</script>

<section aria-label="The week" class="mb-5 max-w-4xl">
	<div class="mb-1 flex flex-wrap items-center gap-3">
		<h2>The week</h2>
		{#each MEAL_SLOTS as slot (slot)}
			<label class="flex items-center gap-1.5"
				><input
					class="checkbox"
					type="checkbox"
					checked={desk.slots.includes(slot)}
					onchange={() => desk.toggleSlot(slot)}
				/>{SLOT_WORDS[slot]}</label
			>
		{/each}
		{#if desk.isPlanning}<span role="status" class="soft">Planning …</span>{/if}
	</div>
	{#if desk.week}
		<p class="mb-1" role="status">
			{#if desk.week.saved.length}Saves {desk.week.saved.map(({ thing }) => thing.name).join(', ')} from
				spoiling.{:else}Nothing of it would have spoiled this week.{/if}
			{desk.week.proven ? 'No other week with these meals does better.' : ''}
		</p>
	{/if}
	<ul>
		{#each days as on (on)}
			<li class="day">
				<span class="when"
					><b>{dayName(on)}</b><span class="soft block text-sm">{dateText(on)}</span></span
				>
				<span class="cells">
					{#each desk.cells.filter((cell) => cell.on === on) as cell (cell.slot)}
						<MealCell {desk} {cell} />
					{/each}
				</span>
			</li>
		{/each}
	</ul>
	{#if desk.missing.length}
		<p class="missing">
			<span>Missing for the week: {missingText(desk.missing)}.</span>
			<button class="btn" onclick={() => desk.listMissing()}>Put it on the list</button>
		</p>
	{/if}
	{#if desk.unknownDiets.length}<p class="soft text-sm">
			The plan does not know what {desk.unknownDiets.join(', ')} leaves out. Look at those meals yourself.
		</p>{/if}
</section>

<style>
	.day {
		display: grid;
		grid-template-columns: 8rem minmax(0, 1fr);
		align-items: center;
		gap: 0.75rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.3rem 0;
	}
	.cells {
		display: grid;
		gap: 0.3rem;
	}
	.missing {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
		margin-top: 0.5rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.4rem 0.7rem;
		background: var(--color-base-200);
	}
	@media (max-width: 640px) {
		.day {
			grid-template-columns: minmax(0, 1fr);
			gap: 0.2rem;
		}
		.when :global(.block) {
			display: inline;
			margin-left: 0.5rem;
		}
	}
</style>
