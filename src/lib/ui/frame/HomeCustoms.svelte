<script lang="ts">
	import { REGIONS, WEEK_STARTS, type HomeHead } from '$lib/core/model';
	import { CURRENCIES, DATE_ORDER_WORDS, WEEK_START_WORDS } from '$lib/messages/customs';
	import type { HomeStore } from '$lib/state/home-store.svelte';
	import CheckField from '$lib/ui/forms/CheckField.svelte';

	let { store }: { store: HomeStore } = $props();
	const home = $derived(store.home);
	const region = (code: string) =>
		code
			? store.run('where the home is', 'settleIn', code)
			: store.run('where the home is', 'changeCustoms', { region: null });
</script>

<details class="rule-top mt-4 pt-1">
	<summary class="min-h-11 cursor-pointer content-center font-semibold"
		>Units, dates and money of this home</summary
	>
	<div class="fields">
		<label
			><span class="soft text-sm">Region</span><select
				class="select w-full"
				value={home.customs.region ?? ''}
				onchange={(event) => region(event.currentTarget.value)}
				><option value="">not said</option>{#each REGIONS as { code, name } (code)}<option
						value={code}>{name}</option
					>{/each}</select
			></label
		>
		<label
			><span class="soft text-sm">Money</span><select
				class="select w-full"
				value={home.currency}
				onchange={(event) =>
					store.run('money', 'changeHome', { currency: event.currentTarget.value })}
				>{#each [...new Set([home.currency, ...CURRENCIES])] as code (code)}<option>{code}</option
					>{/each}</select
			></label
		>
		<label
			><span class="soft text-sm">Dates typed as</span><select
				class="select w-full"
				value={home.dateOrder ?? ''}
				onchange={(event) =>
					store.run('order of dates', 'changeHome', {
						dateOrder: (event.currentTarget.value || null) as HomeHead['dateOrder']
					})}
				><option value="">ask when it matters</option
				>{#each Object.entries(DATE_ORDER_WORDS) as [order, words] (order)}<option value={order}
						>{words}</option
					>{/each}</select
			></label
		>
		<label
			><span class="soft text-sm">Weeks begin on</span><select
				class="select w-full"
				value={home.customs.weekStart}
				onchange={(event) =>
					store.run('first day of the week', 'changeCustoms', {
						weekStart: event.currentTarget.value as (typeof WEEK_STARTS)[number]
					})}
				>{#each WEEK_STARTS as day (day)}<option value={day}>{WEEK_START_WORDS[day]}</option
					>{/each}</select
			></label
		>
		<label
			><span class="soft text-sm">Paper</span><select
				class="select w-full"
				value={home.customs.paper}
				onchange={(event) =>
					store.run('paper', 'changeCustoms', {
						paper: event.currentTarget.value as HomeHead['customs']['paper']
					})}><option>A4</option><option>Letter</option></select
			></label
		>
		<CheckField
			label="Rented: no holes in walls"
			checked={home.rented}
			onchange={(rented) => store.run(rented ? 'rented' : 'not rented', 'changeHome', { rented })}
		/>
	</div>
</details>

<style>
	.fields {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(11rem, 1fr));
		gap: 0.5rem 1rem;
		align-items: end;
	}
</style>
