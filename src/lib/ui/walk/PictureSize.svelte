<script lang="ts">
	import { formatLength } from '$lib/core/model';
	import { SHEETS, type SheetName } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';
	import { PictureTaps } from '$lib/state/picture-taps.svelte';
	import CheckField from '../forms/CheckField.svelte';

	let { nookId, url, name }: { nookId: string; url: string; name: string } = $props();
	const getStore = getHomeStore();
	const units = $derived(getStore().home.units);
	const taps = new PictureTaps(getStore, () => nookId);
	let natural = $state({ width: 1, height: 1 });
	let surface = $state<SVGSVGElement>();
	/** Where the keyboard's cross stands, in pixels of the picture. */
	let cross = $state({ x: 0, y: 0 });
	let isKeyed = $state(false);
	const STEP = 0.01;
	const radius = $derived(natural.width / 90);

	function point(event: MouseEvent) {
		const box = surface!.getBoundingClientRect();
		taps.scale = natural.width / box.width;
		return {
			x: ((event.clientX - box.left) / box.width) * natural.width,
			y: ((event.clientY - box.top) / box.height) * natural.height
		};
	}
	function steer(event: KeyboardEvent) {
		const by = natural.width * (event.shiftKey ? STEP / 5 : STEP);
		const moves: Record<string, readonly [number, number]> = {
			ArrowLeft: [-by, 0],
			ArrowRight: [by, 0],
			ArrowUp: [0, -by],
			ArrowDown: [0, by]
		};
		const move = moves[event.key];
		if (move) cross = { x: cross.x + move[0], y: cross.y + move[1] };
		else if (event.key === 'Enter' || event.key === ' ') taps.tap({ ...cross });
		else if (event.key === 'Backspace') taps.back();
		else return;
		isKeyed = true;
		event.preventDefault();
	}
	const path = (from: number, to: number) =>
		taps.taps
			.slice(from, to)
			.map(({ x, y }) => `${x},${y}`)
			.join(' ');
</script>

<p class="mb-2">
	Lay a sheet of paper flush with the front edges, take the picture square-on, then tap the corners.
	What comes of it is an estimate, not a measured size.
</p>
<div class="mb-2 flex flex-wrap items-center gap-x-4">
	<label class="flex items-center gap-2"
		>Sheet
		<select
			class="select"
			value={taps.sheet}
			onchange={(event) => (taps.sheet = event.currentTarget.value as SheetName)}
		>
			{#each Object.entries(SHEETS) as [sheet, { widthMm, heightMm }] (sheet)}
				<option value={sheet}
					>{sheet === 'a4' ? 'A4' : 'Letter'}, {formatLength(widthMm, units)} × {formatLength(
						heightMm,
						units
					)}</option
				>
			{/each}
		</select></label
	>
	<CheckField label="It lies across" checked={taps.across} onchange={(on) => (taps.across = on)} />
</div>
<p role="status" class="mb-1 font-semibold">
	{taps.next ? `Tap ${taps.next}` : 'All corners are set.'}
</p>
<div class="picture">
	<img
		src={url}
		alt="{name}, to be measured"
		onload={(event) => {
			const { naturalWidth: width, naturalHeight: height } =
				event.currentTarget as HTMLImageElement;
			natural = { width, height };
			cross = { x: width / 2, y: height / 2 };
		}}
	/>
	<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
	<svg
		bind:this={surface}
		viewBox="0 0 {natural.width} {natural.height}"
		role="application"
		aria-label="Corners on the picture: arrows move the cross, Enter sets a corner"
		tabindex="0"
		onkeydown={steer}
		onclick={(event) => taps.tap(point(event))}
	>
		<polygon points={path(0, 4)} class="sheet" />
		<polygon points={path(4, 8)} class="opening" />
		{#each taps.taps as { x, y }, i (i)}<circle cx={x} cy={y} r={radius} class:of={i >= 4} />{/each}
		{#if isKeyed}
			<path
				class="cross"
				d="M{cross.x - radius * 2},{cross.y}h{radius * 4}M{cross.x},{cross.y - radius * 2}v{radius *
					4}"
			/>
		{/if}
	</svg>
</div>
<div class="mt-2 flex flex-wrap items-center gap-2">
	{#if taps.size?.ok}
		{@const size = taps.size}
		<b class="measure"
			>{formatLength(size.widthMm, units)} ± {formatLength(size.widthErrMm, units)} wide, {formatLength(
				size.heightMm,
				units
			)} ± {formatLength(size.heightErrMm, units)} high</b
		>
		<button class="btn btn-primary" onclick={() => taps.keep()}>Keep as an estimate</button>
	{:else if taps.size}
		<p role="alert" style="color:var(--color-error)">
			{taps.size.code === 'sheet-too-small'
				? 'The sheet is too small in the picture. Take it from nearer by.'
				: 'These corners do not make a sheet. Take the last ones back and tap them again.'}
		</p>
	{/if}
	{#if taps.taps.length}
		<button class="btn" onclick={() => taps.back()}>Take one back</button>
		<button class="btn btn-ghost" onclick={() => taps.again()}>Start again</button>
	{/if}
</div>

<style>
	.picture {
		position: relative;
	}
	img {
		display: block;
		width: 100%;
	}
	svg {
		position: absolute;
		inset: 0;
		width: 100%;
		height: 100%;
		cursor: crosshair;
		touch-action: none;
	}
	polygon {
		fill: none;
		stroke: var(--color-primary);
		vector-effect: non-scaling-stroke;
		stroke-width: 2;
	}
	.opening {
		stroke: var(--color-error);
	}
	circle {
		fill: var(--color-base-100);
		fill-opacity: 0.5;
		stroke: var(--color-primary);
		stroke-width: 2;
		vector-effect: non-scaling-stroke;
	}
	circle.of {
		stroke: var(--color-error);
	}
	.cross {
		stroke: var(--color-error);
		stroke-width: 2;
		vector-effect: non-scaling-stroke;
	}
</style>
