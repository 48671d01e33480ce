<script lang="ts">
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { MEAL_SLOTS } from '$lib/core/model';
	import { SLOT_WORDS } from '$lib/messages/turning';
	import type { MealsDesk } from '$lib/state/meals-desk.svelte';

	let { desk }: { desk: MealsDesk } = $props();
	let typed = $state('');
	let field = $state<HTMLInputElement>();
	function add() {
		if (!typed.trim()) return;
		if (desk.addIngredient(typed)) typed = '';
		field?.focus();
		// What was not found is typed over by the next word, and does not become a part of it.
		field?.select();
	}
	const names = $derived(
		Object.values(desk.home.things)
			.filter(({ category }) => category.startsWith('food.'))
			.map(({ name }) => name)
			.sort((a, b) => a.localeCompare(b, 'en'))
	);
</script>

{#if desk.draft}
	{@const meal = desk.draft}
	<h2 class="pr-20">{desk.home.meals[meal.id] ? meal.name : 'A new meal'}</h2>
	{#if desk.wrong}<p role="alert" class="text-error my-1">{desk.wrong}</p>{/if}
	<div class="clear-both mt-2 flex flex-col gap-2">
		<label
			><span class="soft">Name</span>
			<input
				class="input w-full"
				maxlength="200"
				value={meal.name}
				oninput={(event) => desk.write({ name: event.currentTarget.value })}
			/></label
		>
		<div class="grid grid-cols-2 gap-2">
			<label
				><span class="soft">Serves</span>
				<input
					class="input measure w-full"
					type="number"
					min="1"
					max="100"
					value={meal.servings}
					onchange={(event) => {
						const servings = Math.round(Number(event.currentTarget.value));
						if (servings >= 1 && servings <= 100) desk.write({ servings });
					}}
				/></label
			>
			<label
				><span class="soft">Times a month</span>
				<input
					class="input measure w-full"
					type="number"
					min="0"
					max="100"
					step="any"
					value={meal.timesPerMonth}
					onchange={(event) => {
						const times = Number(event.currentTarget.value);
						if (times >= 0 && times <= 100) desk.write({ timesPerMonth: times });
					}}
				/></label
			>
		</div>
		<fieldset class="flex flex-wrap gap-x-4">
			<legend class="soft">Planned for</legend>
			{#each MEAL_SLOTS as slot (slot)}
				<label class="flex min-h-11 items-center gap-1.5"
					><input
						class="checkbox"
						type="checkbox"
						checked={meal.slots.includes(slot)}
						onchange={(event) =>
							desk.write({
								slots: MEAL_SLOTS.filter((each) =>
									each === slot ? event.currentTarget.checked : meal.slots.includes(each)
								)
							})}
					/>{SLOT_WORDS[slot]}</label
				>
			{/each}
		</fieldset>
		<h3>What goes in, in packs</h3>
		<ul>
			{#each meal.ingredients as { thingId, packs } (thingId)}
				{@const name = desk.home.things[thingId]?.name ?? ''}
				<li class="flex items-center gap-2 py-1">
					<input
						class="input measure w-20"
						type="number"
						min="0"
						step="any"
						value={packs}
						aria-label="Packs of {name}"
						onchange={(event) => desk.setPacks(thingId, Number(event.currentTarget.value))}
					/>
					<span class="grow">{name}</span>
					<button
						class="btn btn-ghost btn-square"
						aria-label="Leave out {name}"
						onclick={() => desk.setPacks(thingId, 0)}><Trash2 size={18} /></button
					>
				</li>
			{/each}
		</ul>
		<div class="flex items-end gap-2">
			<label class="min-w-0 grow"
				><span class="soft">Add an ingredient</span>
				<input
					class="input w-full"
					list="foods"
					bind:this={field}
					bind:value={typed}
					onkeydown={(event) => event.key === 'Enter' && add()}
				/></label
			>
			<datalist id="foods"
				>{#each names as name (name)}<option value={name}></option>{/each}</datalist
			>
			<button class="btn" onclick={add}>Add</button>
		</div>
		<div class="mt-2 flex flex-wrap gap-2">
			<button class="btn btn-primary" onclick={() => desk.save()}>Save</button>
			<button class="btn" onclick={() => desk.close()}>Cancel</button>
			{#if desk.home.meals[meal.id]}<button class="btn btn-ghost" onclick={() => desk.remove(meal)}
					><Trash2 size={18} />Delete</button
				>{/if}
		</div>
	</div>
{/if}
