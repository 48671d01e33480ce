<script lang="ts">
	import { groupMeant } from '$lib/core/grouping';
	import type { Group } from '$lib/core/model';

	interface Props {
		count: number;
		groups: readonly Group[];
		onmove: (groupId: string) => void;
		onmake: (name: string) => void;
		onclear: () => void;
	}
	let { count, groups, onmove, onmake, onclear }: Props = $props();
	const id = $props.id();
	let typed = $state('');
	let wrong = $state('');
	let field = $state<HTMLInputElement>();

	/** Lets the keyboard go on here. */
	export function focus(): void {
		field?.focus();
	}
	function move() {
		const group = groupMeant(groups, typed);
		if (!group) {
			wrong = typed.trim()
				? `No group is “${typed.trim()}”. Type its two letters or its name, or make a new group.`
				: 'Type the two letters or the name of a group.';
			field?.focus();
			return;
		}
		[typed, wrong] = ['', ''];
		onmove(group.id);
	}
	function make() {
		const name = typed.trim();
		[typed, wrong] = ['', ''];
		onmake(name);
	}
</script>

<div class="bar" role="group" aria-label="What is chosen">
	<b>{count} chosen</b>
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
			aria-invalid={wrong ? 'true' : undefined}
			aria-describedby={wrong ? `${id}-say` : undefined}
			onkeydown={(event) => {
				if (event.key === 'Enter') move();
				if (event.key === 'Escape') onclear();
			}}
		/>
		<datalist id="{id}-groups"
			>{#each groups as group (group.id)}<option value={group.name}>{group.tag.code}</option
				>{/each}</datalist
		></label
	>
	<button class="btn btn-primary" onclick={move}>Move there</button>
	<button class="btn" onclick={make}>Make a group of them</button>
	<button class="btn btn-ghost" onclick={onclear}>Clear selection</button>
	{#if wrong}<p id="{id}-say" role="alert" class="w-full text-sm" style="color:var(--color-error)">
			{wrong}
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
