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
	$effect(() => {
		// On a phone the part at hand may lie beyond the edge.
		const current = here && nav?.querySelector<HTMLElement>('[aria-current]');
		if (nav && current)
			nav.scrollLeft = current.offsetLeft - (nav.clientWidth - current.offsetWidth) / 2;
	});
</script>

<!-- The parts of a stage, as tabs cut into the edge of a folder. -->
<nav class="parts no-print" aria-label={label} bind:this={nav}>
	{#each parts as part (part.path)}
		<a href={address(part.path)} aria-current={here === address(part.path) ? 'page' : undefined}
			>{part.name}{#if part.count}<span class="measure count">{part.count}</span>{/if}</a
		>
	{/each}
</nav>

<style>
	.parts {
		position: relative;
		display: flex;
		gap: 0.1rem;
		margin: 0 -1rem 0.9rem;
		padding: 0 1rem;
		overflow-x: auto;
		border-bottom: 1px solid var(--color-base-300);
		scrollbar-width: thin;
	}
	a {
		display: inline-flex;
		align-items: center;
		gap: 0.4rem;
		min-height: 44px;
		padding: 0 0.8rem;
		white-space: nowrap;
		border-bottom: 3px solid transparent;
	}
	a:hover {
		background: var(--color-base-200);
	}
	a[aria-current] {
		border-bottom-color: var(--color-primary);
		font-weight: 700;
	}
	.count {
		font-size: 0.85rem;
		color: var(--ink-soft);
	}
</style>
