<script lang="ts">
	import ChefHat from '@lucide/svelte/icons/chef-hat';
	import Plus from '@lucide/svelte/icons/plus';
	import { dateFormat, MEAL_SLOTS } from '$lib/core/model';
	import { dateText, daysText } from '$lib/messages/clearing';
	import { countText } from '$lib/messages/numbers';
	import { missingText, SLOT_WORDS } from '$lib/messages/turning';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { MealsDesk, type PlanCell } from '$lib/state/meals-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import MealSheet from '$lib/ui/turn/MealSheet.svelte';
	import LeftOver from '$lib/ui/turn/LeftOver.svelte';
	import TurnHead from '$lib/ui/turn/TurnHead.svelte';
	import { createMealsClient } from '$lib/workers/meals.client';

	const getStore = getHomeStore();
	const desk = new MealsDesk({ ...turnDeps(getStore), runner: createMealsClient() });
	$effect(() => () => desk.stop());
	const days = $derived([...new Set(desk.cells.map(({ on }) => on))]);
	const WEEKDAY = dateFormat({ weekday: 'long' });
	const dayName = (on: string) =>
		on === today() ? 'Today' : WEEKDAY().format(new Date(`${on}T00:00:00Z`));
</script>

<Bench
	panel={desk.draft ? panel : undefined}
	panelLabel="Meal"
	raised
	chosen={desk.draft?.id ?? null}
	onclose={() => desk.close()}
>
	<TurnHead>
		<button class="btn" onclick={() => desk.begin()}><Plus size={18} />Add a meal</button>
		{#if desk.isPlanning}
			<button class="btn" onclick={() => desk.stop()}>Stop</button>
		{:else if desk.stocks.length}
			<button class="btn btn-primary" onclick={() => desk.plan()}>Plan the week</button>
		{/if}
	</TurnHead>
	{#if desk.wrong && !desk.draft}<p role="alert" class="text-error mb-2">{desk.wrong}</p>{/if}
	{#if desk.failure}<p role="alert" class="text-error mb-2">
			The week was not planned: {desk.failure} Reload and try again.
		</p>{/if}
	{#if !desk.stocks.length && !desk.draft}
		<EmptyNote title="No meals yet">
			<p>
				Write down the meals you usually cook, with what goes into them. This then says which of
				them the stock makes, plans a week that uses what is due first, and lists what is missing.
			</p>
			<button class="btn btn-primary" onclick={() => desk.begin()}>Add a meal</button>
		</EmptyNote>
	{:else}
		<LeftOver {desk} />
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
					{#if desk.week.saved.length}Saves {desk.week.saved
							.map(({ thing }) => thing.name)
							.join(', ')} from spoiling.{:else}Nothing of it would have spoiled this week.{/if}
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
								{@render place(cell)}
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
		<section aria-label="Usual meals" class="max-w-4xl">
			<h2>Usual meals <span class="measure soft">{desk.stocks.length}</span></h2>
			<ul>
				{#each desk.stocks as { meal, makes, missing, daysLeft } (meal.id)}
					{@const barred = desk.forbidden.get(meal.id)}
					<li class="meal">
						<button class="name" onclick={() => desk.edit(meal)}>
							<b>{meal.name}</b>
							<span class="soft block text-sm"
								>{makes === null
									? 'no ingredients yet'
									: makes
										? `the stock makes it ${countText(makes, 'time')}${daysLeft !== null && daysLeft < 15 ? `; first due ${daysText(daysLeft)}` : ''}`
										: `missing ${missingText(missing)}`}</span
							>
							{#if barred}<span class="text-error block text-sm"
									>Not for {barred.name}: {barred.thing.name} ({barred.why})</span
								>{/if}
						</button>
						<button
							class="btn"
							disabled={!makes}
							aria-label="Cook {meal.name} now"
							onclick={() => desk.cookNow(meal)}><ChefHat size={18} />Cook</button
						>
					</li>
				{/each}
			</ul>
			<p class="soft mt-2 text-sm">
				Allergens are read from names and what you said; the pack decides.
			</p>
		</section>
	{/if}
</Bench>

{#snippet place(cell: PlanCell)}
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
					{#each desk.stocks as { meal } (meal.id)}<option value={meal.id}>{meal.name}</option
						>{/each}
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
{/snippet}

{#snippet panel()}<MealSheet {desk} />{/snippet}

<style>
	.day,
	.meal {
		display: grid;
		grid-template-columns: 8rem minmax(0, 1fr);
		align-items: center;
		gap: 0.75rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.3rem 0;
	}
	.meal {
		grid-template-columns: minmax(0, 1fr) auto;
	}
	.cells {
		display: grid;
		gap: 0.3rem;
	}
	.cell {
		display: flex;
		align-items: end;
		gap: 0.5rem;
		min-height: 44px;
	}
	.name {
		min-height: 48px;
		text-align: left;
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
