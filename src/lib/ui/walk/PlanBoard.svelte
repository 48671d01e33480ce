<script lang="ts">
	import type { Home, Point } from '$lib/core/model';
	import { formatLength } from '$lib/core/model';
	import { partOf, planItemKey, runAxes, wallOf, type PlanItem } from '$lib/core/survey';
	import { planItemText } from '$lib/messages/survey';
	import type { PlanDrag } from '$lib/state/plan-drag.svelte';
	import { STILL_PX, svgPoint } from '$lib/ui/drawing/pointer';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';

	interface Props {
		drag: PlanDrag;
		/** The home as it is stored: what the frame of the drawing goes by. */
		stored: Home;
		/** Only this room is shown large; null: the whole home. */
		roomId?: string | null;
		walks?: readonly (readonly Point[])[];
		maxPx?: number | undefined;
	}
	let { drag, stored, roomId = null, walks = [], maxPx }: Props = $props();
	const home = $derived(drag.home);
	const room = $derived(roomId ? stored.rooms[roomId] : undefined);
	const frame = $derived(
		room ? room.outline : Object.values(stored.rooms).flatMap((each) => each.outline)
	);
	const chosenRoom = $derived(
		drag.item && ['room', 'corner', 'wall', 'door', 'obstacle', 'socket'].includes(drag.item.kind)
			? drag.item.id
			: null
	);
	const chosenRun = $derived(
		drag.item?.kind === 'run' || drag.item?.kind === 'run-end' ? drag.item.id : null
	);

	let start: { x: number; y: number } | null = null;
	/** The press that ends moved something: its click chooses nothing. */
	let dragged = false;
	function down(event: PointerEvent, item: PlanItem) {
		const at = svgPoint(event);
		if (!at || event.button !== 0) return;
		event.stopPropagation();
		// A finger first chooses; only what is chosen, or too small to scroll by, follows it.
		const follows = item.kind === 'station' || drag.isChosen(item);
		if (event.pointerType === 'touch' && !follows) return;
		(event.currentTarget as Element).setPointerCapture(event.pointerId);
		start = { x: event.clientX, y: event.clientY };
		drag.take(item, at);
	}
	function move(event: PointerEvent) {
		if (!start) return;
		const far = Math.hypot(event.clientX - start.x, event.clientY - start.y);
		if (!drag.isDragging && far < STILL_PX) return;
		const at = svgPoint(event);
		if (at) drag.draw(at);
	}
	function up(item: PlanItem) {
		dragged = start !== null && drag.isDragging;
		if (dragged) drag.drop(`move ${planItemText(stored, item)}`);
		else drag.cancel();
		start = null;
	}
	/** Chosen on the click, the last that one press brings: what opens then gets none of it. */
	function click(item: PlanItem) {
		if (!dragged) drag.choose(item);
		dragged = false;
	}
	function lost() {
		start = null;
		drag.cancel();
	}
	const STEPS: Record<string, Point> = {
		ArrowLeft: { x: -1, y: 0 },
		ArrowRight: { x: 1, y: 0 },
		ArrowUp: { x: 0, y: -1 },
		ArrowDown: { x: 0, y: 1 }
	};
	function key(event: KeyboardEvent, item: PlanItem) {
		if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			drag.choose(item);
		}
		if (event.key === 'Escape') drag.choose(null);
		const step = STEPS[event.key];
		if (!step) return;
		event.preventDefault();
		drag.choose(item);
		const far = event.shiftKey ? 100 : 10;
		drag.nudge({ x: step.x * far, y: step.y * far }, `move ${planItemText(stored, item)}`);
	}
	const polygon = (points: readonly Point[]) => points.map(({ x, y }) => `${x},${y}`).join(' ');
	function footprint(cabinetId: string): string {
		const cabinet = home.cabinets[cabinetId]!;
		const run = home.runs[cabinet.runId];
		if (!run) return '';
		const { along, towards } = runAxes(run);
		const at = (s: number, t: number) => ({
			x: run.from.x + along.x * s + towards.x * t,
			y: run.from.y + along.y * s + towards.y * t
		});
		const { offsetMm: s, widthMm: w, depthMm: d } = cabinet;
		return polygon([at(s, 0), at(s + w, 0), at(s + w, d), at(s, d)]);
	}
	const next = (outline: readonly Point[], i: number) => outline[(i + 1) % outline.length]!;
	const low = (id: string) => (home.cabinets[id]?.baseMm ?? 0) < 1000;
	const cabinets = $derived(
		Object.keys(home.cabinets).sort((a, b) => Number(low(a)) - Number(low(b)))
	);
</script>

<PlanView {home} {frame} {walks} {maxPx} selectedRun={chosenRun}>
	{#snippet over(font: (px: number) => number)}
		{#each Object.values(home.rooms) as each (each.id)}
			{@render piece({ kind: 'room', id: each.id }, room_shape, font, each.id)}
		{/each}
		{#each Object.values(home.rooms) as each (each.id)}
			{#each each.outline as part (part.id)}
				{@render piece({ kind: 'wall', id: each.id, part: part.id }, wall_shape, font, each.id)}
			{/each}
			{#each each.obstacles as part (part.id)}
				{@render piece(
					{ kind: 'obstacle', id: each.id, part: part.id },
					obstacle_shape,
					font,
					each.id
				)}
			{/each}
		{/each}
		{#each Object.keys(home.runs) as id (id)}
			{@render piece({ kind: 'run', id }, run_shape, font, id)}
		{/each}
		{#each cabinets as id (id)}
			{@render piece({ kind: 'cabinet', id }, cabinet_shape, font, id)}
		{/each}
		{#each Object.values(home.rooms) as each (each.id)}
			{#each each.doors as part (part.id)}
				{@render piece({ kind: 'door', id: each.id, part: part.id }, door_shape, font, each.id)}
			{/each}
		{/each}
		{#each Object.values(home.rooms) as each (each.id)}
			{#each each.sockets as part (part.id)}
				{@render piece({ kind: 'socket', id: each.id, part: part.id }, socket_shape, font, each.id)}
			{/each}
		{/each}
		{#each Object.keys(home.stations) as id (id)}
			{@render piece({ kind: 'station', id }, station_shape, font, id)}
		{/each}
		{#if chosenRoom && home.rooms[chosenRoom]}
			{#each home.rooms[chosenRoom]!.outline as part (part.id)}
				{@render piece(
					{ kind: 'corner', id: chosenRoom, part: part.id },
					corner_shape,
					font,
					chosenRoom
				)}
			{/each}
			{@const outline = home.rooms[chosenRoom]!.outline}
			{#each outline as a, i (i)}
				{@const b = next(outline, i)}
				{@const flat = Math.abs(b.x - a.x) >= Math.abs(b.y - a.y)}
				<text
					class="length"
					font-size={font(12)}
					text-anchor="middle"
					transform="translate({(a.x + b.x) / 2} {(a.y + b.y) / 2}) rotate({flat
						? 0
						: 90}) translate(0 {-font(7)})"
					>{formatLength(Math.round(Math.hypot(b.x - a.x, b.y - a.y)), home.units)}</text
				>
			{/each}
		{/if}
		{#if chosenRun && home.runs[chosenRun]}
			{@render piece({ kind: 'run-end', id: chosenRun, end: 'from' }, end_shape, font, chosenRun)}
			{@render piece({ kind: 'run-end', id: chosenRun, end: 'to' }, end_shape, font, chosenRun)}
		{/if}
	{/snippet}
</PlanView>

{#snippet piece(
	item: PlanItem,
	shape: import('svelte').Snippet<[PlanItem, (px: number) => number]>,
	font: (px: number) => number,
	id: string
)}
	<g
		class="piece {item.kind}"
		class:chosen={drag.isChosen(item)}
		role="button"
		tabindex="0"
		data-item={planItemKey(item)}
		data-of={id}
		aria-label={item.kind === 'station'
			? `Station ${planItemText(home, item)}`
			: planItemText(home, item)}
		aria-pressed={drag.isChosen(item)}
		data-drag
		onpointerdown={(event) => down(event, item)}
		onpointermove={move}
		onpointerup={() => up(item)}
		onclick={() => click(item)}
		onpointercancel={lost}
		onkeydown={(event) => key(event, item)}>{@render shape(item, font)}</g
	>
{/snippet}
{#snippet room_shape(item: PlanItem)}
	<polygon points={polygon(home.rooms[item.id]?.outline ?? [])} />
{/snippet}
{#snippet wall_shape(item: PlanItem, font: (px: number) => number)}
	{#if item.kind === 'wall'}
		{@const ends = wallOf(home.rooms[item.id]?.outline, item.part)}
		{#if ends}<line
				x1={ends[0].x}
				y1={ends[0].y}
				x2={ends[1].x}
				y2={ends[1].y}
				stroke-width={font(14)}
			/>{/if}
	{/if}
{/snippet}
{#snippet obstacle_shape(item: PlanItem)}
	{#if item.kind === 'obstacle'}
		{@const o = partOf(home.rooms[item.id]?.obstacles, item.part)}
		{#if o}<rect x={o.x} y={o.y} width={o.widthMm} height={o.depthMm} />{/if}
	{/if}
{/snippet}
{#snippet run_shape(item: PlanItem, font: (px: number) => number)}
	{@const run = home.runs[item.id]}
	{#if run}
		{@const { towards } = runAxes(run)}
		<line
			x1={run.from.x + towards.x * font(6)}
			y1={run.from.y + towards.y * font(6)}
			x2={run.to.x + towards.x * font(6)}
			y2={run.to.y + towards.y * font(6)}
			stroke-width={font(12)}
		/>
	{/if}
{/snippet}
{#snippet cabinet_shape(item: PlanItem)}
	<polygon points={footprint(item.id)} />
{/snippet}
{#snippet door_shape(item: PlanItem, font: (px: number) => number)}
	{#if item.kind === 'door'}
		{@const door = partOf(home.rooms[item.id]?.doors, item.part)}
		{#if door}<line
				x1={door.a.x}
				y1={door.a.y}
				x2={door.b.x}
				y2={door.b.y}
				stroke-width={font(16)}
			/>{/if}
	{/if}
{/snippet}
{#snippet station_shape(item: PlanItem, font: (px: number) => number)}
	{@const station = home.stations[item.id]}
	{#if station}<circle cx={station.at.x} cy={station.at.y} r={font(11)} />{/if}
{/snippet}
{#snippet socket_shape(item: PlanItem, font: (px: number) => number)}
	{@const at = item.kind === 'socket' ? partOf(home.rooms[item.id]?.sockets, item.part) : undefined}
	{#if at}<circle cx={at.x} cy={at.y} r={font(13)} />{/if}
{/snippet}
{#snippet corner_shape(item: PlanItem, font: (px: number) => number)}
	{#if item.kind === 'corner'}
		{@const point = partOf(home.rooms[item.id]?.outline, item.part)}
		{#if point}
			<circle cx={point.x} cy={point.y} r={font(18)} class="hit" />
			<rect
				x={point.x - font(6)}
				y={point.y - font(6)}
				width={font(12)}
				height={font(12)}
				class="grip"
			/>
		{/if}
	{/if}
{/snippet}
{#snippet end_shape(item: PlanItem, font: (px: number) => number)}
	{#if item.kind === 'run-end'}
		{@const point = home.runs[item.id]![item.end]}
		<circle cx={point.x} cy={point.y} r={font(18)} class="hit" />
		<circle cx={point.x} cy={point.y} r={font(7)} class="grip" />
	{/if}
{/snippet}

<style>
	.piece {
		cursor: grab;
		fill: transparent;
		stroke: transparent;
	}
	.piece.chosen {
		touch-action: none;
		cursor: grabbing;
	}
	.piece.corner,
	.piece.station,
	.piece.run-end {
		touch-action: none;
	}
	.wall :global(line),
	.door :global(line),
	.run :global(line) {
		pointer-events: stroke;
	}
	.piece.chosen :global(polygon),
	.piece.chosen :global(rect),
	.piece.chosen :global(circle) {
		fill: color-mix(in oklab, var(--color-primary) 16%, transparent);
		stroke: var(--color-primary);
		stroke-width: 2.4px;
		vector-effect: non-scaling-stroke;
	}
	.piece.chosen :global(line) {
		stroke: color-mix(in oklab, var(--color-primary) 55%, transparent);
	}
	.piece:hover :global(polygon),
	.piece:hover :global(rect),
	.piece:hover :global(circle) {
		fill: var(--ink-ghost);
	}
	.piece.room:hover :global(polygon) {
		fill: transparent;
	}
	.piece:hover :global(line) {
		stroke: var(--ink-faint);
	}
	.piece:focus-visible {
		outline: none;
		stroke: var(--color-primary);
		stroke-width: 3px;
	}
	.piece:focus-visible :global(*) {
		vector-effect: non-scaling-stroke;
	}
	.wall:focus-visible :global(line),
	.door:focus-visible :global(line),
	.run:focus-visible :global(line) {
		stroke-width: 6px;
	}
	.hit {
		fill: transparent !important;
		stroke: none !important;
	}
	.grip {
		fill: var(--color-base-100) !important;
		stroke: var(--color-primary);
		stroke-width: 2px;
		vector-effect: non-scaling-stroke;
	}
	.length {
		fill: var(--color-primary);
		font-family: var(--font-mono);
		paint-order: stroke;
		stroke: var(--color-base-100);
		stroke-width: 3px;
		vector-effect: non-scaling-stroke;
		pointer-events: none;
	}
</style>
