<script lang="ts">
	import Wand from '@lucide/svelte/icons/sparkles';
	import { page } from '$app/state';
	import { countText } from '$lib/messages/numbers';
	import { usesText } from '$lib/messages/sorting';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { SortDesk } from '$lib/state/sort-desk.svelte';
	import FrequencyChart from '$lib/ui/charts/FrequencyChart.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import GroupSheet from '$lib/ui/sort/GroupSheet.svelte';
	import GroupTable from '$lib/ui/sort/GroupTable.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';
	import UnknownThings from '$lib/ui/sort/UnknownThings.svelte';

	const desk = new SortDesk({
		store: getHomeStore(),
		newId,
		groupAsked: () => page.url.searchParams.get('group')
	});
	const home = $derived(desk.home);
	const { chosen, figures, group, loose } = $derived(desk);
</script>

<Bench
	raised={!!group}
	panel={group ? sheet : undefined}
	panelLabel="Group"
	{chosen}
	onclose={() => desk.choose(null)}
>
	<SortHead>
		<label class="flex items-center gap-2"
			><span class="soft whitespace-nowrap">Order by</span>
			<select class="select" bind:value={desk.by}
				><option value="uses">uses a week</option><option value="litres">litres</option><option
					value="name">name</option
				></select
			>
		</label>
		{#if loose.length}
			<button class="btn btn-primary" onclick={() => desk.groupLoose()}
				><Wand size={18} />Group {countText(loose.length, 'loose thing')}</button
			>
		{/if}
	</SortHead>
	<UnknownThings />
	{#if !figures.length}
		<EmptyNote title="No groups yet">
			{#if loose.length}
				<p>
					A group is what lives together in one place. {loose.length}
					{loose.length === 1 ? 'thing has' : 'things have'} none yet: have them grouped by what they
					are, what they are for and whose they are, then change what you like.
				</p>
				<button class="btn btn-primary" onclick={() => desk.groupLoose()}
					><Wand size={18} />Group them</button
				>
			{:else}
				<p>
					A group is what lives together in one place. Enter some things in Clear, then have them
					grouped by what they are.
				</p>
				<a class="btn btn-primary" href="/home/{home.id}/clear">Go to Clear</a>
			{/if}
		</EmptyNote>
	{:else}
		<div class="mb-2 flex flex-wrap items-center justify-between gap-x-4">
			<p class="soft">
				{figures.length} groups, {usesText(desk.total)} fetches a week. {desk.few} of them make four fifths
				of all fetches, from {desk.fewTakePercent} % of the {desk.size}: those get the prime space.
			</p>
			<label class="no-print flex items-center gap-2"
				><span class="soft">Against</span>
				<select class="select" bind:value={desk.size}
					><option value="litres">litres</option><option value="pieces">pieces</option></select
				></label
			>
		</div>
		<FrequencyChart
			rows={desk.rows}
			groups={home.groups}
			of={desk.size}
			{chosen}
			onchoose={(id) => desk.choose(id)}
		/>
		<GroupTable {desk} />
	{/if}
</Bench>

{#snippet sheet()}
	{#if chosen}{#key chosen}<GroupSheet
				groupId={chosen}
				onshow={(id) => desk.choose(id)}
			/>{/key}{/if}
{/snippet}
