<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import {
		DEFAULT_IMPOSE,
		imposeLabels,
		LABEL_SHEETS,
		proposeLabels,
		sheetSvg,
		unprintable
	} from '$lib/core/marking';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import { TAG_INKS } from '$lib/ui/drawing/tag-style';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	let sheetKey = $state(LABEL_SHEETS[0]!.key);
	let skip = $state(0);
	let viewing = $state(DEFAULT_IMPOSE.viewingMm);
	let failed = $state('');
	const sheet = $derived(LABEL_SHEETS.find((row) => row.key === sheetKey)!);
	const labels = $derived(proposeLabels(home));
	const pages = $derived(
		imposeLabels(labels, sheet, {
			skip: Math.max(0, Math.round(skip || 0)),
			viewingMm: viewing
		})
	);
	const tooLong = $derived(
		pages.flatMap((page) => page.labels).filter((placed) => !placed.title.ok)
	);
	const odd = $derived([
		...new Set(labels.flatMap((label) => unprintable(label.title + label.note)))
	]);
	let at = $state(0);
	const page = $derived(pages[Math.min(at, pages.length - 1)]);

	function rename(id: string, text: string) {
		const label = labels.find((entry) => entry.id === id);
		const words = text.trim();
		if (!label || words === label.title) return;
		store.run(`label ${words || label.title}`, 'nameLabel', label, words, newId());
	}
	async function asSvg() {
		failed = '';
		try {
			const { labelFontUrl } = await import('$lib/ui/print/label-pdf');
			const fontUrl = await labelFontUrl();
			pages.forEach((one, i) =>
				saveFile(
					fileName(`${home.name} labels ${i + 1}`, 'svg'),
					sheetSvg(one, { fontUrl, colours: TAG_INKS }),
					'image/svg+xml'
				)
			);
		} catch (error) {
			failed = error instanceof Error ? error.message : String(error);
		}
	}
	async function asPdf() {
		failed = '';
		try {
			const { labelPdf } = await import('$lib/ui/print/label-pdf');
			saveFile(
				fileName(`${home.name} labels`, 'pdf'),
				await labelPdf(pages, TAG_INKS),
				'application/pdf'
			);
		} catch (error) {
			failed = error instanceof Error ? error.message : String(error);
		}
	}
</script>

<Bench panel={labels.length ? panel : undefined} panelLabel="Sheet and words">
	<StageHead stage="mark">
		{#if labels.length}
			<button class="btn" onclick={asSvg}><Download size={18} />SVG</button>
			<button class="btn btn-primary" onclick={asPdf}
				><Download size={18} />PDF, {pages.length} {pages.length === 1 ? 'sheet' : 'sheets'}</button
			>
		{/if}
	</StageHead>
	{#if failed}<p role="alert" class="mb-2" style="color:var(--color-error)">
			The sheet was not made: {failed}. Reload and try again.
		</p>{/if}
	{#if !labels.length || !page}
		<EmptyNote title="Nothing to label yet">
			<p>
				Every container you keep in Fit gets a label with its group’s name, so that anyone can put
				things back. Keep at least one arrangement with containers first.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/fit">Go to Fit</a>
		</EmptyNote>
	{:else}
		<p class="soft mb-2">
			{labels.length} labels on {sheet.name}, {sheet.paper} paper. Print at 100 %, not “fit to page”.
			Broad words outlast narrow ones; leave one bin unlabelled for growth.
		</p>
		{#if tooLong.length}<p role="alert" class="mb-2" style="color:var(--color-error)">
				{tooLong.map((placed) => `“${placed.label.title}”`).join(', ')} cannot be read from {viewing /
					1000} m on this label: shorten the words, or choose a larger label or a shorter distance.
			</p>{/if}
		{#if odd.length}<p role="alert" class="mb-2" style="color:var(--color-error)">
				The label font has no character for {odd.join(' ')}. Spell it another way.
			</p>{/if}
		{#if pages.length > 1}
			<div class="mb-2 flex items-center gap-2">
				{#each pages as _, i (i)}<button
						class="btn"
						class:btn-primary={i === at}
						aria-pressed={i === at}
						aria-label="Sheet {i + 1}"
						onclick={() => (at = i)}>{i + 1}</button
					>{/each}
			</div>
		{/if}
		<div
			class="paper"
			style:aspect-ratio="{sheet.widthMm} / {sheet.heightMm}"
			role="img"
			aria-label="Sheet {at + 1} of labels: {page.labels
				.map((placed) => placed.label.title)
				.join(', ')}"
		>
			<!-- The text in it is escaped by sheetSvg. -->
			<!-- eslint-disable-next-line svelte/no-at-html-tags -->
			{@html sheetSvg(page, { outlines: true, colours: TAG_INKS })}
		</div>
	{/if}
</Bench>

{#snippet panel()}
	<div class="flex flex-col gap-3">
		<label
			>Sheet <select class="select" bind:value={sheetKey} onchange={() => (at = 0)}
				>{#each LABEL_SHEETS as row (row.key)}<option value={row.key}>{row.name}</option
					>{/each}</select
			></label
		>
		<label
			>Labels of the first sheet already used <input
				class="input measure"
				type="number"
				min="0"
				max={sheet.columns * sheet.rows - 1}
				bind:value={skip}
			/></label
		>
		<label
			>Read from <select class="select" bind:value={viewing}
				><option value={500}>half a metre</option><option value={800}>80 cm, at the shelf</option
				><option value={1200}>1.2 m</option><option value={2000}>2 m, across the room</option
				></select
			></label
		>
	</div>
	<h2 class="rule-top mt-4 pt-3">Words</h2>
	<p class="soft mb-1 text-sm">
		Letters at least {(viewing / 200).toFixed(1)} mm high. Clear a line to go back to the group’s name.
	</p>
	<ul>
		{#each labels as label (label.id)}
			<li class="rule-top py-1.5">
				<label
					><span class="soft text-sm"
						>{label.note}, {label.side === 'top' ? 'on top' : 'in front'}</span
					>
					<input
						class="input"
						value={label.title}
						maxlength="80"
						onchange={(event) => rename(label.id, event.currentTarget.value)}
					/></label
				>
			</li>
		{/each}
	</ul>
{/snippet}

<style>
	.paper {
		width: 100%;
		max-width: 760px;
		background: white;
		border: 1px solid var(--color-base-300);
	}
	.paper :global(svg) {
		display: block;
		width: 100%;
		height: 100%;
	}
</style>
