<script lang="ts">
	import { formatMass, formatMoney, formatVolume } from '$lib/core/model';
	import type { HiddenPlace } from '$lib/core/survey';
	import { HIDDEN_WORDS, loadCheckText } from '$lib/messages/survey';
	import type { HiddenDesk } from '$lib/state/hidden-desk.svelte';

	/** A place that could be made: what it gains, needs, costs and carries. */
	let { desk, place }: { desk: HiddenDesk; place: HiddenPlace } = $props();
	const home = $derived(desk.home);
</script>

<h2 class="mb-1">{HIDDEN_WORDS[place.kind]}</h2>
<p class="soft mb-3">{place.where}</p>
<dl class="facts">
	<dt>Gains</dt>
	<dd class="measure">{formatVolume(place.gainMl)}</dd>
	<dt>Needs</dt>
	<dd>{place.needs}</dd>
	<dt>Cost</dt>
	<dd class="measure">
		{place.costMinor ? `about ${formatMoney(place.costMinor, home.currency)}` : 'none'}
	</dd>
	<dt>Hole</dt>
	<dd>{place.needsHole ? 'yes' : 'none'}</dd>
	<dt>Carries</dt>
	<dd>
		{place.asksRating
			? 'by the rating of its hooks'
			: place.loadG
				? formatMass(place.loadG)
				: 'not known'}
	</dd>
</dl>
<p class="my-3 text-sm">{loadCheckText(place)}</p>
{#if place.kind === 'cabinet-top'}<p class="mb-3 text-sm">
		Light things only, and a steady step stool to reach them.
	</p>{/if}
{#if !place.allowed}
	<p class="mb-3" style="color:var(--color-error)">
		{place.needsHole
			? 'It leaves a hole, and nothing that leaves one may be done here. Ask whoever owns the place, then change it in the nook’s sheet.'
			: 'Nothing may be fixed here, as the nook’s sheet says.'}
	</p>
{/if}
{#if place.asksRating}
	<div class="mb-2 grid grid-cols-2 gap-2">
		<label class="text-sm font-semibold"
			>Rating of one hook<input
				class="input measure font-normal"
				bind:value={desk.rating}
				placeholder="500 g"
				aria-invalid={desk.wrong ? 'true' : undefined}
			/></label
		>
		<label class="text-sm font-semibold"
			>Hooks<input
				class="input measure font-normal"
				type="number"
				min="1"
				max="20"
				bind:value={desk.hooks}
			/></label
		>
	</div>
{/if}
{#if desk.wrong}<p role="alert" class="mb-2 text-sm" style="color:var(--color-error)">
		{desk.wrong}
	</p>{/if}
<button class="btn btn-primary" disabled={!place.allowed} onclick={() => desk.accept(place)}
	>Make it a place</button
>

<style>
	.facts {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.2rem 1rem;
	}
	.facts dt {
		color: var(--ink-soft);
	}
</style>
