<script lang="ts">
	import { CapacityDesk } from '$lib/state/capacity-desk.svelte';
	import { getHomeStore } from '$lib/state/context';
	import BaseLabel from '$lib/ui/clear/BaseLabel.svelte';
	import ClearHead from '$lib/ui/clear/ClearHead.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';

	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const desk = new CapacityDesk();
	let name = $state('');
</script>

<Bench>
	<ClearHead />
	<h2 class="no-print">What a container holds</h2>
	<p class="soft no-print mb-3">
		Measure it inside, weigh it empty and full of water, or count the cups it takes. Then write the
		number on its base.
	</p>
	<div class="grid gap-8 md:grid-cols-2">
		<div class="no-print">
			<div class="mb-3 flex flex-wrap gap-2" role="group" aria-label="How it is found">
				{#each [['measures', 'By measures'], ['water', 'By water'], ['cups', 'By cups']] as const as [value, words] (value)}
					<button
						class="btn"
						class:btn-primary={desk.way === value}
						aria-pressed={desk.way === value}
						onclick={() => (desk.way = value)}>{words}</button
					>
				{/each}
			</div>
			{#if desk.way === 'measures'}
				<label class="mb-2 block"
					>Shape<select class="select" bind:value={desk.kind}
						><option value="box">box</option><option value="round">round</option><option
							value="tapered">wider at the top</option
						></select
					></label
				>
				<div class="grid grid-cols-2 gap-2">
					{#each desk.fields as [key, label] (key)}
						<LengthField
							{label}
							units={home.units}
							valueMm={desk.mm[key] || null}
							onchange={(value) => (desk.mm[key] = value)}
						/>
					{/each}
				</div>
			{:else if desk.way === 'water'}
				<div class="grid grid-cols-2 gap-2">
					<label
						>Full of water<input
							class="input measure"
							bind:value={desk.full}
							placeholder="1.45 kg"
						/></label
					>
					<label
						>Empty<input class="input measure" bind:value={desk.empty} placeholder="450 g" /></label
					>
				</div>
				<p class="soft mt-2">One gram of water is one millilitre.</p>
				{#if desk.wrong}<p role="alert" style="color:var(--color-error)">{desk.wrong}</p>{/if}
			{:else}
				<div class="grid grid-cols-2 gap-2">
					<label
						>Cups that went in<input
							class="input measure"
							type="number"
							min="0"
							step="0.25"
							bind:value={desk.cups}
						/></label
					>
					<label
						>Cup<select class="select" bind:value={desk.cup}
							><option value="metric">metric, 250 ml</option><option value="us">US, 237 ml</option
							></select
						></label
					>
				</div>
			{/if}
			<label class="mt-3 block"
				>What it is<input
					class="input"
					bind:value={name}
					maxlength="60"
					placeholder="flour jar"
				/></label
			>
		</div>
		<BaseLabel {desk} {name} />
	</div>
</Bench>
