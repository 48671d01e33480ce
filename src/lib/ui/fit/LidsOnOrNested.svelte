<script lang="ts">
	import { lidsAdvice, lidsText } from '$lib/messages/fitting';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	let { desk }: { desk: FitDesk } = $props();
</script>

{#if desk.holders.lids.length}
	<section aria-label="Lids" class="rule-top mt-3 pt-3">
		<h2>Lids on, or nested?</h2>
		{#each desk.holders.lids as choice (choice.groupId)}
			<p class="py-1">
				<b>{desk.home.groups[choice.groupId]?.name}</b>
				{lidsText(choice)} <b>{lidsAdvice(choice)}</b>
			</p>
		{/each}
	</section>
{/if}
