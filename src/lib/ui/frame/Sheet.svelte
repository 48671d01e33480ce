<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { Snippet } from 'svelte';

	interface Props {
		/** What the sheet is for, read out when it opens. */
		label: string;
		title: string;
		/** Stands below the title. */
		under?: string;
		onclose: () => void;
		children: Snippet;
	}
	let { label, title, under = '', onclose, children }: Props = $props();
	let dialog = $state<HTMLDialogElement>();
	$effect(() => {
		if (!dialog) return;
		const shown = dialog;
		shown.showModal();
		return () => shown.close();
	});
</script>

<dialog
	class="modal modal-bottom sm:modal-middle"
	aria-label={label}
	bind:this={dialog}
	oncancel={(event) => {
		event.preventDefault();
		onclose();
	}}
	onclick={(event) => event.target === dialog && onclose()}
>
	<div class="modal-box sheet">
		<div class="head">
			<div>
				<h2>{title}</h2>
				{#if under}<p class="soft">{under}</p>{/if}
			</div>
			<button class="btn btn-ghost" onclick={onclose}><X size={18} />Close</button>
		</div>
		{@render children()}
	</div>
</dialog>

<style>
	.sheet {
		display: flex;
		flex-direction: column;
		gap: 0.8rem;
		width: min(44rem, 100%);
		max-width: 44rem;
	}
	.head {
		display: flex;
		align-items: flex-start;
		justify-content: space-between;
		gap: 1rem;
	}
</style>
