<script lang="ts">
	import { getHomeStore } from '$lib/state/context';
	import { WeighDesk } from '$lib/state/weigh-desk.svelte';

	let { thingId, name }: { thingId: string; name: string } = $props();
	const desk = new WeighDesk(getHomeStore());
	let isOpen = $state(false);
</script>

<details bind:open={isOpen}>
	<summary class="min-h-11 cursor-pointer content-center"
		>{name}: a pack fills <span class="measure">{desk.fills(thingId)}</span>{desk.isWeighed(thingId)
			? ', by a cup that was weighed'
			: ''}</summary
	>
	<form
		class="flex flex-wrap items-end gap-2 pb-2"
		onsubmit={(event) => {
			event.preventDefault();
			if (desk.weigh(thingId)) isOpen = false;
		}}
	>
		<label
			><span class="soft">A cup of</span>
			<input class="input measure w-24" aria-label="Size of the cup" bind:value={desk.cup} /></label
		>
		<label
			><span class="soft">weighs</span>
			<input
				class="input measure w-24"
				aria-label="Weight of a cup of {name}"
				placeholder="140 g"
				required
				bind:value={desk.weight}
			/></label
		>
		<button class="btn">Take it</button>
		{#if desk.isWeighed(thingId)}
			<button class="btn btn-ghost" type="button" onclick={() => desk.forget(thingId)}
				>As usual</button
			>
		{/if}
	</form>
	{#if desk.wrong}<p role="alert" class="text-error pb-2">{desk.wrong}</p>{/if}
</details>
