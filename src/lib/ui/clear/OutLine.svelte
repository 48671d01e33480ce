<script lang="ts">
	import type { GoingOut } from '$lib/core/clearing';
	import type { Verdict } from '$lib/core/model';
	import { goneText, whenText } from '$lib/messages/clearing';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';

	/** Something that is to leave the house: where to, by when, and that it is gone. */
	interface Props {
		item: GoingOut;
		verdict: Verdict;
		ongone: (words: string) => void;
	}
	let { item, verdict, ongone }: Props = $props();
	const getStore = getHomeStore();
</script>

<li class="rule-top line">
	<label class="what"
		><input
			type="checkbox"
			class="checkbox"
			onchange={() => ongone(`${item.name}: ${goneText(verdict).toLowerCase()}`)}
			aria-label="{item.name}: {goneText(verdict).toLowerCase()}"
		/><span><b class="measure">{item.decision.count}</b> {item.name}</span></label
	>
	{#if verdict !== 'hold'}
		<input
			class="input to"
			value={item.decision.to}
			placeholder={verdict === 'return' ? 'to whom' : 'where to'}
			aria-label="Where {item.name} goes"
			maxlength="200"
			onchange={(event) =>
				getStore().run(
					`${item.name} goes to ${event.currentTarget.value}`,
					'changeLeaving',
					item.decision.id,
					{ to: event.currentTarget.value }
				)}
		/>
	{/if}
	<span class="due" class:late={item.overdue}>
		<input
			type="date"
			class="input measure"
			value={item.decision.dueOn}
			aria-label="{verdict === 'hold' ? 'Ask again about' : 'Gone by, for'} {item.name}"
			onchange={(event) =>
				event.currentTarget.value &&
				getStore().run(`date for ${item.name}`, 'changeLeaving', item.decision.id, {
					dueOn: event.currentTarget.value
				})}
		/>
		<span>{whenText(today(), item.decision.dueOn!)}</span>
	</span>
</li>

<style>
	.line {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.3rem 0.8rem;
		padding: 0.25rem 0;
	}
	.what {
		display: flex;
		align-items: center;
		gap: 0.7rem;
		flex: 1 1 14rem;
		min-height: 44px;
	}
	.to {
		flex: 0 1 14rem;
	}
	.due {
		display: flex;
		align-items: center;
		gap: 0.5rem;
	}
	.due input {
		width: 10.5rem;
	}
	.due span {
		min-width: 6.5rem;
	}
	.late span {
		color: var(--color-error);
		font-weight: 600;
	}
</style>
