<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import {
		capacityByCups,
		capacityByWater,
		capacityOf,
		freezeFill,
		type Shape
	} from '$lib/core/clearing';
	import { parseQuantity, QUANTITY_UNITS, volumeWays } from '$lib/core/model';
	import { quantityIssueText } from '$lib/messages/clearing';
	import { getHomeStore } from '$lib/state/context';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const METRIC_CUP_ML = 250;
	let name = $state('');
	let way = $state<'measures' | 'water' | 'cups'>('measures');
	let kind = $state<Shape['kind']>('box');
	let mm = $state({ diameter: 0, width: 0, depth: 0, height: 0, baseWidth: 0, baseDepth: 0 });
	let full = $state('');
	let empty = $state('');
	let cups = $state(4);
	let cupKind = $state<'us' | 'metric'>('metric');

	const shape = $derived<Shape>(
		kind === 'round'
			? { kind, diameterMm: mm.diameter, heightMm: mm.height }
			: kind === 'box'
				? { kind, widthMm: mm.width, depthMm: mm.depth, heightMm: mm.height }
				: {
						kind,
						topWidthMm: mm.width,
						topDepthMm: mm.depth,
						baseWidthMm: mm.baseWidth,
						baseDepthMm: mm.depth ? mm.baseDepth : 0,
						heightMm: mm.height
					}
	);
	const weight = (text: string) => (text.trim() ? parseQuantity(text) : null);
	const fullG = $derived(weight(full));
	const emptyG = $derived(weight(empty));
	const wrong = $derived(
		[fullG, emptyG]
			.flatMap((read) =>
				read && !read.ok
					? [quantityIssueText(read)]
					: read?.ok && read.quantity.unit !== 'g'
						? ['Weigh it in grams, kilograms, pounds or ounces.']
						: []
			)
			.join(' ')
	);
	const ml = $derived(
		way === 'measures'
			? capacityOf(shape)
			: way === 'cups'
				? capacityByCups(cups || 0, cupKind === 'metric' ? METRIC_CUP_ML : QUANTITY_UNITS.cup![0])
				: fullG?.ok && emptyG?.ok && !wrong
					? capacityByWater(fullG.quantity.value, emptyG.quantity.value)
					: 0
	);
	const ways = $derived(volumeWays(ml));
	const FIELDS = $derived(
		(kind === 'round'
			? [
					['diameter', 'Across, inside'],
					['height', 'Height, inside']
				]
			: kind === 'box'
				? [
						['width', 'Width, inside'],
						['depth', 'Depth, inside'],
						['height', 'Height, inside']
					]
				: [
						['width', 'Width at the top'],
						['depth', 'Depth at the top (0: round)'],
						['baseWidth', 'Width at the base'],
						['baseDepth', 'Depth at the base'],
						['height', 'Height, inside']
					]) as readonly (readonly [keyof typeof mm, string])[]
	);
</script>

<Bench>
	<ClearHead />
	<h2 class="no-print">What a container holds</h2>
	<p class="soft no-print mb-3">
		Measure it inside, weigh it empty and full of water, or count the cups it takes. Then write the
		number on its base.
	</p>
	<div class="grid gap-8 md:grid-cols-2">
		<div class="no-print">
			<div class="mb-3 flex flex-wrap gap-2" role="group" aria-label="How it is found">
				{#each [['measures', 'By measures'], ['water', 'By water'], ['cups', 'By cups']] as const as [value, words] (value)}
					<button
						class="btn"
						class:btn-primary={way === value}
						aria-pressed={way === value}
						onclick={() => (way = value)}>{words}</button
					>
				{/each}
			</div>
			{#if way === 'measures'}
				<label class="mb-2 block"
					>Shape<select class="select" bind:value={kind}
						><option value="box">box</option><option value="round">round</option><option
							value="tapered">wider at the top</option
						></select
					></label
				>
				<div class="grid grid-cols-2 gap-2">
					{#each FIELDS as [key, label] (key)}
						<LengthField
							{label}
							units={home.units}
							valueMm={mm[key] || null}
							onchange={(value) => (mm[key] = value)}
						/>
					{/each}
				</div>
			{:else if way === 'water'}
				<div class="grid grid-cols-2 gap-2">
					<label
						>Full of water<input
							class="input measure"
							bind:value={full}
							placeholder="1.45 kg"
						/></label
					>
					<label>Empty<input class="input measure" bind:value={empty} placeholder="450 g" /></label>
				</div>
				<p class="soft mt-2">One gram of water is one millilitre.</p>
				{#if wrong}<p role="alert" style="color:var(--color-error)">{wrong}</p>{/if}
			{:else}
				<div class="grid grid-cols-2 gap-2">
					<label
						>Cups that went in<input
							class="input measure"
							type="number"
							min="0"
							step="0.25"
							bind:value={cups}
						/></label
					>
					<label
						>Cup<select class="select" bind:value={cupKind}
							><option value="metric">metric, 250 ml</option><option value="us">US, 237 ml</option
							></select
						></label
					>
				</div>
			{/if}
			<label class="mt-3 block"
				>What it is<input
					class="input"
					bind:value={name}
					maxlength="60"
					placeholder="flour jar"
				/></label
			>
		</div>
		<section aria-label="Base label">
			{#if ml > 0}
				<div class="label">
					{#if name.trim()}<b>{name}</b>{/if}
					<span class="big measure">{ways.metric}</span>
					<span class="measure">{ways.cups} · {ways.flOz} · {ways.quarts}</span>
					<span class="measure">to freeze: fill to {volumeWays(freezeFill(ml)).metric}</span>
				</div>
				<p class="soft no-print mt-2">
					Liquids swell by about a tenth as they freeze; leave that much room.
				</p>
				<button class="btn no-print mt-2" onclick={() => window.print()}
					><Printer size={18} />Print the base label</button
				>
			{:else}
				<p class="soft">The label for its base shows here once the numbers are in.</p>
			{/if}
		</section>
	</div>
</Bench>

<style>
	.label {
		display: flex;
		flex-direction: column;
		align-items: center;
		gap: 0.15rem;
		width: 64mm;
		min-height: 34mm;
		justify-content: center;
		padding: 3mm;
		background: var(--paper);
		color: #1b2836;
		border: 1.3px solid #1b2836;
		text-align: center;
		font-size: 0.9rem;
	}
	.big {
		font-size: 1.7rem;
		font-weight: 700;
		line-height: 1.1;
	}
</style>
