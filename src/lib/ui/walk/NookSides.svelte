<script lang="ts">
	import Eraser from '@lucide/svelte/icons/eraser';
	import { formatLength } from '$lib/core/model';
	import { checkNook, placeOfNook, READINGS, spreadMm, type Side } from '$lib/core/survey';
	import { READING_SPOTS, surveyIssueText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	let { nookId }: { nookId: string } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const place = $derived(placeOfNook(home, nookId));
	const issues = $derived(place ? checkNook(place.nook, place.cabinet) : []);
	const SIDES: readonly [Side, 'width' | 'depth' | 'height'][] = [
		['widthMm', 'width'],
		['depthMm', 'depth'],
		['heightMm', 'height']
	];
	/** Beyond this a cabinet is called out of square, mm. */
	const SQUARE_MM = 5;
	const FLAT_MM = 60;
	const say = (field: string) => {
		const issue = issues.find((found) => found.field === field && found.code !== 'size-missing');
		return issue ? surveyIssueText(issue, home.units) : '';
	};
</script>

{#if place}
	{@const { nook } = place}
	{#each SIDES as [side, word] (side)}
		{@const readings = nook.readings[side]}
		<div class="mb-2">
			<LengthField
				label="Inside {word}"
				units={home.units}
				valueMm={nook.inside[side]}
				warning={say(word)}
				onchange={(mm) => store.run(`${word} of ${nook.name}`, 'setInside', nookId, side, mm)}
			/>
			<details open={readings.length > 0}>
				<summary class="soft min-h-8 cursor-pointer text-sm"
					>{readings.length
						? `smallest of ${readings.length} ${readings.length === 1 ? 'reading' : 'readings'}${spreadMm(nook, side) > SQUARE_MM ? `, ${formatLength(spreadMm(nook, side), home.units)} out of square` : ''}`
						: 'at three places'}</summary
				>
				<div class="grid grid-cols-3 gap-2">
					{#each READING_SPOTS[side] as spot, i (spot)}
						{#if i <= readings.length && i < READINGS}
							<LengthField
								label={spot}
								units={home.units}
								valueMm={readings[i] ?? null}
								onchange={(mm) =>
									store.run(`${word} ${spot} of ${nook.name}`, 'takeReading', nookId, side, mm, i)}
							/>
						{/if}
					{/each}
				</div>
				{#if readings.length}
					<button
						class="btn btn-ghost"
						onclick={() =>
							store.run(`${word} of ${nook.name} again`, 'setReadings', nookId, side, [])}
						><Eraser size={18} />Measure it again</button
					>
				{/if}
			</details>
		</div>
	{/each}
	{#if nook.kind === 'door' && nook.inside.depthMm !== null}
		<p class="mb-2 text-sm" class:soft={nook.inside.depthMm >= FLAT_MM}>
			{#if nook.inside.depthMm < FLAT_MM}Under 60 mm: nothing but flat things fit here.{:else}The
				gap from shelf to closed door, less 5 mm.{/if}
		</p>
	{/if}
	{#if nook.kind === 'drawer'}<p class="soft mb-2 text-sm">
			Up to whatever closes over it; 5 mm stay free.
		</p>{/if}
{/if}
