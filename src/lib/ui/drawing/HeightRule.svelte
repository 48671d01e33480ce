<script lang="ts">
	import { formatLength, type LengthUnit } from '$lib/core/model';

	interface Props {
		heightMm: number;
		/** Where it stands, mm. */
		xMm: number;
		units: LengthUnit;
		/** Turns px on the screen into mm on the drawing. */
		font: (px: number) => number;
	}
	let { heightMm, xMm, units, font }: Props = $props();
	const marks = $derived(Array.from({ length: Math.ceil(heightMm / 100) }, (_, i) => i * 100));
</script>

<!-- A rule beside the wall: heights above the floor. -->
<path
	class="d-light"
	d={marks.map((mm) => `M${xMm} ${heightMm - mm}h${mm % 500 ? font(5) : font(10)}`).join('')}
/>
{#each marks.filter((mm) => mm % 500 === 0 && mm > 0) as mm (mm)}
	<text class="d-measure" x={xMm + font(12)} y={heightMm - mm + font(4)} font-size={font(10.5)}
		>{formatLength(mm, units).replace(/ mm$/, '')}</text
	>
{/each}
