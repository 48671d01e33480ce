<script lang="ts">
	import { countText, listText } from '$lib/messages/numbers';
	import type { PlaceDesk } from '$lib/state/place-desk.svelte';

	let { desk }: { desk: PlaceDesk } = $props();
	const home = $derived(desk.home);
	const names = (groupIds: readonly string[]) =>
		listText(
			groupIds.map((id) => home.groups[id]?.name ?? ''),
			4
		);
</script>

{#if desk.catchesAsked.length}
	<section aria-label="Child catches" class="mb-4">
		<h3>{desk.plan ? 'A child catch would help' : 'First: a child catch?'}</h3>
		<p class="soft text-sm">
			A small child opens {countText(desk.catchesAsked.length, 'cabinet')} where these would live. Without
			a catch they go high up, or have no place. A catch is no lock: keep medicines and corrosive things
			locked.
		</p>
		<ul>
			{#each desk.catchesAsked as { cabinetId, groupIds } (cabinetId)}
				<li class="rule-top flex flex-wrap items-center gap-x-2 py-1">
					<span class="grow basis-40"
						><b>{home.cabinets[cabinetId]?.name}</b>
						<span class="text-sm">for {names(groupIds)}</span></span
					>
					<button
						class="btn btn-sm"
						aria-label="Catch fitted on {home.cabinets[cabinetId]?.name}"
						onclick={() => desk.fitCatch(cabinetId)}>Catch fitted</button
					>
				</li>
			{/each}
		</ul>
	</section>
{/if}
