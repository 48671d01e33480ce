<script lang="ts">
	import type { ListDesk } from '$lib/state/list-desk.svelte';

	let { desk }: { desk: ListDesk } = $props();
	const home = $derived(desk.home);
</script>

<details class="no-print mt-4 max-w-3xl">
	<summary class="min-h-11 cursor-pointer">How you shop</summary>
	<div class="grid gap-3 sm:grid-cols-2">
		<label
			>Days between big shops <input
				class="input measure"
				type="number"
				min="1"
				max="365"
				value={home.settings.shop.everyDays}
				onchange={(event) => desk.setEveryDays(event.currentTarget.value)}
			/></label
		>
		<label
			>What one shop may cost, {home.currency}
			<input
				class="input measure"
				type="number"
				min="0"
				step="1"
				placeholder="no limit"
				value={home.settings.shop.budgetMinor === null ? '' : home.settings.shop.budgetMinor / 100}
				onchange={(event) => desk.setBudget(event.currentTarget.value)}
			/></label
		>
		<label
			>What running out of something costs you, {home.currency}
			<input
				class="input measure"
				type="number"
				min="0"
				step="0.5"
				value={home.settings.shop.runOutMinor / 100}
				onchange={(event) => desk.setRunOut(event.currentTarget.value)}
			/></label
		>
	</div>
</details>
