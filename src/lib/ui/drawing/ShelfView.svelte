<script lang="ts">
	import type { Home, Nook } from '$lib/core/model';
	import { formatLength } from '$lib/core/model';
	import type { Stood } from '$lib/core/fitting';
	import type { HandDesk } from '$lib/state/hand-desk.svelte';
	import { dragging } from './drag';
	import { fitWords } from './front-geometry';
	import { partsSeen, type SeenPart, type ShelfSide } from './shelf-geometry';
	import { inkOf } from './tag-style';

	interface Props {
		home: Home;
		nook: Nook;
		fit: Stood | null;
		/** `above`: x and depth; `front`: x and height; `side`: depth, the front at the left, and height. */
		side: ShelfSide;
		/** The container or row that stands out. */
		picked?: string | null;
		/** One was tapped; what is in it also stands in the panel. */
		onpick?: (partId: string) => void;
		/** Moves what stands there by hand: by dragging, and by the arrow keys. */
		hand?: HandDesk;
	}
	let { home, nook, fit, side, picked = null, onpick, hand }: Props = $props();

	let widthPx = $state(600);
	const PAD_PX = 40;
	const depthMm = $derived(nook.inside.depthMm ?? 300);
	/** Across the drawing, and down it. */
	const insideW = $derived(side === 'side' ? depthMm : (nook.inside.widthMm ?? 300));
	const insideD = $derived(side === 'above' ? depthMm : (nook.inside.heightMm ?? 300));
	/** All views of a nook take the same scale, so that they can be compared. */
	const tallest = $derived(Math.max(depthMm, nook.inside.heightMm ?? 300));
	const scale = $derived(
		Math.max(
			0.05,
			Math.min(
				(widthPx - 2 * PAD_PX) / Math.max(nook.inside.widthMm ?? 300, depthMm),
				380 / tallest,
				1.1
			)
		)
	);
	const PAD = $derived(PAD_PX / scale);
	const font = (px: number) => px / scale;
	const boxes = $derived(fit ? partsSeen(home, fit, side, insideD) : []);
	const SIDES = {
		above: 'from above, front edge at the bottom',
		front: 'from the front',
		side: 'from the left side, front edge at the left'
	};

	let drawing = $state<SVGSVGElement>();
	/** From where a part was taken hold of to where it is drawn now, in mm of its place. */
	const drag = dragging<string>({
		find: (element) => (hand && element.closest('[data-part]')?.getAttribute('data-part')) || null,
		start: (id, at) => {
			const from = hand?.placeOf(id);
			taken = from ? { id, at, from } : null;
		},
		over: (_, at) => {
			if (!taken || !drawing) return;
			const mm = (insideW + 2 * PAD) / drawing.getBoundingClientRect().width;
			const [dx, dy] = [(at.x - taken.at.x) * mm, (at.y - taken.at.y) * mm];
			const { x, y } = taken.from;
			// From the front only sideways, from the side only in depth.
			const to = {
				above: { x: x + dx, y: y - dy },
				front: { x: x + dx, y },
				side: { x, y: y + dx }
			};
			hand?.drag(taken.id, to[side]);
		},
		drop: () => hand?.drop(),
		cancel: () => hand?.cancel()
	});
	let taken: { id: string; at: { x: number; y: number }; from: { x: number; y: number } } | null =
		null;

	/** A wall between compartments, drawn from both ends: what stands there is written in the middle. */
	function wallPath({ x, y, w, h, walls }: SeenPart, at: number): string {
		const [across, down] = [w * END_SHARE, h * END_SHARE];
		return walls.across
			? `M${x} ${at}h${across}M${x + w - across} ${at}h${across}`
			: `M${at} ${y}v${down}M${at} ${y + h - down}v${down}`;
	}
	const END_SHARE = 0.36;
	const FAR_MM = 10;
	function keys(event: KeyboardEvent, id: string) {
		if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			return onpick?.(id);
		}
		const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[
			event.key
		];
		if (!hand || !way || event.ctrlKey || event.metaKey) return;
		event.preventDefault();
		const [across, up] = way.map((step) => step * (event.shiftKey ? FAR_MM : 1)) as [
			number,
			number
		];
		// What is up on the drawing is back in the place; from the side, to the right is.
		if (side === 'side') hand.nudge(id, { x: 0, y: across });
		else hand.nudge(id, { x: across, y: side === 'above' ? up : 0 });
	}
</script>

<div bind:clientWidth={widthPx} class="w-full" {@attach drag}>
	<svg
		width={(insideW + 2 * PAD) * scale}
		height={(insideD + 2 * PAD) * scale}
		viewBox="{-PAD} {-PAD} {insideW + 2 * PAD} {insideD + 2 * PAD}"
		role="group"
		aria-label="{nook.name} {SIDES[side]}, drawn to scale{boxes.length ? '' : ': empty'}"
		class="mx-auto block max-w-full"
		bind:this={drawing}
	>
		<rect
			x="0"
			y="0"
			width={insideW}
			height={insideD}
			class="d-carcass"
			style="fill:var(--color-base-100)"
		/>
		{#each nook.obstructions as o, i (i)}
			{@const x = side === 'side' ? o.yMm : o.xMm}
			{@const y = side === 'above' ? insideD - o.yMm - o.depthMm : insideD - o.zMm - o.heightMm}
			<rect
				{x}
				{y}
				width={side === 'side' ? o.depthMm : o.widthMm}
				height={side === 'above' ? o.depthMm : o.heightMm}
				fill="url(#hatch)"
				stroke="var(--color-base-content)"
				vector-effect="non-scaling-stroke"
			/>
			<text class="d-text" x={x + font(4)} y={y - font(3)} font-size={font(11)}>{o.kind}</text>
		{/each}
		{#each boxes as box (box.id)}
			<g
				class="part"
				class:is-picked={box.id === picked}
				class:is-hit={hand?.hits.has(box.id)}
				data-part={box.id}
				role="button"
				tabindex="0"
				aria-label={box.label}
				aria-pressed={box.id === picked}
				onclick={() => onpick?.(box.id)}
				onkeydown={(event) => keys(event, box.id)}
			>
				<title>{box.label}</title>
				{#if box.round}
					<circle
						cx={box.x + box.w / 2}
						cy={box.y + box.h / 2}
						r={box.w / 2}
						fill="#fffdf7"
						stroke={inkOf(box.hue)}
						stroke-width="2"
						vector-effect="non-scaling-stroke"
					/>
				{:else}
					<rect
						x={box.x}
						y={box.y}
						width={box.w}
						height={box.h}
						fill="#fffdf7"
						stroke={inkOf(box.hue)}
						stroke-width="2"
						stroke-dasharray={box.loose ? '6 4' : undefined}
						vector-effect="non-scaling-stroke"
					/>
					<rect
						x={box.x + 3}
						y={box.y + 3}
						width={Math.max(0, box.w - 6)}
						height={Math.min(font(6), box.h / 3)}
						fill="url(#tag-{box.hue})"
					/>
				{/if}
				{#each box.walls.at as at (at)}
					<path
						d={wallPath(box, at)}
						stroke={inkOf(box.hue)}
						stroke-width="1"
						vector-effect="non-scaling-stroke"
					/>
				{/each}
				{#if box.w * scale > 26 && box.h * scale > 22}
					<text
						x={box.x + box.w / 2}
						y={box.y + box.h / 2 + font(3)}
						text-anchor="middle"
						font-size={font(12.5)}
						font-weight="700"
						font-family="var(--font-mono)"
						fill="var(--tag-ink)">{box.code}</text
					>
					{#if box.h * scale > 44}
						<text
							x={box.x + box.w / 2}
							y={box.y + box.h / 2 + font(17)}
							text-anchor="middle"
							font-size={font(11)}
							fill="var(--tag-ink)"
							>{fitWords(box.label.split(': ').at(-1) ?? '', box.w - font(6), font(11.5))}</text
						>
					{/if}
				{/if}
			</g>
		{/each}
		<g class="d-light">
			<path
				d="M0 {-font(12)}H{insideW}M0 {-font(17)}v{font(10)}M{insideW} {-font(17)}v{font(10)}"
			/>
			<path
				d="M{insideW + font(12)} 0V{insideD}M{insideW + font(7)} 0h{font(10)}M{insideW +
					font(7)} {insideD}h{font(10)}"
			/>
		</g>
		<text class="d-measure" x={insideW / 2} y={-font(17)} font-size={font(12)} text-anchor="middle"
			>{formatLength(insideW, home.units)}</text
		>
		<text
			class="d-measure"
			font-size={font(12)}
			text-anchor="middle"
			transform="translate({insideW + font(18)} {insideD / 2}) rotate(90)"
			>{formatLength(insideD, home.units)}</text
		>
		{#if side !== 'front'}
			<text
				class="d-measure"
				x={side === 'above' ? insideW / 2 : 0}
				y={insideD + font(15)}
				font-size={font(11.5)}
				text-anchor={side === 'above' ? 'middle' : 'start'}>front edge</text
			>
		{/if}
	</svg>
</div>

<style>
	.part {
		cursor: pointer;
	}
	.part:focus-visible {
		outline: none;
	}
	.part:focus-visible rect:first-of-type,
	.part:focus-visible circle {
		stroke: var(--color-primary);
		stroke-width: 4;
	}
	.is-hit rect:first-of-type,
	.is-hit circle {
		fill: color-mix(in oklab, var(--color-error) 30%, #fffdf7);
		stroke: var(--color-error);
	}
	.is-picked rect,
	.is-picked circle {
		stroke-width: 4;
	}
</style>
