<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import { create } from 'qrcode';
	import { LABEL_FIELDS } from '$lib/core/marking';
	import { pageSvg } from '$lib/core/printing';
	import { FIELD_CHOICES, SET_NAMES } from '$lib/messages/marking';
	import { countText, fixedText } from '$lib/messages/numbers';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { MarkDesk } from '$lib/state/mark-desk.svelte';
	import { inkOf } from '$lib/ui/drawing/tag-style';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import LabelWords from '$lib/ui/mark/LabelWords.svelte';
	import MarkHead from '$lib/ui/mark/MarkHead.svelte';
	import OwnSheet from '$lib/ui/mark/OwnSheet.svelte';

	const getStore = getHomeStore();
	const codeOf = (text: string) => {
		const { data, size } = create(text, { errorCorrectionLevel: 'M' }).modules;
		return Array.from({ length: size }, (_, r) =>
			Array.from({ length: size }, (_, c) => !!data[r * size + c])
		);
	};
	const desk = new MarkDesk({
		store: getStore,
		newId,
		inkOf,
		codeOf,
		addressOf: (nookId, lotId) => {
			const home = `${location.origin}/home/${getStore().home.id}`;
			return lotId ? `${home}/take/${lotId}` : `${home}/turn/stock?place=${nookId}`;
		}
	});
	const home = $derived(desk.home);
	const { sheet } = $derived(desk);
	const page = $derived(desk.shown[desk.at]);
	const labels = $derived(home.settings.labels);
	let failed = $state('');
	async function make(as: 'pdf' | 'svg') {
		failed = '';
		try {
			const { fontUrls, loadFonts, pagesPdf } = await import('$lib/ui/print/print-pdf');
			const fonts = await loadFonts();
			const pages = desk.pages();
			const name = `${home.name} labels`;
			if (as === 'pdf') saveFile(fileName(name, 'pdf'), pagesPdf(pages, fonts), 'application/pdf');
			else
				pages.forEach((one, i) =>
					saveFile(
						fileName(`${name} ${i + 1}`, 'svg'),
						pageSvg(one, fontUrls(fonts)),
						'image/svg+xml'
					)
				);
			desk.notePrinted();
		} catch (error) {
			failed = error instanceof Error ? error.message : String(error);
		}
	}
</script>

<Bench panel={desk.isEmpty ? undefined : panel} panelLabel="Sheet and words">
	<MarkHead>
		{#if !desk.isEmpty}
			<button class="btn" onclick={() => make('svg')}><Download size={18} />SVG</button>
			<button class="btn btn-primary" onclick={() => make('pdf')}
				><Download size={18} />PDF, {countText(desk.shown.length, 'sheet')}</button
			>
		{/if}
	</MarkHead>
	{#if failed}<p role="alert" class="text-error mb-2">
			The sheet was not made: {failed}. Reload and try again.
		</p>{/if}
	{#if desk.isEmpty}
		<EmptyNote title="Nothing to label yet">
			<p>
				Every place of the plan and every container you keep in Fit gets a label, so that anyone can
				put things back. Make a plan first.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/place">Go to Place</a>
		</EmptyNote>
	{:else}
		<div class="mb-2 flex flex-wrap items-center gap-3">
			<div class="join" role="group" aria-label="Labels for">
				{#each desk.sets as set (set)}
					<button
						class="btn join-item"
						class:btn-primary={desk.set === set}
						aria-pressed={desk.set === set}
						onclick={() => desk.setSet(set)}>{SET_NAMES[set]}</button
					>
				{/each}
			</div>
			{#if !desk.sets.includes('places')}<a class="link" href="/home/{home.id}/place"
					>Shelves and drawers get theirs from a plan</a
				>{:else if !desk.sets.includes('containers')}<a class="link" href="/home/{home.id}/fit"
					>Containers get theirs once they are kept in Fit</a
				>{/if}
			{#if desk.unprinted.length}
				<label class="flex items-center gap-1.5"
					><input class="checkbox" type="checkbox" bind:checked={desk.onlyUnprinted} />only the {desk
						.unprinted.length} not printed yet</label
				>
			{/if}
			{#if desk.lookAt.length}
				<label class="flex items-center gap-1.5"
					><input class="checkbox" type="checkbox" bind:checked={desk.onlyChanged} />only the {desk
						.lookAt.length} to look at again</label
				>
			{/if}
		</div>
		<p class="soft mb-2">
			{countText(desk.printed.length, 'label')} on {sheet.name}{sheet.paper === 'roll'
				? ''
				: `, ${sheet.paper} paper`}. Print at 100 %, not “fit to page”. One letter size for the set.
		</p>
		{#if desk.tooLong.length}<p role="alert" class="text-error mb-2">
				{desk.tooLong
					.slice(0, 5)
					.map((title) => `“${title}”`)
					.join(', ')}{desk.tooLong.length > 5 ? ` and ${desk.tooLong.length - 5} more` : ''} cannot be
				read from {labels.viewingMm / 1000} m on this label: shorten the words, or choose a larger label
				or a shorter distance.
			</p>{/if}
		{#if desk.odd.length}<p role="alert" class="text-error mb-2">
				The letters of prints have no {desk.odd.join(' ')}. Spell it another way.
			</p>{/if}
		{#if desk.shown.length > 1}
			<div class="mb-2 flex flex-wrap items-center gap-2">
				{#each desk.shown.slice(0, 20) as _, i (i)}<button
						class="btn"
						class:btn-primary={i === desk.at}
						aria-pressed={i === desk.at}
						aria-label="Sheet {i + 1}"
						onclick={() => desk.goTo(i)}>{i + 1}</button
					>{/each}{#if desk.shown.length > 20}<span class="soft"
						>and {desk.shown.length - 20} more</span
					>{/if}
			</div>
		{/if}
		{#if page}
			<div
				class="paper"
				style:aspect-ratio="{page.widthMm} / {page.heightMm}"
				style:max-width="{Math.min(760, page.widthMm * 5)}px"
				role="img"
				aria-label="Sheet {desk.at + 1} of labels: {page.labels
					.map(({ print }) => print.title)
					.join(', ')}"
			>
				<!-- The text in it is escaped by pageSvg. -->
				<!-- eslint-disable-next-line svelte/no-at-html-tags -->
				{@html pageSvg(page)}
			</div>
		{/if}
	{/if}
</Bench>

{#snippet panel()}
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
				><option value={1200}>1.2 m</option><option value={2000}>2 m, across the room</option
				></select
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
{/snippet}

<style>
	.paper {
		width: 100%;
		background: white;
		border: 1px solid var(--color-base-300);
	}
	.paper :global(svg) {
		display: block;
		width: 100%;
		height: 100%;
	}
</style>
