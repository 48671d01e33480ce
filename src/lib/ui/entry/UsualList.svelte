<script lang="ts">
	import Minus from '@lucide/svelte/icons/minus';
	import type { Ticks } from '$lib/state/ticks.svelte';

	let { ticks }: { ticks: Ticks } = $props();
</script>

<section aria-label="Usual things">
	<div class="flex flex-wrap items-center gap-2">
		<label class="flex items-center gap-2"
			><span class="soft">Tick what is there</span>
			<select
				class="select"
				value={ticks.list.name}
				onchange={(event) => ticks.show(event.currentTarget.value)}
			>
				{#each ticks.lists as { name } (name)}<option>{name}</option>{/each}
			</select></label
		>
		<button class="btn btn-primary" disabled={!ticks.ticked} onclick={() => ticks.enter()}
			>Enter {ticks.ticked || ''} {ticks.ticked === 1 ? 'thing' : 'things'}</button
		>
		<button class="btn btn-ghost" onclick={() => (ticks.isOpen = false)}>Close</button>
	</div>
	<ul>
		{#each ticks.list.things as thing (thing)}
			{@const count = ticks.countOf(thing)}
			{@const here = ticks.hereOf(thing)}
			<li class:on={count > 0}>
				<button
					class="tick"
					aria-pressed={count > 0}
					aria-label="{thing}{count ? `, ${count}` : ''}"
					onclick={() => ticks.add(thing)}
					>{#if count}<b class="measure">{count}</b>{/if}{thing}{#if here}<span class="soft"
							>{' '}({here} here)</span
						>{/if}</button
				>
				{#if count}<button
						class="less"
						aria-label="One {thing} less"
						onclick={() => ticks.add(thing, -1)}><Minus size={16} /></button
					>{/if}
			</li>
		{/each}
	</ul>
	<p class="soft text-sm">Tap again for one more. Dates and states can be put right afterwards.</p>
</section>

<style>
	section {
		margin-bottom: 0.8rem;
		border-left: 4px solid var(--color-primary);
		padding: 0.5rem 0.7rem;
		background: var(--color-base-200);
	}
	ul {
		display: flex;
		flex-wrap: wrap;
		gap: 0.4rem;
		margin: 0.6rem 0;
	}
	li {
		display: flex;
		border: 1px solid var(--ink-soft);
		background: var(--color-base-100);
	}
	li.on {
		border-color: var(--color-success);
		box-shadow: inset 0 -3px 0 var(--color-success);
	}
	.tick {
		display: inline-flex;
		align-items: center;
		gap: 0.4rem;
		min-height: 44px;
		padding: 0 0.7rem;
		cursor: pointer;
	}
	.less {
		display: grid;
		place-items: center;
		width: 44px;
		border-left: 1px solid var(--color-base-300);
		cursor: pointer;
	}
</style>
