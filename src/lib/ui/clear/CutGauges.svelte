<script lang="ts">
	import type { PlaceCut } from '$lib/core/clearing';
	import { formatLength, formatVolume, type LengthUnit } from '$lib/core/model';

	/** How far a place is filled by what stays, in litres and along its front. */
	let { mine, units }: { mine: PlaceCut; units: LengthUnit } = $props();
	/** As much of a gauge as is beyond the line at most, in hundredths of it. */
	const share = (used: number, limit: number) => Math.min(120, (100 * used) / (limit || 1));
</script>

<div class="gauges">
	{#each [['Litres', mine.cut.volumeMl, mine.limits.volumeMl, formatVolume(mine.cut.volumeMl), formatVolume(mine.limits.volumeMl)], ['Front run', mine.cut.runMm, mine.limits.runMm, formatLength(mine.cut.runMm, units), formatLength(mine.limits.runMm, units)]] as const as [word, used, limit, usedText, limitText] (word)}
		<p>
			<span>{word}</span>
			<span class="gauge" aria-hidden="true"
				><i class:over={used > limit + 1} style:width="{share(used, limit) / 1.2}%"></i></span
			>
			<span class="measure">{usedText} of {limitText}</span>
		</p>
	{/each}
</div>

<style>
	.gauges p {
		display: grid;
		grid-template-columns: 6rem minmax(4rem, 22rem) auto;
		align-items: center;
		gap: 0.8rem;
		min-height: 32px;
	}
	.gauge {
		position: relative;
		height: 14px;
		border: 1.3px solid var(--color-base-content);
		border-right: 0;
	}
	.gauge::after {
		content: '';
		position: absolute;
		inset: -3px auto -3px 83.33%;
		border-left: 2px solid var(--color-base-content);
	}
	.gauge i {
		display: block;
		height: 100%;
		background: color-mix(in oklab, var(--color-success) 60%, transparent);
	}
	.gauge i.over {
		background: color-mix(in oklab, var(--color-error) 60%, transparent);
	}
	@media (max-width: 640px) {
		.gauges p {
			grid-template-columns: 4.5rem minmax(3rem, 1fr) auto;
		}
	}
</style>
