<script lang="ts">
	import Play from '@lucide/svelte/icons/play';
	import Printer from '@lucide/svelte/icons/printer';
	import Square from '@lucide/svelte/icons/square';
	import { toast } from 'svelte-sonner';
	import type { Group } from '$lib/core/model';
	import {
		assignmentNow,
		brokenRules,
		buildZoneModel,
		DEFAULT_PLACE,
		freeSpaceOf,
		layoutOf,
		partsAt,
		pricesFor,
		toZonePlan,
		totalsOf,
		whyLeft,
		zoneFingerprint
	} from '$lib/core/zoning';
	import { brokenText, hardText, ruledOutText, smallestChangeText } from '$lib/messages/zoning';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { PlaceJob } from '$lib/state/place-job.svelte';
	import { createPlaceClient } from '$lib/workers/place.client';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';
	import SchoolChoice from '$lib/ui/place/SchoolChoice.svelte';
	import WholeWeek from '$lib/ui/place/WholeWeek.svelte';
	import WishList from '$lib/ui/place/WishList.svelte';
	import PlaceReason from '$lib/ui/panels/PlaceReason.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const job = new PlaceJob(createPlaceClient());
	// Whoever goes elsewhere has not asked for the half-found plan.
	$effect(() => () => job.leave());

	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	const model = $derived(buildZoneModel(home));
	const stale = $derived(!!plan && plan.fingerprint !== zoneFingerprint(home));
	const shown = $derived(plan?.assignments ?? []);
	const layout = $derived(layoutOf(model, shown));
	const before = $derived(totalsOf(model, assignmentNow(home)));
	const after = $derived(totalsOf(model, shown));
	const free = $derived(freeSpaceOf(model, layout, home.settings.play.fillShare));
	const broken = $derived(plan ? brokenRules(model, layout.assignment) : []);
	const runs = $derived(
		Object.values(home.runs)
			.map((run) => ({
				run,
				count: Object.values(home.cabinets).filter((c) => c.runId === run.id).length
			}))
			.filter(({ count }) => count > 0)
			.sort((a, b) => b.count - a.count)
	);
	const notes = $derived.by(() => {
		const found = new Map<string, { group: Group; part: boolean; pinned: boolean }[]>();
		for (const { groupId, nookId, share } of shown) {
			const group = home.groups[groupId];
			if (!group) continue;
			const pinned = home.pins.some(
				(pin) => pin.kind === 'pin' && pin.groupId === groupId && pin.nookId === nookId
			);
			found.set(nookId, [...(found.get(nookId) ?? []), { group, part: share < 0.999, pinned }]);
		}
		return found;
	});
	/** What is in hand: what a group has in one place, or (null) what of it has none. */
	let held = $state<{ groupId: string; nookId: string | null } | null>(null);
	let looked = $state<{ groupId: string; nookId: string } | null>(null);
	const heldParts = $derived(held ? partsAt(model, layout, held.groupId, held.nookId) : []);
	const heldShare = $derived(heldParts.reduce((sum, g) => sum + model.parts[g]!.share, 0));
	const heldPrices = $derived(heldParts.length ? pricesFor(model, layout, heldParts) : []);
	type Meaning = { text: string; tone: 'good' | 'fair' | 'bad'; why?: string };
	const prices = $derived.by(() => {
		if (!held || !heldPrices.length) return undefined;
		// What has no place yet, or one that a rule forbids, is compared with the best that it could have.
		const own = heldPrices.find((price) => price.nookId === held?.nookId);
		const isPlaced = !!own && !own.hard;
		const least = isPlaced
			? 0
			: Math.min(...heldPrices.filter((price) => price.fits).map((price) => price.extra));
		const here = isPlaced ? 'here' : 'best';
		return new Map(
			heldPrices.map((price): [string, Meaning] => {
				if (price.hard)
					return [price.nookId, { text: 'no', tone: 'bad', why: hardText(price.hard) }];
				if (!price.fits)
					return [price.nookId, { text: price.conflict ? 'no, food' : 'full', tone: 'bad' }];
				const at = price.extra - least;
				const text = Math.abs(at) < 0.5 ? here : `${at > 0 ? '+' : '−'}${Math.abs(at).toFixed(0)}`;
				return [price.nookId, { text, tone: at <= 20 ? ('good' as const) : ('fair' as const) }];
			})
		);
	});
	const loosely = $derived(
		plan?.overflow.map((id) => home.groups[id]).filter((group) => !!group) ?? []
	);

	/** What has no place, with the reason and the smallest change that would help. */
	const left = $derived(
		loosely.flatMap((group) => {
			const g = model.parts.findIndex(
				({ figures }, i) => figures.groupId === group.id && layout.assignment[i]! < 0
			);
			return g < 0 ? [] : [{ group, why: whyLeft(model, layout, g) }];
		})
	);

	async function solve() {
		held = null;
		const result = await job.start(home, { seed: DEFAULT_PLACE.seed, moves: DEFAULT_PLACE.moves });
		if (!result) return;
		if (result.status === 'nothing-to-place')
			return void toast.info('There is nothing to place: no group holds anything.');
		store.run('zone plan', 'adoptPlan', toZonePlan(result, newId(), 'Plan', now()));
	}
	const holds = (groupId: string, nookId: string) =>
		held?.groupId === groupId && held.nookId === nookId;
	function pick(groupId: string, nookId: string) {
		looked = { groupId, nookId };
		held = holds(groupId, nookId) ? null : { groupId, nookId };
	}
	function drop(nookId: string) {
		if (!held) {
			const first = notes.get(nookId)?.[0];
			looked = first ? { groupId: first.group.id, nookId } : null;
			return;
		}
		const { groupId, nookId: fromId } = held;
		const price = heldPrices.find((p) => p.nookId === nookId);
		const group = home.groups[groupId]!;
		if (price?.hard)
			toast.warning(
				`${group.name}: ${hardText(price.hard)} Moved there anyway, and marked as breaking a rule.`
			);
		else if (price && !price.fits)
			toast.warning(
				`${group.name}: ${hardText(price.conflict ? 'conflict' : 'over-capacity')} Moved there anyway.`
			);
		if (fromId !== nookId)
			store.run(
				`${group.name} to ${home.nooks[nookId]?.name}`,
				'movePart',
				groupId,
				fromId,
				nookId
			);
		looked = { groupId, nookId };
		held = null;
	}
	/** A tag may also be dragged: where the pointer is let go decides. */
	let pressed: { groupId: string; nookId: string; x: number; y: number } | null = null;
	function down(event: PointerEvent) {
		const note = (event.target as Element).closest('[data-note]')?.getAttribute('data-note');
		const [groupId, nookId] = note?.split('/') ?? [];
		pressed = groupId && nookId ? { groupId, nookId, x: event.clientX, y: event.clientY } : null;
	}
	function move(event: PointerEvent) {
		if (pressed && !held && Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y) > 8) {
			held = { groupId: pressed.groupId, nookId: pressed.nookId };
			looked = { groupId: pressed.groupId, nookId: pressed.nookId };
		}
	}
	function up(event: PointerEvent) {
		const dragged =
			pressed &&
			holds(pressed.groupId, pressed.nookId) &&
			Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y) > 8;
		pressed = null;
		if (!dragged) return;
		const target = document.elementFromPoint(event.clientX, event.clientY)?.closest('[data-nook]');
		const nookId = target?.getAttribute('data-nook');
		if (nookId) drop(nookId);
	}
	const whole = (value: number) => Math.round(value).toLocaleString('en');
</script>

<svelte:window
	onkeydown={(event) => event.key === 'Escape' && (held = null)}
	onpointermove={move}
	onpointerup={up}
/>
<Bench raised={!!looked && !held} panel={plan ? panel : undefined} panelLabel="Reasons and figures">
	<PlaceHead>
		{#if job.state.kind === 'running'}
			<span role="status" class="measure"
				>{#if job.state.progress}{Math.round(job.state.progress.doneShare * 100)} %, best {whole(
						job.state.progress.best.objective
					)}{:else}reading the home …{/if}</span
			>
			<button class="tool" onclick={() => job.stop()}
				><Square size={18} />Stop, keep the best</button
			>
		{:else if runs.length}
			{#if plan}<button class="tool" onclick={() => window.print()}
					><Printer size={18} />Print the notes</button
				>{/if}
			<button class="tool" class:tool-now={!plan || stale} onclick={solve}
				><Play size={18} />{plan ? 'Solve again' : 'Solve'}</button
			>
		{/if}
	</PlaceHead>
	{#if job.state.kind === 'failed'}
		<p role="alert" class="mb-3" style="color:var(--color-error)">
			The plan was not computed: {job.state.reason} The last plan is still here.
		</p>
	{/if}
	{#if !runs.length || !model.parts.length}
		<EmptyNote title={runs.length ? 'Nothing to place yet' : 'No places yet'}>
			<p>
				The plan gives every group a place: near where it is used, within reach, never over a hard
				rule. It needs measured places and things in groups.
			</p>
			<a class="tool tool-now" href="/home/{home.id}/{runs.length ? 'sort' : 'walk'}"
				>Go to {runs.length ? 'Sort' : 'Walk'}</a
			>
		</EmptyNote>
	{:else}
		{#if !plan}
			<p class="mb-3 max-w-2xl">
				{model.parts.length} groups to place in {model.places.length} places. Press <b>Solve</b>:
				every note is then put on its door, with the reason for each.
			</p>
		{:else if stale}
			<p class="mb-3" role="status">
				<b>This plan is stale:</b> something it was computed from has changed. Solve again, or go on with
				it.
			</p>
		{/if}
		{#if held}
			<p class="held" role="status">
				You hold <TagChip group={home.groups[held.groupId]!} /><span
					>{#if heldParts.length && heldShare < 0.999}{Math.round(heldShare * 100)} % of it; the rest
						stays where it is.{' '}{/if}Tap a place, or press Enter on one, to put it down; the
					figure is what it adds to the week’s effort, in metres. Esc lets go.</span
				>
			</p>
		{/if}
		<!-- svelte-ignore a11y_no_static_element_interactions -->
		<div onpointerdown={down} class="flex flex-col gap-6">
			{#each runs as { run } (run.id)}
				<section aria-label={run.name} class="run">
					<h2 class="mb-1">{run.name}</h2>
					<FrontView
						{home}
						{run}
						{notes}
						{prices}
						{held}
						selected={looked?.nookId ?? null}
						onselect={drop}
						onnote={pick}
					/>
				</section>
			{/each}
		</div>
	{/if}
</Bench>

{#snippet panel()}
	{#if plan}
		{#if looked && home.groups[looked.groupId]}
			<PlaceReason
				{home}
				{model}
				{layout}
				groupId={looked.groupId}
				nookId={looked.nookId}
				onclose={() => (looked = null)}
				onhold={() => (held = { ...looked! })}
				onpin={() =>
					store.run(
						`pin ${home.groups[looked!.groupId]!.name}`,
						'togglePin',
						looked!.groupId,
						looked!.nookId,
						'pin'
					)}
				onban={() =>
					store.run(
						`rule out ${home.nooks[looked!.nookId]!.name}`,
						'togglePin',
						looked!.groupId,
						looked!.nookId,
						'ban'
					)}
			/>
			{@const here = (notes.get(looked.nookId) ?? []).filter(
				({ group }) => group.id !== looked?.groupId
			)}
			{#if here.length}
				<h3 class="mt-3 mb-1">Also here</h3>
				<div class="flex flex-wrap gap-2">
					{#each here as { group } (group.id)}<button
							class="cursor-pointer"
							onclick={() => (looked = { groupId: group.id, nookId: looked!.nookId })}
							><TagChip {group} /></button
						>{/each}
				</div>
			{/if}
			<hr class="my-4" />
		{/if}
		<WholeWeek
			{home}
			{plan}
			{stale}
			{before}
			{after}
			{free}
			effort={layout.objective}
			broken={broken.length > 0}
		/>
		<WishList {home} {plan} {stale} />
		{#if left.length}
			<h3 class="mt-4" style="color:var(--color-error)">Without a place</h3>
			<ul>
				{#each left as { group, why } (group.id)}
					<li class="rule-top py-2">
						<button
							class="cursor-pointer"
							onclick={() => (held = { groupId: group.id, nookId: null })}
							><TagChip {group} /></button
						>
						<p class="text-sm">{smallestChangeText(why.change, home)}</p>
						{#if why.rules[0]}<p class="soft text-sm">
								{ruledOutText(why.rules[0], model.places.length, home)}
							</p>{/if}
					</li>
				{/each}
			</ul>
		{/if}
		{#if broken.length}
			<h3 class="mt-4" style="color:var(--color-error)">Broken rules</h3>
			<ul>
				{#each broken as rule, i (i)}<li class="py-1">
						<b>{home.groups[rule.groupId]?.name}</b> in {home.nooks[rule.nookId]?.name}: {brokenText(
							rule
						)}
					</li>{/each}
			</ul>
		{/if}
		<SchoolChoice />
	{/if}
{/snippet}

<style>
	.held {
		position: sticky;
		top: 0;
		z-index: 20;
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
		margin-bottom: 0.5rem;
		padding: 0.5rem 0.75rem;
		background: var(--color-base-100);
		border: 2px solid var(--color-primary);
	}
	@media print {
		.run {
			break-after: page;
		}
	}
</style>
