<script lang="ts">
	import type { DayBlock } from '$lib/core/clearing';
	import { clockText } from '$lib/messages/clearing';

	interface Props {
		fromMin: number;
		stopMin: number;
		fixed: readonly { name: string; fromMin: number; toMin: number }[];
		blocks: readonly DayBlock[];
		nameOf: (nookId: string) => string;
	}
	let { fromMin, stopMin, fixed, blocks, nameOf }: Props = $props();
	let widthPx = $state(700);
	const first = $derived(Math.floor(fromMin / 60) * 60);
	const last = $derived(Math.max(first + 60, Math.ceil(stopMin / 60) * 60));
	const x = (minutes: number) => ((minutes - first) / (last - first)) * widthPx;
	const hours = $derived(Array.from({ length: (last - first) / 60 + 1 }, (_, i) => first + i * 60));
	const step = $derived(widthPx / hours.length < 44 ? 2 : 1);
	const HEIGHT = 92;
	const clip = (text: string, wide: number) => {
		const room = Math.floor(wide / 7.6);
		return text.length <= room ? text : room < 4 ? '' : `${text.slice(0, room - 1)}…`;
	};
	const SHORT = { clear: '', empty: 'take out', decide: 'decide', 'put-back': 'put back' } as const;
</script>

<!-- A rule of the day: hours as ticks, work as boards laid on it, fixed times hatched. -->
<div bind:clientWidth={widthPx}>
	<svg
		width={widthPx}
		height={HEIGHT}
		role="img"
		aria-label="The day from {clockText(fromMin)} to {clockText(stopMin)}"
	>
		<line x1={0} x2={widthPx} y1={70} y2={70} class="d-floor" />
		{#each hours as hour, i (hour)}
			<line x1={x(hour)} x2={x(hour)} y1={64} y2={76} class="d-shelf" />
			{#if i % step === 0}
				<text
					class="d-measure"
					x={Math.min(Math.max(x(hour), 12), widthPx - 16)}
					y={90}
					font-size="12"
					text-anchor="middle">{hour / 60}</text
				>
			{/if}
		{/each}
		{#each fixed as item, i (i)}
			{#if item.toMin > first && item.fromMin < last}
				<g>
					<title>{item.name}, {clockText(item.fromMin)} to {clockText(item.toMin)}</title>
					<rect
						x={x(Math.max(item.fromMin, first))}
						width={x(Math.min(item.toMin, last)) - x(Math.max(item.fromMin, first))}
						y={14}
						height={56}
						fill="url(#hatch)"
						class="d-light"
						style="fill:url(#hatch)"
					/>
				</g>
			{/if}
		{/each}
		{#each blocks as block, i (i)}
			{@const wide = x(block.toMin) - x(block.fromMin)}
			<g>
				<title
					>{block.nookId ? nameOf(block.nookId) : block.work}, {clockText(block.fromMin)} to
					{clockText(block.toMin)}</title
				>
				<rect
					x={x(block.fromMin) + 1}
					width={Math.max(2, wide - 2)}
					y={22}
					height={48}
					class="board"
				/>
				<text class="d-text" x={x(block.fromMin) + 6} y={42} font-size="13"
					>{clip(block.nookId ? nameOf(block.nookId) : SHORT[block.work], wide - 8)}</text
				>
				<text class="d-measure" x={x(block.fromMin) + 6} y={60} font-size="12"
					>{clip(`${block.toMin - block.fromMin} min`, wide - 8)}</text
				>
			</g>
		{/each}
		<line
			x1={x(stopMin)}
			x2={x(stopMin)}
			y1={4}
			y2={76}
			stroke="var(--color-primary)"
			stroke-width="2"
		/>
		<text
			x={Math.min(x(stopMin) - 4, widthPx - 4)}
			y={14}
			font-size="12"
			text-anchor="end"
			fill="var(--color-primary)">stop {clockText(stopMin)}</text
		>
	</svg>
</div>

<style>
	.board {
		fill: var(--color-base-200);
		stroke: var(--color-base-content);
		stroke-width: 1.3;
	}
</style>
