<script lang="ts">
	import { foundText } from '$lib/messages/keeping';
	import type { ResetDesk } from '$lib/state/reset-desk.svelte';

	let { desk, onplace }: { desk: ResetDesk; onplace: (nookId: string) => void } = $props();
</script>

{#if desk.reset && desk.found}
	<section class="reset" aria-label="Reset under way">
		<p class="min-w-0">
			<b>{desk.title}</b>{#if desk.places.length > 1}: place {desk.at + 1 || '–'} of {desk.places
					.length}{/if}
			<span class="soft block text-sm">{desk.what} {foundText(desk.found)}.</span>
		</p>
		<div class="flex flex-wrap gap-2">
			{#if desk.next}
				{@const { id, name } = desk.next}
				<button class="btn" onclick={() => onplace(id)}>On to {name}</button>
			{/if}
			<a
				class="btn"
				class:btn-primary={!desk.next}
				href="/home/{desk.home.id}/keep"
				onclick={() => desk.finish()}
				>{desk.found.left ? `Done: the other ${desk.found.left} are as listed` : 'Done'}</a
			>
		</div>
	</section>
{/if}

<style>
	.reset {
		display: flex;
		flex-wrap: wrap;
		justify-content: space-between;
		align-items: center;
		gap: 0.4rem 1rem;
		margin: 0.5rem 0;
		border-left: 4px solid var(--color-primary);
		padding: 0.4rem 0.8rem;
		background: var(--color-base-200);
	}
</style>
