<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { DATE_KINDS, inStock, SINCE, type DateKind } from '$lib/core/clearing';
	import { categoryOf, formatQuantity } from '$lib/core/model';
	import { dateText } from '$lib/messages/clearing';
	import { DATE_KIND_WORDS, SINCE_WORDS, STATE_NAMES } from '$lib/messages/intake';
	import { countText } from '$lib/messages/numbers';
	import type { Intake, Understood } from '$lib/state/intake.svelte';
	import KindSelect from './KindSelect.svelte';

	interface Props {
		intake: Intake;
		read: Understood;
		/** Whether the home has a thing of this name. */
		known: boolean;
		/** Selects what was typed, to be typed anew. */
		onedit: (text: string) => void;
	}
	let { intake, read, known, onedit }: Props = $props();
	const line = $derived(read.line);
	/** What of it counts in stock: 80 tea bags are a pack. */
	const packs = $derived(inStock(line));
	const typed = (field: string) =>
		read.readings.find((reading) => reading.field === field)?.text ?? line.name;
	/** Dates that still count, with their place among all that were read. */
	const dates = $derived(
		read.dates.map((date, i) => ({ ...date, i, kind: intake.dateKind(i, date.kind) }))
	);
	const choices = $derived(read.kind.choices);
</script>

<button type="button" class="chip" onclick={() => onedit(typed('count'))}
	><i>count</i>{line.count}{line.countWord ? ` ${line.countWord}` : ''}{packs === line.count
		? ''
		: `, kept as ${packs < line.count ? countText(packs, 'pack') : packs}`}</button
>
{#if line.name}<button type="button" class="chip" class:known onclick={() => onedit(typed('name'))}
		><i>{known ? 'known' : 'what'}</i>{line.name}</button
	>
	{#if !known}
		{#if !read.kind.sure}<b class="unsure">What is this?</b>
			{#each choices as code (code)}
				<button type="button" class="chip pick" onclick={() => intake.setKind(code)}
					>{categoryOf(code).name}</button
				>
			{/each}
		{/if}
		<label class="chip" class:unsure={!read.kind.sure}
			><i>kind</i><KindSelect
				class="bare"
				label="Kind of {line.name}"
				value={read.kind.sure ? read.kind.category : null}
				likely={choices}
				onchange={(code) => intake.setKind(code)}
			/></label
		>
	{/if}
{/if}
{#if line.size}<button type="button" class="chip" onclick={() => onedit(typed('size'))}
		><i>size</i>{formatQuantity(line.size)}</button
	>{/if}
{#each dates as { i, on, kind, bare } (i)}
	<label class="chip" class:unsure={bare && kind}
		><select
			class="bare"
			aria-label="What {dateText(on)} is"
			value={kind ?? 'none'}
			onchange={(event) => {
				const value = event.currentTarget.value;
				intake.setDateKind(i, value === 'none' ? null : (value as DateKind));
			}}
		>
			{#each DATE_KINDS as option (option)}<option value={option}>{DATE_KIND_WORDS[option]}</option
				>{/each}
			<option value="none">not a date</option>
		</select>{dateText(on)}</label
	>
{/each}
{#each line.states as state (state)}
	<button
		type="button"
		class="chip"
		aria-label="Not {STATE_NAMES[state]}"
		onclick={() => intake.dropState(state)}><i>state</i>{STATE_NAMES[state]}<X size={16} /></button
	>
{/each}
{#if read.asksSince}
	<span class="since" role="group" aria-label="Since when?">
		<b class:unsure={!intake.since}>{read.asksSince === 'made' ? 'Cooked when?' : 'Open since?'}</b>
		{#each SINCE as since (since)}
			<button
				type="button"
				class="chip"
				class:pick={!intake.since}
				aria-pressed={intake.since === since}
				onclick={() => intake.setSince(since)}>{SINCE_WORDS[since]}</button
			>
		{/each}
	</span>
{/if}
{#each [['owner', line.owner], ['place', line.place], ['batch', line.batch]] as const as [field, text] (field)}
	{#if text}<button type="button" class="chip" onclick={() => onedit(typed(field))}
			><i>{field}</i>{text}</button
		>{/if}
{/each}
{#if read.unread.length}
	<button type="button" class="chip lost" onclick={() => onedit(read.unread[0]!)}
		><i>not understood</i>{read.unread.join(' ')}</button
	>
{/if}

<style>
	.chip {
		display: inline-flex;
		align-items: center;
		gap: 0.4rem;
		min-height: 44px;
		border: 1px solid var(--color-base-content);
		padding: 0 0.6rem;
		cursor: pointer;
	}
	.chip i {
		font-style: normal;
		font-size: 0.85rem;
		color: var(--ink-soft);
	}
	.chip.known {
		border-color: var(--color-success);
	}
	.chip.pick,
	.chip.unsure {
		border-color: var(--color-primary);
		border-style: dashed;
	}
	.since {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
	}
	.since .chip[aria-pressed='true'] {
		background: var(--color-base-content);
		color: var(--color-base-100);
	}
	.chip.lost {
		border-color: var(--color-error);
		border-style: dashed;
	}
	b.unsure {
		color: var(--color-primary);
	}
	.chip :global(.bare) {
		max-width: 12rem;
		min-height: 42px;
		background: transparent;
		color: inherit;
		cursor: pointer;
	}
	.chip :global(.bare option),
	.chip :global(.bare optgroup) {
		background: var(--color-base-100);
		color: var(--color-base-content);
	}
</style>
