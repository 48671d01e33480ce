<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { estimatePlace, pastByPlace, planDay, type DayPlace } from '$lib/core/clearing';
	import { decidedLots, lotsIn, type Home } from '$lib/core/model';
	import { nooksInOrder } from '$lib/core/survey';
	import { clockText, estimateText, minutesText } from '$lib/messages/clearing';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import DayLine from '$lib/ui/clear/DayLine.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const past = $derived(pastByPlace(home, today()));
	const SUGGESTED = 4;
	/** The places with most that is past come first; then those with most that is not decided yet. */
	const ranked = $derived.by(() => {
		// Where everything was decided on before, nothing is left to be planned.
		const decided = decidedLots(home);
		const open = new Map(
			nooksInOrder(home).map(({ nook }) => [
				nook.id as string,
				lotsIn(home, nook.id).filter(({ id }) => !decided.has(id)).length
			])
		);
		const pastAt = (id: string) => past.get(id) ?? 0;
		return nooksInOrder(home)
			.map(({ nook }) => nook)
			.filter(({ id }) => open.get(id)! + pastAt(id) > 0)
			.sort((a, b) => pastAt(b.id) - pastAt(a.id) || open.get(b.id)! - open.get(a.id)!);
	});
	const day = $derived<NonNullable<Home['clearDay']>>(
		home.clearDay ?? {
			on: today(),
			fromMin: 9 * 60,
			stopMin: 13 * 60,
			fixed: [],
			hands: 1,
			nookIds: ranked.slice(0, SUGGESTED).map((nook) => nook.id)
		}
	);
	const EMPTY_SHARE = (minutes: number, part: number, sum: number) =>
		Math.round((minutes * part) / sum);
	const dayPlaces = $derived(
		day.nookIds
			.filter((id) => home.nooks[id])
			.map((nookId): DayPlace => {
				const { minutes, parts } = estimatePlace(home, nookId, day.hands);
				const plain = parts.emptyAndClean + parts.look + parts.decant + parts.putBack;
				return {
					nookId,
					minutes,
					emptyMin: EMPTY_SHARE(minutes, parts.emptyAndClean, plain),
					putBackMin: EMPTY_SHARE(minutes, parts.putBack, plain)
				};
			})
	);
	const plan = $derived(
		planDay({
			fromMin: day.fromMin,
			stopMin: day.stopMin,
			fixed: day.fixed,
			places: dayPlaces,
			school: home.schools.clear
		})
	);
	function change(words: string, part: Partial<NonNullable<Home['clearDay']>>) {
		store.run(words, 'planClearDay', day, part);
	}
	const timeValue = (minutes: number) =>
		`${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
	const minutesOf = (value: string) => {
		const [h = NaN, m = NaN] = value.split(':').map(Number);
		return Number.isFinite(h + m) ? h * 60 + m : null;
	};
	function setTime(side: 'fromMin' | 'stopMin', value: string) {
		const minutes = minutesOf(value);
		if (minutes !== null)
			change(side === 'fromMin' ? 'begin of the day' : 'stop time', { [side]: minutes });
	}
	let fixedName = $state('Lunch');
	let fixedFrom = $state('12:00');
	let fixedTo = $state('12:45');
	let wrong = $state('');
	function addFixed(event: SubmitEvent) {
		event.preventDefault();
		const fromMin = minutesOf(fixedFrom);
		const toMin = minutesOf(fixedTo);
		if (fromMin === null || toMin === null || toMin <= fromMin) {
			wrong = `“${fixedFrom} to ${fixedTo}” is no stretch of time. The end has to be later than the begin.`;
			return;
		}
		wrong = '';
		change(`${fixedName} at ${fixedFrom}`, {
			fixed: [...day.fixed, { name: fixedName.trim() || 'Fixed', fromMin, toMin }]
		});
	}
	function togglePlace(id: (typeof ranked)[number]['id'], name: string) {
		const has = day.nookIds.includes(id);
		change(`${has ? 'leave out' : 'plan'} ${name}`, {
			nookIds: has ? day.nookIds.filter((known) => known !== id) : [...day.nookIds, id]
		});
	}
	const nameOf = (id: string) => home.nooks[id]?.name ?? '';
	const WORK = {
		clear: 'Clear',
		empty: 'Take everything out and wipe',
		decide: 'Look through and decide',
		'put-back': 'Put back what stays'
	} as const;
</script>

<Bench panel={choice} panelLabel="What the day is made of">
	<ClearHead />
	{#if !ranked.length}
		<EmptyNote title="Nothing to plan yet">
			<p>A place can be planned once there is something in it. Enter things at the bench.</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to the bench</a>
		</EmptyNote>
	{:else}
		<h2 class="mb-2">Plan of the day</h2>
		<DayLine
			fromMin={day.fromMin}
			stopMin={day.stopMin}
			fixed={day.fixed}
			blocks={plan.blocks}
			{nameOf}
		/>
		<ol class="mt-4" aria-label="Blocks of the day">
			{#each plan.blocks as block, i (i)}
				<li class="rule-top flex flex-wrap items-center gap-x-3 py-1">
					<span class="measure w-28">{clockText(block.fromMin)}–{clockText(block.toMin)}</span>
					<b class="min-w-0 flex-1">{block.nookId ? nameOf(block.nookId) : WORK[block.work]}</b>
					<span class="soft measure">{minutesText(block.toMin - block.fromMin)}</span>
					{#if block.nookId}<a
							class="btn btn-ghost"
							href="/home/{home.id}/clear?place={block.nookId}">Go to it</a
						>{/if}
				</li>
			{:else}
				<li class="rule-top py-3">
					Nothing fits between {clockText(day.fromMin)} and {clockText(day.stopMin)}. Make the day
					longer, or choose a smaller place.
				</li>
			{/each}
		</ol>
		{#if home.schools.clear === 'all-at-once' && plan.taken.length}
			<p class="mt-2">All at once: {plan.taken.map(nameOf).join(', ')}.</p>
		{/if}
		{#if plan.left.length}
			<section class="mt-4" aria-label="Not today">
				<h2 class="mb-1">Not today</h2>
				<p class="soft">
					The stop rule: open nothing that you cannot close again by {clockText(day.stopMin)}.
				</p>
				<ul>
					{#each plan.left as item (item.nookId)}
						<li class="rule-top py-2">
							<b>{nameOf(item.nookId)}</b> needs {minutesText(item.minutes)}; the longest stretch
							left is {minutesText(item.longestMin)}.
						</li>
					{/each}
				</ul>
			</section>
		{/if}
		<p class="soft mt-3">{minutesText(plan.freeMin)} stay free.</p>
	{/if}
</Bench>

{#snippet choice()}
	<div class="grid grid-cols-2 gap-2">
		<label
			>Day<input
				type="date"
				class="input"
				value={day.on}
				onchange={(event) =>
					event.currentTarget.value &&
					change('day of the clear-out', { on: event.currentTarget.value })}
			/></label
		>
		<label
			>Hands<input
				type="number"
				class="input measure"
				min="1"
				max="12"
				value={day.hands}
				onchange={(event) => {
					const hands = Math.round(Number(event.currentTarget.value));
					if (hands >= 1 && hands <= 12) change('hands', { hands });
				}}
			/></label
		>
		<label
			>From<input
				type="time"
				class="input measure"
				value={timeValue(day.fromMin)}
				onchange={(event) => setTime('fromMin', event.currentTarget.value)}
			/></label
		>
		<label
			>Stop by<input
				type="time"
				class="input measure"
				value={timeValue(day.stopMin)}
				onchange={(event) => setTime('stopMin', event.currentTarget.value)}
			/></label
		>
	</div>
	<fieldset class="mt-4">
		<legend class="font-semibold">How it is done</legend>
		{#each [['place-at-a-time', 'A place at a time', 'Each is closed before the next is opened.'], ['all-at-once', 'All at once', 'Everything out first: a better overview, and a full table.']] as const as [value, words, why] (value)}
			<label class="flex min-h-11 items-center gap-2 py-1"
				><input
					type="radio"
					class="radio"
					name="school"
					checked={home.schools.clear === value}
					onchange={() => store.run(words.toLowerCase(), 'chooseSchools', { clear: value })}
				/><span>{words}<br /><span class="soft text-sm">{why}</span></span></label
			>
		{/each}
	</fieldset>
	<section class="rule-top mt-3 pt-3" aria-label="Fixed times">
		<h3 class="mb-1">Fixed times</h3>
		<ul>
			{#each day.fixed as item, i (i)}
				<li class="flex items-center justify-between">
					<span
						>{item.name},
						<span class="measure">{clockText(item.fromMin)}–{clockText(item.toMin)}</span></span
					>
					<button
						class="btn btn-ghost"
						aria-label="Remove {item.name}"
						onclick={() =>
							change(`remove ${item.name}`, { fixed: day.fixed.filter((_, k) => k !== i) })}
						><Trash2 size={18} /></button
					>
				</li>
			{/each}
		</ul>
		<form onsubmit={addFixed} class="grid grid-cols-2 gap-2">
			<label class="col-span-2"
				>What<input class="input" bind:value={fixedName} maxlength="200" /></label
			>
			<label>From<input type="time" class="input measure" bind:value={fixedFrom} /></label>
			<label>To<input type="time" class="input measure" bind:value={fixedTo} /></label>
			<button class="btn col-span-2"><Plus size={18} />Add a fixed time</button>
			{#if wrong}<p role="alert" class="col-span-2" style="color:var(--color-error)">
					{wrong}
				</p>{/if}
		</form>
	</section>
	<section class="rule-top mt-3 pt-3" aria-label="Places">
		<h3 class="mb-1">Places</h3>
		<p class="soft mb-1 text-sm">In the order you tick them; the most pressing come first.</p>
		<ul>
			{#each ranked as nook (nook.id)}
				{@const estimate = estimatePlace(home, nook.id, day.hands)}
				<li>
					<label class="flex min-h-11 items-center gap-2"
						><input
							type="checkbox"
							class="checkbox"
							checked={day.nookIds.includes(nook.id)}
							onchange={() => togglePlace(nook.id, nook.name)}
						/><span class="min-w-0 flex-1"
							>{nook.name}{#if past.get(nook.id)}<span style="color:var(--color-error)"
									>, {past.get(nook.id)} past</span
								>{/if}</span
						><span class="measure soft" title={estimateText(estimate)}
							>{minutesText(estimate.minutes)}</span
						></label
					>
				</li>
			{/each}
		</ul>
		{#if ranked[0]}
			{@const shown = home.nooks[day.nookIds.at(-1) ?? ''] ?? ranked[0]}
			<details class="mt-2">
				<summary class="soft min-h-8 cursor-pointer">How the minutes are made</summary>
				<p class="text-sm">
					<b>{shown.name}</b>: {estimateText(estimatePlace(home, shown.id, day.hands))}
				</p>
			</details>
		{/if}
	</section>
{/snippet}
