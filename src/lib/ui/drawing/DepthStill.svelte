<script lang="ts">
	import type { DepthBox } from './depth-geometry';
	import { facesOf, farFirst, pointsOf, seen, type Corner } from './depth-geometry';
	import { inkOf } from './tag-style';

	interface Props {
		/** Inside of the place, mm. */
		size: { readonly widthMm: number; readonly depthMm: number; readonly heightMm: number };
		boxes: readonly DepthBox[];
		picked: string | null;
		label: string;
	}
	let { size, boxes, picked, label }: Props = $props();
	const { widthMm: w, depthMm: d, heightMm: h } = $derived(size);
	const corners = $derived(
		[0, w].flatMap((x) => [0, d].flatMap((y) => [0, h].map((z): Corner => [x, y, z])))
	);
	const spots = $derived(corners.map(seen));
	const left = $derived(Math.min(...spots.map(([x]) => x)) - 10);
	const top = $derived(Math.min(...spots.map(([, y]) => y)) - 10);
	const wide = $derived(Math.max(...spots.map(([x]) => x)) + 10 - left);
	const high = $derived(Math.max(...spots.map(([, y]) => y)) + 10 - top);
	/** Floor, back and left wall: what the boxes stand before. */
	const walls = $derived<readonly (readonly Corner[])[]>([
		[
			[0, 0, 0],
			[w, 0, 0],
			[w, d, 0],
			[0, d, 0]
		],
		[
			[0, d, 0],
			[w, d, 0],
			[w, d, h],
			[0, d, h]
		],
		[
			[0, 0, 0],
			[0, d, 0],
			[0, d, h],
			[0, 0, h]
		]
	]);
	/** How much of its ink a side shows. */
	const SHADES = { top: 0.35, front: 0.6, right: 0.85 };
</script>

<svg viewBox="{left} {top} {wide} {high}" class="still" role="img" aria-label={label}>
	{#each walls as wall, i (i)}<polygon points={pointsOf(wall)} class="wall" />{/each}
	{#each farFirst(boxes) as box (box.id)}
		<g class:picked={box.id === picked}>
			{#each facesOf(box) as { side, corners: own } (side)}
				<polygon points={pointsOf(own)} class="paper" />
				<polygon
					points={pointsOf(own)}
					class="side"
					style:fill={box.hue === null ? 'var(--ink-soft)' : inkOf(box.hue)}
					style:fill-opacity={SHADES[side]}
				/>
			{/each}
		</g>
	{/each}
</svg>

<style>
	.still {
		display: block;
		width: 100%;
		max-height: 420px;
	}
	.wall {
		fill: var(--color-base-200);
		stroke: var(--color-base-content);
		stroke-width: 1.5px;
		vector-effect: non-scaling-stroke;
	}
	.paper {
		fill: var(--color-base-100);
	}
	.side {
		stroke: var(--color-base-content);
		stroke-width: 1px;
		vector-effect: non-scaling-stroke;
	}
	.picked .side {
		stroke: var(--color-primary);
		stroke-width: 3px;
	}
</style>
