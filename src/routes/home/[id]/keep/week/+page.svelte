<script lang="ts">
	import { countText } from '$lib/messages/numbers';
	import { secondsText } from '$lib/messages/keeping';
	import { timesText } from '$lib/messages/routines';
	import { getHomeStore } from '$lib/state/context';
	import { WeekDesk } from '$lib/state/week-desk.svelte';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import KeepHead from '$lib/ui/keep/KeepHead.svelte';
	import WeekControls from '$lib/ui/keep/WeekControls.svelte';
	import WeekFigures from '$lib/ui/keep/WeekFigures.svelte';
	import WeekRounds from '$lib/ui/keep/WeekRounds.svelte';

	const getStore = getHomeStore();
	const desk = new WeekDesk({ home: () => getStore().home });
	$effect(() => () => desk.leave());
	const home = $derived(desk.home);
	$effect(() => {
		if (!desk.isPlaying) return;
		let last = performance.now();
		let frame = requestAnimationFrame(function go(now) {
			desk.advance((now - last) / 1000);
			last = now;
			frame = requestAnimationFrame(go);
		});
		return () => cancelAnimationFrame(frame);
	});
</script>

<Bench panel={desk.routines.length ? figures : undefined} panelLabel="The week in figures">
	<KeepHead />
	{#if !desk.routines.length || !Object.keys(home.rooms).length}
		<EmptyNote title="No routines yet">
			<p>
				Breakfast, a packed lunch, unloading: say what you do and how often, and watch it walked
				over the kitchen as it is and as it is planned.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/sort/routines">Write routines in Sort</a>
		</EmptyNote>
	{:else}
		<div class="my-2 flex flex-wrap items-center gap-2">
			<label class="max-w-full min-w-0"
				><span class="sr-only">Routine</span>
				<select
					class="select w-auto max-w-full sm:max-w-72"
					aria-label="Routine"
					value={desk.routine?.id}
					onchange={(event) => desk.choose(event.currentTarget.value)}
					>{#each desk.routines as { id, name, timesPerWeek } (id)}<option value={id}
							>{name}, {timesText(timesPerWeek)} a week</option
						>{/each}</select
				></label
			>
			{#if desk.hasPlan}
				<div class="join" role="group" aria-label="Played over">
					{#each [['now', 'As it stands'], ['plan', 'As planned']] as const as [view, name] (view)}
						<button
							class="btn join-item"
							class:btn-primary={desk.view === view}
							aria-pressed={desk.view === view}
							onclick={() => (desk.view = view)}>{name}</button
						>
					{/each}
				</div>
			{/if}
			<select
				class="select w-auto max-w-full sm:max-w-64"
				aria-label="Who does it"
				bind:value={desk.personId}
				><option value="">whoever finds it hardest</option
				>{#each desk.people as { id, name } (id)}<option value={id}>{name}</option>{/each}</select
			>
			<select
				class="select w-auto max-w-full sm:max-w-64"
				aria-label="At the same time"
				value={desk.other?.id ?? ''}
				onchange={(event) => desk.setOther(event.currentTarget.value)}
				><option value="">nobody else in the kitchen</option
				>{#each desk.routines.filter(({ id }) => id !== desk.routine?.id) as { id, name } (id)}<option
						value={id}>somebody else: {name}</option
					>{/each}</select
			>
		</div>
		<WeekControls {desk} />
		<p class="min-h-7" aria-live="off">{desk.words}</p>
		<PlanView {home} walks={desk.ways} maxPx={430} {over} />
		{#if desk.other}
			<p class="mt-2">
				{desk.crossings.length
					? `In each other’s way ${countText(desk.crossings.length, 'time')}: ${desk.crossings
							.slice(0, 4)
							.map(({ fromS }) => `at ${secondsText(fromS)}`)
							.join(', ')}${desk.crossings.length > 4 ? ' …' : ''}.`
					: 'They do not get in each other’s way.'}
			</p>
		{/if}
		<WeekRounds {desk} />
	{/if}
</Bench>

{#snippet over(font: (px: number) => number)}
	{#each desk.crossings as { at, fromS } (fromS)}
		<circle cx={at.x} cy={at.y} r={font(10)} class="cross" style:stroke-width={font(2)} />
	{/each}
	{#if desk.otherDot}
		<rect
			x={desk.otherDot.x - font(8)}
			y={desk.otherDot.y - font(8)}
			width={font(16)}
			height={font(16)}
			class="other"
			style:stroke-width={font(2)}
		/>
	{/if}
	{#if desk.dot}
		<circle cx={desk.dot.x} cy={desk.dot.y} r={font(9)} class="dot" style:stroke-width={font(2)} />
	{/if}
{/snippet}
{#snippet figures()}<WeekFigures {desk} />{/snippet}

<style>
	.dot {
		fill: var(--color-primary);
		stroke: var(--color-base-100);
	}
	.other {
		fill: var(--color-base-content);
		stroke: var(--color-base-100);
	}
	.cross {
		fill: none;
		stroke: var(--color-error);
	}
</style>
