<script lang="ts">
	import { LABEL_FIELDS } from '$lib/core/marking';
	import { FIELD_CHOICES } from '$lib/messages/marking';
	import { fixedText } from '$lib/messages/numbers';
	import type { MarkDesk } from '$lib/state/mark-desk.svelte';
	import LabelWords from './LabelWords.svelte';
	import OwnSheet from './OwnSheet.svelte';

	/** The sheet that labels are printed on, what they say, and their words. */
	let { desk }: { desk: MarkDesk } = $props();
	const { sheet } = $derived(desk);
	const labels = $derived(desk.home.settings.labels);
</script>

{#if desk.wrong}<p role="alert" class="text-error mb-2">{desk.wrong}</p>{/if}
<div class="flex flex-col gap-3">
	<label
		>Sheet <select
			class="select w-full"
			value={sheet.key}
			onchange={(event) => desk.setSheet(event.currentTarget.value)}
			>{#each desk.sheets as row (row.key)}<option value={row.key}>{row.name}</option
				>{/each}</select
		></label
	>
	{#if sheet.paper !== 'roll'}
		<label
			>Labels of the first sheet already used <input
				class="input measure w-full"
				type="number"
				min="0"
				max={sheet.columns * sheet.rows - 1}
				bind:value={desk.skip}
			/></label
		>
	{/if}
	<label
		>Read from <select
			class="select w-full"
			value={labels.viewingMm}
			onchange={(event) => desk.setLabels({ viewingMm: Number(event.currentTarget.value) })}
			><option value={500}>half a metre</option><option value={800}>80 cm, at the shelf</option
			><option value={1200}>1.2 m</option><option value={2000}>2 m, across the room</option></select
		></label
	>
	<p class="soft text-sm">Letters at least {fixedText(labels.viewingMm / 200, 1)} mm high.</p>
	<fieldset>
		<legend>What else it says</legend>
		{#each LABEL_FIELDS as field (field)}
			<label class="flex min-h-9 items-center gap-1.5"
				><input
					class="checkbox"
					type="checkbox"
					checked={desk.fields.includes(field)}
					onchange={() => desk.toggleField(field)}
				/>{FIELD_CHOICES[field]}</label
			>
		{/each}
		<label class="mt-1 block"
			>Code <select class="select w-full" bind:value={desk.code}
				><option value="none">none</option><option value="link"
					>{desk.set === 'lots' ? 'to take one down here' : 'that opens the place here'}</option
				><option value="words">what is in it, in words for any phone</option></select
			></label
		>
	</fieldset>
	<details>
		<summary class="min-h-11 cursor-pointer content-center">The printer slips</summary>
		<div class="grid grid-cols-2 gap-2">
			<label
				>To the right, mm <input
					class="input measure w-full"
					type="number"
					min="-20"
					max="20"
					step="0.5"
					value={labels.slipXMm}
					onchange={(event) => desk.setLabels({ slipXMm: Number(event.currentTarget.value) })}
				/></label
			>
			<label
				>Down, mm <input
					class="input measure w-full"
					type="number"
					min="-20"
					max="20"
					step="0.5"
					value={labels.slipYMm}
					onchange={(event) => desk.setLabels({ slipYMm: Number(event.currentTarget.value) })}
				/></label
			>
		</div>
	</details>
	<OwnSheet {desk} />
</div>
<LabelWords {desk} />
