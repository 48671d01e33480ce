<script lang="ts">
	import { UNITS, WASTE_REASONS } from '$lib/core/model';
	import { produceOf } from '$lib/core/rotation';
	import { dateText } from '$lib/messages/clearing';
	import {
		amountText,
		BASIS_WORDS,
		keepsText,
		UNIT_NAMES,
		WASTE_WORDS
	} from '$lib/messages/turning';
	import DateField from './DateField.svelte';
	import Sheet from '$lib/ui/frame/Sheet.svelte';
	import { getCorrecting } from '$lib/state/context';
	import type { TurnDesk } from '$lib/state/turn-desk.svelte';

	let { desk }: { desk: TurnDesk } = $props();
	const correcting = getCorrecting();
	let more = $state({ count: 1, date: '' });
	/** Everything that is done closes the sheet: the toast says it, and takes it back. */
	function act(work: () => void) {
		work();
		if (!desk.wrong) desk.close();
	}
</script>

{#if desk.chosen}
	{@const { lot, thing, date } = desk.chosen}
	{@const keeps = produceOf(thing)}
	{@const isFood = thing.category.startsWith('food.')}
	{@const place = lot.nookId ? `in ${desk.home.nooks[lot.nookId]?.name}` : 'on the table'}
	{@const due = date ? `, ${dateText(date.on)} ${BASIS_WORDS[date.basis]}` : ''}
	{@const where = `${amountText(lot.count, lot.unit)} ${place}${due}`}
	<Sheet
		label="Stock of {thing.name}"
		title={thing.name}
		under={where}
		onclose={() => desk.close()}
	>
		{#if desk.wrong}<p class="wrong" role="alert">{desk.wrong}</p>{/if}
		<div class="many">
			<label
				><span class="soft">How many of them</span>
				<input
					class="input measure"
					type="number"
					step="any"
					min="0"
					max={lot.count}
					value={desk.count}
					onchange={(event) => desk.setCount(Number(event.currentTarget.value))}
				/></label
			>
			<button
				class="btn"
				disabled={desk.count === lot.count}
				onclick={() => desk.setCount(lot.count)}>All {amountText(lot.count, lot.unit)}</button
			>
		</div>
		<div class="acts">
			<button class="btn btn-primary" onclick={() => act(() => desk.take(lot, desk.count))}
				>Take down</button
			>
			<button
				class="btn"
				disabled={lot.dates.openedOn !== null || desk.isFrozen}
				onclick={() => act(() => desk.open(lot))}>Open one</button
			>
			{#if desk.isFrozen}
				<button class="btn" onclick={() => act(() => desk.thaw(lot, desk.count))}
					>Take out to thaw</button
				>
			{:else if isFood}
				<button
					class="btn"
					disabled={!!desk.noFreezing}
					onclick={() => act(() => desk.freeze(lot, desk.count))}>Freeze</button
				>
			{/if}
		</div>
		{#if isFood && desk.noFreezing && !desk.isFrozen}<p class="soft text-sm">
				{desk.noFreezing}
			</p>{/if}
		{#if keeps}<p class="text-sm">{keepsText(keeps)}</p>{/if}
		{#if thing.cooking}<p class="text-sm"><b>Cooking</b>: {thing.cooking}</p>{/if}
		{#if desk.isFrozen}<p class="soft text-sm">
				Thaw in the fridge, on a tray, never on the worktop. Do not freeze it again raw.
			</p>{/if}
		<label
			><span class="soft">Move to</span>
			<select
				class="select"
				value={lot.nookId ?? ''}
				onchange={(event) => {
					const to = event.currentTarget.value || null;
					act(() => desk.move(lot, desk.count, to));
				}}
			>
				<option value="">the table</option>
				{#each desk.places as { nook } (nook.id)}<option value={nook.id}>{nook.name}</option>{/each}
			</select></label
		>
		<label
			><span class="soft">Count it in</span>
			<select
				class="select"
				value={lot.unit}
				onchange={(event) => desk.countIn(lot, event.currentTarget.value as typeof lot.unit)}
			>
				{#each UNITS as unit (unit)}<option value={unit}>{UNIT_NAMES[unit]}</option>{/each}
			</select></label
		>
		<fieldset>
			<legend class="soft">Throw out, because</legend>
			<div class="acts">
				{#each WASTE_REASONS as why (why)}
					<button class="btn" onclick={() => act(() => desk.throwOut(lot, desk.count, why))}
						>{WASTE_WORDS[why]}</button
					>
				{/each}
			</div>
		</fieldset>
		<fieldset>
			<legend class="soft">Put more in</legend>
			<div class="many">
				<label
					><span class="text-sm">How many</span>
					<input class="input measure" type="number" min="1" bind:value={more.count} /></label
				>
				<label
					><span class="text-sm"
						>{desk.home.schools.dates === 'packs' ? 'Date, if printed' : 'Into the section'}</span
					>
					<DateField
						home={desk.home}
						value={more.date}
						label="Date, if printed"
						onwrite={(date) => (more.date = date)}
					/></label
				>
				<button
					class="btn"
					onclick={() => act(() => void desk.putIn(thing, more.count, more.date, lot.nookId))}
					>Put in</button
				>
			</div>
		</fieldset>
		<button
			class="btn btn-ghost self-start"
			onclick={() => {
				// Closed, the sheet knows no lot any more.
				const { id } = lot;
				desk.close();
				correcting().open(id);
			}}>Put its record right</button
		>
	</Sheet>
{/if}

<style>
	.many,
	.acts {
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.5rem;
	}
	.many label {
		flex: 1 1 7rem;
	}
	.wrong {
		color: var(--color-error);
	}
</style>
