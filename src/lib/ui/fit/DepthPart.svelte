<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowLeft from '@lucide/svelte/icons/arrow-left';
	import ArrowRight from '@lucide/svelte/icons/arrow-right';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import type { Stood } from '$lib/core/fitting';
	import type { Home, Nook } from '$lib/core/model';
	import { depthBoxes } from '$lib/ui/drawing/depth-geometry';
	import type { DepthView } from '$lib/ui/drawing/depth-scene';
	import DepthStill from '$lib/ui/drawing/DepthStill.svelte';

	interface Props {
		home: Home;
		nook: Nook;
		fit: Stood;
		picked: string | null;
	}
	let { home, nook, fit, picked }: Props = $props();
	const size = $derived({
		widthMm: nook.inside.widthMm ?? 300,
		depthMm: nook.inside.depthMm ?? 300,
		heightMm: nook.inside.heightMm ?? 300
	});
	const boxes = $derived(depthBoxes(home, nook, fit));
	const label = $derived(`${nook.name} in depth, from the front, the right and above`);
	let isTurning = $state(false);
	/** This browser draws nothing in depth: the still picture stays. */
	let cannot = $state(false);
	let canvas = $state<HTMLCanvasElement>();
	let view = $state.raw<DepthView | null>(null);
	const STEP = 15;
	const TURNS = [
		{ words: 'Turn to the left', icon: ArrowLeft, by: [-STEP, 0] },
		{ words: 'Turn to the right', icon: ArrowRight, by: [STEP, 0] },
		{ words: 'See it from higher up', icon: ArrowUp, by: [0, STEP] },
		{ words: 'See it from lower down', icon: ArrowDown, by: [0, -STEP] }
	] as const;

	$effect(() => {
		const [on, of] = [canvas, size];
		if (!on || !isTurning) return;
		let gone = false;
		let made: DepthView | null = null;
		void import('$lib/ui/drawing/depth-scene')
			.then(({ depthView }) => {
				if (gone) return;
				view = made = depthView(on, of, getComputedStyle(on).color);
				made.fit();
			})
			.catch(() => {
				[cannot, isTurning] = [true, false];
			});
		return () => {
			gone = true;
			made?.leave();
			view = null;
		};
	});
	$effect(() => view?.show(boxes, picked));
</script>

<svelte:window onresize={() => view?.fit()} />
<figure>
	<figcaption class="flex flex-wrap items-center justify-between gap-2 font-semibold">
		In depth
		{#if !cannot}<button
				class="btn btn-sm"
				aria-pressed={isTurning}
				onclick={() => (isTurning = !isTurning)}>{isTurning ? 'Still picture' : 'Turn it'}</button
			>{/if}
	</figcaption>
	{#if isTurning}
		<canvas bind:this={canvas} class="depth" aria-label="{label}; drag it to turn it"></canvas>
		<div class="join mt-1" role="group" aria-label="Turn the drawing">
			{#each TURNS as { words, icon: Icon, by } (words)}
				<button
					class="btn btn-square join-item"
					aria-label={words}
					onclick={() => view?.turn(by[0], by[1])}><Icon size={18} /></button
				>
			{/each}
		</div>
	{:else}
		<DepthStill {size} {boxes} {picked} {label} />
	{/if}
	{#if cannot}<p class="soft text-sm">This browser cannot turn drawings in depth.</p>{/if}
</figure>

<style>
	.depth {
		display: block;
		width: 100%;
		height: 420px;
		touch-action: none;
		color: var(--color-base-content);
		background: var(--color-base-200);
	}
</style>
