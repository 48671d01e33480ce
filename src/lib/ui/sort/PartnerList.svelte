<script lang="ts">
	import { partnersNow, proposePartners } from '$lib/core/grouping';
	import type { Group } from '$lib/core/model';
	import { partnerText } from '$lib/messages/sorting';
	import { getHomeStore } from '$lib/state/context';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	let { group }: { group: Group } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const words = $derived(
		new Map(proposePartners(home).map((pair) => [`${pair.a}/${pair.b}`, pair]))
	);
	const pairs = $derived(
		partnersNow(home)
			.filter(({ a, b, weight }) => (a === group.id || b === group.id) && weight > 0)
			.map((pair) => ({
				...pair,
				other: home.groups[pair.a === group.id ? pair.b : pair.a]!,
				words: words.get(`${pair.a}/${pair.b}`)?.words ?? ''
			}))
	);
	const others = $derived(
		Object.values(home.groups)
			.filter(({ id, stockOf }) => id !== group.id && !stockOf)
			.filter(({ id }) => !pairs.some(({ other }) => other.id === id))
			.sort((a, b) => a.name.localeCompare(b.name))
	);
	const set = (other: Group, weight: number) =>
		store.run(
			weight > 0 ? `${group.name} near ${other.name}` : `${group.name} apart from ${other.name}`,
			'setPartner',
			group.id,
			other.id,
			weight
		);
	const FIRST_WEIGHT = 2;
	let added = $state('');
</script>

<h3 class="rule-top pt-3">Should be near</h3>
<p class="soft mb-1 text-sm">
	Trips a week between the two: that is how often each metre between them counts.
</p>
<ul aria-label="Partners of {group.name}">
	{#each pairs as { other, weight, why, words } (other.id)}
		<li class="grid grid-cols-[minmax(0,1fr)_5rem_auto] items-center gap-2 py-1">
			<span class="min-w-0"
				><TagChip group={other} /><span class="soft block text-sm"
					>{partnerText({ why, words })}</span
				></span
			>
			<input
				class="input measure"
				type="number"
				min="0"
				max="1000"
				step="0.5"
				value={weight}
				aria-label="Trips a week to {other.name}"
				onchange={(event) => {
					const value = Number(event.currentTarget.value);
					if (Number.isFinite(value)) set(other, Math.max(0, Math.min(1000, value)));
				}}
			/>
			<button class="btn btn-ghost" onclick={() => set(other, 0)} aria-label="Not near {other.name}"
				>Drop</button
			>
		</li>
	{:else}
		<li class="soft text-sm">Nothing yet.</li>
	{/each}
</ul>
<label class="mt-1 block"
	><span class="soft text-sm">Also near</span>
	<select
		class="select"
		bind:value={added}
		onchange={() => {
			const other = home.groups[added];
			if (other) set(other, FIRST_WEIGHT);
			added = '';
		}}
	>
		<option value="">choose a group</option>
		{#each others as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
	</select></label
>
