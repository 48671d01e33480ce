<script lang="ts">
	import type { BoardDesk } from '$lib/state/board-desk.svelte';

	let { desk }: { desk: BoardDesk } = $props();
	const id = $props.id();
	let typed = $state('');
	let field = $state<HTMLInputElement>();

	/** Lets the keyboard go on here. */
	export function focus(): void {
		field?.focus();
	}
	function act(what: (words: string) => boolean) {
		if (what(typed)) typed = '';
		else {
			field?.focus();
			// What no group is called is typed over by the next word.
			field?.select();
		}
	}
</script>

<div class="bar" role="group" aria-label="What is chosen">
	<b>{desk.chosen.length} chosen</b>
	<label class="grow" for={id}
		><span class="sr-only">Move to</span>
		<input
			{id}
			bind:this={field}
			bind:value={typed}
			class="input"
			list="{id}-groups"
			autocomplete="off"
			placeholder="two letters or a name"
			aria-invalid={desk.refused ? 'true' : undefined}
			aria-describedby={desk.refused ? `${id}-say` : undefined}
			onkeydown={(event) => {
				if (event.key === 'Enter') act((words) => desk.moveTo(words));
				if (event.key === 'Escape') desk.clear();
			}}
		/>
		<datalist id="{id}-groups"
			>{#each desk.targets as group (group.id)}<option value={group.name}>{group.tag.code}</option
				>{/each}</datalist
		></label
	>
	<button class="btn btn-primary" onclick={() => act((words) => desk.moveTo(words))}
		>Move there</button
	>
	<button class="btn" onclick={() => act((words) => desk.make(words))}>Make a group of them</button>
	<button class="btn btn-ghost" onclick={() => desk.clear()}>Clear selection</button>
	{#if desk.refused}<p id="{id}-say" role="alert" class="w-full text-sm text-error">
			{desk.refused}
		</p>{/if}
</div>

<style>
	.bar {
		position: sticky;
		bottom: 0;
		z-index: 5;
		display: flex;
		flex-wrap: wrap;
		gap: 0.5rem;
		align-items: center;
		padding: 0.6rem 0.8rem;
		background: var(--color-base-200);
		border-top: 3px solid var(--color-primary);
	}
	.grow {
		flex: 1 1 12rem;
	}
	@media (max-width: 767px) {
		.bar {
			bottom: calc(56px + env(safe-area-inset-bottom));
		}
	}
</style>
