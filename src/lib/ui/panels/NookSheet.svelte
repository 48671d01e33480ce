<script lang="ts">
	import { fixedText } from '$lib/messages/numbers';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import {
		PartId,
		formatLength,
		formatMass,
		formatVolume,
		OBSTRUCTION_KINDS,
		type Obstruction
	} from '$lib/core/model';
	import {
		baseAboveFloorMm,
		checkNook,
		isPullOut,
		measuredShare,
		placeOfNook,
		reachOf,
		usableSpace
	} from '$lib/core/survey';
	import { BAND_WORDS, surveyIssueText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import LengthField from '$lib/ui/forms/LengthField.svelte';
	import NookPhoto from '$lib/ui/walk/NookPhoto.svelte';
	import NookSides from '$lib/ui/walk/NookSides.svelte';
	import NookSpot from '$lib/ui/walk/NookSpot.svelte';
	import ShelfView from '$lib/ui/drawing/ShelfView.svelte';

	let { nookId }: { nookId: string } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const place = $derived(placeOfNook(home, nookId));
	const issues = $derived(place ? checkNook(place.nook, place.cabinet) : []);
	const space = $derived(
		place ? usableSpace(place.nook, baseAboveFloorMm(place), home.settings) : null
	);
	const people = $derived(Object.values(home.people));
	const say = (field: string) => {
		const issue = issues.find((found) => found.field === field && found.code !== 'size-missing');
		return issue ? surveyIssueText(issue, home.units) : '';
	};
	const reaches = $derived.by(() => {
		if (!place) return [];
		const spot = {
			heightMm: baseAboveFloorMm(place) + (place.nook.inside.heightMm ?? 0) / 2,
			depthMm: place.nook.inside.depthMm ?? 0,
			pullOut: isPullOut(place.nook)
		};
		return people
			.filter((person) => person.ageBand !== 'toddler')
			.map((person) => ({ person, reach: reachOf(spot, [person], home.settings.effort) }));
	});
	let kind = $state<Obstruction['kind']>('trap');
	function obstruct() {
		const { widthMm, depthMm, heightMm } = place!.nook.inside;
		const size = (inside: number | null, wanted: number) => Math.min(wanted, inside ?? wanted);
		const w = size(widthMm, 110);
		store.run(`${kind} in ${place!.nook.name}`, 'addObstruction', nookId, {
			id: PartId.parse(newId()),
			kind,
			xMm: Math.round(((widthMm ?? w) - w) / 2),
			yMm: Math.round((depthMm ?? 0) / 2),
			zMm: Math.round((heightMm ?? 0) / 2),
			widthMm: w,
			depthMm: size(Math.floor((depthMm ?? 0) / 2), 150),
			heightMm: size(Math.ceil((heightMm ?? 0) / 2), 200)
		});
	}
	const OBSTRUCTION_SIDES: readonly [keyof Obstruction & `${string}Mm`, string][] = [
		['xMm', 'From the left'],
		['yMm', 'From the front'],
		['zMm', 'From the bottom'],
		['widthMm', 'Width'],
		['depthMm', 'Depth'],
		['heightMm', 'Height']
	];
</script>

{#if place}
	{@const { nook, cabinet } = place}
	<h2 class="sr-only">{nook.name}</h2>
	<input
		class="name"
		aria-label="Name of this place"
		maxlength="200"
		value={nook.name}
		onchange={(event) => {
			const name = event.currentTarget.value.trim();
			if (name) store.run(`name ${name}`, 'changeNook', nookId, { name });
		}}
	/>
	<p class="soft mb-3">
		{cabinet.name}, {formatLength(baseAboveFloorMm(place), home.units)} above the floor
	</p>
	<NookSides {nookId} />
	<section aria-label="Usable space" class="rule-top py-3">
		{#if space?.ok}
			{@const share = measuredShare([nook])}
			<p class="text-lg">
				<b class="measure">{formatVolume(space.usableMl)}</b>
				usable{#if share.read < share.sides}<span class="soft text-base"
						>, estimated: {share.read} of {share.sides} sizes measured</span
					>{/if}
			</p>
			<details>
				<summary class="soft min-h-8 cursor-pointer">How</summary>
				<ul class="measure text-sm">
					<li>{formatVolume(space.grossMl)} inside</li>
					<li>
						− {formatVolume(space.obstructedMl)} obstructions with {home.settings.play.pipeMm} mm round
						pipes and valves
					</li>
					<li>− {formatVolume(space.beyondOpeningMl)} above the way in</li>
				</ul>
			</details>
			<p class="soft">
				Front run <span class="measure">{formatLength(space.runMm, home.units)}</span>; one hand
				reaches {Math.round(space.frontRowShare * 100)} % without moving anything.{#if nook.loadG}{' '}Holds
					{formatMass(nook.loadG)}.{/if}
			</p>
		{:else if space}
			<p>Measure the {space.missing.join(', ')} to find out what it holds.</p>
		{/if}
	</section>
	<p class="soft text-sm">From the front</p>
	<ShelfView {home} {nook} fit={null} side="front" />
	{#if nook.obstructions.length}
		<p class="soft mt-2 text-sm">From above</p>
		<ShelfView {home} {nook} fit={null} side="above" />
	{/if}
	<section class="rule-top py-3" aria-label="Obstructions">
		<h3 class="mb-2">In the way</h3>
		{#each nook.obstructions as obstruction, index (obstruction.id)}
			<details
				class="mb-2"
				open={index === nook.obstructions.length - 1 && nook.obstructions.length > 0}
			>
				<summary class="min-h-8 cursor-pointer font-semibold"
					>{obstruction.kind},
					<span class="measure">{formatLength(obstruction.widthMm, home.units)}</span> wide</summary
				>
				<div class="mt-2 grid grid-cols-2 gap-2">
					{#each OBSTRUCTION_SIDES as [side, label] (side)}
						<LengthField
							{label}
							units={home.units}
							valueMm={obstruction[side]}
							onchange={(mm) =>
								store.run(
									`${obstruction.kind} in ${nook.name}`,
									'changeObstruction',
									nookId,
									obstruction.id,
									{ [side]: mm }
								)}
						/>
					{/each}
				</div>
				<button
					class="btn btn-ghost mt-2"
					onclick={() =>
						store.run(`remove ${obstruction.kind}`, 'removeObstruction', nookId, obstruction.id)}
					><Trash2 size={18} />Remove the {obstruction.kind}</button
				>
			</details>
		{:else}
			<p class="soft mb-2">Nothing: no pipe, valve, hinge plate or post.</p>
		{/each}
		{#each issues.filter((issue) => issue.field === 'obstruction') as issue, i (i)}
			<p class="text-sm" style="color:var(--color-error)">{surveyIssueText(issue, home.units)}</p>
		{/each}
		<div class="flex gap-2">
			<label class="flex-1"
				><span class="sr-only">Kind of obstruction</span>
				<select class="select" bind:value={kind}
					>{#each OBSTRUCTION_KINDS as option (option)}<option>{option}</option>{/each}</select
				>
			</label>
			<button class="btn" onclick={obstruct}>Add it</button>
		</div>
		{#if nook.kind === 'undersink'}<p class="soft mt-2 text-sm">
				Keep shut-off valves free to reach. Plumbing itself is for a licensed trade.
			</p>{/if}
	</section>
	<section class="rule-top py-3" aria-label="Way in">
		<h3 class="mb-2">Way in</h3>
		{#if nook.opening}
			<div class="grid grid-cols-2 gap-2">
				<LengthField
					label="Clear width"
					units={home.units}
					valueMm={nook.opening.widthMm}
					warning={say('opening')}
					onchange={(widthMm) =>
						store.run(`way into ${nook.name}`, 'setOpening', nookId, { widthMm })}
				/>
				<LengthField
					label="Clear height"
					units={home.units}
					valueMm={nook.opening.heightMm}
					onchange={(heightMm) =>
						store.run(`way into ${nook.name}`, 'setOpening', nookId, { heightMm })}
				/>
			</div>
			<button
				class="btn btn-ghost mt-1"
				onclick={() => store.run(`way into ${nook.name}`, 'setOpening', nookId, null)}
				>As large as the inside</button
			>
		{:else}
			<p class="soft mb-2">As large as the inside. Hinges and frames often make it smaller.</p>
			<button
				class="btn"
				disabled={!nook.inside.widthMm || !nook.inside.heightMm}
				onclick={() =>
					store.run(`way into ${nook.name}`, 'setOpening', nookId, {
						widthMm: nook.inside.widthMm!,
						heightMm: nook.inside.heightMm!
					})}>It is smaller</button
			>
		{/if}
	</section>
	{#if reaches.length}
		<section class="rule-top py-3" aria-label="Reach">
			<h3 class="mb-1">Who reaches it</h3>
			<ul>
				{#each reaches as { person, reach } (person.id)}
					<li>
						{person.name}: {BAND_WORDS[reach.band]}{#if reach.factor === Infinity}, and may not
							climb{:else}
							<span class="soft measure">× {fixedText(reach.factor, 1)}</span>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	<NookSpot {nookId} />
	<NookPhoto {nookId} />
{/if}

<style>
	.name {
		width: 100%;
		min-height: 44px;
		background: transparent;
		font-family: var(--font-display);
		font-size: 1.2rem;
		font-weight: 650;
	}
</style>
