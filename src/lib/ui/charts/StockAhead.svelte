<script lang="ts">
	import type { Outlook } from '$lib/core/rotation';
	import { tenthsText } from '$lib/messages/numbers';
	import Chart, { type ChartOption } from './Chart.svelte';

	let { outlook, name }: { outlook: Outlook; name: string } = $props();
	const weeks = $derived(outlook.bands.map((_, i) => `${i + 1}`));
	const option: ChartOption = ({ ink, line, accent, text }) => ({
		grid: { left: 34, right: 10, top: 14, bottom: 40 },
		xAxis: {
			type: 'category',
			data: weeks,
			name: 'weeks from now',
			nameLocation: 'middle',
			nameGap: 24,
			nameTextStyle: text,
			axisLabel: text,
			axisLine: { lineStyle: { color: ink } }
		},
		yAxis: {
			type: 'value',
			minInterval: 1,
			axisLabel: text,
			splitLine: { lineStyle: { color: line } }
		},
		series: [
			// The band stands on a line that is not drawn.
			{
				type: 'line',
				stack: 'band',
				symbol: 'none',
				lineStyle: { opacity: 0 },
				data: outlook.bands.map(({ low }) => low)
			},
			{
				type: 'line',
				stack: 'band',
				symbol: 'none',
				lineStyle: { opacity: 0 },
				areaStyle: { color: accent, opacity: 0.25 },
				data: outlook.bands.map(({ low, high }) => high - low)
			},
			{
				type: 'line',
				symbol: 'none',
				lineStyle: { color: ink, width: 2 },
				data: outlook.bands.map(({ middle }) => middle)
			}
		]
	});
	const last = $derived(outlook.bands.at(-1));
</script>

<Chart
	{option}
	heightPx={200}
	label="Packs of {name} over the weeks: in {weeks.length} weeks most likely {tenthsText(
		last?.middle ?? 0
	)}, four times in five between {tenthsText(last?.low ?? 0)} and {tenthsText(last?.high ?? 0)}."
/>
<p class="soft text-sm">The line is the middle; the band holds eight runs in ten.</p>
