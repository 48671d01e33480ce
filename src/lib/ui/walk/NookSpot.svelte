<script lang="ts">
	import type { ArgsOf } from '$lib/core/commands';
	import { FIXINGS, type Fixings } from '$lib/core/model';
	import { climateTags, fixingsOf, placeOfNook } from '$lib/core/survey';
	import { FIXING_WORDS } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import CheckField from '$lib/ui/forms/CheckField.svelte';
	import ClimateField from '$lib/ui/forms/ClimateField.svelte';
	import MassField from '$lib/ui/forms/MassField.svelte';

	let { nookId }: { nookId: string } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const place = $derived(placeOfNook(home, nookId));
	let wrong = $state('');
	const set = (words: string, change: ArgsOf<'changeNook'>[1]) =>
		store.run(`${words} of ${place?.nook.name}`, 'changeNook', nookId, change);
	function takeTemperature(text: string) {
		wrong = '';
		if (!text.trim()) return set('temperature', { temperatureC: null });
		const value = Number(
			text
				.replace(',', '.')
				.replace('−', '-')
				.replace(/\s*°?\s*c?$/i, '')
		);
		if (!Number.isFinite(value) || value < -60 || value > 90)
			return void (wrong = `“${text}” is no temperature of a cupboard. Write degrees Celsius, such as 4 or -18.`);
		set('temperature', { temperatureC: Math.round(value * 10) / 10 });
	}
	const outer = $derived(
		place ? [...new Set([...place.cabinet.climate, ...place.room.climate])] : []
	);
	const toggle = <T,>(list: readonly T[], item: T, on: boolean): T[] =>
		on ? [...list.filter((each) => each !== item), item] : list.filter((each) => each !== item);
</script>

{#if place}
	{@const { nook } = place}
	<section class="rule-top py-3" aria-label="Its spot">
		<h3 class="mb-2">Its spot</h3>
		<div class="grid grid-cols-2 gap-2">
			<MassField
				label="Holds at most"
				valueG={nook.loadG}
				placeholder="not known"
				onchange={(loadG) => set('load', { loadG })}
			/>
			<label class="text-sm font-semibold"
				>Temperature<input
					class="input measure font-normal"
					placeholder="not known"
					autocomplete="off"
					aria-invalid={wrong ? 'true' : undefined}
					value={nook.temperatureC === null ? '' : `${nook.temperatureC} °C`}
					onchange={(event) => takeTemperature(event.currentTarget.value)}
				/></label
			>
		</div>
		{#if wrong}<p role="alert" class="text-sm" style="color:var(--color-error)">{wrong}</p>{/if}
		<label class="mt-2 block text-sm font-semibold"
			>What may be fixed here<select
				class="select font-normal"
				value={nook.fixings ?? ''}
				onchange={(event) =>
					set('fixings', { fixings: (event.currentTarget.value || null) as Fixings | null })}
			>
				<option value=""
					>as in the whole home: {FIXING_WORDS[fixingsOf(home, { ...nook, fixings: null })]}</option
				>
				{#each FIXINGS as option (option)}<option value={option}>{FIXING_WORDS[option]}</option
					>{/each}
			</select></label
		>
		<CheckField
			label="Has a lock of its own"
			checked={nook.locked}
			onchange={(on) => set('lock', { locked: on })}
		/>
		<CheckField
			label="Has a child catch of its own"
			checked={nook.childCatch}
			onchange={(on) => set('catch', { childCatch: on })}
		/>
		<CheckField
			label="In plain sight"
			checked={nook.tags.includes('plain-sight')}
			onchange={(on) => set('sight', { tags: toggle(nook.tags, 'plain-sight', on) })}
		/>
		<details open={nook.climate.length > 0}>
			<summary class="min-h-9 cursor-pointer"
				>Climate{climateTags(place).length
					? `: ${climateTags(place).join(', ')}`
					: ': nothing special'}</summary
			>
			{#if outer.length}<p class="soft text-sm">
					From its cabinet and room: {outer.join(', ')}.
				</p>{/if}
			<ClimateField value={nook.climate} onchange={(climate) => set('climate', { climate })} />
		</details>
	</section>
{/if}
