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
	import { dragging } from '$lib/ui/drawing/drag';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';
	import PlacePanel from '$lib/ui/place/PlacePanel.svelte';

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
	const nookAt = (element: Element | null) =>
		element?.closest('[data-nook]')?.getAttribute('data-nook');
	/** A tag may also be dragged: where it is let go decides. */
	const tagDrag = dragging({
		find: (element) => {
			const note = element.closest('[data-note]')?.getAttribute('data-note');
			const [groupId, nookId] = note?.split('/') ?? [];
			return groupId && nookId ? { groupId, nookId } : null;
		},
		start: ({ groupId, nookId }) => desk.take(groupId, nookId),
		drop: (element) => {
			const nookId = nookAt(element);
			if (nookId) desk.drop(nookId);
			else desk.letGo();
		},
		cancel: () => desk.letGo()
	});
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
		{:else if desk.stale}
			<p class="mb-3" role="status">
				<b>This plan is out of date:</b> something it was computed from has changed. Solve again, or carry
				on with it.
			</p>
		{/if}
		{#if desk.held && desk.heldGroup}
			<p class="held" role="status">
				You hold <TagChip group={desk.heldGroup} /><span
					>{#if desk.heldShare > 0 && desk.heldShare < 0.999}{Math.round(desk.heldShare * 100)} % of it;
						the rest stays where it is.{' '}{/if}Tap a place, or press Enter on one, to put it down;
					the figure is what it adds to the week’s effort, in metres. Esc lets go.</span
				>
			</p>
		{/if}
		<div {@attach tagDrag} class="flex flex-col gap-6">
			{#each desk.walls as run (run.id)}
				<section aria-label={run.name} class="run">
					<h2 class="mb-1">{run.name}</h2>
					<FrontView
						{home}
						{run}
						notes={desk.notes}
						prices={desk.prices}
						held={desk.held}
						selected={desk.looked?.nookId ?? null}
						onselect={(id) => desk.drop(id)}
						onnote={(groupId, nookId) => desk.pick(groupId, nookId)}
					/>
				</section>
			{/each}
		</div>
	{/if}
</Bench>

{#snippet panel()}<PlacePanel {desk} />{/snippet}

<style>
	/* Over the head of the screen: nothing on the drawing moves while something is in hand. */
	.held {
		position: fixed;
		top: 4px;
		left: 96px;
		right: 12px;
		z-index: 30;
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
		padding: 0.5rem 0.75rem;
		background: var(--color-base-100);
		border: 2px solid var(--color-primary);
	}
	@media (max-width: 767px) {
		.held {
			left: 8px;
			right: 8px;
		}
	}
	@media print {
		.run {
			break-after: page;
		}
	}
</style>
