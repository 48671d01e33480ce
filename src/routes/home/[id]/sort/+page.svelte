<script lang="ts">
	import Wand from '@lucide/svelte/icons/sparkles';
	import {
		allGroupFigures,
		fewMostUsed,
		frequencyRows,
		groupChanges,
		looseChanges,
		looseThings,
		type GroupFigures
	} from '$lib/core/grouping';
	import { formatLength, formatVolume } from '$lib/core/model';
	import { countText } from '$lib/messages/numbers';
	import { usesText } from '$lib/messages/sorting';
	import { page } from '$app/state';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import FrequencyChart from '$lib/ui/charts/FrequencyChart.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import { inkOf } from '$lib/ui/drawing/tag-style';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import GroupSheet from '$lib/ui/sort/GroupSheet.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';
	import UnknownThings from '$lib/ui/sort/UnknownThings.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const figures = $derived(allGroupFigures(home));
	let by = $state<'uses' | 'litres' | 'name'>('uses');
	let size = $state<'litres' | 'pieces'>('litres');
	const sorted = $derived(
		[...figures].sort((a, b) =>
			by === 'uses'
				? b.usesPerWeek - a.usesPerWeek
				: by === 'litres'
					? b.volumeMl - a.volumeMl
					: nameOf(a).localeCompare(nameOf(b))
		)
	);
	const nameOf = (f: GroupFigures) => home.groups[f.groupId]?.name ?? '';
	const mostUses = $derived(Math.max(1, ...figures.map((f) => f.usesPerWeek)));
	const mostMl = $derived(Math.max(1, ...figures.map((f) => f.volumeMl)));
	const loose = $derived(looseThings(home));
	let chosen = $derived<string | null>(page.url.searchParams.get('group'));
	const group = $derived(chosen ? home.groups[chosen] : undefined);
	const rows = $derived(frequencyRows(figures, size));
	const total = $derived(figures.reduce((sum, f) => sum + f.usesPerWeek, 0));
	const groupLoose = () =>
		store.run(
			`group ${loose.length} things`,
			'takeChanges',
			looseChanges(groupChanges(home)),
			newId()
		);
	const MOST = 0.8;
	const few = $derived(fewMostUsed(rows, MOST));
</script>

<Bench
	raised={!!group}
	panel={group ? sheet : undefined}
	panelLabel="Group"
	{chosen}
	onclose={() => (chosen = null)}
>
	<SortHead>
		<label class="flex items-center gap-2"
			><span class="soft whitespace-nowrap">Order by</span>
			<select class="select" bind:value={by}
				><option value="uses">uses a week</option><option value="litres">litres</option><option
					value="name">name</option
				></select
			>
		</label>
		{#if loose.length}
			<button class="btn btn-primary" onclick={groupLoose}
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
				<button class="btn btn-primary" onclick={groupLoose}><Wand size={18} />Group them</button>
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
				{figures.length} groups, {usesText(total)} fetches a week. {few} of them make four fifths of all
				fetches, from {Math.round(100 * (rows[few - 1]?.sizeSoFar ?? 0))} % of the {size}: those get
				the prime space.
			</p>
			<label class="no-print flex items-center gap-2"
				><span class="soft">Against</span>
				<select class="select" bind:value={size}
					><option value="litres">litres</option><option value="pieces">pieces</option></select
				></label
			>
		</div>
		<FrequencyChart
			{rows}
			groups={home.groups}
			of={size}
			{chosen}
			onchoose={(id) => (chosen = id)}
		/>
		<div class="head soft text-sm" aria-hidden="true">
			<span>Group</span><span>Uses a week</span><span>Litres</span><span class="wide">Tallest</span>
		</div>
		<ul aria-label="Groups">
			{#each sorted as f (f.groupId)}
				{@const g = home.groups[f.groupId]!}
				<li>
					<button
						class="row"
						class:now={chosen === f.groupId}
						aria-pressed={chosen === f.groupId}
						onclick={() => (chosen = chosen === f.groupId ? null : f.groupId)}
						aria-label="{g.name}: {usesText(f.usesPerWeek)} uses a week, {formatVolume(
							f.volumeMl
						)}, tallest {formatLength(f.tallestMm, home.units)}"
					>
						<span class="flex min-w-0"><TagChip group={g} /></span>
						<span class="bar"
							><i
								style:width="{(100 * f.usesPerWeek) / mostUses}%"
								style:background={inkOf(g.tag.hue)}
							></i><b class="measure">{usesText(f.usesPerWeek)}</b></span
						>
						<span class="bar"
							><i style:width="{(100 * f.volumeMl) / mostMl}%" class="litres"></i><b class="measure"
								>{formatVolume(f.volumeMl)}</b
							></span
						>
						<span class="measure wide">{formatLength(f.tallestMm, home.units)}</span>
					</button>
				</li>
			{/each}
		</ul>
	{/if}
</Bench>

{#snippet sheet()}
	{#if chosen}{#key chosen}<GroupSheet groupId={chosen} onshow={(id) => (chosen = id)} />{/key}{/if}
{/snippet}

<style>
	.head,
	.row {
		display: grid;
		grid-template-columns: minmax(9rem, 15rem) minmax(0, 1fr) minmax(0, 0.7fr) 6.5rem;
		gap: 0.75rem;
		align-items: center;
		width: 100%;
		padding: 0.3rem 0.5rem;
		text-align: left;
	}
	.row {
		min-height: 44px;
		border-top: 1px solid var(--color-base-300);
		cursor: pointer;
	}
	.row:hover,
	.row.now {
		background: var(--color-base-200);
	}
	.bar {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		padding-right: 2.8rem;
		min-width: 0;
	}
	.bar i {
		display: block;
		height: 14px;
		min-width: 2px;
	}
	.bar .litres {
		background: none;
		border: 1.5px solid var(--color-base-content);
	}
	.bar b {
		margin-right: -2.8rem;
		font-weight: 500;
	}
	@media (max-width: 640px) {
		.head,
		.row {
			grid-template-columns: minmax(0, 1.3fr) minmax(0, 1fr) minmax(0, 1fr);
			gap: 0.4rem;
			padding-inline: 0;
		}
		.bar {
			flex-wrap: wrap;
			gap: 0 0.4rem;
			padding-right: 0;
		}
		.bar b {
			margin-right: 0;
			overflow-wrap: anywhere;
		}
		.bar i {
			max-width: 100%;
		}
		.wide {
			display: none;
		}
	}
</style>
