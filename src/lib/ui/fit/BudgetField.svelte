<script lang="ts">
	import { formatMoney } from '$lib/core/model';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
	const money = (minor: number) => formatMoney(minor, home.currency);
	const isOver = $derived(desk.budgetMinor !== null && desk.costMinor > desk.budgetMinor);
	let wrong = $state('');
	function set(text: string) {
		const trimmed = text.trim();
		const value = Number(trimmed.replace(',', '.'));
		if (trimmed && !(value >= 0 && value <= 10_000_000))
			return void (wrong = `Enter the budget as an amount, such as 60. “${trimmed}” is not one.`);
		wrong = '';
		desk.setBudget(trimmed ? Math.round(value * 100) : null);
	}
</script>

<label class="flex flex-wrap items-center gap-2 py-1">
	<span class="flex-1">Budget ({home.currency})</span>
	<input
		class="input measure w-36"
		inputmode="decimal"
		placeholder="no ceiling"
		value={desk.budgetMinor === null ? '' : desk.budgetMinor / 100}
		onchange={(event) => set(event.currentTarget.value)}
	/>
</label>
{#if wrong}<p role="alert" class="text-error text-sm">{wrong}</p>{/if}
{#if desk.isPurchaseOpen}
	<div class="py-1 text-sm">
		<p class:text-error={isOver}>
			{isOver
				? `${money(desk.costMinor - desk.budgetMinor!)} over the budget.`
				: 'The budget, a price or what you own has changed.'}
			What you moved by hand is arranged anew; Undo brings it back.
		</p>
		<button class="btn mt-1" onclick={() => void desk.fitAll()}>Choose containers again</button>
	</div>
{/if}
