<script lang="ts">
	import { tenthsText } from '$lib/messages/numbers';
	import Chart, { type ChartOption } from './Chart.svelte';

	interface Props {
		rows: readonly { readonly name: string; readonly value: number }[];
		/** What is counted. */
		label: string;
	}
	let { rows, label }: Props = $props();
	// The first row stands on top: the axis runs from below.
	const shown = $derived(rows.slice(0, 10).reverse());
	const option: ChartOption = ({ ink, line, accent, text }) => ({
		grid: { left: 150, right: 40, top: 6, bottom: 24 },
		xAxis: {
			type: 'value',
			minInterval: 1,
			axisLabel: text,
			splitLine: { lineStyle: { color: line } }
		},
		yAxis: {
			type: 'category',
			data: shown.map(({ name }) => name),
			axisLabel: { ...text, width: 140, overflow: 'break' },
			axisLine: { lineStyle: { color: ink } },
			axisTick: { show: false }
		},
		series: [
			{
				type: 'bar',
				barMaxWidth: 22,
				itemStyle: { color: accent },
				label: {
					show: true,
					position: 'right',
					...text,
					formatter: ({ value }: { value: number }) => tenthsText(value)
				},
				data: shown.map(({ value }) => value)
			}
		]
	});
</script>

<Chart
	{option}
	heightPx={Math.max(90, 34 * shown.length + 34)}
	label="{label}: {rows.map(({ name, value }) => `${name} ${tenthsText(value)}`).join(', ')}"
/>
