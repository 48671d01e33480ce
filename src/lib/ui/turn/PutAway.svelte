<script lang="ts">
	import { countText } from '$lib/messages/numbers';
	import DateField from './DateField.svelte';
	import type { ListDesk } from '$lib/state/list-desk.svelte';

	let { desk }: { desk: ListDesk } = $props();
</script>

<h2>In the trolley</h2>
<p class="soft mb-2 text-sm">
	At home, say the dates that are printed, and put all of it away at once.
</p>
<ul>
	{#each desk.putting as { line, date, nookId } (line.key)}
		<li class="rule-top py-2">
			<div class="flex items-center gap-2">
				<b class="min-w-0 grow"
					><span class="measure">{line.said?.count ?? line.buy}</span> × {line.said?.instead ||
						line.name}</b
				>
				<button class="btn" onclick={() => desk.untick(line)}>Put back</button>
			</div>
			<div class="fields">
				<label
					><span class="soft text-sm">Bought</span>
					<input
						class="input measure"
						type="number"
						min="0"
						value={line.said?.count ?? line.buy}
						aria-label="How many {line.name} were bought"
						onchange={(event) => desk.setBought(line, { count: Number(event.currentTarget.value) })}
					/></label
				>
				<label
					><span class="soft text-sm">Paid for one</span>
					<input
						class="input measure"
						type="number"
						min="0"
						step="0.01"
						placeholder={line.priceMinor === null ? '' : (line.priceMinor / 100).toFixed(2)}
						value={line.said?.paidMinor == null ? '' : (line.said.paidMinor / 100).toFixed(2)}
						aria-label="Price paid for one {line.name}"
						onchange={(event) =>
							desk.setBought(line, {
								paidMinor: Math.round(Number(event.currentTarget.value) * 100)
							})}
					/></label
				>
				<label
					><span class="soft text-sm"
						>{desk.home.schools.dates === 'packs' ? 'Date on the pack' : 'Into the section'}</span
					>
					<DateField
						home={desk.home}
						value={date}
						label="Best before of {line.name}"
						onwrite={(date) => desk.write(line, { date })}
					/></label
				>
				<label
					><span class="soft text-sm">Goes to</span>
					<select
						class="select"
						value={nookId ?? ''}
						aria-label="Place of {line.name}"
						onchange={(event) => desk.write(line, { nookId: event.currentTarget.value || null })}
					>
						<option value="">the table</option>
						{#each desk.places as nook (nook.id)}<option value={nook.id}>{nook.name}</option>{/each}
					</select></label
				>
			</div>
		</li>
	{/each}
</ul>
{#if desk.putWrong}<p role="alert" class="text-error mt-2">{desk.putWrong}</p>{/if}
<button class="btn btn-primary mt-2 w-full" onclick={() => desk.putAway()}
	>Put {countText(desk.putting.length, 'line')} away</button
>

<style>
	.fields :global(select),
	.fields :global(input) {
		width: 100%;
		min-width: 0;
		text-overflow: ellipsis;
	}
	.fields label {
		min-width: 0;
	}
	.fields {
		display: grid;
		grid-template-columns: 1fr 1fr;
		gap: 0.4rem;
	}
</style>
