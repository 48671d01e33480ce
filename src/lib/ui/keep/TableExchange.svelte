<script lang="ts">
	import FileDown from '@lucide/svelte/icons/file-down';
	import FileUp from '@lucide/svelte/icons/file-up';
	import { countText } from '$lib/messages/numbers';
	import { EXCHANGED, EXCHANGED_KEYS } from '$lib/state/exchanged-tables';
	import type { TablesDesk } from '$lib/state/tables-desk.svelte';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';

	let { desk }: { desk: TablesDesk } = $props();
	const SHOWN = 8;
</script>

<h2>As a table</h2>
<p class="soft mb-2">
	For a spreadsheet, or from one. Columns are matched by their heads; what is here already is left
	out, and nothing is written before you say so. Containers have theirs in
	<a class="link" href="/home/{desk.home.id}/fit/kinds">Fit</a>.
</p>
<div class="flex flex-wrap items-center gap-2">
	<div class="flex flex-wrap gap-1" role="group" aria-label="Which table">
		{#each EXCHANGED_KEYS as key (key)}
			<button
				class="btn"
				class:btn-primary={desk.which === key}
				aria-pressed={desk.which === key}
				onclick={() => (desk.which = key)}>{EXCHANGED[key].title}</button
			>
		{/each}
	</div>
	<button
		class="btn"
		onclick={() =>
			saveFile(fileName(`${desk.home.name} ${desk.which}`, 'csv'), desk.csv(), 'text/csv')}
		><FileDown size={18} />Save as CSV</button
	>
	<FileButton
		accept=".csv,.tsv,.txt,text/csv"
		onfile={async (file) => desk.bring(await file.text())}
		><FileUp size={18} />Bring a table in</FileButton
	>
</div>
{#if desk.wrong}<p role="alert" class="text-error mt-2">{desk.wrong}</p>{/if}
{#if desk.heads.length}
	<details class="mt-2" open={!desk.rows}>
		<summary class="min-h-11 cursor-pointer content-center">Which column is what</summary>
		<div class="grid grid-cols-2 gap-2 md:grid-cols-4">
			{#each desk.fields as field (field)}
				<label
					><span class="soft text-sm">{desk.kind.fieldWords[field]}</span>
					<select
						class="select w-full"
						value={desk.columnOf(field)}
						onchange={(event) => desk.setColumn(field, Number(event.currentTarget.value))}
						><option value={-1}>none</option>{#each desk.heads as head, i (i)}<option value={i}
								>{head || `column ${i + 1}`}</option
							>{/each}</select
					></label
				>
			{/each}
		</div>
	</details>
{/if}
{#if desk.rows}
	<p class="mt-2" role="status">
		{countText(desk.taken.length, 'row')} to take in{desk.here
			? `, ${desk.here} here already`
			: ''}{desk.bad.length ? `, ${desk.bad.length} with something to say` : ''}.
	</p>
	{#if desk.bad.length}
		<ul class="text-sm">
			{#each desk.bad.slice(0, SHOWN) as row (row.row)}
				<li class="rule-top py-1">
					Row {row.row}{row.name ? `, ${row.name}` : ''}: {row.wrong.join(' ')}
				</li>
			{/each}
			{#if desk.bad.length > SHOWN}<li>and {desk.bad.length - SHOWN} more.</li>{/if}
		</ul>
	{/if}
	<table class="mt-2 w-full text-sm" aria-label="Rows to take in">
		<tbody>
			{#each desk.taken.slice(0, SHOWN) as { row, name, cells } (row)}
				<tr class="rule-top"
					><td class="measure pr-2">{cells[0]}</td><td><b>{name}</b></td><td>{cells[1]}</td><td
						class="measure">{cells[2]}</td
					></tr
				>
			{/each}
		</tbody>
	</table>
	{#if desk.taken.length > SHOWN}<p class="soft text-sm">
			and {desk.taken.length - SHOWN} more.
		</p>{/if}
	<div class="mt-2 flex gap-2">
		<button class="btn btn-primary" disabled={!desk.taken.length} onclick={() => desk.confirm()}
			>Take {countText(desk.taken.length, 'row')} in</button
		>
		<button class="btn btn-ghost" onclick={() => desk.drop()}>Cancel</button>
	</div>
{/if}
