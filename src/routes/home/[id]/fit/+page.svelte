<script lang="ts">
	import Boxes from '@lucide/svelte/icons/boxes';
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { formatMoney } from '$lib/core/model';
	import { togetherText } from '$lib/messages/fitting';
	import { now, today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { FitDesk } from '$lib/state/fit-desk.svelte';
	import { newId } from '$lib/state/ids';
	import { createFitClient } from '$lib/workers/fit.client';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import FitChoice from '$lib/ui/fit/FitChoice.svelte';
	import FitHead from '$lib/ui/fit/FitHead.svelte';
	import FitPanel from '$lib/ui/fit/FitPanel.svelte';
	import FitViews from '$lib/ui/fit/FitViews.svelte';
	import PartPlace from '$lib/ui/fit/PartPlace.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';

	const desk = new FitDesk({
		store: getHomeStore(),
		runner: createFitClient(),
		newId,
		now,
		today,
		say: (words) => void toast(words)
	});
	$effect(() => () => desk.leave());
	// What can be computed at once is shown at once.
	$effect(() => {
		// A place that was come to while another was being fitted waits for that.
		void desk.kept;
		if (desk.nookId && !job.isRunning) untrack(() => void desk.showSomething());
	});
	const home = $derived(desk.home);
	const { job } = desk;
</script>

<Bench
	panel={desk.nook && desk.planned.size ? panel : undefined}
	panelLabel="What goes in and what it costs"
>
	<FitHead>
		{#if desk.round || job.isRunning}
			<span role="status" class="measure"
				>{desk.round ? `fitting ${desk.round.done + 1} of ${desk.round.of}` : 'fitting …'}</span
			>
			<button class="btn" onclick={() => job.stop()}>Stop</button>
		{:else if desk.places.length}
			{#if desk.isPurchaseOpen}
				<button class="btn btn-primary" onclick={() => void desk.fitAll()}
					><Boxes size={18} />Choose containers again{desk.budgetMinor === null
						? ''
						: `, within ${formatMoney(desk.budgetMinor, home.currency)}`}</button
				>
			{:else if desk.open.length}
				<button class="btn" onclick={() => void desk.fitAll()}
					><Boxes size={18} />{desk.open.length === 1
						? 'Fit the open place'
						: `Fit the ${desk.open.length} open places together`}</button
				>
			{/if}
			<button class="btn" onclick={() => void desk.fit()}>Fit this place again</button>
		{/if}
	</FitHead>
	{#if job.failure}<p role="alert" class="alert alert-error mb-2">
			Not fitted: {job.failure} What was kept is still here.
		</p>{/if}
	{#if desk.together}<p role="status" class="alert mb-2">
			{togetherText(home, desk.together)}
		</p>{/if}
	{#if !desk.planned.size}
		<EmptyNote title="No plan to fit yet">
			<p>
				Containers come last: the plan says which groups live where, each place is filled with what
				you own, and only the rest is bought.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/place">Go to Place</a>
		</EmptyNote>
	{:else if desk.nook}
		<div class="flex flex-col">
			<!-- On a phone the drawing comes first, the walls after it. -->
			<div class="max-sm:order-last max-sm:mt-4">
				<WallStrip
					{home}
					selected={desk.nookId}
					flagged={desk.flagged}
					onselect={(id) => desk.goTo(id)}
				/>
			</div>
			<div class="mt-2 mb-2 flex flex-wrap items-center gap-2">
				<label class="flex min-w-0 items-center gap-2"
					><span class="soft">Place</span>
					<select
						class="select"
						value={desk.nookId}
						onchange={(event) => desk.goTo(event.currentTarget.value)}
						>{#each desk.places as place (place.nook.id)}<option value={place.nook.id}
								>{place.nook.name}</option
							>{/each}</select
					></label
				>
				{#each desk.groups as group (group.id)}<TagChip {group} />{/each}
			</div>
			<FitChoice {desk} />
			<PartPlace {desk} />
			<FitViews {desk} />
		</div>
	{/if}
</Bench>

{#snippet panel()}<FitPanel {desk} />{/snippet}
