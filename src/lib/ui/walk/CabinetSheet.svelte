<script lang="ts">
	import Copy from '@lucide/svelte/icons/copy';
	import Rows3 from '@lucide/svelte/icons/rows-3';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import type { ArgsOf } from '$lib/core/commands';
	import { formatVolume, STATION_KINDS, type Cabinet, type StationKind } from '$lib/core/model';
	import { likeCabinets, nooksInOrder, spaceTotals, standingPoint } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import CheckField from '$lib/ui/forms/CheckField.svelte';
	import ClimateField from '$lib/ui/forms/ClimateField.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	interface Props {
		cabinetId: string;
		onnook: (nookId: string) => void;
		onremoved: () => void;
	}
	let { cabinetId, onnook, onremoved }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const cabinet = $derived(home.cabinets[cabinetId]);
	const places = $derived(nooksInOrder(home).filter((place) => place.cabinet.id === cabinetId));
	const space = $derived(spaceTotals(home).byCabinet.get(cabinetId));
	const shelves = $derived(places.filter(({ nook }) => nook.kind === 'shelf').length);
	const set = (words: string, change: ArgsOf<'changeCabinet'>[1]) =>
		store.run(`${words} of ${cabinet?.name}`, 'changeCabinet', cabinetId, change);
	/** What one does before a cabinet of its form; another can be chosen. */
	const USUAL_STATION: Partial<Record<Cabinet['form'], StationKind>> = {
		sink: 'sink',
		basin: 'basin',
		mirror: 'basin',
		fridge: 'fridge',
		chest: 'freezer',
		drawers: 'worktop',
		base: 'worktop'
	};
	let station = $derived<StationKind>((cabinet && USUAL_STATION[cabinet.form]) ?? 'worktop');
	const alike = $derived(likeCabinets(home, cabinetId));
	function putStation() {
		const place = places[0];
		if (place)
			store.run(
				`${station} before ${place.cabinet.name}`,
				'placeStation',
				place.room.id,
				station,
				standingPoint(place),
				newId()
			);
	}
	const SIDES = [
		['widthMm', 'Outer width'],
		['heightMm', 'Outer height'],
		['depthMm', 'Outer depth'],
		['baseMm', 'Above the floor'],
		['offsetMm', 'From the left end']
	] as const;
	const PEGS = [
		['pitchMm', 'Peg to peg'],
		['firstHoleMm', 'First hole'],
		['thicknessMm', 'Shelf thickness']
	] as const;
</script>

{#if cabinet}
	<input
		class="name"
		aria-label="Name of the cabinet"
		maxlength="200"
		value={cabinet.name}
		onchange={(event) => {
			const name = event.currentTarget.value.trim();
			if (name) set('name', { name });
		}}
	/>
	{#if space}
		<p class="soft mb-2">
			<b class="measure">{formatVolume(space.usableMl)}</b> usable in {space.nooks}
			{space.nooks === 1 ? 'place' : 'places'}{space.unmeasured
				? `, ${space.unmeasured} not measured`
				: ''}
		</p>
	{/if}
	<ul class="mb-3">
		{#each places as { nook } (nook.id)}
			<li class="rule-top">
				<button
					class="min-h-11 w-full cursor-pointer text-left hover:underline"
					onclick={() => onnook(nook.id)}>{nook.name}</button
				>
			</li>
		{/each}
	</ul>
	<div class="mb-3 flex flex-wrap gap-2">
		<button
			class="btn"
			onclick={() => store.run(`duplicate ${cabinet.name}`, 'duplicateCabinet', cabinetId, newId())}
			><Copy size={18} />Duplicate</button
		>
		{#if shelves > 1}
			<button
				class="btn"
				onclick={() => store.run(`level ${cabinet.name}`, 'levelShelves', cabinetId)}
				><Rows3 size={18} />Divide its height equally</button
			>
		{/if}
	</div>
	{#if alike.length}
		<label class="mb-3 block"
			><span class="soft text-sm">Measures as in a cabinet like it</span>
			<select
				class="select"
				value=""
				onchange={(event) => {
					const from = event.currentTarget.value;
					if (from) store.run(`measures of ${cabinet.name}`, 'copyMeasures', from, cabinetId);
				}}
			>
				<option value="">choose one</option>
				{#each alike as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
			</select></label
		>
	{/if}
	<div class="grid grid-cols-2 gap-2">
		{#each SIDES as [side, label] (side)}
			<LengthField
				{label}
				units={home.units}
				valueMm={cabinet[side]}
				onchange={(mm) => set(label.toLowerCase(), { [side]: mm })}
			/>
		{/each}
		<label class="text-sm font-semibold"
			>Front<select
				class="select font-normal"
				value={cabinet.front}
				onchange={(event) => set('front', { front: event.currentTarget.value as Cabinet['front'] })}
				>{#each ['door', 'drawer', 'open', 'lid'] as option (option)}<option>{option}</option
					>{/each}</select
			></label
		>
	</div>
	<CheckField
		label="Shelves on pegs can be moved"
		checked={cabinet.shelves !== null}
		onchange={(on) =>
			set('shelves', {
				shelves: on ? { pitchMm: 32, firstHoleMm: 64, thicknessMm: 18 } : null
			})}
	/>
	{#if cabinet.shelves}
		{@const pegs = cabinet.shelves}
		<div class="grid grid-cols-3 gap-2">
			{#each PEGS as [side, label] (side)}
				<LengthField
					{label}
					units={home.units}
					valueMm={pegs[side]}
					onchange={(mm) => set(label.toLowerCase(), { shelves: { ...pegs, [side]: mm } })}
				/>
			{/each}
		</div>
	{/if}
	<CheckField
		label="Has a lock"
		checked={cabinet.lockable}
		onchange={(on) => set('lock', { lockable: on })}
	/>
	<CheckField
		label="Has child catches (a catch is not a lock)"
		checked={cabinet.childCatch}
		onchange={(on) => set('catch', { childCatch: on })}
	/>
	<details open={cabinet.climate.length > 0}>
		<summary class="min-h-9 cursor-pointer">Climate</summary>
		<ClimateField value={cabinet.climate} onchange={(climate) => set('climate', { climate })} />
	</details>
	<div class="mt-2 mb-2 flex items-end gap-2">
		<label class="flex-1 text-sm font-semibold"
			>What you do in front of it
			<select class="select font-normal" bind:value={station}
				>{#each STATION_KINDS as kind (kind)}<option>{kind}</option>{/each}</select
			></label
		>
		<button class="btn" onclick={putStation} disabled={!places.length}>Put it here</button>
	</div>
	<button
		class="btn btn-ghost"
		onclick={() => {
			// The edit first: once the sheet is put away there is no cabinet to name.
			store.run(`remove ${cabinet.name}`, 'removeCabinet', cabinetId);
			onremoved();
		}}><Trash2 size={18} />Remove the cabinet</button
	>
{/if}

<style>
	.name {
		width: 100%;
		min-height: 44px;
		background: transparent;
		font-family: var(--font-display);
		font-size: 1.2rem;
		font-weight: 650;
	}
</style>
