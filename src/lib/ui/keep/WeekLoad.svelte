<script lang="ts">
	import type { ResetWeek } from '$lib/core/upkeep';
	import { dateText, dayOfYearText, minutesText } from '$lib/messages/clearing';

	interface Props {
		weeks: readonly ResetWeek[];
		mostMinutes: number;
		titleOf: (id: string) => string;
	}
	let { weeks, mostMinutes, titleOf }: Props = $props();
	const high = $derived(Math.max(mostMinutes * 1.2, ...weeks.map(({ minutes }) => minutes)));
</script>

<ol class="weeks" aria-label="Minutes of resets in the weeks to come">
	{#each weeks as week, i (week.from)}
		<li
			title={week.due.map(({ id }) => titleOf(id)).join('\n')}
			aria-label="{i === 0 ? 'This week' : `Week of ${dateText(week.from)}`}: {minutesText(
				week.minutes
			)}"
		>
			<span class="measure text-sm">{week.minutes ? `${week.minutes} min` : ''}</span>
			<span class="column">
				<span
					class="bar"
					class:full={week.minutes > mostMinutes}
					style:height="{(week.minutes / high) * 100}%"
				></span>
				<span class="limit" style:bottom="{(mostMinutes / high) * 100}%"></span>
			</span>
			<span class="soft text-sm">{i === 0 ? 'this week' : dayOfYearText(week.from)}</span>
		</li>
	{/each}
</ol>

<style>
	.weeks {
		display: grid;
		grid-auto-flow: column;
		grid-auto-columns: minmax(0, 1fr);
		gap: 0.4rem;
	}
	li {
		display: flex;
		flex-direction: column;
		align-items: center;
		overflow: hidden;
		white-space: nowrap;
	}
	.column {
		position: relative;
		display: flex;
		align-items: flex-end;
		width: 100%;
		height: 74px;
		border-bottom: 2px solid var(--color-base-content);
	}
	.bar {
		width: 70%;
		margin: 0 auto;
		background: var(--color-base-300);
		border: 1.5px solid var(--color-base-content);
		border-bottom: 0;
	}
	.bar.full {
		background: var(--color-primary);
	}
	.limit {
		position: absolute;
		left: 0;
		right: 0;
		border-top: 1.5px dashed var(--color-base-content);
		opacity: 0.5;
	}
	@media (max-width: 640px) {
		li:nth-child(n + 6) {
			display: none;
		}
	}
</style>
