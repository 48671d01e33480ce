<script lang="ts">
	import { wholeText } from '$lib/messages/numbers';
	import type { RecordDesk } from '$lib/state/record-desk.svelte';
	import Chart, { type ChartOption } from '$lib/ui/charts/Chart.svelte';

	let { desk }: { desk: RecordDesk } = $props();
	const option: ChartOption = ({ ink, line, accent, text }) => ({
		grid: { left: 44, right: 12, top: 30, bottom: 26 },
		legend: { top: 0, textStyle: text, data: ['used', 'thrown out'] },
		xAxis: {
			type: 'category',
			data: desk.months.map(({ month }) => desk.monthText(month)),
			axisLabel: text,
			axisLine: { lineStyle: { color: ink } }
		},
		yAxis: { type: 'value', axisLabel: text, splitLine: { lineStyle: { color: line } } },
		series: [
			{
				name: 'used',
				type: 'bar',
				stack: 'packs',
				itemStyle: { color: line, borderColor: ink, borderWidth: 1 },
				data: desk.months.map(({ used }) => Math.round(used))
			},
			{
				name: 'thrown out',
				type: 'bar',
				stack: 'packs',
				itemStyle: { color: accent },
				data: desk.months.map(({ wasted }) => Math.round(wasted * 10) / 10)
			}
		]
	});
</script>

<Chart
	{option}
	heightPx={220}
	label="Packs used and thrown out: {desk.months
		.map(
			({ month, used, wasted }) =>
				`${desk.monthText(month)} ${wholeText(used)} and ${wholeText(wasted)}`
		)
		.join(', ')}"
/>
