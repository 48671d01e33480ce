<script lang="ts">
	import { page } from '$app/state';

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
	/** Whether there are tabs beyond the left or the right edge. */
	let more = $state({ left: false, right: false });
	function look() {
		if (!nav) return;
		const { scrollLeft, scrollWidth, clientWidth } = nav;
		more = { left: scrollLeft > 4, right: scrollLeft + clientWidth < scrollWidth - 4 };
	}
	$effect(() => {
		// On a phone the part at hand may lie beyond the edge. After the paint: measuring costs a layout.
		// Only when the part changes: a count that comes in later must not move the tabs under a thumb.
		void here;
		const frame = requestAnimationFrame(() => {
			const current = nav?.querySelector<HTMLElement>('[aria-current]');
			if (nav && current)
				nav.scrollLeft = current.offsetLeft - (nav.clientWidth - current.offsetWidth) / 2;
			look();
		});
		return () => cancelAnimationFrame(frame);
	});
	$effect(() => {
		void parts;
		const frame = requestAnimationFrame(look);
		return () => cancelAnimationFrame(frame);
	});
</script>

<svelte:window onresize={look} />
<div class="edge no-print" class:more-left={more.left} class:more-right={more.right}>
	<nav class="tabs tabs-border" aria-label={label} bind:this={nav} onscroll={look}>
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
</div>

<style>
	.edge {
		position: relative;
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
	/* Tabs go on beyond the edge: the paper folds there. */
	.more-left::before,
	.more-right::after {
		content: '‹';
		position: absolute;
		z-index: 1;
		inset-block: 0;
		left: 0;
		width: 1.6rem;
		display: grid;
		place-items: center;
		font-size: 1.4rem;
		background: var(--color-base-100);
		border-right: 1px solid var(--color-base-300);
		pointer-events: none;
	}
	.more-right::after {
		content: '›';
		left: auto;
		right: 0;
		border-right: 0;
		border-left: 1px solid var(--color-base-300);
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
