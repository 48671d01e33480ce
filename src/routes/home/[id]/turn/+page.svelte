<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import { formatMoney } from '$lib/core/model';
	import {
		picksOf,
		shoppingList,
		useFirst,
		type Pick,
		type ShoppingReason
	} from '$lib/core/rotation';
	import { dateText, daysText } from '$lib/messages/clearing';
	import { now, today } from '$lib/state/clock.svelte';
	import { page } from '$app/state';
	import { getHomeStore } from '$lib/state/context';
	import { undoToast } from '$lib/state/undo-toast';
	import { newId } from '$lib/state/ids';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import CorrectButton from '$lib/ui/frame/CorrectButton.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';
	import VirtualList from '$lib/ui/frame/VirtualList.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	let days = $state(14);
	/** A place that was searched for, or chosen here since. */
	let nookId = $derived(page.url.searchParams.get('place'));
	const sought = $derived(page.url.searchParams.get('thing'));
	const soon = $derived(useFirst(home, today(), days));
	const shown = $derived(
		nookId ? picksOf(home, today()).filter((pick) => pick.lot.nookId === nookId) : soon
	);
	/** As text first: an edit that flags the same places draws nothing anew. */
	const flaggedIds = $derived(
		[...new Set(soon.map((pick) => pick.lot.nookId as string))].filter(Boolean).sort().join(' ')
	);
	const flagged = $derived(new Set(flaggedIds.split(' ')));
	const list = $derived(shoppingList(home));
	const cost = $derived(list.reduce((sum, line) => sum + (line.priceMinor ?? 0) * line.buy, 0));
	const shelves = $derived([...new Set(list.map((line) => line.shelf))]);
	const BASIS = {
		printed: 'printed on the pack',
		opened: 'from the day it was opened',
		thawed: 'from the day it thawed',
		frozen: 'from the day it was frozen',
		made: 'from the day it was made'
	} as const;
	const REASON: Record<ShoppingReason, string> = {
		'run-out': 'run out',
		'below-par': 'below what you hold',
		'wanted-again': 'thrown out, wanted again',
		container: 'container'
	};

	function take({ lot, thing }: Pick) {
		store.run(`take 1 ${thing.name}`, 'takeDown', {
			lotId: lot.id,
			count: 1,
			eventId: newId(),
			now: now()
		});
		undoToast(store, `1 ${thing.name} taken down.`, 'taken');
	}
</script>

<Bench panel={Object.keys(home.things).length ? panel : undefined} panelLabel="Shopping list">
	<StageHead stage="turn">
		<label class="flex items-center gap-2"
			><span class="soft">Within</span>
			<select class="select" bind:value={days} disabled={!!nookId}
				><option value={3}>3 days</option><option value={14}>two weeks</option><option value={60}
					>two months</option
				></select
			></label
		>
	</StageHead>
	{#if !Object.keys(home.lots).length}
		<EmptyNote title="No stock yet">
			<p>
				This shows what to use first, by its printed date or by how long it keeps once opened,
				thawed or frozen. Enter some stock in Clear.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/clear">Go to Clear</a>
		</EmptyNote>
	{:else}
		<WallStrip
			{home}
			{flagged}
			selected={nookId}
			onselect={(id) => (nookId = nookId === id ? null : id)}
		/>
		<div class="my-2 flex items-center gap-3">
			<h2>{nookId ? home.nooks[nookId]?.name : 'Use first'}</h2>
			<span class="soft">{shown.length} lots{nookId ? ', nearest date in front' : ''}</span>
			{#if nookId}<button class="btn btn-ghost" onclick={() => (nookId = null)}
					>Show all places</button
				>{/if}
		</div>
		{#if shown.length}
			<VirtualList
				items={shown}
				key={(pick) => pick.lot.id}
				estimatePx={56}
				label={nookId ? 'Stock here' : 'Use first'}
				row={stockRow}
			/>
		{:else}
			<p class="py-4">{nookId ? 'Nothing stands here.' : 'Nothing is due. Well done.'}</p>
		{/if}
		<p class="soft mt-3 text-sm">
			Past its use-by date: do not eat it, however it smells. Past its best-before date: look,
			smell, then decide in Clear.
		</p>
	{/if}
</Bench>

{#snippet stockRow(pick: Pick)}
	{@const { lot, thing, date, daysLeft } = pick}
	{@const group = thing.groupId ? home.groups[thing.groupId] : undefined}
	<div class="row" class:sought={thing.id === sought}>
		<span class="when measure" class:past={daysLeft !== null && daysLeft < 0}
			>{daysLeft === null ? 'no date' : daysText(daysLeft)}</span
		>
		<span class="min-w-0">
			<b>{thing.name}</b>{#if lot.states.includes('open')}{' '}<span class="soft">open</span>{/if}
			<span class="soft block text-sm"
				>{date ? `${dateText(date.on)}, ${BASIS[date.basis]}` : 'nothing printed'} · {lot.nookId
					? home.nooks[lot.nookId]?.name
					: 'on the table'}</span
			>
		</span>
		<span class="tag"
			>{#if group}<TagChip {group} short />{/if}</span
		>
		<span class="measure count">{lot.count}</span>
		<CorrectButton id={lot.id} name={thing.name} short />
		<button class="btn" onclick={() => take(pick)} aria-label="Take down one {thing.name}"
			><Minus size={18} />1</button
		>
	</div>
{/snippet}

{#snippet panel()}
	<h2>Shopping list</h2>
	<p class="soft mb-2">
		{list.length} lines{cost
			? `, about ${formatMoney(cost, home.currency)} where prices are known`
			: ''}.
	</p>
	{#each shelves as shelf (shelf)}
		<h3 class="rule-top pt-2">{shelf}</h3>
		<ul class="mb-2">
			{#each list.filter((line) => line.shelf === shelf) as line (line.thingId ?? line.kindId)}
				<li class="py-1">
					<span class="measure">{line.buy} ×</span>
					{line.name}
					<span class="soft block text-sm"
						>{REASON[line.reason]}: have {line.have}{line.par !== null
							? ` of ${line.par}`
							: ''}{line.ceiling
							? `; no more than ${line.ceiling} is used before it spoils`
							: ''}</span
					>
				</li>
			{/each}
		</ul>
	{:else}
		<p>You have everything at the level you want.</p>
	{/each}
{/snippet}

<style>
	.row {
		display: grid;
		grid-template-columns: 7.5rem minmax(0, 1fr) auto 2.5rem auto auto;
		gap: 0.75rem;
		align-items: center;
		min-height: 54px;
		border-top: 1px solid var(--color-base-300);
		padding: 0.25rem 0;
	}
	.row.sought {
		background: var(--color-base-200);
		box-shadow: inset 4px 0 0 var(--color-primary);
		padding-left: 0.75rem;
	}
	.when {
		color: var(--color-primary);
		font-size: 0.95rem;
	}
	.when.past {
		color: var(--color-error);
		font-weight: 700;
	}
	.count {
		text-align: right;
		font-size: 1.1rem;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: minmax(0, 1fr) 2rem auto auto;
		}
		.when {
			grid-column: 1 / -1;
			margin-bottom: -0.6rem;
		}
		.tag {
			display: none;
		}
	}
</style>
