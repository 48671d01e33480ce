<script lang="ts">
	import { estimatePlace } from '$lib/core/clearing';
	import type { ClearDesk } from '$lib/state/clear-desk.svelte';

	/** What is to be said of the pile as a whole: a decision against the advice, too much for the place, what needs no look. */
	let { desk }: { desk: ClearDesk } = $props();
	const home = $derived(desk.home);
	const REASONS = ['It is still good', 'We do use it', 'A keepsake', 'It has another use'] as const;
</script>

{#if desk.against}
	<p class="note" role="status">
		<span>{desk.against.name}: against the advice ({desk.against.words}). Why?</span>
		{#each REASONS as reason (reason)}
			<button class="btn" onclick={() => desk.giveReason(reason)}>{reason}</button>
		{/each}
		<button class="btn btn-ghost" onclick={() => desk.giveReason(null)}>No reason</button>
	</p>
{/if}
{#if desk.tooMany}
	<p class="note">
		<b>More than it holds:</b>
		{desk.tooMany.over} of {desk.tooMany.of} pieces are too many here.
		<a
			class="inline-flex min-h-11 items-center underline"
			href="/home/{home.id}/clear/boundary?place={desk.nookId}">See the cut line</a
		>
	</p>
{/if}
{#if desk.isDone && desk.nookId}
	<p class="note done" role="status">
		<b>All decided here.</b>
		<button class="btn" onclick={() => desk.beginAgain(estimatePlace(home, desk.nookId!).minutes)}
			>Go through it again</button
		>
	</p>
{/if}
{#if desk.plain.length > 1}
	<button class="btn btn-ghost mb-1" onclick={() => desk.keepPlain()} aria-keyshortcuts="Shift+K"
		><kbd class="kbd kbd-sm with-keys" aria-hidden="true">⇧K</kbd>Keep the {desk.plain.length} with no
		concerns</button
	>
{/if}

<style>
	.note.done {
		border-left-color: var(--color-success);
	}
	.note {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.6rem;
		margin-bottom: 0.6rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.3rem 0.7rem;
		background: var(--color-base-200);
	}
</style>
