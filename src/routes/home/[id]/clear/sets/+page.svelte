<script lang="ts">
	import { joinAlike, matchHome, rimPieces, type RimPiece } from '$lib/core/clearing';
	import { FIT_MM, formatLength, type Thing } from '$lib/core/model';
	import { now } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import RimPair from '$lib/ui/clear/RimPair.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const match = $derived(matchHome(home));
	const pieces = $derived(rimPieces(home));
	const byKey = $derived(
		new Map([...pieces.vessels, ...pieces.lids].map((piece) => [piece.key, piece]))
	);
	const pairs = $derived(joinAlike(match.pairs, (key) => pieces.lotOf.get(key)?.thing.id ?? key));
	const nameOf = (key: string) => pieces.lotOf.get(key)?.thing.name ?? '';
	/** Kinds of things that come with a lid. */
	const LIDDED: ReadonlySet<string> = new Set([
		'kitchen.food-boxes',
		'kitchen.lids',
		'kitchen.pots',
		'kitchen.lunch'
	]);
	const held = $derived(
		new Set(
			Object.values(home.lots)
				.filter((lot) => lot.count > 0)
				.map((lot) => lot.thingId as string)
		)
	);
	const things = $derived(
		Object.values(home.things)
			.filter((thing) => held.has(thing.id) && (thing.rim || LIDDED.has(thing.category)))
			.sort((a, b) => Number(!!a.rim) - Number(!!b.rim) || a.name.localeCompare(b.name))
	);
	const orphans = $derived([...match.loneVessels, ...match.loneLids]);
	const missesOf = (key: string) =>
		match.nearMisses.filter((miss) => miss.vessel === key || miss.lid === key);
	const rimText = (rim: Pick<RimPiece, 'shape' | 'widthMm' | 'depthMm'>) =>
		rim.shape === 'round'
			? `⌀ ${formatLength(rim.widthMm, home.units)}`
			: `${formatLength(rim.widthMm, home.units)} × ${formatLength(rim.depthMm, home.units)}`;

	function setRim(thing: Thing, change: Partial<NonNullable<Thing['rim']>>) {
		const isLid = thing.category === 'kitchen.lids' || /\b(lid|cover)s?\b/i.test(thing.name);
		const before = thing.rim ?? {
			part: isLid ? ('lid' as const) : ('vessel' as const),
			shape: 'round' as const,
			widthMm: 0,
			depthMm: 0
		};
		const rim = { ...before, ...change };
		if (rim.shape === 'round') rim.depthMm = rim.widthMm;
		store.run(`rim of ${thing.name}`, 'changeThing', thing.id, { rim });
	}
	/** Lets one lone piece go: the rest of its lot stays. */
	function recycle(key: string) {
		const found = pieces.lotOf.get(key);
		if (!found) return;
		store.run(`recycle ${found.thing.name}`, 'decide', {
			lotId: found.lot.id,
			verdict: 'recycle',
			count: 1,
			advice: null,
			wantAgain: false,
			toNookId: null,
			ids: { decision: newId(), event: newId(), rest: newId() },
			now: now()
		});
	}
</script>

<Bench panel={measure} panelLabel="Rims to measure">
	<ClearHead />
	<h2>Boxes and their lids</h2>
	<p class="soft mb-3">
		A round lid fits within {FIT_MM.round} mm, a rectangular one within {FIT_MM.rect} mm a side. As many
		pairs as possible, with the closest fit overall.
	</p>
	{#if match.pairs.length}
		<ul class="pairs" aria-label="Pairs">
			{#each pairs as { pair, count } (pair.vessel)}
				{@const vessel = byKey.get(pair.vessel)}
				{@const lid = byKey.get(pair.lid)}
				<li>
					{#if vessel && lid}<RimPair {vessel} {lid} />{/if}
					<span
						>{#if count > 1}<span class="measure">{count} ×</span>{' '}{/if}<b
							>{nameOf(pair.vessel)}</b
						>
						with <b>{nameOf(pair.lid)}</b><br /><span class="soft measure"
							>{vessel ? rimText(vessel) : ''}, off by {pair.misfitMm} mm</span
						></span
					>
				</li>
			{/each}
		</ul>
	{:else if !pieces.vessels.length && !pieces.lids.length}
		<p class="py-3">
			No rims are measured yet. Measure across each box and each lid; the matches are then found for
			you.
		</p>
	{:else}
		<p class="py-3">None of the measured boxes and lids match.</p>
	{/if}
	{#if orphans.length}
		<section class="mt-5" aria-label="Orphans">
			<h2 class="mb-1">Without their other half</h2>
			<ul>
				{#each orphans as key (key)}
					{@const piece = byKey.get(key)}
					{@const misses = missesOf(key)}
					<li class="rule-top flex flex-wrap items-center gap-x-4 py-2">
						<span class="min-w-0 flex-1">
							<b>{nameOf(key)}</b>
							<span class="soft measure">{piece ? rimText(piece) : ''}</span>
							{#if misses.length}
								<span class="block text-sm"
									>Near: {misses
										.map(
											(miss) =>
												`${nameOf(miss.vessel === key ? miss.lid : miss.vessel)}, ${miss.offMm} mm off`
										)
										.join('; ')}. Try it once by hand.</span
								>
							{/if}
						</span>
						<button class="btn" onclick={() => recycle(key)}>Recycle it</button>
					</li>
				{/each}
			</ul>
			<p class="soft mt-2">
				Have one look for the other half: in the sink, the dishwasher, the fridge, the lunch bags.
			</p>
		</section>
	{/if}
</Bench>

{#snippet measure()}
	<h2 class="mb-1">Measure the rims</h2>
	<p class="soft mb-2">Outer edge of the vessel, inner edge of the lid; round ones across.</p>
	{#each things as thing (thing.id)}
		<details class="rule-top py-1" open={!thing.rim}>
			<summary class="min-h-11 cursor-pointer py-2"
				><b>{thing.name}</b>{#if thing.rim}
					<span class="soft measure">{thing.rim.part}, {rimText(thing.rim)}</span>{/if}</summary
			>
			<div class="grid grid-cols-2 gap-2">
				<label class="text-sm font-semibold"
					>Part<select
						class="select font-normal"
						value={thing.rim?.part ?? ''}
						onchange={(event) =>
							setRim(thing, { part: event.currentTarget.value as 'vessel' | 'lid' })}
						>{#if !thing.rim}<option value="">choose</option>{/if}<option value="vessel"
							>box or pot</option
						><option value="lid">lid</option></select
					></label
				>
				<label class="text-sm font-semibold"
					>Shape<select
						class="select font-normal"
						value={thing.rim?.shape ?? 'round'}
						onchange={(event) =>
							setRim(thing, { shape: event.currentTarget.value as 'round' | 'rect' })}
						><option value="round">round</option><option value="rect">rectangular</option></select
					></label
				>
				<LengthField
					label={thing.rim?.shape === 'rect' ? `Width of ${thing.name}` : `Across ${thing.name}`}
					units={home.units}
					valueMm={thing.rim?.widthMm || null}
					onchange={(widthMm) => setRim(thing, { widthMm })}
				/>
				{#if thing.rim?.shape === 'rect'}
					<LengthField
						label="Depth of {thing.name}"
						units={home.units}
						valueMm={thing.rim.depthMm || null}
						onchange={(depthMm) => setRim(thing, { depthMm })}
					/>
				{/if}
			</div>
		</details>
	{:else}
		<p class="rule-top py-2">No boxes, pots or lids are entered yet.</p>
	{/each}
{/snippet}

<style>
	.pairs {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(17rem, 100%), 1fr));
		gap: 0.5rem 1rem;
	}
	.pairs li {
		display: flex;
		flex-wrap: wrap;
		min-width: 0;
		overflow-wrap: anywhere;
		align-items: center;
		gap: 0.8rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.5rem 0;
	}
</style>
