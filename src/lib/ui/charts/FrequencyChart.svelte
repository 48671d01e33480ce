<script lang="ts">
	import type { FrequencyRow } from '$lib/core/grouping';
	import type { Group } from '$lib/core/model';
	import { usesText } from '$lib/messages/sorting';
	import { TAG_INKS } from '../drawing/tag-style';
	import Chart, { type ChartOption } from './Chart.svelte';

	interface Props {
		rows: readonly FrequencyRow[];
		groups: Readonly<Record<string, Group>>;
		/** What the second curve runs over. */
		of: 'pieces' | 'litres';
		chosen: string | null;
		onchoose: (groupId: string) => void;
	}
	let { rows, groups, of, chosen, onchoose }: Props = $props();
	const tagOf = (row: FrequencyRow) => groups[row.groupId]!.tag;
	const percent = (share: number) => Math.round(share * 1000) / 10;

	const option: ChartOption = ({ ink, line, accent, text }) => {
		const shares = (
			name: string,
			type: 'solid' | 'dashed',
			color: string,
			of: (row: FrequencyRow) => number
		) => ({
			name,
			type: 'line' as const,
			yAxisIndex: 1,
			symbol: 'none',
			lineStyle: { color, width: 2, type },
			itemStyle: { color },
			data: rows.map((row) => percent(of(row)))
		});
		return {
			grid: { left: 44, right: 52, top: 14, bottom: 30 },
			xAxis: {
				type: 'category',
				data: rows.map((row) => tagOf(row).code),
				axisLabel: { ...text, fontSize: 12, hideOverlap: true },
				axisLine: { lineStyle: { color: ink } },
				axisTick: { show: false }
			},
			yAxis: [
				{
					type: 'value',
					axisLabel: text,
					splitLine: { lineStyle: { color: line } }
				},
				{
					type: 'value',
					max: 100,
					axisLabel: { ...text, formatter: '{value} %' },
					splitLine: { show: false }
				}
			],
			series: [
				{
					name: 'uses a week',
					type: 'bar',
					itemStyle: { color: ink },
					data: rows.map((row) => ({
						value: row.usesPerWeek,
						itemStyle: {
							color: TAG_INKS[tagOf(row).hue]!,
							borderColor: row.groupId === chosen ? accent : ink,
							borderWidth: row.groupId === chosen ? 3 : 0.5
						}
					}))
				},
				shares('share of all fetches so far', 'solid', ink, (row) => row.usesSoFar),
				shares(`share of all ${of} so far`, 'dashed', accent, (row) => row.sizeSoFar)
			]
		};
	};
	const said = $derived(
		rows
			.slice(0, 5)
			.map((row) => `${groups[row.groupId]!.name} ${usesText(row.usesPerWeek)}`)
			.join(', ')
	);
</script>

<ul class="soft flex flex-wrap gap-x-5 text-sm" aria-hidden="true">
	<li>
		<svg viewBox="0 0 24 12"><rect x="6" width="9" height="12" class="bars" /></svg>uses a week
	</li>
	<li>
		<svg viewBox="0 0 24 12"><path d="M0 6H24" class="ink" /></svg>share of all fetches so far
	</li>
	<li>
		<svg viewBox="0 0 24 12"><path d="M0 6H24" class="accent" /></svg>share of all {of} so far
	</li>
</ul>
<Chart
	{option}
	label="Uses a week of {rows.length} groups, the most used first: {said}. The list below has all of them."
	onpick={(index) => rows[index] && onchoose(rows[index].groupId)}
/>

<style>
	li {
		display: flex;
		align-items: center;
		gap: 0.4rem;
	}
	svg {
		width: 24px;
		height: 12px;
	}
	.bars {
		fill: var(--color-base-content);
	}
	.ink {
		stroke: var(--color-base-content);
		stroke-width: 2;
	}
	.accent {
		stroke: var(--color-primary);
		stroke-width: 2;
		stroke-dasharray: 4 3;
	}
</style>
