<script lang="ts">
	import type { Group, Home, Run } from '$lib/core/model';
	import { frontGeometry } from './front-geometry';
	import { inkOf } from './tag-style';

	interface Props {
		home: Home;
		run: Run;
		/** Groups in each nook. */
		groups: ReadonlyMap<string, readonly Group[]>;
		/** The group to point out. */
		chosen?: string | null;
		heightPx: number;
		ongroup: (groupId: string) => void;
	}
	let { home, run, groups, chosen = null, heightPx, ongroup }: Props = $props();
	const view = $derived(frontGeometry(home, run));
	const PAD = 60;
	const wide = $derived(view.lengthMm + 2 * PAD);
	const tall = $derived(view.heightMm + 40);
	const scale = $derived(heightPx / tall);
	const slices = $derived(
		view.nooks.flatMap((box) => {
			const own = groups.get(box.nook.id) ?? [];
			return own.map((group, i) => ({
				group,
				nook: box.nook,
				x: box.x + (i * box.w) / own.length,
				y: box.y,
				w: box.w / own.length,
				h: box.h
			}));
		})
	);
</script>

<!-- A wall so small that only the colour, the pattern and the code of each group can be told. -->
<svg
	width={wide * scale}
	height={heightPx}
	viewBox="{-PAD} 0 {wide} {tall}"
	role="group"
	aria-label="{run.name}, small"
	class="shrink-0"
>
	{#each view.cabinets as cabinet (cabinet.id)}
		<rect
			x={cabinet.x}
			y={cabinet.y}
			width={cabinet.widthMm}
			height={cabinet.heightMm}
			class="d-carcass"
		/>
	{/each}
	{#each view.nooks as box (box.nook.id)}
		<rect x={box.x} y={box.y} width={box.w} height={box.h} class="d-light" />
	{/each}
	{#each slices as { group, nook, x, y, w, h } (`${group.id}/${nook.id}`)}
		<g
			class="slice"
			class:chosen={chosen === group.id}
			role="button"
			tabindex="0"
			aria-label="{group.name} in {nook.name}"
			aria-pressed={chosen === group.id}
			onclick={() => ongroup(group.id)}
			onkeydown={(event) => {
				if (event.key !== 'Enter' && event.key !== ' ') return;
				event.preventDefault();
				ongroup(group.id);
			}}
		>
			<title>{group.name}, {nook.name}</title>
			<rect
				{x}
				{y}
				width={w}
				height={h}
				fill="#fffdf7"
				stroke={inkOf(group.tag.hue)}
				stroke-width="1"
			/>
			<rect {x} {y} width={w} height={h} fill="url(#tag-{group.tag.hue})" opacity="0.55" />
			{#if w * scale > 20 && h * scale > 12}
				<text
					x={x + w / 2}
					y={y + h / 2 + 4 / scale}
					font-size={11 / scale}
					font-weight="700"
					text-anchor="middle">{group.tag.code}</text
				>
			{/if}
		</g>
	{/each}
	<line x1={-PAD} x2={view.lengthMm + PAD} y1={view.heightMm} y2={view.heightMm} class="d-floor" />
</svg>

<style>
	.slice {
		cursor: pointer;
	}
	.slice rect {
		vector-effect: non-scaling-stroke;
	}
	.slice text {
		fill: var(--tag-ink);
		font-family: var(--font-mono);
		paint-order: stroke;
		stroke: #fffdf7;
		stroke-width: 4px;
		vector-effect: non-scaling-stroke;
	}
	.slice.chosen rect:first-of-type,
	.slice:focus-visible rect:first-of-type {
		stroke: var(--color-primary);
		stroke-width: 3.5px;
	}
</style>
