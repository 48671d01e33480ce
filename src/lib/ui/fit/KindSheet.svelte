<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { CONTAINER_ROLES, type ContainerRole } from '$lib/core/model';
	import { kindIssueText, ROLE_WORDS } from '$lib/messages/fitting';
	import { WHOLE, type KindsDesk } from '$lib/state/kinds-desk.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	let { desk }: { desk: KindsDesk } = $props();
	const { units, currency, containerKinds } = $derived(desk.home);
	const FLAGS = [
		['lid', 'Has a lid'],
		['stack', 'Can be stacked'],
		['nest', 'Nests in its like when empty'],
		['clear', 'Can be seen through'],
		['airtight', 'Airtight'],
		['turn', 'May be turned sideways']
	] as const;
	const known = $derived(!!desk.draft && !!containerKinds[desk.draft.id]);
</script>

{#if desk.draft}
	{@const kind = desk.draft}
	<h2 class="mb-2">{known ? kind.name : 'A new kind of container'}</h2>
	<label class="mb-2 block"
		>Name<input
			class="input w-full"
			maxlength="200"
			value={kind.name}
			oninput={(event) => desk.write({ name: event.currentTarget.value })}
		/></label
	>
	<div class="mb-2 grid grid-cols-2 gap-2">
		<label
			>Form<select
				class="select w-full"
				value={kind.role}
				onchange={(event) => desk.write({ role: event.currentTarget.value as ContainerRole })}
				>{#each CONTAINER_ROLES as role (role)}<option value={role}>{ROLE_WORDS[role]}</option
					>{/each}</select
			></label
		>
		<label
			>Shape<select
				class="select w-full"
				value={kind.shape}
				onchange={(event) => desk.write({ shape: event.currentTarget.value as 'box' | 'round' })}
				><option value="box">box</option><option value="round">round</option></select
			></label
		>
	</div>
	<fieldset class="mb-2 grid grid-cols-3 gap-2">
		<legend class="font-semibold">Outside, at the top</legend>
		<LengthField
			label="Width"
			valueMm={kind.outerTop.widthMm || null}
			{units}
			onchange={(mm) => desk.writeOuter('widthMm', mm)}
		/>
		<LengthField
			label="Depth"
			valueMm={kind.outerTop.depthMm || null}
			{units}
			onchange={(mm) => desk.writeOuter('depthMm', mm)}
		/>
		<LengthField
			label="Height"
			valueMm={kind.heightMm || null}
			{units}
			onchange={(mm) => desk.writeOuter('heightMm', mm)}
		/>
	</fieldset>
	<details class="mb-2">
		<summary class="min-h-11 cursor-pointer">Base and inside, where they were measured</summary>
		<fieldset class="mb-2 grid grid-cols-3 gap-2">
			<legend class="font-semibold">Outside, at the base</legend>
			<LengthField
				label="Base width"
				valueMm={kind.outerBase.widthMm || null}
				{units}
				onchange={(widthMm) => desk.write({ outerBase: { ...kind.outerBase, widthMm } })}
			/>
			<LengthField
				label="Base depth"
				valueMm={kind.outerBase.depthMm || null}
				{units}
				onchange={(depthMm) => desk.write({ outerBase: { ...kind.outerBase, depthMm } })}
			/>
		</fieldset>
		<fieldset class="grid grid-cols-3 gap-2">
			<legend class="font-semibold">Inside</legend>
			<LengthField
				label="Inner width"
				valueMm={kind.inner.widthMm || null}
				{units}
				onchange={(widthMm) => desk.write({ inner: { ...kind.inner, widthMm } })}
			/>
			<LengthField
				label="Inner depth"
				valueMm={kind.inner.depthMm || null}
				{units}
				onchange={(depthMm) => desk.write({ inner: { ...kind.inner, depthMm } })}
			/>
			<LengthField
				label="Inner height"
				valueMm={kind.inner.heightMm || null}
				{units}
				onchange={(heightMm) => desk.write({ inner: { ...kind.inner, heightMm } })}
			/>
		</fieldset>
		<fieldset class="mt-2 grid grid-cols-3 gap-2">
			<legend class="font-semibold">Cut or pulled to measure, down to</legend>
			<LengthField
				label="Least width"
				valueMm={kind.cutTo?.widthMm ?? null}
				{units}
				onchange={(widthMm) =>
					desk.write({ cutTo: { depthMm: kind.outerTop.depthMm, ...kind.cutTo, widthMm } })}
			/>
			<LengthField
				label="Least depth"
				valueMm={kind.cutTo?.depthMm ?? null}
				{units}
				onchange={(depthMm) =>
					desk.write({ cutTo: { widthMm: kind.outerTop.widthMm, ...kind.cutTo, depthMm } })}
			/>
			{#if kind.cutTo}<button
					type="button"
					class="btn self-end"
					onclick={() => desk.write({ cutTo: null })}>Not cut</button
				>{/if}
		</fieldset>
	</details>
	<div class="mb-2 grid grid-cols-2 gap-2">
		{@render whole('Compartments', 'cells')}
		<label
			>Look<input
				class="input w-full"
				maxlength="60"
				placeholder="any"
				value={kind.look}
				oninput={(event) => desk.write({ look: event.currentTarget.value })}
			/></label
		>
	</div>
	<div class="mb-2 grid grid-cols-2 gap-x-2">
		{#each FLAGS as [flag, words] (flag)}
			<label class="flex min-h-11 items-center gap-2"
				><input
					type="checkbox"
					class="checkbox"
					checked={kind[flag]}
					onchange={(event) => desk.write({ [flag]: event.currentTarget.checked })}
				/>{words}</label
			>
		{/each}
	</div>
	<div class="mb-3 grid grid-cols-2 gap-2">
		<label
			>Price each ({currency})<input
				class="input measure w-full"
				type="number"
				min="0"
				step="0.01"
				value={kind.priceMinor / 100}
				onchange={(event) =>
					desk.write({ priceMinor: Math.round((Number(event.currentTarget.value) || 0) * 100) })}
			/></label
		>
		{@render whole('Sold in packs of', 'soldBy')}
		{@render whole('In the house', 'owned')}
	</div>
	{#if desk.issues.length}
		<ul class="mb-2" aria-label="What is missing">
			{#each desk.issues as issue, i (i)}<li class="text-error">
					{kindIssueText(issue, units)}
				</li>{/each}
		</ul>
	{/if}
	<div class="flex flex-wrap gap-2">
		<button class="btn btn-primary" disabled={!!desk.issues.length} onclick={() => desk.save()}
			><Check size={18} />Save it</button
		>
		<button class="btn" onclick={() => desk.cancel()}>Cancel</button>
		{#if known}<button class="btn" onclick={() => desk.remove(kind)}
				><Trash2 size={18} />Delete</button
			>{/if}
	</div>
{/if}

{#snippet whole(label: string, field: keyof typeof WHOLE)}
	<label
		>{label}<input
			class="input measure w-full"
			type="number"
			min={WHOLE[field][0]}
			max={WHOLE[field][1]}
			value={desk.draft?.[field]}
			onchange={(event) => desk.writeWhole(field, event.currentTarget.value)}
		/></label
	>
{/snippet}
