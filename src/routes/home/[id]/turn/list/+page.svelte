<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Check from '@lucide/svelte/icons/check';
	import FileDown from '@lucide/svelte/icons/file-down';
	import FileUp from '@lucide/svelte/icons/file-up';
	import Plus from '@lucide/svelte/icons/plus';
	import Share2 from '@lucide/svelte/icons/share-2';
	import Printer from '@lucide/svelte/icons/printer';
	import { formatMoney } from '$lib/core/model';
	import type { ShoppingLine } from '$lib/core/rotation';
	import { lineText } from '$lib/messages/turning';
	import { countText } from '$lib/messages/numbers';
	import { getHomeStore } from '$lib/state/context';
	import { ListDesk } from '$lib/state/list-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { fileName, mayShare, saveFile, shareFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
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
						{#each own as line (line.key)}{@render row(line)}{/each}
					</ul>
				</section>
			{/if}
		{/each}
	</div>
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
					onchange={(event) => {
						const days = Math.round(Number(event.currentTarget.value));
						if (days >= 1 && days <= 365) desk.change({ everyDays: days });
					}}
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
					value={home.settings.shop.budgetMinor === null
						? ''
						: home.settings.shop.budgetMinor / 100}
					onchange={(event) => {
						const text = event.currentTarget.value;
						const minor = text === '' ? null : Math.round(Number(text) * 100);
						if (minor === null || (minor >= 0 && minor <= 1_000_000_000))
							desk.change({ budgetMinor: minor });
					}}
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
					onchange={(event) => {
						const minor = Math.round(Number(event.currentTarget.value) * 100);
						if (minor >= 0 && minor <= 1_000_000) desk.change({ runOutMinor: minor });
					}}
				/></label
			>
		</div>
	</details>
</Bench>

{#snippet row(line: ShoppingLine)}
	<li class="line">
		<button
			class="btn tick"
			aria-label="In the trolley: {line.name}"
			onclick={() => desk.tick(line)}><Check size={20} /></button
		>
		<button
			class="what"
			aria-expanded={opened === line.key}
			onclick={() => (opened = opened === line.key ? null : line.key)}
		>
			<b><span class="measure">{line.buy}</span> × {line.name}</b>
			<span class="soft block text-sm">{lineText(line)}</span>
		</button>
		{#if line.priceMinor !== null}<span class="measure">{money(line.priceMinor * line.buy)}</span
			>{/if}
		{#if opened === line.key}
			<span class="more no-print">
				<button class="btn" onclick={() => desk.have(line)}>Have it</button>
				{#if line.thingId}<button class="btn" onclick={() => desk.notAgain(line)}>Not again</button
					>{/if}
				{#if line.reason === 'by-hand'}<button class="btn" onclick={() => desk.remove(line)}
						>Take off the list</button
					>{/if}
				{#if !line.kindId}<label class="grow"
						><span class="soft text-sm">Took instead</span>
						<input
							class="input w-full"
							value={line.said?.instead ?? ''}
							onchange={(event) => desk.setInstead(line, event.currentTarget.value)}
						/></label
					>{/if}
			</span>
		{/if}
	</li>
{/snippet}

{#snippet panel()}<PutAway {desk} />{/snippet}

<style>
	.line {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr) auto;
		align-items: center;
		gap: 0.6rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.3rem 0;
	}
	.tick {
		width: 48px;
		height: 48px;
		padding: 0;
	}
	.what {
		min-height: 48px;
		text-align: left;
	}
	.more {
		grid-column: 1 / -1;
		display: flex;
		flex-wrap: wrap;
		align-items: end;
		gap: 0.4rem;
	}
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
