<script lang="ts">
	import { HOLD_NAMES, HOLD_UNITS } from '$lib/messages/turning';
	import type { ArgsOf } from '$lib/core/commands';
	import { allergensOf } from '$lib/core/grouping';
	import {
		categoryOf,
		USES_PER_WEEK,
		usesPerWeek,
		type Thing,
		type UseClass
	} from '$lib/core/model';
	import { usesText } from '$lib/messages/sorting';
	import { getHomeStore } from '$lib/state/context';
	import CheckField from '$lib/ui/forms/CheckField.svelte';
	import CorrectButton from '$lib/ui/frame/CorrectButton.svelte';

	interface Props {
		thing: Thing;
		/** Stands on the sheet on which all else of the thing is put right. */
		isOnSheet?: boolean;
	}
	let { thing, isOnSheet = false }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const people = $derived(Object.values(store.home.people));
	const CLASSES = Object.keys(USES_PER_WEEK) as UseClass[];
	const isFood = $derived(thing.category.startsWith('food.'));
	const allergens = $derived(allergensOf(thing));
	const change = (label: string, what: ArgsOf<'changeThing'>[1]) =>
		store.run(label, 'changeThing', thing.id, what);
	const words = (text: string) =>
		text
			.split(',')
			.map((word) => word.trim().slice(0, 60))
			.filter(Boolean);
	function setAllergens(contains: readonly string[], freeFrom: readonly string[]) {
		change(`allergens of ${thing.name}`, {
			allergens: { contains: [...contains], freeFrom: [...freeFrom] }
		});
	}
</script>

<div class="mt-1 flex flex-col gap-2">
	{#if !isOnSheet}<span><CorrectButton id={thing.id} name={thing.name} /></span>{/if}
	<span class="soft text-sm"
		>{categoryOf(thing.category).name}, {usesText(usesPerWeek(thing))} a week {thing.use
			.countedPerWeek === null
			? 'by its class'
			: 'as counted'}</span
	>
	<div class="grid grid-cols-2 gap-2">
		<label
			><span class="soft text-sm">How often</span>
			<select
				class="select"
				aria-label="How often {thing.name} is used"
				value={thing.use.class}
				onchange={(event) => {
					const value = event.currentTarget.value as UseClass;
					change(`uses of ${thing.name}`, { useClass: value });
				}}
			>
				{#each CLASSES as option (option)}<option value={option}>{option.replace('-', ' ')}</option
					>{/each}
			</select></label
		>
		{#if thing.hold && thing.hold.rule !== 'packs'}
			<p class="self-end text-sm">
				{HOLD_NAMES[thing.hold.rule]}: {thing.hold.amount}
				{HOLD_UNITS[thing.hold.rule]}. Change it in Turn, Stock, by thing.
			</p>
		{:else}<label
				><span class="soft text-sm">Packs to hold</span>
				<input
					class="input measure"
					type="number"
					min="0"
					max="9999"
					placeholder="none"
					aria-label="Packs of {thing.name} to hold"
					value={thing.hold?.amount ?? null}
					onchange={(event) => {
						const text = event.currentTarget.value.trim();
						const packs =
							text === '' ? null : Math.max(0, Math.min(9999, Math.round(Number(text))));
						change(`packs of ${thing.name} to hold`, {
							hold: packs === null ? null : { rule: 'packs', amount: packs }
						});
					}}
				/></label
			>{/if}
	</div>
	{#if people.length}
		<fieldset>
			<legend class="soft text-sm">Who uses it (nobody ticked: everybody)</legend>
			<div class="flex flex-wrap gap-x-3">
				{#each people as { id, name } (id)}
					<CheckField
						label={name}
						checked={thing.userIds.includes(id)}
						onchange={(checked) =>
							store.run(`who uses ${thing.name}`, 'setUser', thing.id, id, checked)}
					/>
				{/each}
			</div>
		</fieldset>
	{/if}
	{#if isFood}
		<div class="grid grid-cols-2 gap-2">
			<label
				><span class="soft text-sm">Contains</span>
				<input
					class="input"
					aria-label="Allergens in {thing.name}"
					placeholder="none known"
					value={allergens.contains.join(', ')}
					onchange={(event) => setAllergens(words(event.currentTarget.value), allergens.freeFrom)}
				/></label
			>
			<label
				><span class="soft text-sm">Free from</span>
				<input
					class="input"
					aria-label="What {thing.name} is free from"
					placeholder="nothing said"
					value={allergens.freeFrom.join(', ')}
					onchange={(event) => setAllergens(allergens.contains, words(event.currentTarget.value))}
				/></label
			>
		</div>
		<label
			><span class="soft text-sm">How it is cooked, as the pack says</span>
			<input
				class="input w-full"
				aria-label="How {thing.name} is cooked"
				placeholder="1 cup to 2 of water, 12 min"
				maxlength="120"
				value={thing.cooking}
				onchange={(event) =>
					change(`cooking of ${thing.name}`, { cooking: event.currentTarget.value.trim() })}
			/></label
		>
		<p class="soft text-sm">
			{thing.allergens ? 'Said by hand.' : 'Read from the name.'} The pack decides: read it every time.
		</p>
	{/if}
</div>
