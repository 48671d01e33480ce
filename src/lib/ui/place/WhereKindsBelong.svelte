<script lang="ts">
	import { categoryOf, PLACE_RANKS, SPOTS, type PlaceRank, type Spot } from '$lib/core/model';
	import { belongsOf, type PlaceKind } from '$lib/core/zoning';
	import { RANK_WORDS, SPOT_WORDS } from '$lib/messages/zoning';
	import { getHomeStore } from '$lib/state/context';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	/** Kinds that the home holds, by name. */
	const kinds = $derived(
		[...new Set(Object.values(home.things).map(({ category }) => category))]
			.map((code) => ({ code, name: categoryOf(code).name }))
			.sort((a, b) => a.name.localeCompare(b.name))
	);
	let chosen = $state('');
	let spot = $state<Spot>('shallow-drawer');
	let rank = $state<PlaceRank>('first');
	const usual = $derived(chosen ? belongsOf(chosen) : null);
	const words = (spots: readonly PlaceKind[]) =>
		[...new Set(spots)].map((one) => SPOT_WORDS[one]).join(', ');
	const set = (kind: string, at: Spot, standing: PlaceRank | null) =>
		store.run(`where ${categoryOf(kind).name} belongs`, 'setBelongs', kind, at, standing);
</script>

<details class="rule-top mt-4 pt-1">
	<summary class="min-h-11 cursor-pointer py-2"><b>Where kinds belong</b></summary>
	<p class="soft mb-2 text-sm">
		The planner knows where an organizer would look for each kind. Say so where your home is
		different.
	</p>
	<label class="text-sm font-semibold"
		>Kind<select class="select font-normal" bind:value={chosen}
			><option value="">Choose a kind</option>{#each kinds as { code, name } (code)}<option
					value={code}>{name}</option
				>{/each}</select
		></label
	>
	{#if chosen}
		{#if usual}
			<dl class="my-2 text-sm">
				<dt class="font-semibold">Usually first</dt>
				<dd>{words(usual.first)}</dd>
				{#if usual.poor.length}<dt class="font-semibold">Better not</dt>
					<dd>{words([...(usual.bad ?? []), ...usual.poor])}</dd>{/if}
				<dd class="soft">Because {usual.why}.</dd>
			</dl>
		{:else}<p class="soft my-2 text-sm">It stands well anywhere.</p>{/if}
		<div class="flex flex-wrap items-end gap-2">
			<label class="text-sm font-semibold"
				>In this home<select class="select font-normal" bind:value={spot}
					>{#each SPOTS as one (one)}<option value={one}>{SPOT_WORDS[one]}</option>{/each}</select
				></label
			>
			<label class="text-sm font-semibold"
				>is<select class="select font-normal" bind:value={rank}
					>{#each PLACE_RANKS as one (one)}<option value={one}>{RANK_WORDS[one]}</option
						>{/each}</select
				></label
			>
			<button class="btn" onclick={() => set(chosen, spot, rank)}>Keep</button>
		</div>
	{/if}
	{#if home.belongs.length}
		<h4 class="mt-3">In this home</h4>
		<ul>
			{#each home.belongs as row (`${row.kind}/${row.spot}`)}
				<li class="rule-top flex items-center gap-2 py-1 text-sm">
					<span class="grow"
						>{categoryOf(row.kind).name}: {SPOT_WORDS[row.spot]} is {RANK_WORDS[row.standing]}</span
					>
					<button
						class="btn btn-sm"
						aria-label="Forget it for {categoryOf(row.kind).name}, {SPOT_WORDS[row.spot]}"
						onclick={() => set(row.kind, row.spot, null)}>Forget</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</details>
