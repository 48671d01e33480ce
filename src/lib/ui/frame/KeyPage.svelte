<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { hotkeys, keysEverywhere } from '$lib/state/page-keys.svelte';

	let dialog = $state<HTMLDialogElement>();
	/** Scopes by name; a list that is drawn twice counts once. */
	const scopes = $derived([
		...new Map(
			hotkeys.scopes.map((scope) => [`${scope.name}/${scope.keys.map(({ keys }) => keys)}`, scope])
		).values()
	]);
	export const open = () => dialog?.showModal();
	keysEverywhere('Everywhere', [{ keys: '?', does: 'This page of keys', run: open }]);
</script>

<dialog
	class="modal"
	aria-label="Keys"
	bind:this={dialog}
	onclick={(event) => event.target === dialog && dialog?.close()}
>
	<div class="modal-box">
		<div class="flex items-start justify-between">
			<h2>Keys on this screen</h2>
			<form method="dialog"><button class="btn btn-ghost"><X size={18} />Close</button></form>
		</div>
		<label class="flex min-h-11 items-center gap-3"
			><input type="checkbox" class="toggle" bind:checked={hotkeys.lettersOn} />Single letters act
			as keys</label
		>
		<dl>
			{#each scopes as scope, i (i)}
				{#each scope.keys as { keys, does } (keys)}
					<dt><kbd class="kbd">{keys}</kbd></dt>
					<dd>
						{does}{#if scope.inside}<span class="soft">, in {scope.name.toLowerCase()}</span>{/if}
					</dd>
				{/each}
			{/each}
		</dl>
		<p class="soft mt-3 text-sm">
			A held key acts once. Letters act only where they are listed, never while you type.
		</p>
	</div>
</dialog>

<style>
	dl {
		display: grid;
		grid-template-columns: minmax(0, auto) minmax(0, 1fr);
		overflow-wrap: anywhere;
		gap: 0.35rem 0.9rem;
		align-items: baseline;
	}
	dt .kbd {
		height: auto;
		white-space: normal;
	}
	dt {
		justify-self: end;
	}
</style>
