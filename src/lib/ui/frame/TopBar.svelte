<script lang="ts">
	import Moon from '@lucide/svelte/icons/moon';
	import Redo2 from '@lucide/svelte/icons/redo-2';
	import Search from '@lucide/svelte/icons/search';
	import Sun from '@lucide/svelte/icons/sun';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import type { HomeStore } from '$lib/state/home-store.svelte';
	import { theme } from '$lib/state/theme.svelte';

	let { store }: { store: HomeStore } = $props();
	const home = $derived(store.home);
	let query = $state('');
	const hits = $derived.by(() => {
		const words = query.trim().toLowerCase();
		if (words.length < 2) return [];
		const lots = Object.values(home.lots).filter((lot) => lot.count > 0);
		return Object.values(home.things)
			.filter((thing) => thing.name.toLowerCase().includes(words))
			.slice(0, 8)
			.map((thing) => ({
				thing,
				places: [
					...new Set(
						lots
							.filter((lot) => lot.thingId === thing.id)
							.map((lot) => (lot.nookId ? (home.nooks[lot.nookId]?.name ?? '') : 'on the table'))
					)
				].join(', ')
			}));
	});
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
	<div class="search">
		<Search size={18} aria-hidden="true" />
		<input
			type="search"
			placeholder="Where is …?"
			aria-label="Find a thing"
			bind:value={query}
			onkeydown={(event) => event.key === 'Escape' && (query = '')}
		/>
		{#if query.trim().length > 1}
			<ul class="hits">
				{#each hits as { thing, places } (thing.id)}
					<li><b>{thing.name}</b><span class="soft">{places || 'none left'}</span></li>
				{:else}
					<li>Nothing here is called “{query}”.</li>
				{/each}
			</ul>
		{/if}
	</div>
	<div class="tools steps">
		<button
			class="tool tool-quiet"
			disabled={!store.undoLabel}
			onclick={() => store.undo()}
			title={store.undoLabel ? `Undo: ${store.undoLabel}` : 'Nothing to undo'}
			aria-label={store.undoLabel ? `Undo: ${store.undoLabel}` : 'Undo'}
			><Undo2 size={20} /><span class="wide">Undo</span></button
		>
		<button
			class="tool tool-quiet"
			disabled={!store.redoLabel}
			onclick={() => store.redo()}
			title={store.redoLabel ? `Redo: ${store.redoLabel}` : 'Nothing to redo'}
			aria-label={store.redoLabel ? `Redo: ${store.redoLabel}` : 'Redo'}
			><Redo2 size={20} /><span class="wide">Redo</span></button
		>
		<span class="saved" class:failed={isUnsafe} role="status">{SAVE_WORDS[store.saveState]}</span>
	</div>
	<i class="break" aria-hidden="true"></i>
	<div class="tools choices">
		<label class="units">
			<span class="sr-only">Units</span>
			<select
				class="box measure"
				value={home.units}
				onchange={(event) => {
					const units = event.currentTarget.value as typeof home.units;
					store.run(`units ${units}`, 'changeHome', { units });
				}}
			>
				<option value="mm">mm</option>
				<option value="cm">cm</option>
				<option value="in">inch</option>
			</select>
		</label>
		<button
			class="tool tool-quiet"
			onclick={() => theme.toggle()}
			aria-label={theme.current === 'linen' ? 'Dark: cellar' : 'Light: linen'}
			>{#if theme.current === 'linen'}<Moon size={20} />{:else}<Sun size={20} />{/if}</button
		>
	</div>
</header>

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
		min-height: 44px;
		display: inline-flex;
		align-items: center;
	}
	.search {
		position: relative;
		display: flex;
		align-items: center;
		gap: 0.4rem;
		flex: 1 1 12rem;
		max-width: 24rem;
		margin-left: auto;
		border-bottom: 1.5px solid var(--ink-soft);
	}
	.search input {
		width: 100%;
		min-height: 44px;
		background: transparent;
		outline-offset: 0;
	}
	.hits {
		position: absolute;
		top: 100%;
		left: 0;
		right: 0;
		z-index: 40;
		background: var(--color-base-100);
		border: 1px solid var(--color-base-content);
	}
	.hits li {
		display: flex;
		flex-direction: column;
		padding: 0.5rem 0.75rem;
		border-bottom: 1px solid var(--color-base-300);
	}
	.break {
		display: none;
	}
	.tools {
		display: flex;
		align-items: center;
		gap: 0.15rem;
	}
	.tools .tool {
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
	.units select {
		min-width: 5rem;
	}
	@media (max-width: 900px) {
		.wide {
			display: none;
		}
	}
	@media (max-width: 640px) {
		.bar {
			gap: 0 0.25rem;
			padding: 0 0.5rem;
			flex-wrap: wrap;
		}
		.home {
			order: 1;
			flex: 1 1 0;
			display: block;
			line-height: 44px;
		}
		.steps {
			order: 2;
		}
		.search {
			order: 3;
			flex: 1 1 0;
			max-width: none;
			margin-left: 0.4rem;
		}
		.choices {
			order: 4;
		}
		.break {
			display: block;
			order: 2;
			flex-basis: 100%;
		}
		.saved {
			min-width: 0;
			font-size: 0.85rem;
		}
		.units select {
			min-width: 4.6rem;
			padding-inline: 0.4rem;
		}
	}
</style>
