<script lang="ts">
	import CalendarPlus from '@lucide/svelte/icons/calendar-plus';
	import Check from '@lucide/svelte/icons/check';
	import Plus from '@lucide/svelte/icons/plus';
	import { resetsDue, type DueReset } from '$lib/core/upkeep';
	import { tally } from '$lib/core/clearing';
	import { formatMoney, formatVolume } from '$lib/core/model';
	import { dateText, daysText, VERDICT_WORDS } from '$lib/messages/clearing';
	import { RESET_WORDS } from '$lib/messages/steps';
	import { now, today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';
	import YearLine from '$lib/ui/charts/YearLine.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const due = $derived(resetsDue(home, today()));
	const sum = $derived(tally(home, Object.values(home.decisions)));
	const title = ({ reset }: DueReset) =>
		`${RESET_WORDS[reset.kind].name}: ${home.cabinets[reset.cabinetId ?? '']?.name ?? ''}`;
	const BASIS = {
		'as-set': 'as set',
		'less-often': 'less often, little was found',
		'more-often': 'more often, much was found'
	} as const;
	async function calendar() {
		const { resetsCalendar } = await import('$lib/core/interchange/calendar');
		saveFile(
			fileName(`${home.name} resets`, 'ics'),
			resetsCalendar(home, due, title, now()),
			'text/calendar'
		);
	}
	let found = $state<Record<string, string>>({});
	function done(id: string, name: string) {
		const share = found[id] ? Number(found[id]) : null;
		store.run(`done: ${name}`, 'doneReset', id, today(), share);
	}
</script>

<Bench>
	<StageHead stage="keep">
		{#if Object.keys(home.cabinets).length}
			<button class="btn" onclick={() => store.run('usual resets', 'proposeResets', newId())}
				><Plus size={18} />Add the usual resets</button
			>
		{/if}
		{#if due.length}<button class="btn btn-primary" onclick={calendar}
				><CalendarPlus size={18} />Calendar file</button
			>{/if}
	</StageHead>
	{#if !due.length}
		<EmptyNote title="No resets yet">
			<p>
				A reset is a quick tidy of one place before it slips: the fridge each week before you shop,
				pantry dates every three months, medicines twice a year.
			</p>
			{#if Object.keys(home.cabinets).length}
				<button
					class="btn btn-primary"
					onclick={() => store.run('usual resets', 'proposeResets', newId())}
					>Add the usual resets</button
				>
			{:else}
				<p>Add cabinets in Walk first.</p>
				<a class="btn btn-primary" href="/home/{home.id}/walk">Go to Walk</a>
			{/if}
		</EmptyNote>
	{:else}
		<YearLine
			today={today()}
			marks={due.map((item) => ({
				id: item.reset.id,
				on: item.dueOn,
				everyDays: item.everyDays,
				word: RESET_WORDS[item.reset.kind].name
			}))}
		/>
		<ul class="mt-3">
			{#each due as item (item.reset.id)}
				{@const words = RESET_WORDS[item.reset.kind]}
				<li class="row">
					<span class="when measure" class:past={item.daysLeft < 0}>{daysText(item.daysLeft)}</span>
					<span class="min-w-0"
						><b>{words.name}</b>, {home.cabinets[item.reset.cabinetId ?? '']?.name}
						<span class="soft block text-sm"
							>{words.what} Every {item.everyDays} days, {BASIS[item.basis]}; last done {item.reset
								.lastDoneOn
								? dateText(item.reset.lastDoneOn)
								: 'never'}.</span
						></span
					>
					<label class="found"
						><span class="soft text-sm">Found</span>
						<select class="select" bind:value={found[item.reset.id]}
							><option value={undefined}>not said</option><option value="0">nothing</option><option
								value="0.12">a little</option
							><option value="0.35">much</option></select
						></label
					>
					<button
						class="btn"
						onclick={() => done(item.reset.id, words.name)}
						aria-label="Done: {title(item)}"><Check size={18} />Done</button
					>
				</li>
			{/each}
		</ul>
		<section class="rule-top mt-5 pt-3" aria-label="The record">
			<h2 class="mb-1">The record</h2>
			{#if sum.length}
				<ul>
					{#each sum as line (line.verdict)}<li>
							<b>{VERDICT_WORDS[line.verdict]}</b>: <span class="measure">{line.things}</span>, {formatVolume(
								line.volumeMl
							)}{line.lostMinor
								? `, ${formatMoney(line.lostMinor, home.currency)} thrown away`
								: ''}
						</li>{/each}
				</ul>
			{:else}
				<p class="soft">Nothing decided yet. Your decisions in Clear are counted here.</p>
			{/if}
		</section>
		<p class="soft mt-4 text-sm">
			Fix tall furniture to the wall so it cannot tip. High shelves: a proper step stool, not a
			chair. Wiring, gas and plumbing: a licensed trade and the local code.
		</p>
	{/if}
</Bench>

<style>
	.row {
		display: grid;
		grid-template-columns: 8rem minmax(0, 1fr) auto auto;
		gap: 0.75rem;
		align-items: center;
		border-top: 1px solid var(--color-base-300);
		padding: 0.5rem 0;
	}
	.when {
		color: var(--color-primary);
	}
	.when.past {
		color: var(--color-error);
		font-weight: 700;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: minmax(0, 1fr) auto;
		}
		.when,
		.row > span:nth-child(2) {
			grid-column: 1 / -1;
		}
	}
</style>
