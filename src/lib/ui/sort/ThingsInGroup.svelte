<script lang="ts">
	import { type Group, type Thing } from '$lib/core/model';
	import { groupsFor } from '$lib/core/grouping';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import ThingFields from './ThingFields.svelte';

	let { group, things }: { group: Group; things: readonly Thing[] } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	/** Its own group, and those it may be moved to. */
	const optionsFor = (thing: Thing) => [
		group,
		...groupsFor(home, [thing.id]).filter(({ id }) => id !== group.id)
	];
	let open = $state<string | null>(null);
</script>

<h3 class="rule-top mt-3 pt-3">Things in it</h3>
<p class="soft mb-1 text-sm">The group of each, how often it is used, and by whom.</p>
<ul>
	{#each things as thing (thing.id)}
		<li class="rule-top py-2">
			<div class="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-center gap-2">
				<button
					class="min-h-11 cursor-pointer text-left"
					aria-expanded={open === thing.id}
					onclick={() => (open = open === thing.id ? null : thing.id)}
					><b>{thing.name}</b>{#if thing.groupByHand}<span class="soft block text-sm">by hand</span
						>{/if}</button
				>
				<label
					><span class="sr-only">Group of {thing.name}</span>
					<select
						class="select"
						value={thing.groupId}
						onchange={(event) => {
							const to = event.currentTarget.value;
							if (to === 'new')
								store.run(`move ${thing.name}`, 'splitOff', [thing.id], newId(), thing.name);
							else store.run(`move ${thing.name}`, 'moveThings', [thing.id], to);
						}}
					>
						{#each optionsFor(thing) as option (option.id)}<option value={option.id}
								>{option.name}</option
							>{/each}
						<option value="new">a group of its own</option>
					</select></label
				>
			</div>
			{#if open === thing.id}<ThingFields {thing} />{/if}
		</li>
	{:else}<li class="soft text-sm">Nothing in {group.name} yet.</li>{/each}
</ul>
