<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';
	import { VERDICT_KEYS } from '$lib/core/clearing';
	import { looksAt, looksForAll } from '$lib/core/upkeep';
	import { hasCamera, standInDirectory, standInScanner } from '$lib/data/devices';
	import { VERDICT_WORDS } from '$lib/messages/clearing';
	import { ClearDesk } from '$lib/state/clear-desk.svelte';
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
	import Pile from '$lib/ui/clear/Pile.svelte';
	import PlacePick from '$lib/ui/clear/PlacePick.svelte';
	import ResetBar from '$lib/ui/clear/ResetBar.svelte';
	import SessionBar from '$lib/ui/clear/SessionBar.svelte';
	import VisitTally from '$lib/ui/clear/VisitTally.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import CameraScan from '$lib/ui/entry/CameraScan.svelte';
	import EntryLine from '$lib/ui/entry/EntryLine.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';

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
			<PlacePick {desk} onpick={goTo} />
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
				<Pile {desk} />
			</div>
			<VisitTally {desk} />
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
</style>
