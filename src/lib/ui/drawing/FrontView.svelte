<script lang="ts">
	import type { Home, Person, Run } from '$lib/core/model';
	import { formatLength } from '$lib/core/model';
	import { HANGS_FROM_MM, reachHeights, type HiddenPlace } from '$lib/core/survey';
	import type { PriceNote } from '$lib/messages/notes';
	import type { Heat } from '$lib/state/place-desk.svelte';
	import CabinetTabs from './CabinetTabs.svelte';
	import FoundPlaces from './FoundPlaces.svelte';
	import HeightRule from './HeightRule.svelte';
	import { fits, frontGeometry, hiddenTopMm, type NookBox } from './front-geometry';
	import FrontNook, { type NookNote } from './FrontNook.svelte';
	import { WindowRoom } from './window-room.svelte';
	import { Zoom } from './zoom.svelte';
	import ZoomTools from './ZoomTools.svelte';

	interface Props {
		home: Home;
		run: Run;
		selected?: string | null;
		onselect?: (nookId: string) => void;
		/** Tags that stand in each nook. */
		notes?: ReadonlyMap<string, readonly NookNote[]>;
		onnote?: (groupId: string, nookId: string) => void;
		held?: { readonly groupId: string; readonly nookId: string | null } | null;
		/** While a tag is held: what each nook would mean. */
		prices?: ReadonlyMap<string, PriceNote>;
		/** How much each nook is wanted. */
		heat?: ReadonlyMap<string, Heat>;
		/** Whose reach is drawn. */
		person?: Person | null;
		/** Short words under a nook's name. */
		caption?: (nookId: string) => string;
		/** Nooks with something wrong. */
		flagged?: Pick<ReadonlySet<string>, 'has'>;
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
		heat,
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
	const NO_NOTES: readonly NookNote[] = [];
	const room = new WindowRoom();
	const zoom = new Zoom();
	// By collection, so that an edit elsewhere in the home does not draw everything anew.
	const nooks = $derived(home.nooks);
	const cabinets = $derived(home.cabinets);
	const view = $derived(frontGeometry({ nooks, cabinets }, run));
	/** The rule of heights takes room of its own at the left. */
	const LEFT = $derived(tabs ? PAD + 40 : PAD);
	/** So do the names of a person's reach at the right. */
	const RIGHT = $derived(person ? PAD + 120 : PAD);
	const wide = $derived(view.lengthMm + LEFT + RIGHT);
	/** Room above the wall, mm, and below its floor, px: sizes, and the tabs of the cabinets. */
	const ABOVE_MM = $derived(60 + Math.max(0, hiddenTopMm(home, run, hidden ?? []) - view.heightMm));
	const TABS_PX = matchMedia('(pointer: coarse)').matches ? 46 : 26;
	const footPx = $derived(tabs ? 40 + TABS_PX : 34);
	/** px a mm when the whole drawing shows, and as it is zoomed. */
	const base = $derived(
		compactPx
			? compactPx / (view.heightMm + 210)
			: Math.min((room.heightPx - footPx) / (view.heightMm + ABOVE_MM), room.widthPx / wide)
	);
	const scale = $derived(base * zoom.sight.k);
	const tall = $derived(compactPx ? view.heightMm + 210 : view.heightMm + ABOVE_MM + footPx / base);
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
	/** A finger does not hit what is smaller than this: the drawing comes nearer first, px. */
	const THUMB_PX = 30;
	/** The cabinet that the drawing came nearer to by a tap. */
	let nearTo: string | null = null;
	function choose(box: NookBox) {
		const across = Math.min(box.w, box.h) / font(1);
		const { cabinet } = box;
		// Near already, what stays small is opened all the same: a rack of flat pockets never gets larger.
		const isNear = nearTo === cabinet.id && !zoom.isWhole;
		if (!compactPx && !isNear && across < THUMB_PX && matchMedia('(pointer: coarse)').matches) {
			nearTo = cabinet.id;
			zoom.show({
				x: (cabinet.offsetMm + LEFT) * base,
				y: (view.heightMm - cabinet.baseMm - cabinet.heightMm + ABOVE_MM) * base,
				w: cabinet.widthMm * base,
				h: cabinet.heightMm * base
			});
			return;
		}
		onselect?.(box.nook.id);
	}
</script>

<!-- svelte-ignore a11y_no_noninteractive_element_interactions -->
<div
	class="front zooms"
	class:compact={!!compactPx}
	{@attach compactPx ? undefined : room.attach}
	role="group"
	aria-label="Front view of {run.name}"
	onkeydown={(event) => {
		if (!compactPx && !event.ctrlKey && !event.metaKey && zoom.key(event.key))
			event.preventDefault();
	}}
>
	<svg
		width={wide * base}
		height={tall * base}
		viewBox="{-LEFT - zoom.sight.x / scale} {-ABOVE_MM - zoom.sight.y / scale} {wide /
			zoom.sight.k} {tall / zoom.sight.k}"
		role="group"
		aria-label="{run.name}, drawn to scale, doors off"
		class:is-near={!zoom.isWhole}
		{@attach compactPx ? undefined : zoom.attach}
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
					d="M{cabinet.x} {view.heightMm + font(6)}v{font(9)}M{cabinet.x +
						cabinet.widthMm} {view.heightMm + font(6)}v{font(9)}M{cabinet.x} {view.heightMm +
						font(10.5)}h{cabinet.widthMm}"
				/>
			</g>
			{@const size = formatLength(cabinet.widthMm, home.units)}
			{#if cabinet.baseMm < HANGS_FROM_MM && !compactPx && fits(size, cabinet.widthMm, font(13.5))}
				<text
					class="d-measure"
					x={cabinet.x + cabinet.widthMm / 2}
					y={view.heightMm + font(26)}
					font-size={font(12)}
					text-anchor="middle">{size}</text
				>
			{/if}
		{/each}
		{#each view.nooks as box (box.nook.id)}
			{@const id = box.nook.id}
			<FrontNook
				{box}
				{font}
				notes={(heat ? undefined : notes?.get(id)) ?? NO_NOTES}
				price={prices?.get(id)}
				heat={heat?.get(id)}
				caption={compactPx ? '' : (caption?.(id) ?? '')}
				isFlagged={flagged?.has(id) ?? false}
				isSelected={selected === id}
				heldGroupId={held?.nookId === id ? held.groupId : null}
				isBare={!!compactPx}
				onselect={() => choose(box)}
				onkey={(event) => {
					keys(event, () => onselect?.(id));
					arrow(event, box);
				}}
				onnote={(groupId) => onnote?.(groupId, id)}
			/>
		{/each}
		<FoundPlaces places={hidden} {view} {run} {font} chosen={chosenHidden} onchoose={onhidden} />
		{#if tabs}<CabinetTabs {view} {tabs} {font} highPx={TABS_PX} />{/if}
	</svg>
	{#if !compactPx}<ZoomTools {zoom} name={run.name} />{/if}
</div>

<style>
	.front {
		position: relative;
		width: 100%;
		overflow: hidden;
	}
	.front:not(.compact) svg {
		display: block;
		margin-inline: auto;
		touch-action: pan-x pan-y;
	}
	.front svg.is-near {
		touch-action: none;
		cursor: grab;
	}
	.front.compact {
		width: auto;
		flex: none;
		overflow: visible;
	}
</style>
