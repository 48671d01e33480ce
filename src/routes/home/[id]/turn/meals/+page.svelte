<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { getHomeStore } from '$lib/state/context';
	import { MealsDesk } from '$lib/state/meals-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import MealSheet from '$lib/ui/turn/MealSheet.svelte';
	import LeftOver from '$lib/ui/turn/LeftOver.svelte';
	import UsualMeals from '$lib/ui/turn/UsualMeals.svelte';
	import WeekOfMeals from '$lib/ui/turn/WeekOfMeals.svelte';
	import TurnHead from '$lib/ui/turn/TurnHead.svelte';
	import { createMealsClient } from '$lib/workers/meals.client';

	const getStore = getHomeStore();
	const desk = new MealsDesk({ ...turnDeps(getStore), runner: createMealsClient() });
	$effect(() => () => desk.stop());
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
		<WeekOfMeals {desk} />
		<UsualMeals {desk} />
	{/if}
</Bench>

{#snippet panel()}<MealSheet {desk} />{/snippet}
