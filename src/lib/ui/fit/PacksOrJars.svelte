<script lang="ts">
	import { JAR_CARE, noJarText } from '$lib/messages/fitting';
	import WeighCup from './WeighCup.svelte';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
</script>

{#if desk.holders.pourable.length}
	<section aria-label="Packs or jars" class="rule-top mt-3 pt-3">
		<h2>Packs or jars</h2>
		{#each desk.holders.pourable as { group, thingIds, isDecanted, noJar } (group.id)}
			<label class="flex flex-wrap items-center gap-2 py-1">
				<span class="min-w-0 flex-1">{group.name}</span>
				<select
					class="select w-48"
					value={group.boxes ?? ''}
					onchange={(event) =>
						desk.holders.setBoxes(
							group.id,
							(event.currentTarget.value || null) as typeof group.boxes
						)}
				>
					<option value="">as the home: {home.schools.boxes === 'decant' ? 'jars' : 'packs'}</option
					>
					<option value="decant">in jars</option>
					<option value="packs">in their packs</option>
				</select>
			</label>
			{#each noJar as { name, reason } (name)}
				<p class="text-error text-sm">{name}: {noJarText(home, reason)}</p>
			{/each}
			{#if isDecanted}<ul class="soft mb-1 text-sm">
					{#each thingIds as id (id)}<li>
							<WeighCup thingId={id} name={home.things[id]?.name ?? ''} />
						</li>{/each}
				</ul>{/if}
		{/each}
		{#if desk.holders.pourable.some(({ isDecanted }) => isDecanted)}<p class="soft text-sm">
				{JAR_CARE}
			</p>{/if}
	</section>
{/if}
