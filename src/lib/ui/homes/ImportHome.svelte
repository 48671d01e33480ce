<script lang="ts">
	import FolderInput from '@lucide/svelte/icons/folder-input';
	import { toast } from 'svelte-sonner';
	import { preloadCode } from '$app/navigation';
	import { dayOf } from '$lib/core/model';
	import { dateText } from '$lib/messages/clearing';
	import { fileIssueText } from '$lib/messages/files';
	import { mendText } from '$lib/messages/store';
	import { now } from '$lib/state/clock.svelte';
	import type { HomesDesk } from '$lib/state/homes-desk.svelte';
	import { newId } from '$lib/state/ids';
	import { readFile } from '$lib/state/read-file';
	import FileButton from '$lib/ui/forms/FileButton.svelte';

	let { desk }: { desk: HomesDesk } = $props();
	/** A backup of all homes is an archive too, and says so. */
	async function asBackup(file: File): Promise<boolean> {
		const { isBackup, readBackup } = await import('$lib/core/interchange/backup');
		const { isZip, MAX_BACKUP_BYTES } = await import('$lib/core/interchange');
		if (
			file.size > MAX_BACKUP_BYTES ||
			!isZip(new Uint8Array(await file.slice(0, 4).arrayBuffer()))
		)
			return false;
		const bytes = new Uint8Array(await file.arrayBuffer());
		if (!isBackup(bytes)) return false;
		await desk.restore(file.name, readBackup(bytes));
		return true;
	}
	async function importFile(file: File) {
		// The screen that shows it comes in while the file is read and stored.
		void preloadCode('/home/next').catch(() => undefined);
		if (await asBackup(file)) return;
		const read = await readFile(file, { newId, now });
		await desk.take(file.name, read);
		if (read.ok && read.lostPhotos)
			toast.warning(
				`${read.lostPhotos} ${read.lostPhotos === 1 ? 'picture was' : 'pictures were'} not in the archive, or no picture. Everything else came along.`
			);
	}
	const SHOWN_MENDS = 5;
</script>

<section aria-labelledby="import">
	<h2 id="import" class="mb-2">Import one</h2>
	<p class="soft mb-3">
		A file that ends in .keepnook.json, or the archive with its pictures. If that home is here
		already, you are asked what to do.
	</p>
	<FileButton accept=".json,.zip,application/json,application/zip" onfile={importFile}
		><FolderInput size={18} />Import a home file</FileButton
	>
	{#if desk.restored}
		{@const { added, here, bad } = desk.restored}
		<div role="status" class="mt-3 border-l-4 pl-3" style="border-color:var(--color-primary)">
			<p>
				{added.length ? `Brought back: ${added.join(', ')}.` : 'Nothing was missing here.'}
				{bad.length ? ` Could not be read: ${bad.join(', ')}.` : ''}
			</p>
			{#each here as one (one.home.id)}
				<p class="mt-1">
					“{one.home.name}” is here already and was left as it is.
					<button class="btn btn-sm" onclick={() => desk.takeBackedUp(one)}
						>Take the one of the backup; the old one can be brought back</button
					>
				</p>
			{/each}
		</div>
	{/if}
	{#if desk.refused}
		{@const { file, issues, mended } = desk.refused}
		<div role="alert" class="mt-3 border-l-4 pl-3" style="border-color:var(--color-error)">
			<b>“{file}” was not imported. Nothing here has changed.</b>
			<ul>
				{#each issues as issue, i (i)}<li>{fileIssueText(issue)}</li>{/each}
			</ul>
			{#if mended}
				<p class="mt-2">It can be imported without the parts that are wrong:</p>
				<ul class="list-disc pl-5">
					{#each mended.mends.slice(0, SHOWN_MENDS) as mend, i (i)}<li>
							{mendText(mend)}
						</li>{/each}
					{#if mended.mends.length > SHOWN_MENDS}<li>
							and {mended.mends.length - SHOWN_MENDS} more.
						</li>{/if}
				</ul>
				<button class="btn mt-2" onclick={() => desk.takeMended()}>Bring it in mended</button>
			{/if}
		</div>
	{/if}
	{#if desk.clash}
		{@const { there, incoming } = desk.clash}
		<div role="alert" class="mt-3 border-l-4 pl-3" style="border-color:var(--color-primary)">
			<p>
				<b>This home is here already</b>: “{there.head?.name}”, {there.deletedAt
					? `deleted ${dateText(dayOf(there.deletedAt))}`
					: `changed ${dateText(dayOf(there.changedAt))}`}. Nothing has been changed yet.
			</p>
			<div class="mt-2 flex flex-col items-start gap-2">
				{#if incoming.exchange}
					<button class="btn btn-primary" onclick={() => desk.settle('merge')}
						>Merge it with the one here</button
					>
				{/if}
				<button class="btn" onclick={() => desk.settle('both')}
					>Keep both, the file as “{incoming.home.name} (imported)”</button
				>
				<button class="btn" onclick={() => desk.settle('replace')}
					>Replace it; the old one can be brought back</button
				>
				<button class="btn btn-ghost" onclick={() => desk.settle('neither')}>Cancel</button>
			</div>
		</div>
	{/if}
</section>
