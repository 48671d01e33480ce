<script lang="ts">
	import CalendarPlus from '@lucide/svelte/icons/calendar-plus';
	import Plus from '@lucide/svelte/icons/plus';
	import { countText } from '$lib/messages/numbers';
	import { getHomeStore } from '$lib/state/context';
	import { KeepDesk } from '$lib/state/keep-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import KeepHead from '$lib/ui/keep/KeepHead.svelte';
	import ResetRow from '$lib/ui/keep/ResetRow.svelte';
	import ResetSheet from '$lib/ui/keep/ResetSheet.svelte';
	import WeekLoad from '$lib/ui/keep/WeekLoad.svelte';

	const getStore = getHomeStore();
	const desk = new KeepDesk(turnDeps(getStore));
	const home = $derived(desk.home);
	let withDates = $state(false);
	async function calendar() {
		const { homeCalendar } = await import('$lib/core/interchange/calendar');
		saveFile(
			fileName(`${home.name} resets`, 'ics'),
			homeCalendar(desk.calendar(withDates)),
			'text/calendar'
		);
	}
	const resetOf = (id: string) => home.resets[id];
</script>

<Bench
	panel={desk.chosen ? panel : undefined}
	panelLabel="This reset"
	raised
	chosen={desk.chosen?.reset.id ?? null}
	onclose={() => desk.choose(null)}
>
	<KeepHead>
		{#if desk.due.length}
			<label class="flex items-center gap-1.5 text-sm"
				><input class="checkbox" type="checkbox" bind:checked={withDates} />use-by dates too</label
			>
			<button class="btn" onclick={calendar}><CalendarPlus size={18} />Calendar file</button>
		{/if}
	</KeepHead>
	{#if !desk.due.length}
		<EmptyNote title="No resets yet">
			<p>
				A reset is a quick tidy of one place before it slips: the fridge each week before you shop,
				pantry dates every three months, medicines twice a year.
			</p>
			{#if desk.usual.length}
				<button class="btn btn-primary" onclick={() => desk.addUsual()}
					>Add the {countText(desk.usual.length, 'usual reset')}</button
				>
			{:else if Object.keys(home.cabinets).length}
				<button class="btn btn-primary" onclick={() => desk.addOwn(false)}
					>Add one of your own</button
				>
			{:else}
				<p>Add cabinets in Walk first.</p>
				<a class="btn btn-primary" href="/home/{home.id}/walk">Go to Walk</a>
			{/if}
		</EmptyNote>
	{:else}
		<WeekLoad
			weeks={desk.weeks}
			mostMinutes={desk.mostMinutes}
			titleOf={(id) => (resetOf(id) ? desk.titleOf(resetOf(id)!) : '')}
		/>
		<div class="my-3 flex flex-wrap items-center gap-2">
			{#if desk.spread.length}
				<span>More than an hour in a week is too much.</span>
				<button class="btn btn-primary" onclick={() => desk.spreadOut()}
					>Spread {countText(desk.spread.length, 'reset')} out</button
				>
			{/if}
			{#if desk.usual.length}<button class="btn" onclick={() => desk.addUsual()}
					><Plus size={18} />Add {countText(desk.usual.length, 'usual reset')}</button
				>{/if}
		</div>
		<ul aria-label="Resets">
			{#each desk.due as due (due.reset.id)}<ResetRow {desk} {due} />{/each}
		</ul>
		<div class="rule-top flex flex-wrap gap-2 pt-3">
			<button class="btn" onclick={() => desk.addOwn(false)}
				><Plus size={18} />One of your own</button
			>
			<button class="btn" onclick={() => desk.addOwn(true)}><Plus size={18} />Seasonal swap</button>
		</div>
		<p class="soft mt-4 text-sm">
			Fix tall furniture to the wall so it cannot tip. High shelves: a proper step stool, not a
			chair. Wiring, gas and plumbing: a licensed trade and the local code.
		</p>
	{/if}
</Bench>

{#snippet panel()}
	{#if desk.chosen}<ResetSheet {desk} due={desk.chosen} />{/if}
{/snippet}
