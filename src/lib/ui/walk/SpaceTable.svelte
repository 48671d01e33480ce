<script lang="ts">
	import { fixedText } from '$lib/messages/numbers';
	import { formatVolume } from '$lib/core/model';
	import { measuredShare, spaceTotals, type SpaceSum } from '$lib/core/survey';
	import { CLIMATE_SHORT } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';

	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	const totals = $derived(spaceTotals(home));
	const share = $derived(measuredShare(Object.values(home.nooks)));
	const metres = (mm: number) => `${fixedText(mm / 1000, 1)} m`;
</script>

{#snippet rows(sums: Iterable<SpaceSum>, nameOf: (key: string) => string)}
	{#each sums as sum (sum.key)}
		<tr>
			<th scope="row">{nameOf(sum.key)}</th>
			<td>{formatVolume(sum.usableMl)}</td>
			<td>{metres(sum.runMm)}</td>
			<td>{Math.round(sum.frontRowShare * 100)} %</td>
		</tr>
	{/each}
{/snippet}

{#if totals.whole.nooks}
	<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
	<div class="overflow-x-auto" role="region" aria-label="Usable space" tabindex="0">
		<table>
			<caption class="sr-only">Usable space of this home</caption>
			<thead>
				<tr>
					<th scope="col"><span class="sr-only">Where</span></th>
					<th scope="col">litres</th>
					<th scope="col">front run</th>
					<th scope="col">front row</th>
				</tr>
			</thead>
			<tbody>
				{@render rows([totals.whole], () => 'The home')}
				{@render rows(totals.byRoom.values(), (key) =>
					(home.rooms[key]?.name ?? '').replace(/ \(.*\)/, '')
				)}
			</tbody>
			<tbody class="climate">
				{@render rows(totals.byClimate.values(), (key) => CLIMATE_SHORT[key] ?? key)}
			</tbody>
		</table>
	</div>
	<p class="soft mt-1 text-sm">
		{Math.round((100 * share.read) / Math.max(1, share.sides))} % of the sizes are measured; the rest
		are usual ones{share.pictured ? ` or from a picture (${share.pictured})` : ''}.
		{#if share.read < share.sides}<a class="underline" href="/home/{home.id}/walk/tape">Tape list</a
			>{/if}
	</p>
	{#if totals.whole.unmeasured}<p class="soft mt-1 text-sm">
			Without {totals.whole.unmeasured}
			{totals.whole.unmeasured === 1 ? 'place that is' : 'places that are'} not measured.
		</p>{/if}
{/if}

<style>
	table {
		width: 100%;
		font-size: 0.92rem;
	}
	th[scope='row'] {
		text-align: left;
		font-weight: 500;
	}
	th[scope='col'] {
		text-align: right;
		font-weight: 400;
		font-size: 0.85rem;
		color: var(--ink-soft);
	}
	td {
		text-align: right;
		font-family: var(--font-mono);
		white-space: nowrap;
	}
	tr {
		height: 30px;
		border-top: 1px solid var(--color-base-300);
	}
	tbody:first-of-type tr:first-child {
		font-weight: 700;
	}
	.climate tr:first-child {
		border-top: 2px solid var(--ink-soft);
	}
</style>
