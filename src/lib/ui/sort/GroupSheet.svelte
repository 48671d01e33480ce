<script lang="ts">
	import { allGroupFigures, holdingsByGroup, type SummedFigure } from '$lib/core/grouping';
	import {
		HAZARDS,
		NEEDS,
		STATION_KINDS,
		TRAITS,
		type GroupOverrides,
		type StationKind
	} from '$lib/core/model';
	import {
		FIGURE_NAMES,
		HAZARD_NAMES,
		LOOK_NAMES,
		NEED_NAMES,
		reasonText,
		TRAIT_NAMES,
		usesText
	} from '$lib/messages/sorting';
	import { getHomeStore } from '$lib/state/context';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import GroupMake from './GroupMake.svelte';
	import FigureRow from './FigureRow.svelte';
	import PartnerList from './PartnerList.svelte';
	import ThingsInGroup from './ThingsInGroup.svelte';
	import WordChoice from './WordChoice.svelte';

	interface Props {
		groupId: string;
		onshow: (id: string | null) => void;
	}
	let { groupId, onshow }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const group = $derived(home.groups[groupId]);
	const own = $derived(allGroupFigures(home).find((f) => f.groupId === groupId));
	const holdings = $derived(holdingsByGroup(home).get(groupId) ?? []);
	const people = $derived(Object.values(home.people));
	const FIGURES = Object.keys(FIGURE_NAMES) as SummedFigure[];
	const set = <K extends keyof GroupOverrides>(key: K, word: string, value: GroupOverrides[K]) =>
		store.run(
			value === null ? `compute ${word} of ${group?.name}` : `${word} of ${group?.name}`,
			'setOverride',
			groupId,
			key,
			value
		);
	const byWhom = $derived(
		[...(own?.usesBy ?? [])]
			.sort((a, b) => b[1] - a[1])
			.map(
				([id, uses]) =>
					`${id ? (home.people[id]?.name ?? 'somebody') : 'everybody'} ${usesText(uses)}`
			)
			.join(', ')
	);
	const places = $derived(
		[...(own?.stations ?? [])]
			.sort((a, b) => b[1] - a[1])
			.map(([kind, share]) => `${kind} ${Math.round(share * 100)} %`)
			.join(', ')
	);
	/** Chosen stations share the uses alike. */
	const evenly = (kinds: StationKind[] | null) =>
		kinds && kinds.map((kind) => ({ kind, share: 1 / kinds.length }));
	const stationNames = Object.fromEntries(STATION_KINDS.map((kind) => [kind, kind])) as Record<
		StationKind,
		string
	>;
</script>

{#if group && own}
	<div class="mb-2 flex min-h-11 items-center"><TagChip {group} /></div>
	<label class="mb-2 block"
		><span class="soft text-sm">Name of the group</span>
		<input
			class="input"
			maxlength="120"
			value={group.name}
			onchange={(event) => {
				const name = event.currentTarget.value;
				if (name.trim()) store.run(`call ${group.name} ${name}`, 'renameGroup', group.id, name);
				else event.currentTarget.value = group.name;
			}}
		/></label
	>
	{#if group.why.length}
		<ul class="soft mb-2 text-sm" aria-label="Why it is a group">
			{#each group.why as reason, i (i)}<li>{reasonText(reason)}</li>{/each}
		</ul>
	{/if}
	<ul aria-label="Figures of {group.name}">
		{#each FIGURES as figure (figure)}
			<FigureRow {group} figures={own} {holdings} {figure} />
		{/each}
	</ul>
	<p class="rule-top soft py-2 text-sm">
		{own.counted
			? 'Uses are counted where they were logged, else taken from the class of each thing.'
			: 'Uses are taken from the class of each thing: none has been logged yet.'}
		{#if byWhom}A week by whom: {byWhom}.{/if}
		{#if places}Used at {places}.{/if}
		{#if own.allergens.contains.length}Holds {own.allergens.contains.join(', ')}, going by the
			names: read the packs.{/if}
		{#if own.allergens.freeFrom.length}Kept free of {own.allergens.freeFrom.join(', ')}.{/if}
	</p>
	<WordChoice
		legend="Used at"
		words={STATION_KINDS}
		names={stationNames}
		chosen={new Set(own.stations.keys())}
		byHand={own.overridden.has('stations')}
		onchange={(kinds) => set('stations', 'stations', evenly(kinds))}
	/>
	{#if people.length}
		<WordChoice
			legend="Used by"
			none="everybody"
			words={people.map(({ id }) => id)}
			names={Object.fromEntries(people.map(({ id, name }) => [id, name]))}
			chosen={new Set(own.userIds as (typeof people)[number]['id'][])}
			byHand={own.overridden.has('userIds')}
			onchange={(ids) => set('userIds', 'users', ids)}
		/>
	{/if}
	<WordChoice
		legend="Needs"
		words={NEEDS}
		names={NEED_NAMES}
		chosen={own.needs}
		byHand={own.overridden.has('needs')}
		onchange={(needs) => set('needs', 'needs', needs)}
	/>
	<WordChoice
		legend="Take care"
		words={HAZARDS}
		names={HAZARD_NAMES}
		chosen={own.hazards}
		byHand={own.overridden.has('hazards')}
		onchange={(hazards) => set('hazards', 'hazards', hazards)}
	/>
	<WordChoice
		legend="Neighbours"
		words={TRAITS}
		names={TRAIT_NAMES}
		chosen={own.traits}
		byHand={own.overridden.has('traits')}
		onchange={(traits) => set('traits', 'traits', traits)}
	/>
	<label class="rule-top mb-2 flex min-h-11 items-center justify-between gap-2"
		><span>Looks{own.overridden.has('look') ? ' (by hand)' : ''}</span>
		<select
			class="select max-w-48"
			value={own.overridden.has('look') ? own.look : ''}
			onchange={(event) =>
				set('look', 'looks', (event.currentTarget.value || null) as GroupOverrides['look'])}
		>
			<option value=""
				>computed{own.overridden.has('look') ? '' : `: ${LOOK_NAMES[own.look]}`}</option
			>
			{#each Object.entries(LOOK_NAMES) as [look, name] (look)}<option value={look}>{name}</option
				>{/each}
		</select></label
	>
	<PartnerList {group} />
	<div class="mt-3"><GroupMake {group} {onshow} /></div>
	{#if !group.stockOf}<ThingsInGroup {group} things={own.things} />{/if}
{/if}
