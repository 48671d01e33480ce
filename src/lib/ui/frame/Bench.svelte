<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		children: Snippet;
		/** The reason panel: at the right, on a phone below. */
		panel?: Snippet | undefined;
		panelLabel?: string;
		/** On a small screen: the panel comes up from below, over the drawing. */
		raised?: boolean;
		/** What is chosen on the drawing: it is brought above the raised panel when it changes. */
		chosen?: string | null;
	}
	let { children, panel, panelLabel = 'Details', raised = false, chosen = null }: Props = $props();
	let middle = $state<HTMLElement>();
	/** The raised panel covers 56 % of a small screen: the middle of what is left lies so much above the screen's. */
	const LIFT = 0.28;
	$effect(() => {
		if (!raised || !chosen || !matchMedia('(max-width: 1023px)').matches) return;
		const frame = requestAnimationFrame(() => {
			const spot = middle?.querySelector('svg [aria-pressed="true"]');
			if (!spot) return;
			spot.scrollIntoView({ block: 'center', inline: 'center', behavior: 'instant' });
			window.scrollBy({ top: innerHeight * LIFT, behavior: 'instant' });
		});
		return () => cancelAnimationFrame(frame);
	});
</script>

<div class="bench" class:with-panel={!!panel} class:has-raised={raised && !!panel}>
	<div class="middle" bind:this={middle}>{@render children()}</div>
	{#if panel}
		<aside aria-label={panelLabel} class:raised>{@render panel()}</aside>
	{/if}
</div>

<style>
	.bench {
		display: grid;
		grid-template-columns: minmax(0, 1fr);
	}
	.middle {
		padding: 1rem;
		min-width: 0;
	}
	aside {
		padding: 1rem;
		border-top: 1px solid var(--color-base-300);
		background: var(--color-base-200);
	}
	@media print {
		.bench.with-panel {
			display: block;
		}
		aside {
			display: none;
		}
	}
	@media screen and (max-width: 1023px) {
		.has-raised .middle {
			padding-bottom: 56dvh;
		}
		aside.raised {
			position: fixed;
			inset: auto 0 0 84px;
			z-index: 25;
			max-height: 56dvh;
			overflow-y: auto;
			border-top: 3px solid var(--color-primary);
		}
	}
	@media (max-width: 767px) {
		aside.raised {
			inset: auto 0 calc(56px + env(safe-area-inset-bottom)) 0;
		}
	}
	@media screen and (min-width: 1024px) {
		.bench.with-panel {
			grid-template-columns: minmax(0, 1fr) 340px;
			min-height: calc(100dvh - 57px);
		}
		aside {
			border-top: 0;
			border-left: 1px solid var(--color-base-300);
			position: sticky;
			top: 0;
			max-height: 100dvh;
			overflow-y: auto;
		}
	}
</style>
