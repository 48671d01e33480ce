<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import { onDestroy } from 'svelte';
	import { tapeSteps, type NookPlace } from '$lib/core/survey';
	import { standInMeter } from '$lib/data/devices';
	import { getHomeStore } from '$lib/state/context';
	import { Tape } from '$lib/state/tape.svelte';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import TapePad from '$lib/ui/walk/TapePad.svelte';
	import WalkHead from '$lib/ui/walk/WalkHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const tape = new Tape(() => getStore(), standInMeter);
	onDestroy(() => tape.quiet());
	let alsoEstimates = $state(false);
	const missing = $derived(tapeSteps(home).length);
	/** Where nothing is missing, the estimates are what is left to measure. */
	const assumed = $derived(alsoEstimates || !missing);
	const steps = $derived(tapeSteps(home, { assumed }));
	const allAssumed = $derived(tapeSteps(home, { assumed: true }).length);
	/** One line a nook, with its sides. */
	const lines = $derived.by(() => {
		const byNook = new Map<string, { place: NookPlace; words: string[] }>();
		for (const { place, word } of steps) {
			const line = byNook.get(place.nook.id);
			if (line) line.words.push(word);
			else byNook.set(place.nook.id, { place, words: [word] });
		}
		return [...byNook.values()];
	});
	const byCabinet = $derived.by(() => {
		const found: { key: string; title: string; lines: typeof lines }[] = [];
		for (const line of lines) {
			const key = line.place.cabinet.id;
			const last = found.at(-1);
			if (last?.key === key) last.lines.push(line);
			else
				found.push({
					key,
					title: `${line.place.room.name}: ${line.place.cabinet.name}`,
					lines: [line]
				});
		}
		return found;
	});
	const run = $derived(tape.step?.place.run);
</script>

<Bench
	panel={tape.isOn ? pad : undefined}
	panelLabel="One number at a time"
	docked={tape.isOn}
	chosen={tape.step?.place.nook.id ?? null}
>
	<WalkHead>
		{#if !tape.isOn}
			<button class="btn" onclick={() => window.print()} disabled={!steps.length}
				><Printer size={18} />Print the list</button
			>
		{/if}
	</WalkHead>
	{#if tape.isOn}
		{#if run && tape.step}
			{#key tape.step.place.nook.id}
				<FrontView {home} {run} selected={tape.step.place.nook.id} />
			{/key}
		{/if}
	{:else}
		<div class="no-print mb-3 flex flex-wrap items-center gap-x-6 gap-y-2">
			<button class="btn btn-primary" onclick={() => tape.begin(assumed)} disabled={!steps.length}
				>Go through them one by one</button
			>
			{#if missing}
				<label class="flex min-h-11 items-center gap-2"
					><input type="checkbox" class="checkbox" bind:checked={alsoEstimates} />Also the {allAssumed -
						missing} sizes that are estimated, not measured</label
				>
			{/if}
		</div>
		<p class="soft mb-3">
			In walking order. Measure inside, in three places, and keep the smallest; cabinets are seldom
			square. The laser measure here is a stand-in: it makes up readings close to the size it
			expects.
		</p>
		{#each byCabinet as cabinet, c (c)}
			<h3 class="mt-4 mb-1">{cabinet.title}</h3>
			<ul>
				{#each cabinet.lines as { place, words } (place.nook.id)}
					<li class="rule-top">
						<button
							class="line"
							onclick={() => tape.begin(assumed, place.nook.id)}
							aria-label="{place.nook.name}: {words.join(', ')}"
						>
							<b>{place.nook.name}</b>
							<span class="blanks">
								{#each words as word (word)}<span
										>{word} <i class="blank" aria-hidden="true"></i></span
									>{/each}
							</span>
						</button>
					</li>
				{/each}
			</ul>
		{:else}
			<p class="py-4">
				{#if !Object.keys(home.nooks).length}No places yet. <a
						class="underline"
						href="/home/{home.id}/walk">Add a room and a cabinet</a
					> first.{:else}Everything is measured.{/if}
			</p>
		{/each}
	{/if}
</Bench>
{#snippet pad()}<TapePad {tape} />{/snippet}

<style>
	.line {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.2rem 1.5rem;
		width: 100%;
		min-height: 44px;
		padding: 0.5rem 0;
		text-align: left;
		cursor: pointer;
	}
	.line:hover b {
		text-decoration: underline;
	}
	.line b {
		flex: 1 1 14rem;
	}
	.blanks {
		display: flex;
		flex-wrap: wrap;
		gap: 0.2rem 1.2rem;
	}
	.blank {
		display: inline-block;
		width: 4.5rem;
		border-bottom: 1px solid var(--ink-soft);
	}
</style>
