<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		/** What scrolls sideways within it. */
		scroller: HTMLElement | undefined;
		/** What it holds: when that changes, the edges are looked at again. */
		watch: unknown;
		children: Snippet;
	}
	let { scroller, watch, children }: Props = $props();
	/** Whether there is more beyond the left or the right edge. */
	let more = $state({ left: false, right: false });
	$effect(() => {
		void watch;
		const strip = scroller;
		if (!strip) return;
		const look = () => {
			const { scrollLeft, scrollWidth, clientWidth } = strip;
			more = { left: scrollLeft > 4, right: scrollLeft + clientWidth < scrollWidth - 4 };
		};
		// After the paint: measuring costs a layout.
		const frame = requestAnimationFrame(look);
		const sizes = new ResizeObserver(look);
		sizes.observe(strip);
		strip.addEventListener('scroll', look, { passive: true });
		return () => {
			cancelAnimationFrame(frame);
			sizes.disconnect();
			strip.removeEventListener('scroll', look);
		};
	});
</script>

<!-- The paper folds where something goes on beyond the edge. -->
<div class="edge" class:more-left={more.left} class:more-right={more.right}>
	{@render children()}
</div>

<style>
	.edge {
		position: relative;
	}
	.more-left::before,
	.more-right::after {
		content: '‹';
		position: absolute;
		z-index: 1;
		inset-block: 0;
		left: 0;
		width: 1.5rem;
		display: grid;
		place-items: center;
		font-size: 1.4rem;
		background: var(--color-base-100);
		border-right: 1px dashed var(--color-base-content);
		pointer-events: none;
	}
	.more-right::after {
		content: '›';
		left: auto;
		right: 0;
		border-right: 0;
		border-left: 1px dashed var(--color-base-content);
	}
</style>
