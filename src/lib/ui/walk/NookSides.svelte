<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import Copy from '@lucide/svelte/icons/copy';
	import Eraser from '@lucide/svelte/icons/eraser';
	import { formatLength } from '$lib/core/model';
	import {
		alikeIn,
		checkNook,
		measuredShare,
		placeOfNook,
		READINGS,
		sidesFrom,
		spreadMm,
		type Side
	} from '$lib/core/survey';
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
	{@const alike = alikeIn(home, nookId)}
	{@const share = measuredShare([nook])}
	<p class="soft mb-1 text-sm">
		All three at once: width x depth x height, such as {home.units === 'in'
			? '22 1/4 x 20 x 10 7/8'
			: home.units === 'cm'
				? '56.4 x 51.2 x 27.6'
				: '564 x 512 x 276'}.
	</p>
	<div class="mb-2 flex flex-wrap gap-2">
		{#if share.read < share.sides && SIDES.every(([side]) => nook.inside[side])}
			<button
				class="btn"
				onclick={() => store.run(`sizes of ${nook.name} are right`, 'confirmSizes', nookId)}
				><Check size={18} />These sizes are right</button
			>
		{/if}
		{#if alike.length && share.read}
			<button class="btn" onclick={() => store.run(`places like ${nook.name}`, 'sameSize', nookId)}
				><Copy size={18} />All {alike.length + 1} the same</button
			>
		{/if}
	</div>
	{#each SIDES as [side, word] (side)}
		{@const readings = nook.readings[side]}
		<div class="mb-2">
			<LengthField
				goesOn
				label="Inside {word}"
				units={home.units}
				valueMm={nook.inside[side]}
				warning={say(word)}
				onchange={(mm) => store.run(`${word} of ${nook.name}`, 'takeSides', nookId, { [side]: mm })}
				onmany={(mm) => store.run(`size of ${nook.name}`, 'takeSides', nookId, sidesFrom(mm, side))}
			/>
			<details open={readings.length > 0}>
				<summary class="soft min-h-8 cursor-pointer text-sm"
					>{readings.length
						? `smallest of ${readings.length} ${readings.length === 1 ? 'reading' : 'readings'}${spreadMm(nook, side) > SQUARE_MM ? `, ${formatLength(spreadMm(nook, side), home.units)} out of square` : ''}`
						: nook.pictured && side !== 'depthMm' && nook.pictured[side] !== null
							? `from a picture, ± ${formatLength(nook.pictured[side], home.units)}`
							: nook.inside[side]
								? 'usual size, not measured'
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
