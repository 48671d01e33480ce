<script lang="ts">
	import type { RimsDesk } from '$lib/state/rims-desk.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	let { desk }: { desk: RimsDesk } = $props();
	const home = $derived(desk.home);
</script>

<h2 class="mb-1">Measure the rims</h2>
<p class="soft mb-2">Outer edge of the vessel, inner edge of the lid; round ones across.</p>
{#each desk.things as thing (thing.id)}
	<details class="rule-top py-1" open={!thing.rim}>
		<summary class="min-h-11 cursor-pointer py-2"
			><b>{thing.name}</b>{#if thing.rim}
				<span class="soft measure">{thing.rim.part}, {desk.rimText(thing.rim)}</span>{/if}</summary
		>
		<div class="grid grid-cols-2 gap-2">
			<label class="text-sm font-semibold"
				>Part<select
					class="select font-normal"
					value={thing.rim?.part ?? ''}
					onchange={(event) =>
						desk.setRim(thing, { part: event.currentTarget.value as 'vessel' | 'lid' })}
					>{#if !thing.rim}<option value="">choose</option>{/if}<option value="vessel"
						>box or pot</option
					><option value="lid">lid</option></select
				></label
			>
			<label class="text-sm font-semibold"
				>Shape<select
					class="select font-normal"
					value={thing.rim?.shape ?? 'round'}
					onchange={(event) =>
						desk.setRim(thing, { shape: event.currentTarget.value as 'round' | 'rect' })}
					><option value="round">round</option><option value="rect">rectangular</option></select
				></label
			>
			<LengthField
				label={thing.rim?.shape === 'rect' ? `Width of ${thing.name}` : `Across ${thing.name}`}
				units={home.units}
				valueMm={thing.rim?.widthMm || null}
				onchange={(widthMm) => desk.setRim(thing, { widthMm })}
			/>
			{#if thing.rim?.shape === 'rect'}
				<LengthField
					label="Depth of {thing.name}"
					units={home.units}
					valueMm={thing.rim.depthMm || null}
					onchange={(depthMm) => desk.setRim(thing, { depthMm })}
				/>
			{/if}
		</div>
	</details>
{:else}
	<p class="rule-top py-2">No boxes, pots or lids are entered yet.</p>
{/each}
