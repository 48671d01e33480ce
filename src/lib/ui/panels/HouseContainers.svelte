<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { formatLength, parseLength } from '$lib/core/model';
	import { lengthIssueText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const kinds = $derived(
		Object.values(home.containerKinds).sort(
			(a, b) => Number(!a.owned) - Number(!b.owned) || a.name.localeCompare(b.name, 'en')
		)
	);
	let own = $state({ name: '', width: '', depth: '', height: '' });
	let wrong = $state('');
	function add(event: SubmitEvent) {
		event.preventDefault();
		const sizes = [own.width, own.depth, own.height].map((text) => parseLength(text, home.units));
		const bad = sizes.find((size) => !size.ok);
		if (bad && !bad.ok) return void (wrong = lengthIssueText(bad.issue));
		const [widthMm = 0, depthMm = 0, heightMm = 0] = sizes.map((size) => (size.ok ? size.mm : 0));
		if (Math.min(widthMm, depthMm, heightMm) < 10)
			return void (wrong = 'A container is at least 10 mm on every side. Check the unit.');
		wrong = '';
		store.run(`container ${own.name}`, 'addOwnBin', {
			id: newId(),
			name: own.name.trim(),
			widthMm,
			depthMm,
			heightMm,
			owned: 1
		});
		own = { name: '', width: '', depth: '', height: '' };
	}
</script>

<details class="rule-top mt-4 pt-3">
	<summary class="min-h-11 cursor-pointer font-semibold">What the house has</summary>
	<p class="soft mb-2 text-sm">
		Look through the house first: every container found is one less to buy. Outer sizes, width ×
		depth × height.
	</p>
	{#if !kinds.length}
		<button class="btn" onclick={() => store.run('usual containers', 'addUsualKinds')}
			>Show the usual kinds</button
		>
	{/if}
	<ul>
		{#each kinds as kind (kind.id)}
			<li class="rule-top flex items-center gap-2 py-1">
				<span class="min-w-0 flex-1"
					>{kind.name}
					<span class="soft measure block text-sm"
						>{formatLength(kind.outerTop.widthMm, home.units)} × {formatLength(
							kind.outerTop.depthMm,
							home.units
						)} × {formatLength(kind.heightMm, home.units)}</span
					></span
				>
				<input
					class="input measure max-w-20"
					type="number"
					min="0"
					max="999"
					aria-label="{kind.name} owned"
					value={kind.owned}
					onchange={(event) =>
						store.run(
							`${kind.name} owned`,
							'setOwned',
							kind.id,
							Number(event.currentTarget.value) || 0
						)}
				/>
			</li>
		{/each}
	</ul>
	<form class="mt-3 grid grid-cols-3 gap-2" onsubmit={add}>
		<label class="col-span-3"
			>Another open bin<input
				class="input"
				bind:value={own.name}
				required
				maxlength="200"
				placeholder="Wicker basket"
			/></label
		>
		<label>Width<input class="input measure" bind:value={own.width} /></label>
		<label>Depth<input class="input measure" bind:value={own.depth} /></label>
		<label>Height<input class="input measure" bind:value={own.height} /></label>
		{#if wrong}<p role="alert" class="col-span-3" style="color:var(--color-error)">{wrong}</p>{/if}
		<button class="btn col-span-3"><Plus size={18} />Add it to the house</button>
	</form>
</details>
