<script lang="ts">
	import Search from '@lucide/svelte/icons/search';
	import { Command } from 'bits-ui';
	import { goto } from '$app/navigation';
	import type { Home } from '$lib/core/model';
	import { find, type Found } from '$lib/state/find';
	import { keysEverywhere } from '$lib/state/page-keys.svelte';

	let { home }: { home: Home } = $props();
	let query = $state('');
	let isOpen = $state(false);
	let box = $state<HTMLElement>();
	/** What was opened last, for an empty box. */
	let recent = $state.raw<readonly Found[]>([]);
	const KEPT = 5;
	const found = $derived(query.trim() ? find(home, query) : recent);
	const isShown = $derived(isOpen && (query.trim().length > 1 || found.length > 0));
	const field = () => box?.querySelector<HTMLInputElement>('input');
	keysEverywhere('Everywhere', [
		{ keys: '/', does: 'Find a thing or a place', run: () => field()?.focus() }
	]);

	function open(hit: Found) {
		recent = [hit, ...recent.filter(({ key }) => key !== hit.key)].slice(0, KEPT);
		query = '';
		isOpen = false;
		field()?.blur();
		void goto(`/home/${home.id}/${hit.href}`);
	}
</script>

<div
	class="search"
	bind:this={box}
	onfocusin={() => (isOpen = true)}
	onfocusout={(event) => {
		if (!box?.contains(event.relatedTarget as Node | null)) isOpen = false;
	}}
>
	<Command.Root shouldFilter={false} label="Find a thing" class="w-full">
		<div class="line">
			<Search size={18} aria-hidden="true" />
			<Command.Input
				bind:value={query}
				placeholder="Where is …?"
				aria-label="Find a thing"
				onkeydown={(event) => {
					if (event.key !== 'Escape') return;
					event.preventDefault();
					query = '';
					isOpen = false;
					field()?.blur();
				}}
			/>
		</div>
		<!-- Always there, since the field names it as its list. -->
		<Command.List class="hits" hidden={!isShown}>
			<Command.Viewport>
				{#if isShown}
					{#each found as hit (hit.key)}
						<Command.Item value={hit.key} onSelect={() => open(hit)} class="hit">
							<b>{hit.name}</b><span class="soft">{hit.where}</span>
						</Command.Item>
					{:else}
						<p class="p-3">Nothing here is called “{query.trim()}”.</p>
					{/each}
				{/if}
			</Command.Viewport>
		</Command.List>
	</Command.Root>
</div>

<style>
	.search {
		position: relative;
		flex: 1 1 12rem;
		max-width: 24rem;
		margin-left: auto;
	}
	.line {
		display: flex;
		align-items: center;
		gap: 0.4rem;
		border-bottom: 1.5px solid var(--ink-soft);
	}
	.search :global(input) {
		width: 100%;
		min-height: 44px;
		background: transparent;
		outline-offset: 0;
	}
	.search :global(.hits) {
		position: absolute;
		top: 100%;
		left: 0;
		right: 0;
		z-index: 40;
		max-height: 70dvh;
		overflow-y: auto;
		background: var(--color-base-100);
		border: 1px solid var(--color-base-content);
	}
	.search :global(.hit) {
		display: flex;
		flex-direction: column;
		min-height: 44px;
		padding: 0.5rem 0.75rem;
		border-bottom: 1px solid var(--color-base-300);
		cursor: pointer;
	}
	.search :global(.hit[data-selected]) {
		background: var(--color-base-200);
		box-shadow: inset 4px 0 0 var(--color-primary);
	}
	@media (max-width: 640px) {
		.search {
			flex: 1 1 7rem;
			min-width: 0;
			max-width: none;
		}
		.search :global(.hits) {
			position: fixed;
			top: 52px;
			left: 0.5rem;
			right: 0.5rem;
		}
	}
</style>
