<script lang="ts">
	import Moon from '@lucide/svelte/icons/moon';
	import Sun from '@lucide/svelte/icons/sun';
	import type { HomeStore } from '$lib/state/home-store.svelte';
	import { theme } from '$lib/state/theme.svelte';

	let { store }: { store: HomeStore } = $props();
	const home = $derived(store.home);
</script>

<label class="units">
	<span class="sr-only">Units</span>
	<select
		class="select measure"
		value={home.units}
		onchange={(event) => {
			const units = event.currentTarget.value as typeof home.units;
			store.run(`units ${units}`, 'changeHome', { units });
		}}
	>
		<option value="mm">mm</option>
		<option value="cm">cm</option>
		<option value="in">inch</option>
	</select>
</label>
<button
	class="btn btn-ghost"
	onclick={() => theme.toggle()}
	aria-label={theme.current === 'linen' ? 'Dark: cellar' : 'Light: linen'}
	>{#if theme.current === 'linen'}<Moon size={20} />{:else}<Sun size={20} />{/if}</button
>

<style>
	.units select {
		min-width: 5.4rem;
	}
</style>
