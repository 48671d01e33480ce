<script lang="ts">
	import { schoolText } from '$lib/messages/zoning';
	import type { SchoolsDesk } from '$lib/state/schools-desk.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	/** Where the plans disagree, group by group. */
	let { desk }: { desk: SchoolsDesk } = $props();
	const home = $derived(desk.home);
	const { group, plan } = $derived(desk);
</script>

{#if group}
	<h2 class="mb-2"><TagChip {group} /></h2>
	<ul>
		{#if plan}
			<li class="rule-top py-2">
				<span class="soft">your plan</span><br />{desk.placesText(plan.assignments, group.id)}
			</li>
		{/if}
		{#each desk.compare.plans as each (each.variant.key)}
			{@const there = desk.placesText(each.result.assignments, group.id)}
			<li class="rule-top py-2">
				<span class="soft">{schoolText(each.variant)}</span><br />{there}
				{#if plan && there !== desk.placesText(plan.assignments, group.id)}
					<button class="btn mt-1" onclick={() => desk.takeGroup(group, each)}
						>Put it there in my plan</button
					>
				{/if}
			</li>
		{/each}
	</ul>
	<button class="btn btn-ghost mt-2" onclick={() => (desk.groupId = null)}>All groups</button>
{:else}
	<h2 class="mb-1">Where they disagree</h2>
	<p class="soft mb-2">
		{desk.disputed.length} of {Object.keys(home.groups).length} groups end up in different places. Choose
		one, here or on a drawing, to take just its place.
	</p>
	<ul>
		{#each desk.disputed as id (id)}
			{#if home.groups[id]}
				<li class="rule-top">
					<button
						class="min-h-11 w-full cursor-pointer text-left"
						onclick={() => (desk.groupId = id)}><TagChip group={home.groups[id]!} /></button
					>
				</li>
			{/if}
		{/each}
	</ul>
{/if}
