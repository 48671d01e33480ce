<script lang="ts">
	import { formatMass, formatMoney, formatVolume, parseQuantity } from '$lib/core/model';
	import { findHidden, ratedLoadG, type HiddenPlace } from '$lib/core/survey';
	import { quantityIssueText } from '$lib/messages/clearing';
	import { HIDDEN_WORDS, loadCheckText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import WalkHead from '$lib/ui/walk/WalkHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const places = $derived(findHidden(home));
	let key = $state<string | null>(null);
	const chosen = $derived(places.find((place) => place.key === key) ?? places[0]);
	const run = $derived.by(() => {
		if (!chosen) return undefined;
		if (chosen.runId) return home.runs[chosen.runId];
		const cabinetId =
			chosen.make.as === 'nook'
				? chosen.make.cabinetId
				: chosen.nookId && home.nooks[chosen.nookId]?.cabinetId;
		return cabinetId ? home.runs[home.cabinets[cabinetId]?.runId ?? ''] : undefined;
	});
	/** What lies under a bed has no wall of its own yet: it is shown on the plan. */
	const bedRoom = $derived(
		chosen?.make.as === 'under-bed' ? home.rooms[chosen.make.roomId] : undefined
	);
	let onlyAllowed = $state(true);
	const shown = $derived(places.filter((place) => !onlyAllowed || place.allowed));
	const barred = $derived(places.filter((place) => !place.allowed).length);
	const gain = $derived(shown.reduce((sum, place) => sum + place.gainMl, 0));
	let rating = $state('');
	let hooks = $state(4);
	let wrong = $state('');
	function choose(place: HiddenPlace) {
		key = place.key;
		rating = wrong = '';
	}
	function accept(place: HiddenPlace) {
		wrong = '';
		let loadG = place.loadG;
		if (place.asksRating) {
			const read = parseQuantity(rating);
			if (!read.ok || read.quantity.unit !== 'g' || read.quantity.value < 1) {
				wrong = rating.trim()
					? read.ok
						? `“${rating}” is not a weight. Write it like 500 g.`
						: quantityIssueText(read)
					: 'Write the rating of one hook, as it stands on its pack: it is not guessed here.';
				return;
			}
			loadG = ratedLoadG(read.quantity.value, hooks, place.damp);
		}
		store.run(`${HIDDEN_WORDS[place.kind]}: ${place.where}`, 'acceptHidden', place, loadG, newId());
		key = null;
		rating = '';
	}
</script>

<Bench
	panel={chosen ? panel : undefined}
	panelLabel="Hidden storage"
	raised={key !== null}
	chosen={key}
	onclose={() => (key = null)}
>
	<WalkHead />
	{#if run}
		<FrontView
			{home}
			{run}
			selected={chosen?.make.as === 'nook' ? null : (chosen?.nookId ?? null)}
			hidden={places.filter((place) => place.allowed || !onlyAllowed)}
			chosenHidden={chosen?.key ?? null}
			onhidden={(place) => choose(place)}
		/>
	{:else if bedRoom}
		<PlanView {home} frame={bedRoom.outline} maxPx={300} />
	{/if}
	<div class="mt-2 mb-1 flex flex-wrap items-center gap-x-6">
		<h2>Room you already have</h2>
		{#if barred}<label class="flex min-h-11 items-center gap-2"
				><input type="checkbox" class="checkbox" bind:checked={onlyAllowed} />Only what is allowed
				here ({barred} would leave holes)</label
			>{/if}
	</div>
	{#if shown.length}
		<p class="soft mb-2">
			{shown.length} places, {formatVolume(gain)} more in all. Some rule each other out; each is drawn
			dashed.
		</p>
		<ul aria-label="Hidden storage">
			{#each shown as place (place.key)}
				<li class="rule-top">
					<button class="row" aria-pressed={place === chosen} onclick={() => choose(place)}>
						<span class="litres measure">+ {formatVolume(place.gainMl)}</span>
						<span class="min-w-0 flex-1"
							><b>{HIDDEN_WORDS[place.kind]}</b><br /><span class="soft">{place.where}</span></span
						>
						<span class="measure soft whitespace-nowrap"
							>{place.costMinor
								? `about ${formatMoney(place.costMinor, home.currency)}`
								: 'no cost'}</span
						>
						<span class="hole" class:bad={!place.allowed}
							>{place.needsHole ? 'needs a hole' : 'no hole'}</span
						>
					</button>
				</li>
			{/each}
		</ul>
	{:else}
		<p class="py-4">
			{Object.keys(home.nooks).length
				? 'Nothing found. Measure what is still missing, and enter what stands where: the finder goes by both.'
				: 'Nothing to look through yet.'}
			<a class="underline" href="/home/{home.id}/walk/tape">Tape list</a>
		</p>
	{/if}
</Bench>

{#snippet panel()}
	{#if chosen}
		<h2 class="mb-1">{HIDDEN_WORDS[chosen.kind]}</h2>
		<p class="soft mb-3">{chosen.where}</p>
		<dl class="facts">
			<dt>Gains</dt>
			<dd class="measure">{formatVolume(chosen.gainMl)}</dd>
			<dt>Needs</dt>
			<dd>{chosen.needs}</dd>
			<dt>Cost</dt>
			<dd class="measure">
				{chosen.costMinor ? `about ${formatMoney(chosen.costMinor, home.currency)}` : 'none'}
			</dd>
			<dt>Hole</dt>
			<dd>{chosen.needsHole ? 'yes' : 'none'}</dd>
			<dt>Carries</dt>
			<dd>
				{chosen.asksRating
					? 'by the rating of its hooks'
					: chosen.loadG
						? formatMass(chosen.loadG)
						: 'not known'}
			</dd>
		</dl>
		<p class="my-3 text-sm">{loadCheckText(chosen)}</p>
		{#if chosen.kind === 'cabinet-top'}<p class="mb-3 text-sm">
				Light things only, and a steady step stool to reach them.
			</p>{/if}
		{#if !chosen.allowed}
			<p class="mb-3" style="color:var(--color-error)">
				{chosen.needsHole
					? 'It leaves a hole, and nothing that leaves one may be done here. Ask whoever owns the place, then change it in the nook’s sheet.'
					: 'Nothing may be fixed here, as the nook’s sheet says.'}
			</p>
		{/if}
		{#if chosen.asksRating}
			<div class="mb-2 grid grid-cols-2 gap-2">
				<label class="text-sm font-semibold"
					>Rating of one hook<input
						class="input measure font-normal"
						bind:value={rating}
						placeholder="500 g"
						aria-invalid={wrong ? 'true' : undefined}
					/></label
				>
				<label class="text-sm font-semibold"
					>Hooks<input
						class="input measure font-normal"
						type="number"
						min="1"
						max="20"
						bind:value={hooks}
					/></label
				>
			</div>
		{/if}
		{#if wrong}<p role="alert" class="mb-2 text-sm" style="color:var(--color-error)">
				{wrong}
			</p>{/if}
		<button
			class="btn btn-primary"
			disabled={!chosen.allowed}
			onclick={() => chosen && accept(chosen)}>Make it a place</button
		>
	{/if}
{/snippet}

<style>
	.row {
		display: flex;
		align-items: center;
		gap: 1rem;
		width: 100%;
		min-height: 56px;
		padding: 0.3rem 0.4rem;
		text-align: left;
		cursor: pointer;
	}
	.row:hover,
	.row[aria-pressed='true'] {
		background: var(--color-base-200);
	}
	.litres {
		flex: 0 0 6.8rem;
		font-weight: 700;
		color: var(--color-primary);
	}
	.hole {
		flex: 0 0 6.5rem;
		color: var(--ink-soft);
	}
	.hole.bad {
		color: var(--color-error);
	}
	.facts {
		display: grid;
		grid-template-columns: auto 1fr;
		gap: 0.2rem 1rem;
	}
	.facts dt {
		color: var(--ink-soft);
	}
	@media (max-width: 640px) {
		.row {
			display: grid;
			grid-template-columns: minmax(0, 8rem) minmax(0, 1fr);
			overflow-wrap: anywhere;
			gap: 0.1rem 0.6rem;
		}
	}
</style>
