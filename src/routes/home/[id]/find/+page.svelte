<script lang="ts">
	import Search from '@lucide/svelte/icons/search';
	import { FindDesk } from '$lib/state/find-desk.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { turnDeps } from '$lib/state/turn-deps';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';

	const getStore = getHomeStore();
	const desk = new FindDesk(turnDeps(getStore));
	const home = $derived(desk.home);
	const nook = $derived(desk.chosen?.nookId ? home.nooks[desk.chosen.nookId] : undefined);
	const cabinet = $derived(nook && home.cabinets[nook.cabinetId]);
	const run = $derived(cabinet && home.runs[cabinet.runId]);
	const none = new Set<string>();
</script>

<div class="find">
	<h1>Where is it?</h1>
	<label class="field"
		><Search size={24} aria-hidden="true" /><span class="sr-only">What are you looking for?</span>
		<input
			class="input w-full"
			type="search"
			placeholder="Tape, cumin, birthday candles"
			bind:value={desk.words}
		/></label
	>
	{#if desk.words.trim().length > 1}
		{#if desk.chosen}
			<p class="answer" role="status">
				<b>{desk.chosen.name}</b>: {desk.chosen.where}
			</p>
			{#if desk.isElsewhere}
				<p>Where was it? Tap the place.</p>
				<WallStrip {home} flagged={none} selected={null} onselect={(id) => desk.tap(id)} />
				<div class="flex flex-wrap gap-2">
					<button class="btn" onclick={() => desk.report(null)}>Nowhere</button>
					<button class="btn btn-ghost" onclick={() => (desk.isElsewhere = false)}>Cancel</button>
				</div>
			{:else}
				{#if run && nook}<FrontView {home} {run} selected={nook.id} />{/if}
				{#if desk.chosen.thingId}<button class="btn" onclick={() => desk.notThere()}
						>It was not there</button
					>{/if}
			{/if}
			{#if desk.found.length > 1}
				<ul class="others" aria-label="Also">
					{#each desk.found as hit (hit.key)}
						<li>
							<button
								class="hit"
								aria-pressed={hit.key === desk.chosen.key}
								onclick={() => desk.choose(hit.key)}
								><b>{hit.name}</b> <span class="soft">{hit.where}</span></button
							>
						</li>
					{/each}
				</ul>
			{/if}
		{:else}<p>Nothing here is called “{desk.words.trim()}”. Try another word for it.</p>{/if}
	{/if}
	<a class="btn btn-ghost self-start" href="/home/{home.id}">Leave this page</a>
</div>

<style>
	.find {
		display: flex;
		flex-direction: column;
		gap: 0.7rem;
		max-width: 60rem;
		min-height: 100dvh;
		padding: 1rem;
	}
	.field {
		display: flex;
		align-items: center;
		gap: 0.6rem;
	}
	.field input {
		min-height: 56px;
		font-size: 1.2rem;
	}
	.answer {
		font-size: 1.3rem;
	}
	.others {
		border-top: 1px solid var(--color-base-300);
	}
	.hit {
		width: 100%;
		min-height: 48px;
		border-bottom: 1px solid var(--color-base-300);
		text-align: left;
	}
	.hit[aria-pressed='true'] {
		background: var(--color-base-200);
	}
</style>
