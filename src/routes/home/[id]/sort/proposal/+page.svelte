<script lang="ts">
	import {
		groupChanges,
		partnerChanges,
		type GroupChange,
		type PartnerPair
	} from '$lib/core/grouping';
	import { changeText, partnerText, reasonText, tripsText } from '$lib/messages/sorting';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import SortHead from '$lib/ui/sort/SortHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const changes = $derived(groupChanges(home));
	const pairs = $derived(partnerChanges(home));
	const byHand = $derived(Object.values(home.things).filter((thing) => thing.groupByHand).length);
	const take = (list: readonly GroupChange[], label: string) =>
		store.run(label, 'takeChanges', list, newId());
	const takePairs = (list: readonly PartnerPair[], label: string) =>
		store.run(label, 'takePartners', list);
	const nameOf = (id: string) => home.groups[id]?.name ?? '';
	/** The things of a change by the group they come from, the most first. */
	const origins = (change: GroupChange) => {
		const found = new Map<string | null, string[]>();
		for (const { thingId, fromId } of change.moves)
			found.set(fromId, [...(found.get(fromId) ?? []), home.things[thingId]?.name ?? '']);
		return [...found].sort((a, b) => b[1].length - a[1].length);
	};
</script>

<Bench>
	<SortHead>
		{#if changes.length}
			<button class="btn btn-primary" onclick={() => take(changes, 'take all proposed groups')}
				>Take all {changes.length}</button
			>
		{/if}
	</SortHead>
	<p class="soft mb-3 max-w-3xl">
		Groups by what things are, what they are for, and whose they are: kits first, then kind,
		climate, hazard, person and diet. Groups too big for any place are split; very small ones join a
		similar group. {#if byHand}What you put somewhere by hand ({byHand}
			{byHand === 1 ? 'thing' : 'things'}) stays there.{/if}
	</p>
	{#if !changes.length && !pairs.length}
		<EmptyNote title="Nothing to propose">
			<p>
				{Object.keys(home.things).length
					? 'Your groups are as they would be proposed. New things, new places or new people bring new proposals.'
					: 'Enter some things in Clear first.'}
			</p>
			<a class="btn" href="/home/{home.id}/sort">Show the groups</a>
		</EmptyNote>
	{/if}
	{#if changes.length}
		<h2 class="mb-1">Groups</h2>
		<ul aria-label="Proposed groups">
			{#each changes as change (change.key)}
				<li class="rule-top change">
					<div class="min-w-0">
						<h3>{changeText(change, home)}</h3>
						<p class="soft text-sm">
							{#each change.why as reason, i (i)}{reasonText(reason)}{' '}{/each}
						</p>
						<ul class="mt-1">
							{#each origins(change) as [fromId, names] (fromId)}
								{@const from = fromId ? home.groups[fromId] : undefined}
								<li class="flex flex-wrap items-center gap-x-2 gap-y-1 py-0.5">
									{#if from}<TagChip group={from} />{:else}<span class="soft">loose</span>{/if}
									<span class="min-w-0">{names.join(', ')}</span>
								</li>
							{/each}
						</ul>
					</div>
					<button
						class="btn"
						aria-label="Take: {changeText(change, home)}"
						onclick={() => take([change], changeText(change, home).toLowerCase())}>Take it</button
					>
				</li>
			{/each}
		</ul>
	{/if}
	{#if pairs.length}
		<div class="mt-6 mb-1 flex flex-wrap items-end justify-between gap-2">
			<h2>Groups that should be near each other</h2>
			<button class="btn" onclick={() => takePairs(pairs, 'take all proposed partners')}
				>Take all {pairs.length} pairs</button
			>
		</div>
		<ul aria-label="Proposed partners">
			{#each pairs as pair (`${pair.a}/${pair.b}`)}
				<li class="rule-top change">
					<span class="flex min-w-0 flex-wrap items-center gap-x-2 gap-y-1">
						<TagChip group={home.groups[pair.a]!} /> and <TagChip group={home.groups[pair.b]!} />
						<span class="measure">{tripsText(pair.weight)}</span>
						<span class="soft text-sm">{partnerText(pair)}</span>
					</span>
					<button
						class="btn"
						aria-label="Take: {nameOf(pair.a)} near {nameOf(pair.b)}"
						onclick={() => takePairs([pair], `${nameOf(pair.a)} near ${nameOf(pair.b)}`)}
						>Take it</button
					>
				</li>
			{/each}
		</ul>
	{/if}
</Bench>

<style>
	.change {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		gap: 1rem;
		align-items: center;
		padding: 0.6rem 0;
	}
</style>
