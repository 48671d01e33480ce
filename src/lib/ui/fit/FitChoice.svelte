<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import type { ArrangementName } from '$lib/core/fitting';
	import { formatMass, formatMoney } from '$lib/core/model';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	/** The arrangements to choose from, or why there is none. */
	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
	const { job } = $derived(desk);
	const WORDS: Record<ArrangementName, string> = {
		'house-first': 'House first',
		calm: 'Calm',
		roomy: 'Roomy'
	};
</script>

{#if desk.arrangements.length}
	<div class="mb-2 flex flex-wrap gap-2">
		<div class="join" role="group" aria-label="Arrangements">
			{#each desk.arrangements as option (option.name)}
				<button
					class="btn join-item"
					class:btn-primary={option === desk.arrangement}
					aria-pressed={option === desk.arrangement}
					onclick={() => desk.try(option.name)}
					>{WORDS[option.name]}
					<span class="measure">{formatMoney(option.costMinor, home.currency)}</span></button
				>
			{/each}
		</div>
		<button class="btn" onclick={() => desk.keep()}><Check size={18} />Keep this one</button>
	</div>
{:else if desk.result?.status === 'not-measured'}
	<p role="alert" class="alert mb-2">
		Measure the {desk.result.missing.join(', ')} of this place first.
	</p>
{:else if desk.result?.status === 'over-load'}
	<p role="alert" class="alert alert-error mb-2">
		Too heavy: what the plan puts here weighs {formatMass(desk.result.massG)} at least, and this place
		holds {formatMass(desk.result.loadG)}. Move some of it in Place.
	</p>
{:else if desk.kept}
	<p class="soft mb-2">
		{desk.isStale
			? 'Kept, but out of date: the place or what it is to hold has changed since.'
			: 'Kept. Fit it again to see other arrangements.'}
	</p>
{:else if !job.isRunning}
	<p class="soft mb-2">Nothing stands here yet.</p>
{/if}
