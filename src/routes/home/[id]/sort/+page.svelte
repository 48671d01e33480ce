<script lang="ts">
	import Wand from '@lucide/svelte/icons/sparkles';
	import { allGroupFigures, moveThing, proposeGroups, type GroupFigures } from '$lib/core/grouping';
	import {
		categoryOf,
		formatLength,
		formatMass,
		formatVolume,
		USES_PER_WEEK,
		usesPerWeek,
		type UseClass
	} from '$lib/core/model';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import { inkOf } from '$lib/ui/drawing/tag-style';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const figures = $derived(allGroupFigures(home));
	let by = $state<'uses' | 'litres' | 'name'>('uses');
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
	const loose = $derived(Object.values(home.things).filter((thing) => !thing.groupId));
	let chosen = $state<string | null>(null);
	const group = $derived(chosen ? home.groups[chosen] : undefined);
	const own = $derived(figures.find((f) => f.groupId === chosen));
	const total = $derived(figures.reduce((sum, f) => sum + f.usesPerWeek, 0));
	const topShare = $derived.by(() => {
		const few = [...figures]
			.sort((a, b) => b.usesPerWeek - a.usesPerWeek)
			.slice(0, Math.ceil(figures.length / 5));
		return total ? Math.round((100 * few.reduce((sum, f) => sum + f.usesPerWeek, 0)) / total) : 0;
	});
	const CLASSES = Object.keys(USES_PER_WEEK) as UseClass[];
	function setPar(id: string, name: string, text: string) {
		const packs = text.trim() === '' ? null : Math.max(0, Math.min(9999, Math.round(Number(text))));
		store.edit(`packs of ${name} to hold`, (draft) => {
			const target = draft.things[id];
			if (target) target.parPacks = packs;
		});
	}
	const uses = (value: number) => (value >= 10 ? value.toFixed(0) : value.toFixed(1));
</script>

<Bench raised={!!group} panel={group && own ? sheet : undefined} panelLabel="Group">
	<StageHead stage="sort">
		<label class="flex items-center gap-2"
			><span class="soft">Order by</span>
			<select class="box" bind:value={by}
				><option value="uses">uses a week</option><option value="litres">litres</option><option
					value="name">name</option
				></select
			>
		</label>
		<button
			class="tool"
			class:tool-now={loose.length > 0}
			disabled={!loose.length}
			onclick={() => store.edit(`group ${loose.length} things`, proposeGroups(newId))}
			><Wand size={18} />Group {loose.length} loose things</button
		>
	</StageHead>
	{#if !figures.length}
		<EmptyNote title="No groups yet">
			<p>
				A group is what will live in one place. Enter some things in Clear, then let them be grouped
				by what they are.
			</p>
			<a class="tool tool-now" href="/home/{home.id}/clear">Go to Clear</a>
		</EmptyNote>
	{:else}
		<p class="soft mb-3">
			{figures.length} groups, {uses(total)} fetches a week. The most used fifth of them makes {topShare}
			% of all fetches: those get the best places.
		</p>
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
						aria-label="{g.name}: {uses(f.usesPerWeek)} uses a week, {formatVolume(
							f.volumeMl
						)}, tallest {formatLength(f.tallestMm, home.units)}"
					>
						<span class="min-w-0"><TagChip group={g} /></span>
						<span class="bar"
							><i
								style:width="{(100 * f.usesPerWeek) / mostUses}%"
								style:background={inkOf(g.tag.hue)}
							></i><b class="measure">{uses(f.usesPerWeek)}</b></span
						>
						<span class="bar"
							><i style:width="{(100 * f.volumeMl) / mostMl}%" class="litres"></i><b class="measure"
								>{(f.volumeMl / 1000).toFixed(1)}</b
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
	{#if group && own}
		<div class="mb-2 flex items-start justify-between gap-2">
			<TagChip {group} />
			<button class="tool tool-quiet -mt-2" onclick={() => (chosen = null)}>Close</button>
		</div>
		<dl class="figures">
			<dt>Litres</dt>
			<dd class="measure">{formatVolume(own.volumeMl)}</dd>
			<dt>Front run, 300 mm deep</dt>
			<dd class="measure">{formatLength(own.runMm, home.units)}</dd>
			<dt>Tallest</dt>
			<dd class="measure">{formatLength(own.tallestMm, home.units)}</dd>
			<dt>Longest</dt>
			<dd class="measure">{formatLength(own.longestMm, home.units)}</dd>
			<dt>Heaviest, all</dt>
			<dd class="measure">{formatMass(own.heaviestG)}, {formatMass(own.massG)}</dd>
			<dt>Uses a week</dt>
			<dd class="measure">{uses(own.usesPerWeek)}</dd>
		</dl>
		<p class="soft mb-2 text-sm">
			{own.overridden.uses
				? 'Uses set by hand.'
				: own.counted
					? 'Uses partly counted, partly by class.'
					: 'Uses by class: the sum over its things.'}
			Used at {[...own.stations]
				.sort((a, b) => b[1] - a[1])
				.map(([kind, share]) => `${kind} ${Math.round(share * 100)} %`)
				.join(', ')}.
			{#if own.needs.size}Needs: {[...own.needs].join(', ')}.{/if}
			{#if own.hazards.size}Take care: {[...own.hazards].join(', ')}.{/if}
		</p>
		<h3 class="rule-top pt-3">Things in it</h3>
		<p class="soft mb-1 text-sm">How often each is used, and the group it belongs to.</p>
		<ul>
			{#each own.things as thing (thing.id)}
				<li class="rule-top py-2">
					<b>{thing.name}</b>
					<span class="soft text-sm"
						>{categoryOf(thing.category).name}, {uses(usesPerWeek(thing))} a week</span
					>
					<div class="mt-1 grid grid-cols-2 gap-2">
						<label
							><span class="sr-only">How often {thing.name} is used</span>
							<select
								class="box"
								value={thing.use.class}
								onchange={(event) => {
									const value = event.currentTarget.value as UseClass;
									store.edit(`uses of ${thing.name}`, (draft) => {
										const target = draft.things[thing.id];
										if (target) target.use.class = value;
									});
								}}
							>
								{#each CLASSES as option (option)}<option value={option}
										>{option.replace('-', ' ')}</option
									>{/each}
							</select></label
						>
						<label
							><span class="sr-only">Group of {thing.name}</span>
							<select
								class="box"
								value={thing.groupId}
								onchange={(event) =>
									store.edit(`move ${thing.name}`, moveThing(thing.id, event.currentTarget.value))}
							>
								{#each Object.values(home.groups) as option (option.id)}<option value={option.id}
										>{option.name}</option
									>{/each}
							</select></label
						>
						<label class="col-span-2 flex items-center gap-2"
							><span class="soft text-sm">Packs to hold</span>
							<input
								class="box measure max-w-24"
								type="number"
								min="0"
								max="9999"
								placeholder="none"
								aria-label="Packs of {thing.name} to hold"
								value={thing.parPacks}
								onchange={(event) => setPar(thing.id, thing.name, event.currentTarget.value)}
							/></label
						>
					</div>
				</li>
			{/each}
		</ul>
	{/if}
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
	.figures {
		display: grid;
		grid-template-columns: auto auto;
		gap: 0.15rem 1rem;
		margin-bottom: 0.5rem;
	}
	.figures dd {
		text-align: right;
	}
	@media (max-width: 640px) {
		.head,
		.row {
			grid-template-columns: minmax(0, 9.5rem) minmax(0, 1fr) minmax(0, 0.8fr);
			gap: 0.4rem;
			padding-inline: 0;
		}
		.wide {
			display: none;
		}
	}
</style>
