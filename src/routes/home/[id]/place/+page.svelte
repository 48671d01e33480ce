<script lang="ts">
	import Play from '@lucide/svelte/icons/play';
	import Printer from '@lucide/svelte/icons/printer';
	import Square from '@lucide/svelte/icons/square';
	import { toast } from 'svelte-sonner';
	import { countText, wholeText } from '$lib/messages/numbers';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { PlaceDesk } from '$lib/state/place-desk.svelte';
	import { createHelpClient } from '$lib/workers/help.client';
	import { createPlaceClient } from '$lib/workers/place.client';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import HeldBar from '$lib/ui/place/HeldBar.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';
	import AskGuard from '$lib/ui/place/AskGuard.svelte';
	import PlacePanel from '$lib/ui/place/PlacePanel.svelte';
	import PlaceWalls from '$lib/ui/place/PlaceWalls.svelte';

	const getStore = getHomeStore();
	const desk = new PlaceDesk({
		store: getStore,
		runner: createPlaceClient(),
		helper: createHelpClient(),
		newId,
		now,
		say: (words) => void toast.warning(words)
	});
	$effect(() => () => desk.leave());

	const { job } = desk;
	const home = $derived(desk.home);
	const isEmpty = $derived(!desk.walls.length || desk.model?.parts.length === 0);
</script>

<svelte:window
	onkeydown={(event) => {
		if (event.key !== 'Escape' || !desk.held) return;
		// The same press must not close the sheet that opens by it.
		event.preventDefault();
		desk.letGo();
	}}
/>
<Bench
	raised={!!desk.looked && !desk.held}
	panel={desk.plan ? panel : undefined}
	panelLabel="Reasons and figures"
	onclose={() => desk.close()}
>
	<PlaceHead>
		{#if job.isRunning}
			<span role="status" class="measure"
				>{#if job.progress}{Math.round(job.progress.doneShare * 100)} %, best {wholeText(
						job.progress.best.objective
					)}{:else}reading the home …{/if}</span
			>
			<button class="btn" onclick={() => job.stop()}><Square size={18} />Stop, keep the best</button
			>
		{:else if desk.walls.length}
			{#if desk.plan}<button class="btn max-sm:hidden" onclick={() => window.print()}
					><Printer size={18} />Print the notes</button
				>{/if}
			<button
				class="btn"
				class:btn-primary={!desk.plan || desk.stale}
				onclick={() => void desk.solve()}
				><Play size={18} />{desk.plan ? 'Solve again' : 'Solve'}</button
			>
		{/if}
	</PlaceHead>
	{#if job.failure}
		<p role="alert" class="mb-3 text-error">
			The plan was not computed: {job.failure} The last plan is still here.
		</p>
	{/if}
	{#if isEmpty}
		<EmptyNote title={desk.walls.length ? 'Nothing to place yet' : 'No places yet'}>
			<p>
				The plan gives every group a place: near where it is used, within reach, and never against a
				hard rule. It needs measured places and things in groups.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/{desk.walls.length ? 'sort' : 'walk'}"
				>Go to {desk.walls.length ? 'Sort' : 'Walk'}</a
			>
		</EmptyNote>
	{:else}
		{#if !desk.plan}
			<p class="mb-3 max-w-2xl">
				{#if desk.model}{countText(desk.model.parts.length, 'group')} to place in {countText(
						desk.model.places.length,
						'place'
					)}.{/if}
				Press <b>Solve</b>: every tag then hangs on its door, with the reason for it.
			</p>
			<div class="max-w-2xl"><AskGuard {desk} /></div>
		{:else if desk.stale}
			<p class="mb-3" role="status">
				<b>This plan is out of date:</b> something it was computed from has changed. Solve again, or carry
				on with it.
			</p>
		{/if}
		<HeldBar {desk} />
		<PlaceWalls {desk} />
	{/if}
</Bench>

{#snippet panel()}<PlacePanel {desk} />{/snippet}
