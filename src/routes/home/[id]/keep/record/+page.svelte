<script lang="ts">
	import FileText from '@lucide/svelte/icons/file-text';
	import Printer from '@lucide/svelte/icons/printer';
	import { formatVolume } from '$lib/core/model';
	import { VERDICT_WORDS } from '$lib/messages/clearing';
	import { countText, wholeText } from '$lib/messages/numbers';
	import { reportMarkdown } from '$lib/messages/report';
	import { today } from '$lib/state/clock.svelte';
	import { HoursDesk } from '$lib/state/hours-desk.svelte';
	import { PicturesDesk } from '$lib/state/pictures-desk.svelte';
	import { shrinkPhoto } from '$lib/state/shrink-photo';
	import { turnDeps } from '$lib/state/turn-deps';
	import { getDb } from '$lib/state/database';
	import BeforeAfter from '$lib/ui/keep/BeforeAfter.svelte';
	import YearChart from '$lib/ui/keep/YearChart.svelte';
	import HoursAndMaterials from '$lib/ui/keep/HoursAndMaterials.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { RecordDesk } from '$lib/state/record-desk.svelte';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import KeepHead from '$lib/ui/keep/KeepHead.svelte';

	const getStore = getHomeStore();
	const desk = new RecordDesk({ store: getStore, today });
	const home = $derived(desk.home);
	const deps = turnDeps(getStore);
	const hours = new HoursDesk(deps);
	const pictures = new PicturesDesk({ ...deps, db: getDb, shrink: shrinkPhoto });
	let failed = $state('');
	async function pdf() {
		failed = '';
		try {
			const [{ loadFonts, pagesPdf }, { documentPages }] = await Promise.all([
				import('$lib/ui/print/print-pdf'),
				import('$lib/ui/print/documents')
			]);
			const pages = documentPages(home, 'report', home.customs.paper, today());
			saveFile(
				fileName(`${home.name} report`, 'pdf'),
				pagesPdf(pages, await loadFonts()),
				'application/pdf'
			);
		} catch (error) {
			failed = error instanceof Error ? error.message : String(error);
		}
	}
	const markdown = () =>
		saveFile(fileName(`${home.name} report`, 'md'), reportMarkdown(desk.report), 'text/markdown');
</script>

<Bench>
	<KeepHead>
		<button class="btn" onclick={markdown}><FileText size={18} />Markdown</button>
		<button class="btn btn-primary" onclick={pdf}><Printer size={18} />Report as PDF</button>
	</KeepHead>
	{#if failed}<p role="alert" class="text-error mb-2">
			The report was not made: {failed}. Reload and try again.
		</p>{/if}
	{#if desk.wrong.length}
		<section class="mb-4" aria-label="Places that are wrong">
			<h2>Often found elsewhere</h2>
			<p class="soft text-sm">
				A place where something is missed again and again is the wrong place for it.
			</p>
			<ul>
				{#each desk.wrong as { groupId, times, nookId, timesThere } (groupId)}
					<li class="rule-top flex flex-wrap items-center justify-between gap-2 py-2">
						<span
							><b>{home.groups[groupId]?.name}</b>: {countText(times, 'time')}{nookId
								? `, ${timesThere} of them in ${home.nooks[nookId]?.name}`
								: ''}</span
						>
						{#if nookId}<button class="btn" onclick={() => desk.pinThere(groupId, nookId)}
								>{desk.isPinned(groupId, nookId)
									? 'It will live there'
									: 'Let it live there'}</button
							>{/if}
					</li>
				{/each}
			</ul>
		</section>
	{/if}
	<section aria-label="Used and thrown out over the year">
		<h2>Used and thrown out, packs a month</h2>
		{#if desk.hasStockLog}
			<YearChart {desk} />
		{:else}<p class="soft">
				Nothing was taken down yet. What you take in Turn is counted here.
			</p>{/if}
	</section>
	<div class="mt-4 grid gap-6 md:grid-cols-2">
		<section aria-label="What was done">
			<h2>What was done</h2>
			<table class="w-full">
				<tbody>
					{#each desk.rows as { name, value } (name)}
						<tr class="rule-top"
							><th class="py-1.5 text-left font-medium">{name}</th><td class="measure text-right"
								>{value}</td
							></tr
						>
					{/each}
				</tbody>
			</table>
		</section>
		<section aria-label="Decided">
			<h2>Decided</h2>
			{#if desk.done.lines.length}
				<table class="w-full">
					<tbody>
						{#each desk.done.lines as line (line.verdict)}
							<tr class="rule-top"
								><th class="py-1.5 text-left font-medium">{VERDICT_WORDS[line.verdict]}</th><td
									class="measure text-right">{wholeText(line.things)}</td
								><td class="measure text-right">{formatVolume(line.volumeMl)}</td></tr
							>
						{/each}
					</tbody>
				</table>
			{:else}<p class="soft">Nothing decided yet. Your decisions in Clear are counted here.</p>{/if}
		</section>
	</div>
	<div class="mt-4"><HoursAndMaterials desk={hours} /></div>
	<div class="mt-4"><BeforeAfter desk={pictures} /></div>
	<section class="mt-4 max-w-3xl" aria-label="For the report">
		<label
			><h2>In your own words</h2>
			<span class="soft text-sm">Stands first in the report for a client.</span>
			<textarea
				class="textarea min-h-32 w-full"
				maxlength="4000"
				value={home.note}
				onchange={(event) => desk.setNote(event.currentTarget.value)}></textarea></label
		>
	</section>
</Bench>
