<script lang="ts">
	import type { Snippet } from 'svelte';
	import { page } from '$app/state';
	import type { HomeStore } from '$lib/state/home-store.svelte';
	import BrokenScreen from './BrokenScreen.svelte';
	import MendList from './MendList.svelte';
	import StageStrip from './StageStrip.svelte';
	import StoreTrouble from './StoreTrouble.svelte';
	import TopBar from './TopBar.svelte';
	import type { ComponentProps } from 'svelte';

	/** The frame round every screen of a home: stages, undo, what went wrong; a page for a door has none. */
	interface Props {
		store: HomeStore;
		stage: string;
		region: string | null;
		isKiosk: boolean;
		progress: ComponentProps<typeof StageStrip>['progress'];
		children?: Snippet;
		beside?: Snippet;
	}
	let { store, stage, region, isKiosk, progress, children, beside }: Props = $props();
</script>

{#if !isKiosk}<a class="skip btn btn-primary" href="#main">Skip to the work</a>{/if}
<div class:frame={!isKiosk}>
	{#if !isKiosk}<StageStrip homeId={store.home.id} current={stage} {progress} />{/if}
	<div class="min-w-0">
		{#if !isKiosk}<TopBar {store} />{/if}
		<main id="main" tabindex="-1">
			<StoreTrouble {store} />
			<MendList {store} />
			<!-- Another screen is tried anew. -->
			{#key `${page.url.pathname} ${region}`}
				<svelte:boundary>
					{@render children?.()}
					{#snippet failed(error, reset)}
						<BrokenScreen {error} {reset} home={store.home} />
					{/snippet}
				</svelte:boundary>
			{/key}
		</main>
		{@render beside?.()}
	</div>
</div>

<style>
	.skip {
		position: fixed;
		left: 0.5rem;
		top: 0.5rem;
		z-index: 60;
	}
	.skip:not(:focus) {
		clip-path: inset(50%);
	}
	.frame {
		display: grid;
		grid-template-columns: 84px minmax(0, 1fr);
		min-height: 100dvh;
	}
	@media print {
		.frame {
			display: block;
		}
	}
	@media (max-width: 767px) {
		.frame {
			display: block;
			padding-bottom: 60px;
		}
	}
	main:focus {
		outline: none;
	}
</style>
