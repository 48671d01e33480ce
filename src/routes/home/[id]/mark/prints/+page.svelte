<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import { pageSvg, type Paper } from '$lib/core/printing';
	import type { HomeState } from '$lib/core/zoning';
	import { DOCUMENT_NAMES, STATE_WORDS } from '$lib/messages/marking';
	import { capital, countText } from '$lib/messages/numbers';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import MarkHead from '$lib/ui/mark/MarkHead.svelte';
	import {
		documentPages,
		DOCUMENTS,
		OF_A_STATE,
		statesOf,
		type DocumentKind
	} from '$lib/ui/print/documents';

	const getStore = getHomeStore();
	const home = $derived(getStore().home);
	let kind = $state<DocumentKind>('binder');
	const paper = $derived<Paper>(home.customs.paper);
	let at = $state(0);
	let failed = $state('');
	const states = $derived(statesOf(home));
	let wanted = $state<HomeState>('plan');
	const shown = $derived(states.includes(wanted) ? wanted : states[0]!);
	const pages = $derived(documentPages(home, kind, paper, today(), shown));
	const page = $derived(pages[Math.min(at, pages.length - 1)]);
	async function save() {
		failed = '';
		try {
			const { loadFonts, pagesPdf } = await import('$lib/ui/print/print-pdf');
			const name = fileName(`${home.name} ${DOCUMENT_NAMES[kind]}`, 'pdf');
			saveFile(name, pagesPdf(pages, await loadFonts()), 'application/pdf');
		} catch (error) {
			failed = error instanceof Error ? error.message : String(error);
		}
	}
</script>

<Bench>
	<MarkHead>
		{#if pages.length}<button class="btn btn-primary" onclick={save}
				><Download size={18} />PDF, {countText(pages.length, 'page')}</button
			>{/if}
	</MarkHead>
	{#if failed}<p role="alert" class="text-error mb-2">
			The print was not made: {failed}. Reload and try again.
		</p>{/if}
	<div class="mb-3 flex flex-wrap items-end gap-3">
		<label
			>Print <select class="select" bind:value={kind} onchange={() => (at = 0)}
				>{#each DOCUMENTS as each (each)}<option value={each}>{DOCUMENT_NAMES[each]}</option
					>{/each}</select
			></label
		>
		{#if states.length > 1 && OF_A_STATE.has(kind)}
			<label
				>Shows <select class="select" bind:value={wanted} onchange={() => (at = 0)}
					>{#each states as each (each)}<option value={each}>{capital(STATE_WORDS[each])}</option
						>{/each}</select
				></label
			>
		{/if}
		<label
			>Paper <select
				class="select"
				value={paper}
				onchange={(event) =>
					getStore().run('paper', 'changeCustoms', {
						paper: event.currentTarget.value as Paper
					})}><option value="A4">A4</option><option value="Letter">Letter</option></select
			></label
		>
		{#if pages.length > 1}
			<span class="flex flex-wrap items-center gap-2">
				<button class="btn" disabled={at === 0} onclick={() => at--}>Previous page</button>
				<span class="measure">{Math.min(at, pages.length - 1) + 1} of {pages.length}</span>
				<button class="btn" disabled={at >= pages.length - 1} onclick={() => at++}>Next page</button
				>
			</span>
		{/if}
	</div>
	{#if page}
		<div
			class="paper"
			style:aspect-ratio="{page.widthMm} / {page.heightMm}"
			role="img"
			aria-label="Page {at + 1}{page.title ? `: ${page.title}` : ''}"
		>
			<!-- The text in it is escaped by pageSvg. -->
			<!-- eslint-disable-next-line svelte/no-at-html-tags -->
			{@html pageSvg(page)}
		</div>
	{:else}
		<EmptyNote title="Nothing to print here yet">
			<p>This print is of what the home does not have yet: choose another one.</p>
		</EmptyNote>
	{/if}
</Bench>

<style>
	.paper {
		width: 100%;
		max-width: 680px;
		background: white;
		border: 1px solid var(--color-base-300);
	}
	.paper :global(svg) {
		display: block;
		width: 100%;
		height: 100%;
	}
</style>
