<script lang="ts">
	import {
		adviseLot,
		advisedVerdict,
		backPlace,
		cutPlace,
		decisionOrder,
		LEAVING,
		onTheTable,
		pastByPlace,
		planTarget,
		tally,
		undecidedLots,
		VERDICT_KEYS
	} from '$lib/core/clearing';
	import {
		categoryOf,
		formatMoney,
		formatVolume,
		NookId,
		type Lot,
		type Verdict
	} from '$lib/core/model';
	import { nooksInOrder } from '$lib/core/survey';
	import { effectiveDate } from '$lib/core/rotation';
	import { standInDirectory, standInScanner } from '$lib/data/devices';
	import { adviceText, dateText, VERDICT_WORDS, whenText } from '$lib/messages/clearing';
	import { now, today } from '$lib/state/clock.svelte';
	import { command } from '$lib/core/commands';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { Intake } from '$lib/state/intake.svelte';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import SessionBar from '$lib/ui/clear/SessionBar.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';
	import EntryLine from '$lib/ui/entry/EntryLine.svelte';
	import { page } from '$app/state';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const places = $derived(nooksInOrder(home));
	/** Decisions of before this visit do not count as made now. */
	const since = now();

	const past = $derived(pastByPlace(home, today()));
	/** The value of the choice for stock that stands in no place. */
	const TABLE = 'on-the-table';
	const onTable = $derived(onTheTable(home));
	let chosen = $state<string | null>(page.url.searchParams.get('place'));
	const atTable = $derived(chosen === TABLE);
	const nookId = $derived(
		atTable
			? null
			: chosen && home.nooks[chosen]
				? chosen
				: ([...places].sort((a, b) => (past.get(b.nook.id) ?? 0) - (past.get(a.nook.id) ?? 0))[0]
						?.nook.id ?? null)
	);
	const nook = $derived(nookId ? home.nooks[nookId] : undefined);
	const flagged = $derived(new Set(past.keys()));
	const lots = $derived(
		Object.values(home.lots).filter((lot) => lot.nookId === nookId && lot.count > 0)
	);
	const open = $derived(new Set(undecidedLots(home, nookId, since)));
	const verdictOf = $derived(
		new Map(
			Object.values(home.decisions)
				.filter((d) => d.at >= since)
				.map((d) => [d.lotId as string, d.verdict])
		)
	);
	const cut = $derived(nookId ? cutPlace(home, nookId, { stay: new Set(), go: new Set() }) : null);
	const overFull = $derived(!!cut && cut.cut.keep.length < cut.wanting.length);
	const advices = $derived(
		new Map(
			lots.map((lot) => [
				lot.id as string,
				adviseLot({ home, lot, thing: home.things[lot.thingId]!, today: today(), overFull })
			])
		)
	);
	const strengthOf = (lotId: string) => {
		const first = advices.get(lotId)?.[0];
		return first && !first.overruled ? first.strength : 0;
	};
	/** What needs a decision most comes first: the strongest advice, then the nearest date. */
	const queue = $derived(decisionOrder(home, lots, (id) => open.has(id), strengthOf));
	let picked = $state<string | null>(null);
	/** On a small screen: the advice stands over the pile until it is put away. */
	let deciding = $state(false);
	const current = $derived(
		queue.find((lot) => lot.id === picked) ?? queue.find((lot) => open.has(lot.id))
	);
	const advice = $derived(current ? (advices.get(current.id) ?? []) : []);
	const sum = $derived(
		tally(
			home,
			Object.values(home.decisions).filter((d) => d.at >= since)
		)
	);

	const KEY_OF = Object.fromEntries(
		Object.entries(VERDICT_KEYS).map(([key, verdict]) => [verdict, key])
	) as Record<Verdict, string>;
	let wantAgain = $state(false);
	let avoid = $state(false);
	/** How many of the lot are decided on; null: all. */
	let some = $state<number | null>(null);
	/** Where `move` goes: as the plan says, unless another place is chosen. */
	let movePick = $state<string | null>(null);
	const moveTo = $derived(movePick ?? (current ? planTarget(home, current.id) : null) ?? '');
	/** The last decision when it went against advice: its reason can be given, or not. */
	let against = $state<{ id: string; name: string; words: string } | null>(null);
	const REASONS = ['It is still good', 'We do use it', 'A keepsake', 'It has another use'] as const;

	function choose(verdict: Verdict) {
		if (!current) return;
		const thing = home.things[current.thingId]!;
		const first = advice[0] ?? null;
		const target =
			verdict === 'back-stock' ? backPlace(home, current.id) : moveTo ? NookId.parse(moveTo) : null;
		// What leaves but is restocked goes on the list in the same gesture.
		const again = !avoid && (wantAgain || (LEAVING.has(verdict) && thing.parPacks !== null));
		const ids = { decision: newId(), event: newId(), rest: newId() };
		store.run(`${VERDICT_WORDS[verdict].toLowerCase()} ${thing.name}`, 'decide', {
			lotId: current.id,
			verdict,
			advice: first,
			wantAgain: again,
			...(avoid ? { avoid: true } : {}),
			...(some !== null && some > 0 ? { count: some } : {}),
			toNookId: verdict === 'move' || verdict === 'back-stock' ? target : null,
			ids,
			now: now()
		});
		against =
			first && !first.overruled && first.verdict !== verdict
				? { id: ids.decision, name: thing.name, words: VERDICT_WORDS[first.verdict] }
				: null;
		[picked, wantAgain, avoid, some, movePick] = [null, false, false, null, null];
	}
	/** What there are no concerns about: it can be kept in one go. */
	const plain = $derived(
		queue.filter((lot) => open.has(lot.id) && advisedVerdict(advices.get(lot.id) ?? []) === 'keep')
	);
	function keepRest() {
		const at = now();
		const kept = plain.map((lot) =>
			command('decide', {
				lotId: lot.id,
				verdict: 'keep',
				advice: advices.get(lot.id)?.[0] ?? null,
				wantAgain: false,
				toNookId: null,
				ids: { decision: newId(), event: newId(), rest: newId() },
				now: at
			})
		);
		store.runAll(`keep ${kept.length} things`, kept);
		picked = null;
	}
	function giveReason(reason: string) {
		if (against) store.run(`reason for ${against.name}`, 'changeLeaving', against.id, { reason });
		against = null;
	}
	function keys(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (target.closest('input, textarea, select') || event.ctrlKey || event.metaKey || event.altKey)
			return;
		if (event.key.toLowerCase() === 'x') return store.undo();
		if (event.shiftKey && event.key.toLowerCase() === 'k') {
			event.preventDefault();
			return keepRest();
		}
		// Enter takes the advice, where it does not press a button.
		const takes = event.key === 'Enter' && !target.closest('a, button, summary, [role=button]');
		const verdict = takes ? advisedVerdict(advice) : VERDICT_KEYS[event.key.toLowerCase()];
		if (!verdict || !current) return;
		event.preventDefault();
		choose(verdict);
	}
	function go(id: string) {
		chosen = id;
		picked = null;
	}
	const intake = new Intake({
		store: () => store,
		nookId: () => (nook ? nook.id : null),
		scanner: standInScanner,
		directory: standInDirectory,
		today,
		newId
	});
	function when(lot: Lot): string {
		const date = effectiveDate(lot, home.things[lot.thingId]!);
		return date ? `${dateText(date.on)}, ${whenText(today(), date.on)}` : 'no date';
	}
	const strengthWord = ['', 'tidiness', 'quality', 'safety'];
</script>

<svelte:window onkeydown={keys} />
<Bench raised={deciding} panel={current ? reason : undefined} panelLabel="Advice">
	<ClearHead>
		{#if places.length}
			<label class="flex items-center gap-2"
				><span class="soft">Place</span>
				<select
					class="box"
					value={atTable ? TABLE : nookId}
					onchange={(event) => go(event.currentTarget.value)}
				>
					{#if onTable.length || atTable}<option value={TABLE}
							>On the table ({onTable.length})</option
						>{/if}
					{#each places as place (place.nook.id)}
						{@const late = past.get(place.nook.id)}
						<option value={place.nook.id}>{place.nook.name}{late ? ` (${late} past)` : ''}</option>
					{/each}
				</select>
			</label>
		{/if}
	</ClearHead>
	{#if !places.length}
		<EmptyNote title="No places to clear yet">
			<p>Add a room and a cabinet in Walk first, so that what you enter has a place.</p>
			<a class="tool tool-now" href="/home/{home.id}/walk">Go to Walk</a>
		</EmptyNote>
	{:else}
		<WallStrip {home} {flagged} selected={nookId} onselect={go} />
		{#if nookId}
			<SessionBar {nookId} looked={lots.length - open.size} onplace={go} />
		{:else}
			<p class="soft my-2">
				What lies on the table has no place yet. Move each to one, or decide that it leaves.
			</p>
		{/if}
		<EntryLine
			{intake}
			{home}
			onorder={(order) =>
				store.run(`dates are written ${order}`, 'changeHome', { dateOrder: order })}
		/>
		{#if against}
			<p class="against" role="status">
				<span>{against.name}: against the advice ({against.words}). Why?</span>
				{#each REASONS as reason (reason)}
					<button class="tool" onclick={() => giveReason(reason)}>{reason}</button>
				{/each}
				<button class="tool tool-quiet" onclick={() => (against = null)}>No reason</button>
			</p>
		{/if}
		{#if overFull && cut}
			<p class="full">
				<b>More than it holds:</b>
				{cut.wanting.length - cut.cut.keep.length} of {cut.wanting.length} pieces are too many here.
				<a href="/home/{home.id}/clear/boundary?place={nookId}">See the cut line</a>
			</p>
		{/if}
		{#if plain.length > 1}
			<button class="tool tool-quiet mb-1" onclick={keepRest} aria-keyshortcuts="Shift+K"
				><kbd>⇧K</kbd>Keep the {plain.length} with no concerns</button
			>
		{/if}
		{#if queue.length}
			<div class="pile">
				<VirtualList
					items={queue}
					key={(lot) => lot.id}
					label="Pile: {nook?.name ?? 'on the table'}"
					estimatePx={58}
					row={pileRow}
				/>
			</div>
		{:else}
			<p class="py-4">
				This place is empty. Type what you find in it, one thing a line, or choose another place.
			</p>
		{/if}
		{#if sum.length}
			<section class="rule-top mt-4 pt-3" aria-label="Tally of this visit">
				<h2 class="mb-1">Tally of this visit</h2>
				<p>
					{#each sum as line, i (line.verdict)}{i ? ' · ' : ''}{VERDICT_WORDS[line.verdict]}
						<span class="measure">{line.things}</span>
						({formatVolume(line.volumeMl)}{line.lostMinor
							? `, ${formatMoney(line.lostMinor, home.currency)}`
							: ''}){/each}
				</p>
			</section>
		{/if}
	{/if}
</Bench>

{#snippet pileRow(lot: Lot)}
	{@const thing = home.things[lot.thingId]!}
	{@const first = advices.get(lot.id)?.[0]}
	{@const done = verdictOf.get(lot.id)}
	<button
		class="row"
		class:now={lot.id === current?.id}
		onclick={() => {
			picked = lot.id;
			deciding = true;
		}}
		aria-current={lot.id === current?.id ? 'true' : undefined}
	>
		<span class="measure count">{lot.count}</span>
		<span class="min-w-0"
			><b>{thing.name}</b>
			{#each lot.states as state (state)}<i class="state">{state}</i>{/each}
			{#if lot.owner}<i class="state">{lot.owner}’s</i>{/if}
			<span class="soft block text-sm">{when(lot)}</span></span
		>
		<span
			class="verdict"
			class:done={!!done}
			class:danger={!done && first?.strength === 3}
			class:past={!done && !!first?.overruled}
			>{done
				? VERDICT_WORDS[done]
				: first && !first.overruled
					? `${VERDICT_WORDS[first.verdict]}?`
					: ''}</span
		>
	</button>
{/snippet}

{#snippet reason()}
	{#if current}
		{@const thing = home.things[current.thingId]!}
		<div class="flex items-center justify-between">
			<p class="soft">{open.size} to decide here</p>
			{#if deciding}<button class="tool tool-quiet lg:hidden" onclick={() => (deciding = false)}
					>Put away</button
				>{/if}
		</div>
		<h2 class="mb-1">{current.count} × {thing.name}</h2>
		<p class="soft mb-3">{categoryOf(thing.category).name}. {when(current)}.</p>
		{#each advice as item, i (item.code)}
			<div
				class="mb-3 border-l-4 pl-3"
				style="border-color:{item.overruled
					? 'var(--color-base-300)'
					: item.strength === 3
						? 'var(--color-error)'
						: item.strength === 2
							? 'var(--color-primary)'
							: 'var(--color-base-300)'}"
			>
				<b>{i === 0 && !item.overruled ? 'Advice: ' : ''}{VERDICT_WORDS[item.verdict]}</b>
				<span class="soft text-sm">({strengthWord[item.strength]})</span>
				<p>{adviceText(item)}</p>
				{#if item.overruled}
					<p class="soft text-sm">
						Decided otherwise on {dateText(item.overruled.on)}: {VERDICT_WORDS[
							item.overruled.verdict
						].toLowerCase()}{item.overruled.reason ? `, “${item.overruled.reason}”` : ''}.
					</p>
				{/if}
			</div>
		{:else}
			<p class="mb-3">No reason not to keep it.</p>
		{/each}
		<div class="grid grid-cols-2 gap-2" role="group" aria-label="Decide, by button or by letter">
			{#each Object.values(VERDICT_KEYS) as verdict (verdict)}
				<button
					class="tool justify-start"
					class:tool-now={verdict === advisedVerdict(advice)}
					onclick={() => choose(verdict)}
					aria-keyshortcuts={KEY_OF[verdict]}
					><kbd>{KEY_OF[verdict].toUpperCase()}</kbd>{VERDICT_WORDS[verdict]}</button
				>
			{/each}
		</div>
		{#if current.count > 1}
			<label class="mt-3 flex items-center gap-2"
				>Only so many of the {current.count}
				<input
					class="box measure w-24"
					type="number"
					min="1"
					max={current.count}
					bind:value={some}
					placeholder="all"
				/></label
			>
		{/if}
		<label class="mt-3 flex min-h-11 items-center gap-2"
			><input type="checkbox" class="size-5" bind:checked={wantAgain} />Put it on the shopping list</label
		>
		<label class="flex min-h-11 items-center gap-2"
			><input type="checkbox" class="size-5" bind:checked={avoid} />Do not buy it again</label
		>
		<label class="mt-2 block"
			>Move goes to
			<select
				class="box"
				value={moveTo}
				onchange={(event) => (movePick = event.currentTarget.value)}
			>
				<option value="">the table, for now</option>
				{#each places as place (place.nook.id)}<option value={place.nook.id}
						>{place.nook.name}</option
					>{/each}
			</select></label
		>
		<p class="soft mt-2 text-sm">
			One letter decides, Enter takes the advice, X takes it back. When in doubt, throw it out;
			local food-safety advice goes first.
		</p>
	{/if}
{/snippet}

<style>
	.against,
	.full {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.6rem;
		margin-bottom: 0.6rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.3rem 0.7rem;
		background: var(--color-base-200);
	}
	.full a {
		display: inline-flex;
		align-items: center;
		min-height: 44px;
		text-decoration: underline;
	}
	.row.now {
		border-left-color: var(--color-primary);
		background: var(--color-base-200);
	}
	.row {
		border-top: 1px solid var(--color-base-300);
		border-left: 4px solid transparent;
		display: grid;
		grid-template-columns: 3rem minmax(0, 1fr) auto;
		gap: 0.75rem;
		align-items: center;
		width: 100%;
		min-height: 52px;
		padding: 0.35rem 0.6rem;
		text-align: left;
		cursor: pointer;
	}
	.count {
		font-size: 1.15rem;
		text-align: right;
	}
	.state {
		margin-left: 0.4rem;
		padding: 0 0.4rem;
		border: 1px solid var(--ink-soft);
		font-size: 0.85rem;
		font-style: normal;
	}
	.verdict {
		color: var(--color-primary);
		font-weight: 600;
	}
	.verdict.done {
		color: var(--color-success);
	}
	.verdict.past {
		color: var(--ink-soft);
	}
	.verdict.danger {
		color: var(--color-error);
	}
	kbd {
		font-family: var(--font-mono);
		min-width: 1.3rem;
		border: 1px solid currentColor;
		text-align: center;
	}
</style>
