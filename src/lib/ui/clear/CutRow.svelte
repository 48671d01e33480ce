<script lang="ts">
	import type { Wanting } from '$lib/core/clearing';
	import { formatVolume } from '$lib/core/model';
	import { fixedText } from '$lib/messages/numbers';
	import type { CutDesk } from '$lib/state/cut-desk.svelte';

	/** A thing on one side of the line; its tick moves it to the other. */
	let { desk, item, stays }: { desk: CutDesk; item: Wanting; stays: boolean } = $props();
</script>

<li class="item" class:out={!stays}>
	<label
		><input
			type="checkbox"
			class="checkbox"
			checked={stays}
			onchange={() => desk.swap(item)}
			aria-label="{item.name} stays"
		/><span class="min-w-0 flex-1"
			><b>{item.name}</b>{#if desk.saidByHand(item)}
				<span class="soft">by hand</span>{/if}</span
		></label
	>
	<span class="measure soft">{fixedText(item.value, 2)}/week</span>
	<span class="measure soft wide">{formatVolume(item.volumeMl)}</span>
</li>

<style>
	.item {
		display: flex;
		align-items: center;
		gap: 1rem;
		border-top: 1px solid var(--color-base-300);
	}
	.item label {
		display: flex;
		align-items: center;
		gap: 0.7rem;
		flex: 1 1 auto;
		min-width: 0;
		min-height: 44px;
	}
	.item.out {
		background: var(--color-base-200);
	}
	@media (max-width: 640px) {
		.wide {
			display: none;
		}
	}
</style>
