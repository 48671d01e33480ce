<script lang="ts">
	import Boxes from '@lucide/svelte/icons/boxes';
	import Check from '@lucide/svelte/icons/check';
	import { toast } from 'svelte-sonner';
	import {
		fitFingerprint,
		keptOf,
		type Arrangement,
		type ArrangementName,
		type FitResult
	} from '$lib/core/fitting';
	import { formatLength, formatMass, formatMoney, formatVolume } from '$lib/core/model';
	import { nooksInOrder } from '$lib/core/survey';
	import { shoppingList } from '$lib/core/rotation';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { createFitClient } from '$lib/workers/fit.client';
	import ShelfView from '$lib/ui/drawing/ShelfView.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import HouseContainers from '$lib/ui/panels/HouseContainers.svelte';
	import WallStrip from '$lib/ui/drawing/WallStrip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const client = createFitClient();
	$effect(() => () => client.cancel());

	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	const planned = $derived(
		new Set((plan?.assignments ?? []).map(({ nookId }) => nookId as string))
	);
	const places = $derived(nooksInOrder(home).filter(({ nook }) => planned.has(nook.id)));
	const fitOf = (nookId: string) =>
		Object.values(home.fitPlans).find((fit) => fit.nookId === nookId);
	const without = $derived(
		places.filter(({ nook }) => {
			const fit = fitOf(nook.id);
			return !fit || fit.fingerprint !== fitFingerprint(home, nook.id);
		})
	);
	const flagged = $derived(new Set(without.map(({ nook }) => nook.id as string)));
	let chosen = $state<string | null>(null);
	const nookId = $derived(
		chosen && home.nooks[chosen] ? chosen : (without[0]?.nook.id ?? places[0]?.nook.id ?? null)
	);
	const nook = $derived(nookId ? home.nooks[nookId] : undefined);
	const kept = $derived(nookId ? fitOf(nookId) : undefined);
	const keptStale = $derived(
		!!kept && !!nookId && kept.fingerprint !== fitFingerprint(home, nookId)
	);
	const groups = $derived(
		[...new Set((plan?.assignments ?? []).filter((a) => a.nookId === nookId).map((a) => a.groupId))]
			.map((id) => home.groups[id])
			.filter((group) => !!group)
	);
	let results = $state.raw<Record<string, FitResult>>({});
	const result = $derived(nookId ? results[nookId] : undefined);
	/** null: the best one. */
	let style = $state<ArrangementName | null>(null);
	const arrangements = $derived(result && 'arrangements' in result ? result.arrangements : []);
	const arrangement = $derived(arrangements.find((a) => a.name === style) ?? arrangements[0]);
	const shown = $derived<Pick<Arrangement, 'placements' | 'standing' | 'leftOver'> | null>(
		arrangement ?? kept ?? null
	);
	let busy = $state<{ done: number; of: number } | null>(null);
	let failed = $state('');
	const WORDS: Record<ArrangementName, string> = {
		'house-first': 'House first',
		calm: 'Calm',
		roomy: 'Roomy'
	};
	const buying = $derived(shoppingList(home).filter((line) => line.reason === 'container'));
	const cost = $derived(buying.reduce((sum, line) => sum + (line.priceMinor ?? 0) * line.buy, 0));

	async function run(ids: readonly string[]): Promise<FitResult[]> {
		failed = '';
		busy = { done: 0, of: ids.length };
		const outcome = await client.run(
			{ home, options: { nookIds: ids } },
			(progress) => (busy = progress)
		);
		busy = null;
		if (outcome.kind === 'failed') failed = outcome.reason;
		if (outcome.kind === 'refused') failed = outcome.issues.map((issue) => issue.reason).join(' ');
		return outcome.kind === 'done' ? outcome.result : [];
	}
	async function fitOne() {
		// The place that is fitted, whichever is looked at when the answer comes.
		const id = nookId;
		if (!id) return;
		style = null;
		const [found] = await run([id]);
		if (found) results = { ...results, [id]: found };
	}
	function keep(id: string, best: Arrangement, fingerprint: string) {
		store.run(
			`fit ${home.nooks[id]?.name}`,
			'keepArrangement',
			id,
			keptOf(best),
			fingerprint,
			now(),
			newId()
		);
	}
	/** Fits what has none yet, one place after the other, so that each takes from what the house still has. */
	async function fitAll() {
		const ids = without.map(({ nook }) => nook.id);
		let done = 0;
		for (const id of ids) {
			const [found] = await run([id]);
			if (!found) break;
			busy = { done: ++done, of: ids.length };
			if ('arrangements' in found && found.arrangements[0])
				keep(id, found.arrangements[0], found.fingerprint);
		}
		busy = null;
		if (done)
			toast.success(`${done} places fitted. Look them through; every one can be done again.`);
	}
</script>

<Bench panel={nook && planned.size ? panel : undefined} panelLabel="What goes in and what it costs">
	<StageHead stage="fit">
		{#if busy}
			<span role="status" class="measure">fitting {busy.done} of {busy.of}</span>
			<button class="btn" onclick={() => client.cancel()}>Stop</button>
		{:else if places.length}
			{#if without.length}
				<button class="btn" onclick={fitAll}
					><Boxes size={18} />Fit the {without.length} open places</button
				>
			{/if}
			<button class="btn" class:btn-primary={!kept || keptStale} onclick={fitOne}
				>Fit this place</button
			>
		{/if}
	</StageHead>
	{#if failed}<p role="alert" class="mb-2" style="color:var(--color-error)">
			Not fitted: {failed} What was kept is still here.
		</p>{/if}
	{#if !planned.size}
		<EmptyNote title="No plan to fit yet">
			<p>
				Containers come last: first the plan says which groups live where, then each place is filled
				with what the house has, and only the difference is bought.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/place">Go to Place</a>
		</EmptyNote>
	{:else if nook}
		<WallStrip
			{home}
			selected={nookId}
			{flagged}
			onselect={(id) =>
				planned.has(id)
					? (chosen = id)
					: toast(`${home.nooks[id]?.name} holds no group in the plan.`)}
		/>
		<div class="mt-2 mb-2 flex flex-wrap items-center gap-2">
			<label class="flex items-center gap-2"
				><span class="soft">Place</span>
				<select
					class="select"
					value={nookId}
					onchange={(event) => (chosen = event.currentTarget.value)}
					>{#each places as place (place.nook.id)}<option value={place.nook.id}
							>{place.nook.name}</option
						>{/each}</select
				></label
			>
			{#each groups as group (group.id)}<TagChip {group} />{/each}
		</div>
		{#if arrangements.length}
			<div class="mb-2 flex flex-wrap gap-2" role="group" aria-label="Arrangements">
				{#each arrangements as option (option.name)}
					<button
						class="btn"
						class:btn-primary={option === arrangement}
						aria-pressed={option === arrangement}
						onclick={() => (style = option.name)}
						>{WORDS[option.name]}
						<span class="measure">{formatMoney(option.costMinor, home.currency)}</span></button
					>
				{/each}
				{#if arrangement && nookId && result && 'fingerprint' in result}
					<button
						class="btn"
						onclick={() => {
							keep(nookId, arrangement, result.fingerprint);
							results = { ...results, [nookId]: undefined! };
						}}><Check size={18} />Keep this one</button
					>
				{/if}
			</div>
		{:else if result?.status === 'not-measured'}
			<p role="alert" class="mb-2">Measure the {result.missing.join(', ')} of this place first.</p>
		{:else if kept}
			<p class="soft mb-2">
				{keptStale
					? 'Kept, but stale: the place, its groups or the containers have changed since. Fit it again.'
					: 'Kept. Fit it again to see other arrangements.'}
			</p>
		{:else}
			<p class="soft mb-2">Nothing tried here yet. Press “Fit this place”.</p>
		{/if}
		<div class="grid gap-4 xl:grid-cols-2">
			<figure>
				<figcaption class="font-semibold">From above</figcaption>
				<ShelfView {home} {nook} fit={shown} side="above" />
			</figure>
			<figure>
				<figcaption class="font-semibold">From the front</figcaption>
				<ShelfView {home} {nook} fit={shown} side="front" />
			</figure>
		</div>
	{/if}
</Bench>

{#snippet panel()}
	{#if nook}
		{@const play = home.settings.play}
		<h2 class="mb-1">{nook.name}</h2>
		<p class="soft mb-2">
			Play kept: {play.sideMm} mm at each side, {play.frontMm} mm in front, {play.aboveMm} mm above for
			fingers, {play.pipeMm} mm round pipes.{#if nook.opening}{' '}The way in is {formatLength(
					nook.opening.widthMm,
					home.units
				)} × {formatLength(nook.opening.heightMm, home.units)}.{/if}
		</p>
		{#if shown}
			{@const counts = shown.placements.reduce(
				(map, { kindId }) => map.set(kindId, (map.get(kindId) ?? 0) + 1),
				new Map<string, number>()
			)}
			<h3>Containers</h3>
			<ul class="mb-3">
				{#each [...counts] as [kindId, count] (kindId)}
					{@const kind = home.containerKinds[kindId]}
					{@const buy = arrangement?.toBuy.find((line) => line.kindId === kindId)?.count ?? 0}
					{#if kind}<li class="rule-top py-1">
							<span class="measure">{count}</span> ×
							{kind.name}
							<span class="soft text-sm measure"
								>{kind.outerTop.widthMm} × {kind.outerTop.depthMm} × {kind.heightMm}</span
							>{#if buy}{' '}<b style="color:var(--color-primary)">
									buy {buy}, {formatMoney(kind.priceMinor * buy, home.currency)}</b
								>{/if}
						</li>{/if}
				{:else}
					<li class="soft py-1">None: everything stands on the shelf itself.</li>
				{/each}
			</ul>
			{#if shown.standing.length}<h3>Standing free</h3>
				<p class="mb-3">
					{shown.standing
						.flatMap((block) => block.names)
						.filter((name, i, all) => all.indexOf(name) === i)
						.join(', ')}
				</p>{/if}
			{#if shown.leftOver.length}
				<h3 style="color:var(--color-error)">Did not go in</h3>
				<ul class="mb-3">
					{#each shown.leftOver as left (left.groupId)}<li>
							{home.groups[left.groupId]?.name}: {formatVolume(left.volumeMl)} over. Use another arrangement,
							or move it in Place.
						</li>{/each}
				</ul>
			{/if}
			{#if arrangement}<p class="soft mb-3">
					{Math.round(arrangement.freeShare * 100)} % of the floor stays free; {formatMass(
						arrangement.massG
					)} in all{nook.loadG ? ` of ${formatMass(nook.loadG)} allowed` : ''}.
				</p>{/if}
		{/if}
		{#if result && 'tooBig' in result && result.tooBig.length}
			<details class="mb-3">
				<summary class="min-h-11 cursor-pointer font-semibold">Owned, but too big here</summary>
				<ul>
					{#each result.tooBig as item (item.kindId)}<li class="rule-top py-1">
							{home.containerKinds[item.kindId]?.name}: {formatLength(item.shortMm, home.units)} too much
							in {item.side}
						</li>{/each}
				</ul>
			</details>
		{/if}
		<h2 class="rule-top mt-4 pt-3">To buy for the home</h2>
		<ul>
			{#each buying as line (line.kindId)}<li class="flex justify-between py-1">
					<span><span class="measure">{line.buy}</span> × {line.name}</span><span class="measure"
						>{formatMoney((line.priceMinor ?? 0) * line.buy, home.currency)}</span
					>
				</li>{:else}<li class="soft">Nothing yet: what is kept uses what the house has.</li>{/each}
		</ul>
		{#if buying.length}<p class="rule-top flex justify-between pt-1 font-bold">
				<span>One trip</span><span class="measure">{formatMoney(cost, home.currency)}</span>
			</p>{/if}
		<HouseContainers />
		{#if home.rented}<p class="soft mt-3 text-sm">
				Rented: nothing here needs a screw or leaves a hole.
			</p>{/if}
	{/if}
{/snippet}
