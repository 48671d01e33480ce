<script lang="ts">
	import {
		adviseLot,
		decide,
		estimateClear,
		parseIntake,
		takeIn,
		tally,
		undecidedLots,
		VERDICT_KEYS,
		LEAVING,
		type IntakeIssue
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
	import { adviceText, dateText, VERDICT_WORDS, whenText } from '$lib/messages/clearing';
	import { now, today } from '$lib/state/clock';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';
	import EntryLine from '$lib/ui/entry/EntryLine.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const places = $derived(nooksInOrder(home));
	/** Decisions of before this visit do not count as made now. */
	const since = now();

	const pastIn = (nookId: string) =>
		Object.values(home.lots).filter((lot) => {
			const date =
				lot.nookId === nookId && lot.count > 0
					? effectiveDate(lot, home.things[lot.thingId]!)
					: null;
			return date !== null && date.on < today();
		}).length;
	/** The value of the choice for stock that stands in no place. */
	const TABLE = 'on-the-table';
	const onTable = $derived(Object.values(home.lots).filter((lot) => !lot.nookId && lot.count > 0));
	let chosen = $state<string | null>(null);
	const atTable = $derived(chosen === TABLE);
	const nookId = $derived(
		atTable
			? null
			: chosen && home.nooks[chosen]
				? chosen
				: ([...places].sort((a, b) => pastIn(b.nook.id) - pastIn(a.nook.id))[0]?.nook.id ?? null)
	);
	const nook = $derived(nookId ? home.nooks[nookId] : undefined);
	const flagged = $derived(
		new Set(places.map((p) => p.nook.id as string).filter((id) => pastIn(id) > 0))
	);
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
	const advices = $derived(
		new Map(
			lots.map((lot) => [
				lot.id as string,
				adviseLot({ home, lot, thing: home.things[lot.thingId]!, today: today() })
			])
		)
	);
	/** What needs a decision most comes first: the strongest advice, then the nearest date. */
	const queue = $derived(
		[...lots].sort(
			(a, b) =>
				Number(!open.has(a.id)) - Number(!open.has(b.id)) ||
				(advices.get(b.id)?.[0]?.strength ?? 0) - (advices.get(a.id)?.[0]?.strength ?? 0) ||
				(a.id < b.id ? -1 : 1)
		)
	);
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
	const estimate = $derived(estimateClear(lots.length));

	const KEY_OF = Object.fromEntries(
		Object.entries(VERDICT_KEYS).map(([key, verdict]) => [verdict, key])
	) as Record<Verdict, string>;
	let wantAgain = $state(false);
	/** Where `move` goes: as the plan says, unless another place is chosen. */
	let movePick = $state<string | null>(null);
	const moveTo = $derived.by(() => {
		if (movePick !== null) return movePick;
		const groupId = current ? home.things[current.thingId]?.groupId : null;
		const plan = home.activePlanId ? home.zonePlans[home.activePlanId] : undefined;
		return plan?.assignments.find((a) => a.groupId === groupId)?.nookId ?? '';
	});
	function choose(verdict: Verdict) {
		if (!current) return;
		const thing = home.things[current.thingId]!;
		// What leaves but is restocked goes on the list in the same gesture.
		const again = wantAgain || (LEAVING.has(verdict) && thing.parPacks !== null);
		store.edit(
			`${VERDICT_WORDS[verdict].toLowerCase()} ${thing.name}`,
			decide({
				lotId: current.id,
				verdict,
				advice: advice[0] ?? null,
				wantAgain: again,
				toNookId: verdict === 'move' && moveTo ? NookId.parse(moveTo) : null,
				ids: { decision: newId(), event: newId() },
				now: now()
			})
		);
		[picked, wantAgain, movePick] = [null, false, null];
	}
	function keys(event: KeyboardEvent) {
		const target = event.target as HTMLElement;
		if (target.closest('input, textarea, select') || event.ctrlKey || event.metaKey || event.altKey)
			return;
		if (event.key.toLowerCase() === 'x') return store.undo();
		const verdict = VERDICT_KEYS[event.key.toLowerCase()];
		if (!verdict || !current) return;
		event.preventDefault();
		choose(verdict);
	}
	/** Said once a line is booked. */
	let entered = $state('');
	function enter(text: string): readonly IntakeIssue[] {
		const { line, issues } = parseIntake(text, home.dateOrder);
		if (issues.length) return issues;
		store.edit(
			`enter ${line.name}`,
			takeIn({
				line,
				nookId: nookId ? NookId.parse(nookId) : null,
				thingId: newId(),
				lotId: newId(),
				today: today()
			})
		);
		entered = `${line.count} ${line.name} entered${nook ? ` at ${nook.name}` : ''}.`;
		return [];
	}
	function when(lot: Lot): string {
		const date = effectiveDate(lot, home.things[lot.thingId]!);
		return date ? `${dateText(date.on)}, ${whenText(today(), date.on)}` : 'no date';
	}
	const strengthWord = ['', 'tidiness', 'quality', 'safety'];
</script>

<svelte:window onkeydown={keys} />
<Bench raised={deciding} panel={current ? reason : undefined} panelLabel="Advice">
	<StageHead stage="clear">
		{#if places.length}
			<label class="flex items-center gap-2"
				><span class="soft">Place</span>
				<select
					class="box"
					value={atTable ? TABLE : nookId}
					onchange={(event) => {
						chosen = event.currentTarget.value;
						picked = null;
					}}
				>
					{#if onTable.length || atTable}<option value={TABLE}
							>On the table ({onTable.length})</option
						>{/if}
					{#each places as place (place.nook.id)}
						{@const past = pastIn(place.nook.id)}
						<option value={place.nook.id}>{place.nook.name}{past ? ` (${past} past)` : ''}</option>
					{/each}
				</select>
			</label>
		{/if}
	</StageHead>
	{#if !places.length}
		<EmptyNote title="No places to clear yet">
			<p>Add a room and a cabinet in Walk first, so that what you enter has a place.</p>
			<a class="tool tool-now" href="/home/{home.id}/walk">Go to Walk</a>
		</EmptyNote>
	{:else}
		<p class="soft mb-3">
			{lots.length} things here, about {estimate.minutes} min: 10 to empty and wipe, half a minute a thing,
			10 to put back, and two fifths more, since one always under-estimates.
		</p>
		<WallStrip
			{home}
			{flagged}
			selected={nookId}
			onselect={(id) => {
				chosen = id;
				picked = null;
			}}
		/>
		<EntryLine
			order={home.dateOrder}
			{entered}
			onenter={enter}
			onorder={(order) =>
				store.edit(`dates are written ${order}`, (draft) => void (draft.dateOrder = order))}
		/>
		<ul class="pile" aria-label="Pile: {nook?.name ?? 'on the table'}">
			{#each queue as lot (lot.id)}
				{@const thing = home.things[lot.thingId]!}
				{@const first = advices.get(lot.id)?.[0]}
				{@const done = verdictOf.get(lot.id)}
				<li class:now={lot.id === current?.id}>
					<button
						class="row"
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
							<span class="soft block text-sm">{when(lot)}</span></span
						>
						<span class="verdict" class:done={!!done} class:danger={!done && first?.strength === 3}
							>{done ? VERDICT_WORDS[done] : first ? `${VERDICT_WORDS[first.verdict]}?` : ''}</span
						>
					</button>
				</li>
			{:else}
				<li class="py-4">
					This place is empty. Type what you find in it, one thing a line, or choose another place.
				</li>
			{/each}
		</ul>
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
				style="border-color:{item.strength === 3
					? 'var(--color-error)'
					: item.strength === 2
						? 'var(--color-primary)'
						: 'var(--color-base-300)'}"
			>
				<b>{i === 0 ? 'Advice: ' : ''}{VERDICT_WORDS[item.verdict]}</b>
				<span class="soft text-sm">({strengthWord[item.strength]})</span>
				<p>{adviceText(item)}</p>
			</div>
		{:else}
			<p class="mb-3">Nothing speaks against keeping it.</p>
		{/each}
		<div class="grid grid-cols-2 gap-2" role="group" aria-label="Decide, by button or by letter">
			{#each Object.values(VERDICT_KEYS) as verdict (verdict)}
				<button
					class="tool justify-start"
					class:tool-now={verdict === (advice[0]?.verdict ?? 'keep')}
					onclick={() => choose(verdict)}
					aria-keyshortcuts={KEY_OF[verdict]}
					><kbd>{KEY_OF[verdict].toUpperCase()}</kbd>{VERDICT_WORDS[verdict]}</button
				>
			{/each}
		</div>
		<label class="mt-3 flex min-h-11 items-center gap-2"
			><input type="checkbox" class="size-5" bind:checked={wantAgain} />Put it on the shopping list</label
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
		<p class="soft text-sm">
			One letter decides, X takes it back. When in doubt, throw it out; local food-safety advice
			goes first.
		</p>
	{/if}
{/snippet}

<style>
	.pile li {
		border-top: 1px solid var(--color-base-300);
		border-left: 4px solid transparent;
	}
	.pile li.now {
		border-left-color: var(--color-primary);
		background: var(--color-base-200);
	}
	.row {
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
