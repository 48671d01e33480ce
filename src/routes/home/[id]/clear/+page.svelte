<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import { VERDICT_KEYS } from '$lib/core/clearing';
	import { formatMoney, formatVolume } from '$lib/core/model';
	import { looksAt, looksForAll } from '$lib/core/upkeep';
	import { hasCamera, standInDirectory, standInScanner } from '$lib/data/devices';
	import { VERDICT_WORDS } from '$lib/messages/clearing';
	import { ClearDesk, TABLE } from '$lib/state/clear-desk.svelte';
	import { now, today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { Intake } from '$lib/state/intake.svelte';
	import { ResetDesk } from '$lib/state/reset-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import { Ticks } from '$lib/state/ticks.svelte';
	import { PackScanner } from '$lib/state/pack-scanner.svelte';
	import { keysHere } from '$lib/state/page-keys.svelte';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import LotAdvice from '$lib/ui/clear/LotAdvice.svelte';
	import PileRow from '$lib/ui/clear/PileRow.svelte';
	import ResetBar from '$lib/ui/clear/ResetBar.svelte';
	import SessionBar from '$lib/ui/clear/SessionBar.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import CameraScan from '$lib/ui/entry/CameraScan.svelte';
	import EntryLine from '$lib/ui/entry/EntryLine.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	/** The reset that Clear was opened for: what it is for is looked at, nothing else. */
	const asked = getStore().home.resets[page.url.searchParams.get('reset') ?? ''];
	const desk = new ClearDesk({
		store: getStore,
		newId,
		now,
		today,
		placeAsked: page.url.searchParams.get('place'),
		since: asked?.begunAt ?? null,
		...(asked?.begunAt && {
			meant: (thing) => looksAt(asked.kind, thing),
			heeds: ({ strength }) => strength > 1 || looksForAll(asked.kind)
		})
	});
	const reset = new ResetDesk({
		...turnDeps(getStore),
		asked: () => page.url.searchParams.get('reset'),
		nookId: () => desk.nookId
	});
	$effect(() => () => desk.leave());
	const home = $derived(desk.home);
	const scanner = new PackScanner({ hasCamera, standIn: standInScanner });
	const intake = new Intake({
		store: getStore,
		nookId: () => desk.nook?.id ?? null,
		scanner,
		directory: standInDirectory,
		today,
		newId
	});
	const ticks = new Ticks({ store: getStore, nookId: () => desk.nook?.id ?? null, newId, today });
	const REASONS = ['It is still good', 'We do use it', 'A keepsake', 'It has another use'] as const;

	let pile = $state<HTMLElement>();
	const backToPile = () => pile?.focus({ preventScroll: true });
	const pileKeys = keysHere('The pile in Clear', [
		...Object.entries(VERDICT_KEYS).map(([key, verdict]) => ({
			keys: key.toUpperCase(),
			does: VERDICT_WORDS[verdict],
			run: () => (desk.choose(verdict), backToPile())
		})),
		{ keys: 'Enter', does: 'Take the advice', run: () => (desk.takeAdvice(), backToPile()) },
		{ keys: 'X', does: 'Undo the last decision', run: () => store.undo() },
		{ keys: 'Shift+K', does: 'Keep all with no concerns', run: () => desk.keepPlain() }
	]);
	// The pile has the letters from the start, where there is a keyboard.
	onMount(() => {
		if (matchMedia('(pointer: fine)').matches) backToPile();
	});
	function goTo(place: string) {
		desk.goTo(place);
		backToPile();
	}
</script>

<div class="contents">
	<Bench
		raised={desk.isRaised}
		panel={desk.current ? reason : undefined}
		panelLabel="Advice"
		follows
		onclose={() => desk.close()}
	>
		<ClearHead>
			{#if desk.places.length}
				<label class="flex items-center gap-2"
					><span class="soft">Place</span>
					<select
						class="select"
						value={desk.atTable ? TABLE : desk.nookId}
						onchange={(event) => goTo(event.currentTarget.value)}
					>
						{#if desk.onTable.length || desk.atTable}<option value={TABLE}
								>On the table ({desk.onTable.length})</option
							>{/if}
						{#each desk.places as { nook } (nook.id)}
							{@const late = desk.past.get(nook.id)}
							<option value={nook.id}>{nook.name}{late ? ` (${late} past)` : ''}</option>
						{/each}
					</select>
				</label>
			{/if}
		</ClearHead>
		{#if !desk.places.length}
			<EmptyNote title="No places to clear yet">
				<p>Add a room and a cabinet in Walk first, so that what you enter has a place.</p>
				<a class="btn btn-primary" href="/home/{home.id}/walk">Go to Walk</a>
			</EmptyNote>
		{:else}
			<WallStrip {home} flagged={desk.past} selected={desk.nookId} onselect={goTo} />
			<ResetBar desk={reset} onplace={goTo} />
			{#if desk.nookId}
				<SessionBar
					nookId={desk.nookId}
					looked={desk.lots.length - desk.open.size}
					onplace={goTo}
				/>
			{:else}
				<p class="soft my-2">
					Things on the table have no place yet. Give each one a place, or decide that it goes.
				</p>
			{/if}
			<EntryLine
				{intake}
				{ticks}
				{home}
				onleave={backToPile}
				onorder={(order) =>
					store.run(`dates are written ${order}`, 'changeHome', { dateOrder: order })}
			/>
			<div
				class="pile"
				tabindex="-1"
				role="group"
				aria-label="Pile: letters decide here"
				bind:this={pile}
				{@attach pileKeys}
			>
				{#if desk.against}
					<p class="note" role="status">
						<span>{desk.against.name}: against the advice ({desk.against.words}). Why?</span>
						{#each REASONS as reason (reason)}
							<button class="btn" onclick={() => desk.giveReason(reason)}>{reason}</button>
						{/each}
						<button class="btn btn-ghost" onclick={() => desk.giveReason(null)}>No reason</button>
					</p>
				{/if}
				{#if desk.tooMany}
					<p class="note">
						<b>More than it holds:</b>
						{desk.tooMany.over} of {desk.tooMany.of} pieces are too many here.
						<a
							class="inline-flex min-h-11 items-center underline"
							href="/home/{home.id}/clear/boundary?place={desk.nookId}">See the cut line</a
						>
					</p>
				{/if}
				{#if desk.plain.length > 1}
					<button
						class="btn btn-ghost mb-1"
						onclick={() => desk.keepPlain()}
						aria-keyshortcuts="Shift+K"
						><kbd class="kbd kbd-sm with-keys" aria-hidden="true">⇧K</kbd>Keep the {desk.plain
							.length} with no concerns</button
					>
				{/if}
				{#if desk.queue.length}
					<VirtualList
						items={desk.queue}
						key={(lot) => lot.id}
						label="Pile: {desk.nook?.name ?? 'on the table'}"
						estimatePx={58}
					>
						{#snippet row(lot)}<PileRow {desk} {lot} />{/snippet}
					</VirtualList>
				{:else}
					<p class="py-4">
						This place is empty. Type what you find in it, one thing a line, or choose another
						place.
					</p>
				{/if}
			</div>
			{#if desk.tally.length}
				<section class="rule-top mt-4 pt-3" aria-label="Tally of this visit">
					<h2 class="mb-1">Tally of this visit</h2>
					<p>
						{#each desk.tally as line, i (line.verdict)}{i ? ' · ' : ''}{VERDICT_WORDS[
								line.verdict
							]}
							<span class="measure">{line.things}</span>
							({formatVolume(line.volumeMl)}{line.lostMinor
								? `, ${formatMoney(line.lostMinor, home.currency)}`
								: ''}){/each}
					</p>
				</section>
			{/if}
		{/if}
	</Bench>
</div>

{#if scanner.isOpen}<CameraScan {scanner} />{/if}
{#snippet reason()}<div {@attach pileKeys}><LotAdvice {desk} /></div>{/snippet}

<style>
	.pile:focus {
		outline: none;
		box-shadow: inset 3px 0 0 var(--color-primary);
	}
	.note {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.6rem;
		margin-bottom: 0.6rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.3rem 0.7rem;
		background: var(--color-base-200);
	}
</style>
