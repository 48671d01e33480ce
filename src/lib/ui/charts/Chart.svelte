<script lang="ts" module>
	import type { EChartsCoreOption } from 'echarts/core';

	/** What a chart takes from the page: its colours and its letters. */
	export interface ChartInk {
		readonly ink: string;
		readonly line: string;
		readonly accent: string;
		readonly done: string;
		readonly text: {
			readonly color: string;
			readonly fontFamily: string;
			readonly fontSize: number;
		};
	}
	export type ChartOption = (ink: ChartInk) => EChartsCoreOption;
</script>

<script lang="ts">
	import type { EChartsType } from 'echarts/core';
	import { afterPaint } from '$lib/state/later.svelte';
	import { theme } from '$lib/state/theme.svelte';

	interface Props {
		option: ChartOption;
		/** What it shows, in words. */
		label: string;
		heightPx?: number;
		/** Position of what was clicked. */
		onpick?: (index: number) => void;
	}
	let { option, label, heightPx = 240, onpick }: Props = $props();
	let box = $state<HTMLDivElement>();
	let chart = $state.raw<EChartsType>();

	$effect(() => {
		const node = box;
		if (!node) return;
		let gone = false;
		const observer = new ResizeObserver(() => chart?.resize());
		// The list shows first; the chart is drawn after it.
		const callOff = afterPaint(async () => {
			const { init } = await import('./echarts');
			if (gone) return;
			const made = init(node);
			made.on('click', ({ dataIndex }) => onpick?.(dataIndex));
			chart = made;
			observer.observe(node);
		});
		return () => {
			gone = true;
			callOff();
			observer.disconnect();
			chart?.dispose();
			chart = undefined;
		};
	});
	$effect(() => {
		const made = chart;
		if (!made) return;
		// The colours are read from the page, which says nothing when they change.
		void theme.current;
		const style = getComputedStyle(document.documentElement);
		const colour = (name: string) => style.getPropertyValue(name).trim();
		const ink = colour('--color-base-content');
		made.setOption(
			{
				animation: !matchMedia('(prefers-reduced-motion: reduce)').matches,
				textStyle: { color: ink, fontFamily: style.fontFamily, fontSize: 13 },
				...option({
					ink,
					line: colour('--color-base-300'),
					accent: colour('--color-primary'),
					done: colour('--color-success'),
					text: { color: ink, fontFamily: style.fontFamily, fontSize: 13 }
				})
			},
			true
		);
	});
</script>

<div bind:this={box} class="w-full" style:height="{heightPx}px" role="img" aria-label={label}></div>
