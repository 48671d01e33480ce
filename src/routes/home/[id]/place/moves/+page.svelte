<script lang="ts">
	import ArrowRight from '@lucide/svelte/icons/arrow-right';
	import Printer from '@lucide/svelte/icons/printer';
	import { formatVolume } from '$lib/core/model';
	import { moveCaution, moveOrder, type MoveStep } from '$lib/core/zoning';
	import { cautionText, lotText } from '$lib/messages/notes';
	import { listText } from '$lib/messages/numbers';
	import { getHomeStore } from '$lib/state/context';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	const order = $derived(plan ? moveOrder(home, plan) : null);
	const first = $derived(order?.steps[0]);
	const nameOf = (nookId: string | null) =>
		nookId === null ? 'the table' : (home.nooks[nookId]?.name ?? 'a place that is gone');
	const runOf = (nookId: string | null) =>
		nookId ? home.runs[home.cabinets[home.nooks[nookId]?.cabinetId ?? '']?.runId ?? ''] : undefined;
	/** Both ends of the step at hand, on one wall where they share it. */
	const walls = $derived.by(() => {
		if (!first) return [];
		const ends = [
			{ run: runOf(first.from), nookId: first.from },
			{ run: first.kind === 'carry' ? runOf(first.to) : undefined, nookId: first.to }
		];
		return ends.filter(
			(end): end is { run: NonNullable<typeof end.run>; nookId: string } =>
				!!end.run && end.nookId !== null
		);
	});
	const things = (step: MoveStep) =>
		step.loads.map(({ lotId, thingId, count, partId }) =>
			lotText(home.things[thingId]?.name ?? '', count, home.lots[lotId], partId !== null)
		);
	const words = (step: MoveStep) =>
		`${home.groups[step.groupId]?.name ?? 'things'}: ${nameOf(step.from)} to ${
			step.kind === 'lift' ? 'the table' : nameOf(step.to)
		}`;
	const cautionOf = (step: MoveStep) => {
		const caution = step.kind === 'carry' ? moveCaution(home, step) : null;
		return caution && cautionText(caution);
	};
	const SHOWN = 6;
	const BRIEF = 3;
</script>

<Bench>
	<PlaceHead>
		{#if order?.steps.length}
			<button class="btn" onclick={() => window.print()}
				><Printer size={18} />Print the moves</button
			>
		{/if}
	</PlaceHead>
	{#if !plan}
		<EmptyNote title="No plan yet">
			<p>
				Once there is a plan, this lists what to carry where, in an order that needs the least table
				space.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/place">Make a plan</a>
		</EmptyNote>
	{:else if order && first}
		<p class="soft mb-3">
			{order.steps.length} steps, {formatVolume(order.volumeMl)} to carry;
			{#if order.mostOnTableMl > 1}never more than
				<b>{formatVolume(order.mostOnTableMl)}</b> on the table.{:else}nothing has to wait on the
				table.{/if} Lift with a straight back, heavy things close to the body, and do not climb on chairs.
		</p>
		<section class="now" aria-label="The step at hand">
			<div class="flex flex-wrap items-center gap-x-3 gap-y-1">
				<b>{first.kind === 'lift' ? 'Lay on the table' : 'Carry'}</b>
				{#if home.groups[first.groupId]}<TagChip group={home.groups[first.groupId]!} />{/if}
				<span class="measure soft">{formatVolume(first.volumeMl)}</span>
			</div>
			<p class="my-2 flex flex-wrap items-center gap-2 text-lg">
				{nameOf(first.from)}<ArrowRight size={20} aria-label="to" /><b
					>{first.kind === 'lift' ? 'the table' : nameOf(first.to)}</b
				>
			</p>
			<p class="soft">
				{listText(things(first), SHOWN)}
			</p>
			{#if cautionOf(first)}<p class="danger mt-1">{cautionOf(first)}</p>{/if}
			{#if first.kind === 'lift'}<p class="soft">
					Its place, {nameOf(first.to)}, is not free yet.
				</p>{/if}
			<button class="btn btn-primary mt-3" onclick={() => store.run(words(first), 'doMove', first)}
				>Done, next</button
			>
			<div class="no-print mt-3 flex flex-wrap items-end gap-4 overflow-x-auto">
				{#each walls as { run, nookId } (nookId)}
					<FrontView {home} {run} selected={nookId} compactPx={150} />
				{/each}
			</div>
		</section>
		<h2 class="mt-5 mb-1">Then</h2>
		<ol class="then">
			{#each order.steps.slice(1) as step, i (i)}
				<li class="rule-top">
					<span class="measure soft">{i + 2}</span>
					<span class="min-w-0 flex-1"
						><b>{home.groups[step.groupId]?.name}</b>: {nameOf(step.from)} →
						{step.kind === 'lift' ? 'the table' : nameOf(step.to)}
						<span class="soft block text-sm">{listText(things(step), BRIEF)}</span>
						{#if cautionOf(step)}<span class="danger block text-sm">{cautionOf(step)}</span
							>{/if}</span
					>
					<span class="measure soft whitespace-nowrap"
						>{step.tableMl > 1 ? `table ${formatVolume(step.tableMl)}` : ''}</span
					>
				</li>
			{/each}
		</ol>
	{:else}
		<p class="py-4">
			Everything stands where the plan has it. <a class="underline" href="/home/{home.id}/fit"
				>Go on to Fit</a
			>
		</p>
	{/if}
</Bench>

<style>
	.now {
		border-left: 4px solid var(--color-primary);
		padding: 0.8rem 1rem;
		background: var(--color-base-200);
	}
	.danger {
		color: var(--color-error);
	}
	.then li {
		display: flex;
		gap: 0.8rem;
		align-items: baseline;
		min-height: 40px;
		padding: 0.4rem 0;
	}
</style>
