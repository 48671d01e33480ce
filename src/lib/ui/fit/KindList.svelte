<script lang="ts">
	import Copy from '@lucide/svelte/icons/copy';
	import Minus from '@lucide/svelte/icons/minus';
	import Pencil from '@lucide/svelte/icons/pencil';
	import Plus from '@lucide/svelte/icons/plus';
	import { outerOf } from '$lib/core/fitting';
	import { CONTAINER_ROLES, formatLength, formatMoney, type ContainerRole } from '$lib/core/model';
	import { ROLE_WORDS } from '$lib/messages/fitting';
	import type { KindsDesk } from '$lib/state/kinds-desk.svelte';

	let { desk }: { desk: KindsDesk } = $props();
	const home = $derived(desk.home);
	const length = (mm: number) => formatLength(mm, home.units);
	/** So many are drawn at first; the rest comes when it is asked for. */
	const FIRST = 40;
	let isWhole = $state(false);
	const shown = $derived(isWhole ? desk.kinds : desk.kinds.slice(0, FIRST));
</script>

<div class="mb-2 flex flex-wrap items-center gap-3">
	<input
		class="input max-w-60"
		type="search"
		aria-label="Find a container"
		placeholder="Find a container"
		bind:value={desk.words}
	/>
	<select
		class="select max-w-48"
		aria-label="Form"
		value={desk.role ?? ''}
		onchange={(event) => (desk.role = (event.currentTarget.value || null) as ContainerRole | null)}
	>
		<option value="">all forms</option>
		{#each CONTAINER_ROLES as role (role)}<option value={role}>{ROLE_WORDS[role]}</option>{/each}
	</select>
	<label class="flex min-h-11 items-center gap-2"
		><input type="checkbox" class="checkbox" bind:checked={desk.onlyOwned} />Only what the house has</label
	>
</div>
<ul class="max-w-3xl" aria-label="Containers">
	{#each shown as kind (kind.id)}
		{@const outer = outerOf(kind)}
		<li class="rule-top flex flex-wrap items-center gap-x-3 gap-y-1 py-1">
			<span class="min-w-0 flex-1 basis-52">
				<b>{kind.name}</b>
				<span class="soft text-sm"
					>{ROLE_WORDS[kind.role]}{kind.lid ? ', lid' : ''}{kind.priceMinor
						? `, ${formatMoney(kind.priceMinor, home.currency)}`
						: ''}</span
				>
				<span class="soft measure block text-sm"
					>{length(outer.widthMm)} × {length(outer.depthMm)} × {length(kind.heightMm)}</span
				>
			</span>
			<span class="join">
				<button
					class="btn join-item"
					aria-label="One {kind.name} less"
					disabled={!kind.owned}
					onclick={() => desk.count(kind, -1)}><Minus size={18} /></button
				>
				<input
					class="input join-item measure w-16 text-center"
					type="number"
					min="0"
					max="999"
					aria-label="{kind.name} owned"
					value={kind.owned}
					onchange={(event) => desk.setOwned(kind, Number(event.currentTarget.value) || 0)}
				/>
				<button
					class="btn join-item"
					aria-label="One {kind.name} more"
					onclick={() => desk.count(kind, 1)}><Plus size={18} /></button
				>
			</span>
			<button class="btn btn-ghost" aria-label="Copy {kind.name}" onclick={() => desk.copy(kind)}
				><Copy size={18} /><span class="max-sm:hidden">Copy</span></button
			>
			<button class="btn btn-ghost" aria-label="Change {kind.name}" onclick={() => desk.edit(kind)}
				><Pencil size={18} /><span class="max-sm:hidden">Change</span></button
			>
		</li>
	{:else}
		<li class="soft py-2">None like that here.</li>
	{/each}
</ul>
{#if shown.length < desk.kinds.length}
	<button class="btn mt-2" onclick={() => (isWhole = true)}
		>Show the other {desk.kinds.length - shown.length}</button
	>
{/if}
