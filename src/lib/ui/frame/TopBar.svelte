<script lang="ts">
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Keyboard from '@lucide/svelte/icons/keyboard';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import HomeChoices from './HomeChoices.svelte';
	import KeyPage from './KeyPage.svelte';
	import SearchBox from './SearchBox.svelte';
	import type { HomeStore } from '$lib/state/home-store.svelte';

	let { store }: { store: HomeStore } = $props();
	let keyPage = $state<KeyPage>();
	const home = $derived(store.home);
	const SAVE_WORDS = {
		saved: 'Saved',
		saving: 'Saving …',
		failed: 'Not saved',
		gone: 'Not saved'
	} as const;
	const isUnsafe = $derived(store.saveState === 'failed' || store.saveState === 'gone');
</script>

<header class="bar no-print">
	<a class="home" href="/home/{home.id}" title="Job sheet of {home.name}">{home.name}</a>
	<SearchBox {home} />
	<div class="tools steps">
		<button
			class="btn btn-ghost"
			disabled={!store.undoLabel}
			onclick={() => store.undo()}
			title={store.undoLabel ? `Undo: ${store.undoLabel}` : 'Nothing to undo'}
			aria-label={store.undoLabel ? `Undo: ${store.undoLabel}` : 'Undo'}
			><Undo2 size={20} /><span class="wide">Undo</span></button
		>
		<button
			class="btn btn-ghost"
			class:rare={!store.redoLabel}
			disabled={!store.redoLabel}
			onclick={() => store.redo()}
			title={store.redoLabel ? `Redo: ${store.redoLabel}` : 'Nothing to redo'}
			aria-label={store.redoLabel ? `Redo: ${store.redoLabel}` : 'Redo'}
			><Redo2 size={20} /><span class="wide">Redo</span></button
		>
		<span class="saved" class:failed={isUnsafe} role="status">{SAVE_WORDS[store.saveState]}</span>
	</div>
	<div class="tools choices rare">
		<button class="btn btn-ghost with-keys" onclick={() => keyPage?.open()} aria-label="Keys"
			><Keyboard size={20} /></button
		>
		<HomeChoices {store} />
	</div>
</header>
<KeyPage bind:this={keyPage} />

<style>
	.bar {
		display: flex;
		align-items: center;
		gap: 0.75rem;
		min-height: 56px;
		padding: 0.25rem 1rem;
		border-bottom: 1px solid var(--color-base-300);
	}
	.home {
		font-family: var(--font-display);
		font-weight: 650;
		font-size: 1.1rem;
		white-space: nowrap;
		overflow: hidden;
		text-overflow: ellipsis;
		/* A block: only so its name ends in dots. */
		flex: 0 1 auto;
		min-width: 5rem;
		line-height: 44px;
	}
	.tools {
		display: flex;
		align-items: center;
		gap: 0.15rem;
	}
	.tools .btn {
		padding-inline: 0.6rem;
	}
	.saved {
		min-width: 4.6rem;
		font-size: 0.9rem;
		color: var(--color-success);
		text-align: center;
	}
	.saved.failed {
		color: var(--color-error);
		font-weight: 700;
	}
	@media (max-width: 900px) {
		.wide {
			display: none;
		}
	}
	/* One line on a phone: the home, the search, undo; what is rare goes to the job sheet. */
	@media (max-width: 640px) {
		.bar {
			gap: 0.15rem;
			min-height: 50px;
			padding: 0 0.5rem;
		}
		.home {
			max-width: 6.5rem;
		}
		.tools .btn {
			padding-inline: 0.45rem;
			min-width: 44px;
		}
		.rare {
			display: none;
		}
		.saved {
			min-width: 0;
			font-size: 0.85rem;
		}
		.saved:not(.failed) {
			position: absolute;
			right: 0;
			width: 1px;
			overflow: hidden;
			clip-path: inset(50%);
		}
	}
</style>
