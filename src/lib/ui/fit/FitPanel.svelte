<script lang="ts">
	import { formatLength, formatMoney } from '$lib/core/model';
	import { buyFirstText } from '$lib/messages/fitting';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';
	import BudgetField from './BudgetField.svelte';
	import FitContents from './FitContents.svelte';
	import HolderChoice from './HolderChoice.svelte';
	import LidsOnOrNested from './LidsOnOrNested.svelte';
	import OneLook from './OneLook.svelte';
	import OverList from './OverList.svelte';
	import PacksOrJars from './PacksOrJars.svelte';
	import SmallParts from './SmallParts.svelte';
	import ShelfHeights from './ShelfHeights.svelte';

	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
	const play = $derived(home.settings.play);
	const length = (mm: number) => formatLength(mm, home.units);
	const money = (minor: number) => formatMoney(minor, home.currency);
</script>

{#if desk.nook}
	{@const nook = desk.nook}
	<h2 class="mb-1">{nook.name}</h2>
	<p class="soft mb-2">
		Left free: {length(play.sideMm)} at each side, {length(play.frontMm)} in front, {length(
			play.aboveMm
		)} above for fingers, {length(play.pipeMm)} round pipes.{#if nook.opening}{' '}The way in is {length(
				nook.opening.widthMm
			)} × {length(nook.opening.heightMm)}.{/if}
	</p>
	<FitContents {desk} />
	{#if desk.result && 'tooBig' in desk.result && desk.result.tooBig.length}
		<details class="mb-3">
			<summary class="min-h-11 cursor-pointer font-semibold">Owned, but too big here</summary>
			<ul>
				{#each desk.result.tooBig as item (item.kindId)}<li class="rule-top py-1">
						{home.containerKinds[item.kindId]?.name}: {length(item.shortMm)} too much in {item.side}
					</li>{/each}
			</ul>
		</details>
	{/if}
	<ShelfHeights {desk} />
	<LidsOnOrNested {desk} />
	<HolderChoice desk={desk.holders} />
	<PacksOrJars {desk} />
	<SmallParts {desk} />
	<OneLook {desk} />
	<h2 class="rule-top mt-4 pt-3">To buy for the home</h2>
	<BudgetField {desk} />
	<ul>
		{#each desk.buying as line (line.kindId)}<li class="flex justify-between py-1">
				<span><span class="measure">{line.buy}</span> × {line.name}</span><span class="measure"
					>{money((line.priceMinor ?? 0) * line.buy)}</span
				>
			</li>{:else}<li class="soft">
				Nothing so far: what you kept uses containers you own.
			</li>{/each}
	</ul>
	{#if desk.buying.length}<p class="rule-top flex justify-between pt-1 font-bold">
			<span>One trip</span><span class="measure">{money(desk.costMinor)}</span>
		</p>{/if}
	{#if desk.together && desk.together.first.length > 1}
		<details class="rule-top mt-3">
			<summary class="min-h-11 cursor-pointer font-semibold">What to buy first</summary>
			<p class="soft text-sm">
				With less to spend, in this order: what each sum brings most where it is spent.
			</p>
			<ol>
				{#each desk.together.first as one (one.nookId)}<li class="rule-top py-1">
						<b>{home.nooks[one.nookId]?.name}</b>
						<span class="block text-sm">{buyFirstText(home, one)}</span>
					</li>{/each}
			</ol>
		</details>
	{/if}
	<OverList {desk} />
	<a class="btn mt-3" href="/home/{home.id}/fit/kinds">Containers in the house</a>
	{#if home.rented}<p class="soft mt-3 text-sm">
			Rented: nothing here needs a screw or leaves a hole.
		</p>{/if}
{/if}
