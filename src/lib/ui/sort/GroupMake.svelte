<script lang="ts">
	import { groupsFor, spareOf } from '$lib/core/grouping';
	import { thingsOf, type Group } from '$lib/core/model';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	interface Props {
		group: Group;
		/** Shows another group in the panel. */
		onshow: (id: string | null) => void;
	}
	let { group, onshow }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const spare = $derived(spareOf(home, group.id));
	const main = $derived(group.stockOf ? home.groups[group.stockOf] : undefined);
	const held = $derived(
		group.byHand ||
			Object.values(home.things).some((thing) => thing.groupId === group.id && thing.groupByHand)
	);
	/** Only groups that its things may share: frozen with frozen, cleaners with cleaners. */
	const others = $derived(
		groupsFor(
			home,
			thingsOf(home, group.id).map(({ id }) => id)
		).filter(({ id }) => id !== group.id)
	);
	let into = $state('');
	function join() {
		const other = home.groups[into];
		if (!other) return;
		const id = group.id;
		// Before the panel shows the other: it would be gone with the group.
		store.run(`join ${group.name} to ${other.name}`, 'joinGroups', id, other.id);
		onshow(other.id);
	}
</script>

<h3 class="rule-top pt-3">Open and spare</h3>
{#if main}
	<p class="mb-2 text-sm">
		The unopened spares of <TagChip group={main} />: used oldest first, and topped up from here.
		About one fetch in ten is for a new pack.
	</p>
	<div class="flex flex-wrap gap-2">
		<button class="btn" onclick={() => onshow(main.id)}>Show {main.name}</button>
		<button
			class="btn"
			onclick={() => {
				const id = main.id;
				store.run(`keep ${main.name} in one place`, 'keepSparesTogether', id);
				onshow(id);
			}}>Keep both in one place</button
		>
	</div>
{:else if spare}
	<p class="mb-2 text-sm">Its spares are kept elsewhere: <TagChip group={spare} /></p>
	<div class="flex flex-wrap gap-2">
		<button class="btn" onclick={() => onshow(spare.id)}>Show the spares</button>
		<button
			class="btn"
			onclick={() => store.run(`keep ${group.name} in one place`, 'keepSparesTogether', group.id)}
			>Keep both in one place</button
		>
	</div>
{:else}
	<p class="soft mb-2 text-sm">
		The open one stays in front. Unopened spares can live elsewhere and still count.
	</p>
	<button
		class="btn"
		onclick={() =>
			store.run(
				`keep spares of ${group.name} apart`,
				'keepSparesApart',
				group.id,
				newId(),
				newId()
			)}>Keep spares apart</button
	>
{/if}
{#if !main}
	<h3 class="rule-top mt-3 pt-3">Join to another group</h3>
	<div class="flex gap-2">
		<select class="select" bind:value={into} aria-label="Group to join {group.name} to">
			<option value="">choose a group</option>
			{#each others as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
		</select>
		<button class="btn" disabled={!into} onclick={join}>Join</button>
	</div>
	{#if held}
		<p class="soft mt-3 text-sm">Made or filled by hand: proposals leave it alone.</p>
		<button
			class="btn mt-1"
			onclick={() =>
				store.run(`include ${group.name} in proposals again`, 'releaseGroup', group.id)}
			>Include it in proposals again</button
		>
	{/if}
{/if}
