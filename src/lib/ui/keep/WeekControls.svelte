<script lang="ts">
	import Pause from '@lucide/svelte/icons/pause';
	import Play from '@lucide/svelte/icons/play';
	import StepBack from '@lucide/svelte/icons/step-back';
	import StepForward from '@lucide/svelte/icons/step-forward';
	import { secondsText } from '$lib/messages/keeping';
	import { SPEEDS, type WeekDesk } from '$lib/state/week-desk.svelte';

	let { desk }: { desk: WeekDesk } = $props();
</script>

<div class="controls">
	<button class="btn btn-primary" onclick={() => desk.toggle()}
		>{#if desk.isPlaying}<Pause size={18} />Stop{:else}<Play size={18} />Play{/if}</button
	>
	<button class="btn btn-square" aria-label="Step back" onclick={() => desk.stepBy(-1)}
		><StepBack size={18} /></button
	>
	<button class="btn btn-square" aria-label="Step on" onclick={() => desk.stepBy(1)}
		><StepForward size={18} /></button
	>
	<input
		class="range range-sm min-w-0 grow"
		type="range"
		min="0"
		max={desk.endS || 1}
		step="0.1"
		value={desk.atS}
		aria-label="Second of the routine"
		aria-valuetext={secondsText(desk.atS)}
		oninput={(event) => desk.seek(Number(event.currentTarget.value))}
	/>
	<span class="measure whitespace-nowrap">{secondsText(desk.atS)} of {secondsText(desk.endS)}</span>
	<select class="select w-auto" aria-label="Speed" bind:value={desk.speed}
		>{#each SPEEDS as speed (speed)}<option value={speed}>{speed} ×</option>{/each}</select
	>
</div>

<style>
	.controls {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
	}
</style>
