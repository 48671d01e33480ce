<script lang="ts">
	import type { Lot } from '$lib/core/model';
	import { VERDICT_WORDS } from '$lib/messages/clearing';
	import { STATE_NAMES } from '$lib/messages/intake';
	import type { ClearDesk } from '$lib/state/clear-desk.svelte';

	let { desk, lot }: { desk: ClearDesk; lot: Lot } = $props();
	const thing = $derived(desk.home.things[lot.thingId]);
	const first = $derived(desk.adviceOn(lot.id)[0]);
	const done = $derived(desk.verdicts.get(lot.id));
	const isNow = $derived(lot.id === desk.current?.id);
</script>

<button
	class="row"
	class:now={isNow}
	onclick={() => desk.pick(lot.id)}
	aria-current={isNow ? 'true' : undefined}
>
	<span class="measure count">{lot.count}</span>
	<span class="min-w-0"
		><b>{thing?.name}</b>
		{#each lot.states as state (state)}<i class="badge badge-outline ml-1 not-italic"
				>{STATE_NAMES[state]}</i
			>{/each}
		{#if lot.owner}<i class="badge badge-outline ml-1 not-italic">{lot.owner}’s</i>{/if}
		<span class="soft block text-sm">{desk.whenOf(lot)}</span></span
	>
	<span
		class="verdict"
		class:done={!!done}
		class:danger={!done && first?.strength === 3}
		class:past={!done && !!first?.overruled}
		>{done
			? VERDICT_WORDS[done]
			: first && !first.overruled
				? `${VERDICT_WORDS[first.verdict]}?`
				: ''}</span
	>
</button>

<style>
	.row {
		border-top: 1px solid var(--color-base-300);
		border-left: 4px solid transparent;
		display: grid;
		grid-template-columns: 3rem minmax(0, 1fr) auto;
		gap: 0.75rem;
		align-items: center;
		width: 100%;
		min-height: 52px;
		padding: 0.35rem 0.6rem;
		text-align: left;
		cursor: pointer;
	}
	.row.now {
		border-left-color: var(--color-primary);
		background: var(--color-base-200);
	}
	.count {
		font-size: 1.15rem;
		text-align: right;
	}
	.verdict {
		color: var(--color-primary);
		font-weight: 600;
	}
	.verdict.done {
		color: var(--color-success);
	}
	.verdict.past {
		color: var(--ink-soft);
	}
	.verdict.danger {
		color: var(--color-error);
	}
</style>
