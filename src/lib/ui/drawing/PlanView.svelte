<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { Home, Point } from '$lib/core/model';
	import { WindowRoom } from './window-room.svelte';
	import { Zoom } from './zoom.svelte';
	import ZoomTools from './ZoomTools.svelte';
	import { runAxes } from '$lib/core/survey';

	interface Props {
		home: Home;
		selectedRun?: string | null;
		onrun?: (runId: string) => void;
		/** Largest height on the screen, px; as tall as the window lets it unless said. */
		maxPx?: number | undefined;
		/** What the drawing has to show all of; it does not move while a part of it is dragged. */
		frame?: readonly Point[] | undefined;
		/** Walks drawn on the plan, each a line of points. */
		walks?: readonly (readonly Point[])[];
		/** Drawn over the plan; `font` turns px on the screen into plan mm. */
		over?: Snippet<[(px: number) => number]> | undefined;
	}
	let { home, selectedRun = null, onrun, maxPx, frame, walks = [], over }: Props = $props();

	const frameRoom = new WindowRoom();
	const zoom = new Zoom();
	const points = $derived(frame ?? Object.values(home.rooms).flatMap((room) => room.outline));
	const PAD = 220;
	const left = $derived(Math.min(...points.map((p) => p.x)) - PAD);
	const top = $derived(Math.min(...points.map((p) => p.y)) - PAD);
	const wide = $derived(Math.max(...points.map((p) => p.x)) + PAD - left);
	const tall = $derived(Math.max(...points.map((p) => p.y)) + PAD - top);
	const base = $derived(Math.min(frameRoom.widthPx / wide, (maxPx ?? frameRoom.heightPx) / tall));
	const scale = $derived(base * zoom.sight.k);
	const font = (px: number) => px / scale;
	const outline = (room: Home['rooms'][string]) =>
		room.outline.map((p) => `${p.x},${p.y}`).join(' ');
	const corner = (room: Home['rooms'][string]) => ({
		x: Math.min(...room.outline.map((p) => p.x)),
		y: Math.max(...room.outline.map((p) => p.y)),
		middle:
			(Math.min(...room.outline.map((p) => p.x)) + Math.max(...room.outline.map((p) => p.x))) / 2
	});
	function footprint(
		run: Home['runs'][string],
		offset: number,
		width: number,
		depth: number
	): string {
		const { along, towards } = runAxes(run);
		const at = (s: number, t: number) =>
			`${run.from.x + along.x * s + towards.x * t},${run.from.y + along.y * s + towards.y * t}`;
		return [
			at(offset, 0),
			at(offset + width, 0),
			at(offset + width, depth),
			at(offset, depth)
		].join(' ');
	}
	/** Puts each station's name where no other name or point lies: right, left, below or above its point. */
	const labels = $derived.by(() => {
		const taken: { x: number; y: number; w: number; h: number }[] = Object.values(
			home.stations
		).map(({ at }) => ({ x: at.x - font(5), y: at.y - font(5), w: font(10), h: font(10) }));
		return Object.values(home.stations).map((station) => {
			const w = station.name.length * font(6.8);
			const h = font(13);
			const { x, y } = station.at;
			const spots = [
				{ x: x + font(7), y: y - h / 2 },
				{ x: x - w - font(7), y: y - h / 2 },
				{ x: x - w / 2, y: y + font(7) },
				{ x: x - w / 2, y: y - h - font(7) },
				{ x: x + font(7), y: y + font(8) }
			].map((spot) => ({ ...spot, w, h }));
			const free = (a: (typeof spots)[number]) =>
				!taken.some(
					(b) => a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h
				);
			const spot = spots.find(free) ?? spots[0]!;
			taken.push(spot);
			return { station, x: spot.x, y: spot.y + font(10) };
		});
	});
	const countOf = (runId: string) =>
		Object.values(home.cabinets).filter((cabinet) => cabinet.runId === runId).length;
</script>

<!-- svelte-ignore a11y_no_static_element_interactions -->
<div
	{@attach frameRoom.attach}
	class="zooms relative w-full"
	onkeydown={(event) => {
		if (!event.ctrlKey && !event.metaKey && zoom.key(event.key)) event.preventDefault();
	}}
>
	<svg
		width={wide * base}
		height={tall * base}
		viewBox="{left - zoom.sight.x / scale} {top - zoom.sight.y / scale} {wide /
			zoom.sight.k} {tall / zoom.sight.k}"
		{@attach zoom.attach}
		style:touch-action={zoom.isWhole ? 'pan-x pan-y' : 'none'}
		role="group"
		aria-label="Plan of the rooms, drawn to scale"
		class="mx-auto block max-w-full"
	>
		{#each Object.values(home.rooms) as room (room.id)}
			<polygon points={outline(room)} class="d-carcass" style="fill:var(--color-base-200)" />
			<text
				class="d-text"
				x={corner(room).middle}
				y={corner(room).y - font(8)}
				font-size={font(12.5)}
				text-anchor="middle"
				>{room.name.length > 18 ? room.name.replace(/ \(.*\)/, '') : room.name}</text
			>
		{/each}
		{#each Object.values(home.rooms) as room (room.id)}
			{#each room.doors as door, i (i)}
				<line
					x1={door.a.x}
					y1={door.a.y}
					x2={door.b.x}
					y2={door.b.y}
					stroke="var(--color-base-100)"
					stroke-width={190}
				/>
				<line x1={door.a.x} y1={door.a.y} x2={door.b.x} y2={door.b.y} class="d-light d-dash" />
			{/each}
		{/each}
		{#each Object.values(home.rooms) as room (room.id)}
			{#each room.obstacles as obstacle, i (i)}
				<rect
					x={obstacle.x}
					y={obstacle.y}
					width={obstacle.widthMm}
					height={obstacle.depthMm}
					class="d-shelf"
					class:d-dash={obstacle.clearBelowMm > 0}
					style="fill:var(--color-base-100)"
				/>
				<text
					class="d-measure"
					x={obstacle.x + obstacle.widthMm / 2}
					y={obstacle.y + obstacle.depthMm / 2 + font(4)}
					font-size={font(11)}
					text-anchor="middle"
					>{obstacle.widthMm * scale > obstacle.name.length * 6.8 ? obstacle.name : ''}</text
				>
			{/each}
		{/each}
		{#each Object.values(home.runs) as run (run.id)}
			{@const own = Object.values(home.cabinets).filter((cabinet) => cabinet.runId === run.id)}
			<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
			<g
				class="run"
				class:selected={selectedRun === run.id}
				role={onrun ? 'button' : 'img'}
				tabindex={onrun ? 0 : undefined}
				aria-label="{run.name}, {countOf(run.id)} cabinets"
				aria-pressed={onrun ? selectedRun === run.id : undefined}
				onclick={() => onrun?.(run.id)}
				onkeydown={(event) => event.key === 'Enter' && onrun?.(run.id)}
			>
				<polygon points={footprint(run, 0, runAxes(run).lengthMm, 300)} fill="transparent" />
				<line x1={run.from.x} y1={run.from.y} x2={run.to.x} y2={run.to.y} class="wall" />
				{#each own as cabinet (cabinet.id)}
					<polygon
						points={footprint(run, cabinet.offsetMm, cabinet.widthMm, cabinet.depthMm)}
						class="d-shelf body"
						class:d-dash={cabinet.baseMm > 1000}
					/>
				{/each}
			</g>
		{/each}
		{#each Object.values(home.rooms) as room (room.id)}
			{#each room.sockets as { x, y }, i (i)}
				<g role="img" aria-label="Socket {i + 1} of {room.name}" class="socket">
					<rect x={x - font(6)} y={y - font(4.5)} width={font(12)} height={font(9)} rx={font(2)} />
					<line x1={x - font(2.2)} y1={y - font(1.8)} x2={x - font(2.2)} y2={y + font(1.8)} />
					<line x1={x + font(2.2)} y1={y - font(1.8)} x2={x + font(2.2)} y2={y + font(1.8)} />
				</g>
			{/each}
		{/each}
		{#each walks as walk, i (i)}
			<polyline points={walk.map(({ x, y }) => `${x},${y}`).join(' ')} class="walk" />
		{/each}
		{#each labels as { station, x, y } (station.id)}
			<g aria-label="Station {station.name}" role="img">
				<circle cx={station.at.x} cy={station.at.y} r={font(4)} fill="var(--color-primary)" />
				{#if scale > 0.06}
					<text class="d-measure" style="fill:var(--color-primary)" {x} {y} font-size={font(11)}
						>{station.name}</text
					>
				{/if}
			</g>
		{/each}
		{@render over?.(font)}
	</svg>
	<ZoomTools {zoom} name="the plan" />
</div>

<style>
	.run {
		cursor: pointer;
	}
	.wall {
		stroke: var(--color-base-content);
		stroke-width: 3px;
		vector-effect: non-scaling-stroke;
	}
	.walk {
		fill: none;
		stroke: var(--color-primary);
		stroke-width: 1.6px;
		stroke-dasharray: 2 4;
		stroke-linecap: round;
		vector-effect: non-scaling-stroke;
	}
	.socket rect {
		fill: var(--color-base-100);
		stroke: var(--color-base-content);
		vector-effect: non-scaling-stroke;
	}
	.socket line {
		stroke: var(--color-base-content);
		stroke-width: 1.6px;
		vector-effect: non-scaling-stroke;
	}
	.body {
		fill: var(--color-base-100);
	}
	.run:hover .body,
	.run:focus-visible .body {
		fill: color-mix(in oklab, var(--color-primary) 20%, var(--color-base-100));
	}
	.run.selected .body,
	.run.selected .wall {
		stroke: var(--color-primary);
	}
	.run.selected .body {
		fill: color-mix(in oklab, var(--color-primary) 18%, var(--color-base-100));
	}
</style>
