<script lang="ts">
	import { lidsAdvice, lidsText } from '$lib/messages/fitting';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	/** How boxes and pots with lids are kept here, with what each way takes. */
	let { desk }: { desk: FitDesk } = $props();
	const WAYS = [
		['on', 'Lids on'],
		['nested', 'Nested']
	] as const;
</script>

{#if desk.holders.lids.length}
	<section aria-label="Lids" class="rule-top mt-3 pt-3">
		<h2>Lids on, or nested?</h2>
		{#each desk.holders.lids as choice (choice.groupId)}
			{@const group = desk.home.groups[choice.groupId]}
			<div class="py-1">
				<p>
					<b>{group?.name}</b>
					{lidsText(choice)} <b>{lidsAdvice(choice)}</b>
				</p>
				<div class="join mt-1" role="group" aria-label="Lids of {group?.name}">
					{#each WAYS as [way, words] (way)}
						{@const isChosen = (group?.lids ?? 'nested') === way}
						<button
							class="btn join-item"
							class:btn-primary={isChosen}
							aria-pressed={isChosen}
							onclick={() => desk.holders.setLids(choice.groupId, way)}>{words}</button
						>
					{/each}
				</div>
			</div>
		{/each}
	</section>
{/if}
