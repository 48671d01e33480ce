<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import { create } from 'qrcode';
	import { pageSvg } from '$lib/core/printing';
	import { countText } from '$lib/messages/numbers';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { MarkDesk } from '$lib/state/mark-desk.svelte';
	import { inkOf } from '$lib/ui/drawing/tag-style';
	import { SET_NAMES } from '$lib/messages/marking';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import MarkHead from '$lib/ui/mark/MarkHead.svelte';
	import MarkPanel from '$lib/ui/mark/MarkPanel.svelte';
	import MarkSets from '$lib/ui/mark/MarkSets.svelte';

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
			// Two sets are two files.
			const name = `${home.name} labels ${SET_NAMES[desk.set].toLowerCase()}`;
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
		<MarkSets {desk} />
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

{#snippet panel()}<MarkPanel {desk} />{/snippet}

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
