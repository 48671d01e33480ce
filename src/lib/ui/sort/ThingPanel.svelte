<script lang="ts">
	import type { Home, Thing } from '$lib/core/model';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import ThingFields from './ThingFields.svelte';

	let { home, thing }: { home: Home; thing: Thing } = $props();
</script>

<h2 class="mb-2">{thing.name}</h2>
{#if thing.groupId && home.groups[thing.groupId]}
	<TagChip group={home.groups[thing.groupId]!} />
{/if}
{#if thing.groupByHand}<p class="soft mt-1 text-sm">
		You put it there: proposals leave it alone.
	</p>{/if}
<ThingFields {thing} />
