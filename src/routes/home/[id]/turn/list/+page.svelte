<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import FileDown from '@lucide/svelte/icons/file-down';
	import FileUp from '@lucide/svelte/icons/file-up';
	import Plus from '@lucide/svelte/icons/plus';
	import Share2 from '@lucide/svelte/icons/share-2';
	import Printer from '@lucide/svelte/icons/printer';
	import { formatMoney } from '$lib/core/model';
	import { countText } from '$lib/messages/numbers';
	import { getHomeStore } from '$lib/state/context';
	import { ListDesk } from '$lib/state/list-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { fileName, mayShare, saveFile, shareFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import HowYouShop from '$lib/ui/turn/HowYouShop.svelte';
	import ListLine from '$lib/ui/turn/ListLine.svelte';
	import PutAway from '$lib/ui/turn/PutAway.svelte';
	import TurnHead from '$lib/ui/turn/TurnHead.svelte';

	const getStore = getHomeStore();
	const desk = new ListDesk(turnDeps(getStore));
	const home = $derived(desk.home);
	const money = (minor: number) => formatMoney(minor, home.currency);
	let opened = $state<string | null>(null);
</script>

<Bench panel={desk.inTrolley.length ? panel : undefined} panelLabel="Put away">
	<TurnHead>
		<button class="btn wide-only" onclick={() => window.print()}><Printer size={18} />Print</button>
		<button
			class="btn"
			onclick={() => saveFile(fileName(`${home.name} shopping`, 'csv'), desk.csv(), 'text/csv')}
			><FileDown size={18} />As a file</button
		>
		{#if mayShare()}
			<button
				class="btn"
				onclick={() =>
					void shareFile(fileName(`${home.name} shopping`, 'csv'), desk.csv(), 'text/csv')}
				><Share2 size={18} />Share</button
			>
		{/if}
		<FileButton accept=".csv,text/csv" onfile={async (file) => desk.bring(await file.text())}
			><FileUp size={18} />Ticked file</FileButton
		>
	</TurnHead>
	<form
		class="no-print mb-3 flex max-w-3xl gap-2"
		onsubmit={(event) => {
			event.preventDefault();
			desk.add();
		}}
	>
		<label class="min-w-0 grow"
			><span class="sr-only">Add to the list</span>
			<input
				class="input w-full"
				placeholder="Add: 2 milk, birthday candles"
				bind:value={desk.typed}
			/></label
		>
		<button class="btn btn-primary"><Plus size={18} />Add</button>
	</form>
	{#if desk.wrong}<p role="alert" class="wrong">{desk.wrong}</p>{/if}
	<p class="mb-2">
		{#if desk.wanted.length}{countText(desk.wanted.length, 'line')} to get{:else if desk.inTrolley.length}All
			of it is in the trolley{:else}You have everything at the level you want{/if}{#if desk.costMinor}{', '}about
			<b class="measure">{money(desk.costMinor)}</b> where prices are known{/if}.
	</p>
	{#if desk.overMinor}
		<p class="no-print mb-2" role="status">
			<b class="measure">{money(desk.overMinor)}</b> over your budget.
			{#if desk.waiting.length}
				Can wait, since they last beyond the next shop: {desk.waiting
					.map(({ name }) => name)
					.join(', ')}.
				<button class="btn btn-sm" onclick={() => desk.letWait()}>Leave them for next time</button>
			{:else}Nothing of it lasts until the next shop: the rest is yours to choose.{/if}
		</p>
	{/if}
	<div class="max-w-3xl">
		{#each desk.areas as area, i (area)}
			{@const own = desk.wanted.filter((line) => line.area === area)}
			{#if own.length}
				<section aria-label={area} class="mb-3">
					<div class="flex items-center gap-1">
						<h2 class="grow">{area}</h2>
						<button
							class="btn btn-ghost btn-square no-print"
							aria-label="{area} earlier"
							disabled={i === 0}
							onclick={() => desk.moveArea(area, -1)}><ArrowUp size={18} /></button
						>
						<button
							class="btn btn-ghost btn-square no-print"
							aria-label="{area} later"
							disabled={i === desk.areas.length - 1}
							onclick={() => desk.moveArea(area, 1)}><ArrowDown size={18} /></button
						>
					</div>
					<ul>
						{#each own as line (line.key)}<ListLine
								{desk}
								{line}
								isOpen={opened === line.key}
								onopen={() => (opened = opened === line.key ? null : line.key)}
							/>{/each}
					</ul>
				</section>
			{/if}
		{/each}
	</div>
	<HowYouShop {desk} />
</Bench>

{#snippet panel()}<PutAway {desk} />{/snippet}

<style>
	@media (max-width: 640px) {
		.wide-only {
			display: none;
		}
	}
	.wrong {
		margin-bottom: 0.5rem;
		color: var(--color-error);
	}
</style>
