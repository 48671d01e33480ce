<script lang="ts">
	import { formatVolume } from '$lib/core/model';
	import { getHomeStore } from '$lib/state/context';
	import { HiddenDesk } from '$lib/state/hidden-desk.svelte';
	import { newId } from '$lib/state/ids';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import HiddenPanel from '$lib/ui/walk/HiddenPanel.svelte';
	import HiddenRow from '$lib/ui/walk/HiddenRow.svelte';
	import WalkHead from '$lib/ui/walk/WalkHead.svelte';

	const desk = new HiddenDesk({ store: getHomeStore(), newId });
	const home = $derived(desk.home);
	const { chosen, run, bedRoom, shown, barred } = $derived(desk);
</script>

<Bench
	panel={chosen ? panel : undefined}
	panelLabel="Hidden storage"
	raised={desk.key !== null}
	chosen={desk.key}
	onclose={() => (desk.key = null)}
>
	<WalkHead />
	{#if run}
		<FrontView
			{home}
			{run}
			selected={chosen?.make.as === 'nook' ? null : (chosen?.nookId ?? null)}
			hidden={shown}
			chosenHidden={chosen?.key ?? null}
			onhidden={(place) => desk.choose(place)}
		/>
	{:else if bedRoom}
		<PlanView {home} frame={bedRoom.outline} maxPx={300} />
	{/if}
	<div class="mt-2 mb-1 flex flex-wrap items-center gap-x-6">
		<h2>Room you already have</h2>
		{#if barred}<label class="flex min-h-11 items-center gap-2"
				><input type="checkbox" class="checkbox" bind:checked={desk.onlyAllowed} />Only what is
				allowed here ({barred} would leave holes)</label
			>{/if}
	</div>
	{#if shown.length}
		<p class="soft mb-2">
			{shown.length} places, {formatVolume(desk.gainMl)} more in all. Some rule each other out; each is
			drawn dashed.
		</p>
		<ul aria-label="Hidden storage">
			{#each shown as place (place.key)}
				<HiddenRow {desk} {place} />
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

{#snippet panel()}{#if chosen}<HiddenPanel {desk} place={chosen} />{/if}{/snippet}
