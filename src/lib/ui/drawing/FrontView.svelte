<script lang="ts">
	import type { Group, Home, Person, Run } from '$lib/core/model';
	import { formatLength } from '$lib/core/model';
	import { reachHeights, type HiddenPlace } from '$lib/core/survey';
	import CabinetTabs from './CabinetTabs.svelte';
	import FoundPlaces from './FoundPlaces.svelte';
	import HeightRule from './HeightRule.svelte';
	import { clipText, frontGeometry, nookWords, type NookBox } from './front-geometry';
	import NoteTag from './NoteTag.svelte';
	import { layTags } from './tag-layout';

	interface Note {
		group: Group;
		/** Dashed: only part of the group, or not yet carried out. */
		part?: boolean;
		pinned?: boolean;
	}
	interface Props {
		home: Home;
		run: Run;
		selected?: string | null;
		onselect?: (nookId: string) => void;
		/** Tags that stand in each nook. */
		notes?: ReadonlyMap<string, readonly Note[]>;
		onnote?: (groupId: string, nookId: string) => void;
		held?: { readonly groupId: string; readonly nookId: string | null } | null;
		/** While a tag is held: what each nook would mean. */
		prices?: ReadonlyMap<string, { text: string; tone: 'good' | 'fair' | 'bad'; why?: string }>;
		/** Whose reach is drawn. */
		person?: Person | null;
		/** Short words under a nook's name. */
		caption?: (nookId: string) => string;
		/** Nooks with something wrong. */
		flagged?: ReadonlySet<string>;
		/** Shapes alone, to show where: no words, up to so many px high. */
		compactPx?: number;
		/** Places found that are not used yet: drawn dashed. */
		hidden?: readonly HiddenPlace[];
		chosenHidden?: string | null;
		onhidden?: (place: HiddenPlace) => void;
		/** Cabinets get a tab to choose them by, and to move them along the wall. */
		tabs?: {
			readonly selected: string | null;
			readonly onselect: (cabinetId: string) => void;
			readonly ondrag: (cabinetId: string, byMm: number) => void;
			readonly ondrop: (cabinetId: string) => void;
		};
	}
	let {
		home,
		run,
		selected = null,
		onselect,
		notes,
		onnote,
		held = null,
		prices,
		person = null,
		caption,
		flagged,
		compactPx,
		hidden = [],
		chosenHidden = null,
		onhidden,
		tabs
	}: Props = $props();

	const PAD = 130;
	const LEAST_PX_PER_MM = 0.205;
	const MOST_TALL_PX = 640;
	let widthPx = $state(900);
	// By collection, so that an edit elsewhere in the home does not draw everything anew.
	const nooks = $derived(home.nooks);
	const cabinets = $derived(home.cabinets);
	const view = $derived(frontGeometry({ nooks, cabinets }, run));
	/** The rule of heights takes room of its own at the left. */
	const LEFT = $derived(tabs ? PAD + 40 : PAD);
	/** So do the names of a person's reach at the right. */
	const RIGHT = $derived(person ? PAD + 120 : PAD);
	const wide = $derived(view.lengthMm + LEFT + RIGHT);
	const tall = $derived(view.heightMm + (tabs ? 380 : 210));
	const scale = $derived(
		compactPx
			? compactPx / tall
			: Math.max(LEAST_PX_PER_MM, Math.min(MOST_TALL_PX / tall, widthPx / wide))
	);
	/** Font size on the drawing so that it reads as `px` on the screen. */
	const font = (px: number) => px / scale;
	const body = $derived(person ? reachHeights(person.statureMm) : null);
	const bands = $derived(
		body
			? [
					{ at: body.grip, word: 'grip' },
					{ at: body.eye, word: 'eyes' },
					{ at: body.shoulder, word: 'shoulder' },
					{ at: body.hip, word: 'hip' },
					{ at: body.knee, word: 'knee' }
				].filter((band) => band.at < view.heightMm)
			: []
	);

	function label({ nook, cabinet }: NookBox): string {
		const price = prices?.get(nook.id);
		if (price) return `${nook.name}: ${price.text}`;
		const inIt = notes?.get(nook.id)?.map(({ group }) => group.name) ?? [];
		return `${nook.name}, in ${cabinet.name}${inIt.length ? `: ${inIt.join(', ')}` : ''}`;
	}
	function keys(event: KeyboardEvent, act: () => void) {
		if (event.key !== 'Enter' && event.key !== ' ') return;
		event.preventDefault();
		event.stopPropagation();
		act();
	}
	/** Moves the focus to the nearest nook in the direction of an arrow. */
	function arrow(event: KeyboardEvent, from: NookBox) {
		const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[
			event.key
		];
		if (!way) return;
		event.preventDefault();
		const centre = (box: NookBox) => [box.x + box.w / 2, box.y + box.h / 2] as const;
		const [fx, fy] = centre(from);
		let best: NookBox | null = null;
		let bestFar = Infinity;
		for (const box of view.nooks) {
			const [x, y] = centre(box);
			const ahead = (x - fx) * way[0]! + (y - fy) * way[1]!;
			const aside = Math.abs((x - fx) * way[1]!) + Math.abs((y - fy) * way[0]!);
			const far = ahead + 2 * aside;
			if (box !== from && ahead > 1 && far < bestFar) [best, bestFar] = [box, far];
		}
		const root = (event.currentTarget as Element).closest('svg');
		if (best) root?.querySelector<SVGGElement>(`[data-nook="${best.nook.id}"]`)?.focus();
	}
	const tone = {
		good: 'var(--color-success)',
		fair: 'var(--color-warning)',
		bad: 'var(--color-error)'
	};
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div
	class="front"
	class:compact={!!compactPx}
	bind:clientWidth={widthPx}
	role="group"
	aria-label="Front view of {run.name}"
	tabindex={wide * scale > widthPx + 2 ? 0 : undefined}
>
	<svg
		width={wide * scale}
		height={tall * scale}
		viewBox="{-LEFT} {-60} {wide} {tall}"
		role="group"
		aria-label="{run.name}, drawn to scale, doors off"
	>
		{#each bands as band (band.word)}
			<line
				x1={-PAD}
				x2={view.lengthMm + RIGHT}
				y1={view.heightMm - band.at}
				y2={view.heightMm - band.at}
				class="d-light d-dash"
				stroke="var(--ink-faint)"
			/>
			<text
				class="d-measure"
				x={view.lengthMm + RIGHT - font(4)}
				y={view.heightMm - band.at - font(3)}
				font-size={font(11)}
				text-anchor="end">{band.word}</text
			>
		{/each}
		{#if tabs}<HeightRule heightMm={view.heightMm} xMm={-LEFT} units={home.units} {font} />{/if}
		<line
			x1={-PAD}
			x2={view.lengthMm + PAD}
			y1={view.heightMm}
			y2={view.heightMm}
			class="d-floor"
		/>
		{#each view.cabinets as cabinet (cabinet.id)}
			<rect
				x={cabinet.x}
				y={cabinet.y}
				width={cabinet.widthMm}
				height={cabinet.heightMm}
				class="d-carcass"
			/>
			{#if cabinet.baseMm > 0 && cabinet.baseMm < 200}
				<path
					d="M{cabinet.x + 40} {view.heightMm - cabinet.baseMm}V{view.heightMm}M{cabinet.x +
						cabinet.widthMm -
						40} {view.heightMm - cabinet.baseMm}V{view.heightMm}"
					class="d-light"
				/>
			{/if}
			<g class="d-light">
				<path
					d="M{cabinet.x} {view.heightMm + 30}v60M{cabinet.x + cabinet.widthMm} {view.heightMm +
						30}v60M{cabinet.x} {view.heightMm + 60}h{cabinet.widthMm}"
				/>
			</g>
			{#if cabinet.baseMm < 1000 && !compactPx}
				<text
					class="d-measure"
					x={cabinet.x + cabinet.widthMm / 2}
					y={view.heightMm + 62 + font(13)}
					font-size={font(12)}
					text-anchor="middle">{formatLength(cabinet.widthMm, home.units)}</text
				>
			{/if}
		{/each}
		{#each view.nooks as box (box.nook.id)}
			{@const { nook } = box}
			{@const price = prices?.get(nook.id)}
			{@const own = notes?.get(nook.id) ?? []}
			{@const short = box.h < font(34)}
			{@const lay = layTags(box, own.length, font(1))}
			<g
				class="nook"
				class:selected={selected === nook.id}
				role="button"
				tabindex="0"
				data-nook={nook.id}
				aria-label={label(box)}
				aria-pressed={selected === nook.id}
				onclick={() => onselect?.(nook.id)}
				onkeydown={(event) => {
					keys(event, () => onselect?.(nook.id));
					arrow(event, box);
				}}
			>
				<rect
					x={box.x}
					y={box.y}
					width={box.w}
					height={box.h}
					class="d-shelf hit"
					class:d-dash={box.guessed ||
						nook.kind === 'door' ||
						nook.kind === 'top' ||
						nook.kind === 'worktop'}
					style:fill={nook.kind === 'door' ? 'var(--color-base-200)' : undefined}
				/>
				{#if price}
					{#if price.why}<title>{price.why}</title>{/if}
					<rect
						x={box.x + 3}
						y={box.y + 3}
						width={box.w - 6}
						height={box.h - 6}
						fill={tone[price.tone]}
						opacity="0.16"
					/>
				{/if}
				{#each nook.obstructions as o, i (i)}
					<rect
						x={box.x + o.xMm}
						y={box.y + box.h - o.zMm - o.heightMm}
						width={o.widthMm}
						height={o.heightMm}
						fill="url(#hatch)"
						class="d-light"
						style="fill:url(#hatch)"
					/>
				{/each}
				{#if price}
					<text
						class="d-measure"
						style:fill={tone[price.tone]}
						x={box.x + box.w / 2}
						y={box.y + box.h / 2 + font(5)}
						font-size={font(13)}
						font-weight="700"
						text-anchor="middle">{clipText(price.text, box.w, font(14))}</text
					>
				{:else}
					{#if !compactPx && (!own.length || lay.named)}
						<text
							class="d-text"
							x={box.x + font(5)}
							y={short && !own.length ? box.y + box.h / 2 + font(4) : box.y + font(15)}
							font-size={font(12.5)}>{nookWords(box, box.textW - font(8), font(12.5))}</text
						>
					{/if}
					{#if caption && !compactPx && box.h > font(34)}
						<text class="d-measure" x={box.x + font(5)} y={box.y + font(30)} font-size={font(11.5)}
							>{clipText(caption(nook.id), box.textW - font(8), font(12.5))}</text
						>
					{/if}
				{/if}
				{#if flagged?.has(nook.id)}
					<g
						transform="translate({box.x + box.w - font(compactPx ? 6 : 14)} {box.y +
							font(compactPx ? 6 : 14)})"
						aria-hidden="true"
					>
						<circle r={font(compactPx ? 4 : 9)} fill="var(--color-error)" />
						{#if !compactPx}<text
								y={font(5)}
								font-size={font(14)}
								font-weight="700"
								text-anchor="middle"
								fill="var(--color-error-content)">!</text
							>{/if}
					</g>
				{/if}
			</g>
			{#if own.length && !price}
				{#each own.slice(0, lay.shown) as { group, part, pinned }, i (group.id)}
					<NoteTag
						{group}
						{part}
						{pinned}
						nookId={nook.id}
						nookName={nook.name}
						held={held?.groupId === group.id && held.nookId === nook.id}
						box={lay.at(i)}
						px={font(1)}
						onpick={() => onnote?.(group.id, nook.id)}
					/>
				{/each}
				{#if lay.shown < own.length}
					{@const last = lay.at(lay.shown)}
					<g aria-hidden="true" pointer-events="none">
						<title
							>{own
								.slice(lay.shown)
								.map(({ group }) => group.name)
								.join(', ')}</title
						>
						<text
							class="d-text"
							x={last.x + last.w / 2}
							y={last.y + last.h / 2 + font(4.5)}
							font-size={font(13)}
							font-weight="700"
							text-anchor="middle">+{own.length - lay.shown}</text
						>
					</g>
				{/if}
			{/if}
		{/each}
		<FoundPlaces places={hidden} {view} {run} {font} chosen={chosenHidden} onchoose={onhidden} />
		{#if tabs}<CabinetTabs {view} {tabs} {font} />{/if}
	</svg>
</div>

<style>
	.front {
		overflow-x: auto;
		overflow-y: hidden;
		width: 100%;
	}
	.front.compact {
		width: auto;
		flex: none;
		overflow: visible;
	}
	.nook {
		cursor: pointer;
	}
	.nook:hover .hit {
		fill: var(--ink-ghost);
	}
	.nook.selected .hit {
		fill: color-mix(in oklab, var(--color-primary) 14%, transparent);
		stroke: var(--color-primary);
		stroke-width: 3px;
	}
	.nook:focus-visible .hit {
		stroke: var(--color-primary);
		stroke-width: 4px;
	}
</style>
