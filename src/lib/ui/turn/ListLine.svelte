<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import { formatMoney } from '$lib/core/model';
	import type { ShoppingLine } from '$lib/core/rotation';
	import { lineText } from '$lib/messages/turning';
	import type { ListDesk } from '$lib/state/list-desk.svelte';

	/** A line of the shopping list; opened, it says what else can be done with it. */
	interface Props {
		desk: ListDesk;
		line: ShoppingLine;
		isOpen: boolean;
		onopen: () => void;
	}
	let { desk, line, isOpen, onopen }: Props = $props();
	const money = (minor: number) => formatMoney(minor, desk.home.currency);
</script>

<li class="line">
	<button class="btn tick" aria-label="In the trolley: {line.name}" onclick={() => desk.tick(line)}
		><Check size={20} /></button
	>
	<button class="what" aria-expanded={isOpen} onclick={onopen}>
		<b><span class="measure">{line.buy}</span> × {line.name}</b>
		<span class="soft block text-sm">{lineText(line)}</span>
	</button>
	{#if line.priceMinor !== null}<span class="measure">{money(line.priceMinor * line.buy)}</span
		>{/if}
	{#if isOpen}
		<span class="more no-print">
			<button class="btn" onclick={() => desk.have(line)}>Have it</button>
			{#if line.thingId}<button class="btn" onclick={() => desk.notAgain(line)}>Not again</button
				>{/if}
			{#if line.reason === 'by-hand'}<button class="btn" onclick={() => desk.remove(line)}
					>Take off the list</button
				>{/if}
			{#if !line.kindId}<label class="grow"
					><span class="soft text-sm">Took instead</span>
					<input
						class="input w-full"
						value={line.said?.instead ?? ''}
						onchange={(event) => desk.setInstead(line, event.currentTarget.value)}
					/></label
				>{/if}
		</span>
	{/if}
</li>

<style>
	.line {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr) auto;
		align-items: center;
		gap: 0.6rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.3rem 0;
	}
	.tick {
		width: 48px;
		height: 48px;
		padding: 0;
	}
	.what {
		min-height: 48px;
		text-align: left;
	}
	.more {
		grid-column: 1 / -1;
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.4rem;
	}
</style>
