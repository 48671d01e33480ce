<script lang="ts">
	import { page } from '$app/state';
	import FoldEdge from './FoldEdge.svelte';

	interface Props {
		label: string;
		/** Address of the first part; the others lie below it. */
		base: string;
		parts: readonly { readonly path: string; readonly name: string; readonly count?: number }[];
	}
	let { label, base, parts }: Props = $props();
	const here = $derived(page.url.pathname.replace(/\/$/, ''));
	const address = (path: string) => (path ? `${base}/${path}` : base);
	let nav = $state<HTMLElement>();
	$effect(() => {
		// On a phone the part at hand may lie beyond the edge. After the paint: measuring costs a layout.
		// Only when the part changes: a count that comes in later must not move the tabs under a thumb.
		void here;
		const frame = requestAnimationFrame(() => {
			const current = nav?.querySelector<HTMLElement>('[aria-current]');
			if (nav && current)
				nav.scrollLeft = current.offsetLeft - (nav.clientWidth - current.offsetWidth) / 2;
		});
		return () => cancelAnimationFrame(frame);
	});
	/** Room that the hint of more tabs takes at an edge, px. */
	const EDGE_PX = 24;
	$effect(() => {
		// A count that comes in later may push the part at hand over the edge: then, and only then, it is brought back.
		void parts.map(({ count }) => count).join();
		const frame = requestAnimationFrame(() => {
			const current = nav?.querySelector<HTMLElement>('[aria-current]');
			if (!nav || !current) return;
			const over =
				current.offsetLeft + current.offsetWidth + EDGE_PX - (nav.scrollLeft + nav.clientWidth);
			if (over > 0) nav.scrollLeft += over;
		});
		return () => cancelAnimationFrame(frame);
	});
</script>

<div class="edge no-print">
	<FoldEdge scroller={nav} watch={parts}>
		<nav class="tabs tabs-border" aria-label={label} bind:this={nav}>
			{#each parts as part (part.path)}
				{@const isHere = here === address(part.path)}
				<a
					class="tab"
					class:tab-active={isHere}
					href={address(part.path)}
					aria-current={isHere ? 'page' : undefined}
					>{part.name}{#if part.count}<span class="measure soft ml-1.5 text-sm">{part.count}</span
						>{/if}</a
				>
			{/each}
		</nav>
	</FoldEdge>
</div>

<style>
	.edge {
		margin: 0 -1rem 0.9rem;
		border-bottom: 1px solid var(--color-base-300);
	}
	.tabs {
		flex-wrap: nowrap;
		overflow-x: auto;
		padding: 0 1rem;
		scrollbar-width: none;
	}
	.tab {
		flex: none;
		white-space: nowrap;
	}
	@media (max-width: 767px) {
		.edge {
			margin: 0 -0.75rem 0.5rem;
		}
		.tabs {
			padding: 0 0.75rem;
		}
	}
</style>
