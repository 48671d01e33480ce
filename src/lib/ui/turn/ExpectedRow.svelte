<script lang="ts">
	import type { Snippet } from 'svelte';
	import { formatMoney } from '$lib/core/model';
	import type { AheadDesk, Expected } from '$lib/state/ahead-desk.svelte';

	interface Props {
		desk: AheadDesk;
		each: Expected;
		words: string;
		costMinor?: number;
		/** What can be done about it, at the end of the row. */
		children?: Snippet;
	}
	let { desk, each, words, costMinor = 0, children }: Props = $props();
	const money = (minor: number) => formatMoney(minor, desk.home.currency);
</script>

<li class="row">
	<button class="name" onclick={() => desk.choose(each.thing.id)}>
		<b>{each.thing.name}</b>
		<span class="soft block text-sm">{words}</span>
	</button>
	{#if costMinor}<span class="measure">{money(costMinor)}</span>{/if}
	{@render children?.()}
</li>

<style>
	.row {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		align-items: center;
		gap: 0.75rem;
		border-top: 1px solid var(--color-base-300);
	}
	.name {
		min-height: 52px;
		text-align: left;
	}
</style>
