<script lang="ts">
	import type { Home, Nook, Placement, Standing } from '$lib/core/model';
	import { formatLength } from '$lib/core/model';
	import { outerOf, rectOf } from '$lib/core/fitting';
	import { holdsText } from '$lib/messages/fitting';
	import { fitWords } from './front-geometry';
	import { inkOf } from './tag-style';

	interface Props {
		home: Home;
		nook: Nook;
		fit: { placements: readonly Placement[]; standing: readonly Standing[] } | null;
		/** `above`: x and depth; `front`: x and height. */
		side: 'above' | 'front';
		/** The container or row that stands out. */
		picked?: string | null;
		/** One was tapped; what is in it also stands in the panel. */
		onpick?: (partId: string) => void;
	}
	let { home, nook, fit, side, picked = null, onpick }: Props = $props();

	let widthPx = $state(600);
	const PAD_PX = 40;
	const insideW = $derived(nook.inside.widthMm ?? 300);
	const insideD = $derived(
		side === 'above' ? (nook.inside.depthMm ?? 300) : (nook.inside.heightMm ?? 300)
	);
	/** Both views of a nook take the same scale, so that they can be compared. */
	const tallest = $derived(Math.max(nook.inside.depthMm ?? 300, nook.inside.heightMm ?? 300));
	const scale = $derived(
		Math.max(0.05, Math.min((widthPx - 2 * PAD_PX) / insideW, 380 / tallest, 1.1))
	);
	const PAD = $derived(PAD_PX / scale);
	const font = (px: number) => px / scale;
	interface Box {
		id: string;
		x: number;
		y: number;
		w: number;
		h: number;
		hue: number;
		code: string;
		label: string;
		round: boolean;
		loose: boolean;
	}
	/** The front edge lies at the bottom of the view from above, as one stands before it. */
	const boxes = $derived.by((): Box[] => {
		const found: (Box & { far: number })[] = [];
		const tag = (id: string) => home.groups[id]?.tag ?? { hue: 7, code: '??' };
		for (const block of fit?.standing ?? []) {
			const above = side === 'above';
			found.push({
				id: block.id,
				x: block.xMm,
				y: above ? insideD - block.yMm - block.depthMm : insideD - block.heightMm,
				w: block.widthMm,
				h: above ? block.depthMm : block.heightMm,
				...tag(block.groupId),
				label: block.holds.length ? holdsText(home, block.holds) : block.names.join(', '),
				round: false,
				loose: true,
				far: block.yMm
			});
		}
		for (const placement of fit?.placements ?? []) {
			const kind = home.containerKinds[placement.kindId];
			if (!kind) continue;
			const rect = rectOf(placement, kind);
			const above = side === 'above';
			found.push({
				id: placement.id,
				x: rect.x,
				y: above ? insideD - rect.y - rect.d : insideD - placement.zMm - kind.heightMm,
				w: rect.w,
				h: above ? rect.d : kind.heightMm,
				...tag(placement.groupId),
				label: `${kind.name}: ${placement.holds.length ? holdsText(home, placement.holds) : (home.groups[placement.groupId]?.name ?? '')}`,
				round: kind.shape === 'round' && above && outerOf(kind).widthMm === outerOf(kind).depthMm,
				loose: false,
				far: above ? placement.zMm * -1 : rect.y
			});
		}
		return found.sort((a, b) => b.far - a.far);
	});
</script>

<div bind:clientWidth={widthPx} class="w-full">
	<svg
		width={(insideW + 2 * PAD) * scale}
		height={(insideD + 2 * PAD) * scale}
		viewBox="{-PAD} {-PAD} {insideW + 2 * PAD} {insideD + 2 * PAD}"
		role="img"
		aria-label="{nook.name} {side === 'above'
			? 'from above, front edge at the bottom'
			: 'from the front'}, drawn to scale: {boxes.length
			? boxes.map((box) => box.label).join('; ')
			: 'empty'}"
		class="mx-auto block max-w-full"
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
			<rect
				x={o.xMm}
				y={side === 'above' ? insideD - o.yMm - o.depthMm : insideD - o.zMm - o.heightMm}
				width={o.widthMm}
				height={side === 'above' ? o.depthMm : o.heightMm}
				fill="url(#hatch)"
				stroke="var(--color-base-content)"
				vector-effect="non-scaling-stroke"
			/>
			<text
				class="d-text"
				x={o.xMm + font(4)}
				y={(side === 'above' ? insideD - o.yMm - o.depthMm : insideD - o.zMm - o.heightMm) -
					font(3)}
				font-size={font(11)}>{o.kind}</text
			>
		{/each}
		{#each boxes as box (box.id)}
			<!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
			<g
				class={onpick ? 'cursor-pointer' : ''}
				class:is-picked={box.id === picked}
				onclick={() => onpick?.(box.id)}
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
		{#if side === 'above'}
			<text
				class="d-measure"
				x={insideW / 2}
				y={insideD + font(15)}
				font-size={font(11.5)}
				text-anchor="middle">front edge</text
			>
		{/if}
	</svg>
</div>

<style>
	.is-picked rect,
	.is-picked circle {
		stroke-width: 4;
	}
</style>
