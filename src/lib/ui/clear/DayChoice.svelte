<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { estimatePlace } from '$lib/core/clearing';
	import { timeOfDay } from '$lib/core/model';
	import { clockText, estimateText, minutesText } from '$lib/messages/clearing';
	import type { DayDesk } from '$lib/state/day-desk.svelte';

	/** What a day of clearing out is made of: its times, its places. */
	let { desk }: { desk: DayDesk } = $props();
	const home = $derived(desk.home);
	const { day, ranked } = $derived(desk);
</script>

<div class="grid grid-cols-2 gap-2">
	<label
		>Day<input
			type="date"
			class="input"
			value={day.on}
			onchange={(event) =>
				event.currentTarget.value &&
				desk.change('day of the clear-out', { on: event.currentTarget.value })}
		/></label
	>
	<label
		>Hands<input
			type="number"
			class="input measure"
			min="1"
			max="12"
			value={day.hands}
			onchange={(event) => desk.setHands(Number(event.currentTarget.value))}
		/></label
	>
	<label
		>From<input
			type="time"
			class="input measure"
			value={timeOfDay(day.fromMin)}
			onchange={(event) => desk.setTime('fromMin', event.currentTarget.value)}
		/></label
	>
	<label
		>Stop by<input
			type="time"
			class="input measure"
			value={timeOfDay(day.stopMin)}
			onchange={(event) => desk.setTime('stopMin', event.currentTarget.value)}
		/></label
	>
</div>
<fieldset class="mt-4">
	<legend class="font-semibold">How it is done</legend>
	{#each [['place-at-a-time', 'A place at a time', 'Each is closed before the next is opened.'], ['all-at-once', 'All at once', 'Everything out first: a better overview, and a full table.']] as const as [value, words, why] (value)}
		<label class="flex min-h-11 items-center gap-2 py-1"
			><input
				type="radio"
				class="radio"
				name="school"
				checked={home.schools.clear === value}
				onchange={() => desk.setSchool(value, words.toLowerCase())}
			/><span>{words}<br /><span class="soft text-sm">{why}</span></span></label
		>
	{/each}
</fieldset>
<section class="rule-top mt-3 pt-3" aria-label="Fixed times">
	<h3 class="mb-1">Fixed times</h3>
	<ul>
		{#each day.fixed as item, i (i)}
			<li class="flex items-center justify-between">
				<span
					>{item.name},
					<span class="measure">{clockText(item.fromMin)}–{clockText(item.toMin)}</span></span
				>
				<button
					class="btn btn-ghost"
					aria-label="Remove {item.name}"
					onclick={() => desk.removeFixed(i)}><Trash2 size={18} /></button
				>
			</li>
		{/each}
	</ul>
	<form
		onsubmit={(event) => (event.preventDefault(), desk.addFixed())}
		class="grid grid-cols-2 gap-2"
	>
		<label class="col-span-2"
			>What<input class="input" bind:value={desk.fixedName} maxlength="200" /></label
		>
		<label>From<input type="time" class="input measure" bind:value={desk.fixedFrom} /></label>
		<label>To<input type="time" class="input measure" bind:value={desk.fixedTo} /></label>
		<button class="btn col-span-2"><Plus size={18} />Add a fixed time</button>
		{#if desk.wrong}<p role="alert" class="col-span-2" style="color:var(--color-error)">
				{desk.wrong}
			</p>{/if}
	</form>
</section>
<section class="rule-top mt-3 pt-3" aria-label="Places">
	<h3 class="mb-1">Places</h3>
	<p class="soft mb-1 text-sm">In the order you tick them; the most pressing come first.</p>
	<ul>
		{#each ranked as nook (nook.id)}
			{@const estimate = estimatePlace(home, nook.id, day.hands)}
			<li>
				<label class="flex min-h-11 items-center gap-2"
					><input
						type="checkbox"
						class="checkbox"
						checked={day.nookIds.includes(nook.id)}
						onchange={() => desk.togglePlace(nook)}
					/><span class="min-w-0 flex-1"
						>{nook.name}{#if desk.past.get(nook.id)}<span style="color:var(--color-error)"
								>, {desk.past.get(nook.id)} past</span
							>{/if}</span
					><span class="measure soft" title={estimateText(estimate)}
						>{minutesText(estimate.minutes)}</span
					></label
				>
			</li>
		{/each}
	</ul>
	{#if desk.explained}
		{@const shown = desk.explained}
		<details class="mt-2">
			<summary class="soft min-h-8 cursor-pointer">How the minutes are made</summary>
			<p class="text-sm">
				<b>{shown.name}</b>: {estimateText(estimatePlace(home, shown.id, day.hands))}
			</p>
		</details>
	{/if}
</section>
