<script lang="ts">
	import { addDays, daysBetween } from '$lib/core/model';

	interface Mark {
		id: string;
		on: string;
		everyDays: number;
		word: string;
	}
	let { today, marks }: { today: string; marks: readonly Mark[] } = $props();
	const DAYS = 182;
	let widthPx = $state(800);
	const left = 150;
	const x = (day: string) =>
		left + (Math.max(0, Math.min(DAYS, daysBetween(today, day))) / DAYS) * (widthPx - left - 16);
	const months = $derived.by(() => {
		const found: { at: number; word: string }[] = [];
		for (let d = 0; d < DAYS; d++) {
			const day = addDays(today, d);
			if (day.endsWith('-01'))
				found.push({
					at: x(day),
					word: new Intl.DateTimeFormat('en', { month: 'short', timeZone: 'UTC' }).format(
						new Date(`${day}T00:00:00Z`)
					)
				});
		}
		return found;
	});
	const dates = (mark: Mark) => {
		const list: string[] = [];
		let day = mark.on < today ? today : mark.on;
		while (daysBetween(today, day) <= DAYS && list.length < 60) {
			list.push(day);
			day = addDays(day, Math.max(1, mark.everyDays));
		}
		return list;
	};
	const high = $derived(marks.length * 22 + 34);
</script>

<div bind:clientWidth={widthPx} class="w-full">
	<svg
		width={widthPx}
		height={high}
		role="img"
		aria-label="Half a year of resets: {marks
			.map((mark) => `${mark.word} every ${mark.everyDays} days`)
			.join(', ')}"
	>
		{#each months as month (month.word)}
			<line
				x1={month.at}
				x2={month.at}
				y1={18}
				y2={high - 8}
				class="d-light"
				style="stroke:var(--color-base-300)"
			/>
			<text x={month.at + 4} y={13} font-size="13" class="d-measure">{month.word}</text>
		{/each}
		<line
			x1={left}
			x2={left}
			y1={18}
			y2={high - 8}
			stroke="var(--color-primary)"
			stroke-width="2"
		/>
		<text x={left - 6} y={13} font-size="13" text-anchor="end" style="fill:var(--color-primary)"
			>today</text
		>
		{#each marks as mark, i (mark.id)}
			{@const y = 36 + i * 22}
			<text x={left - 12} y={y + 5} font-size="14" text-anchor="end" class="d-text"
				>{mark.word}</text
			>
			<line
				x1={left}
				x2={widthPx - 16}
				y1={y}
				y2={y}
				class="d-light"
				style="stroke:var(--color-base-300)"
			/>
			{#each dates(mark) as day (day)}
				<path
					d="M{x(day) - 5} {y}l5 -6 5 6 -5 6z"
					fill={mark.on < today && day === today
						? 'var(--color-error)'
						: 'var(--color-base-content)'}
				/>
			{/each}
		{/each}
	</svg>
</div>
