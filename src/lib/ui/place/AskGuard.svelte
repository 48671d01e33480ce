<script lang="ts">
	import { listText } from '$lib/messages/numbers';
	import type { PlaceDesk } from '$lib/state/place-desk.svelte';

	let { desk }: { desk: PlaceDesk } = $props();
	const home = $derived(desk.home);
	const names = (groupIds: readonly string[]) =>
		listText(
			groupIds.map((id) => home.groups[id]?.name ?? ''),
			4
		);
	const WORDS = { catch: 'Catch fitted', lock: 'Lock fitted' } as const;
</script>

{#if desk.guardsAsked.length}
	<section aria-label="Child safety" class="mb-4">
		<h3>{desk.plan ? 'A lock or catch would help' : 'First: can you fit a lock or a catch?'}</h3>
		<p class="soft text-sm">
			A small child can open these. Sharp things need a catch. Medicines, cleaners, fuel and button
			batteries need a lock: a catch only slows a child down. Without them, these groups go high up
			or stay without a place.
		</p>
		<ul>
			{#each desk.guardsAsked as { cabinetId, guard, groupIds } (cabinetId)}
				<li class="rule-top flex flex-wrap items-center gap-x-2 py-1">
					<span class="grow basis-40"
						><b>{home.cabinets[cabinetId]?.name}: {guard === 'lock' ? 'a lock' : 'a catch'}</b>
						<span class="text-sm">for {names(groupIds)}</span></span
					>
					<button
						class="btn btn-sm"
						aria-label="{WORDS[guard]}: {home.cabinets[cabinetId]?.name}"
						onclick={() => desk.fitGuard(cabinetId, guard)}>{WORDS[guard]}</button
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
