<script lang="ts">
	import FolderInput from '@lucide/svelte/icons/folder-input';
	import Archive from '@lucide/svelte/icons/archive';
	import Moon from '@lucide/svelte/icons/moon';
	import Plus from '@lucide/svelte/icons/plus';
	import Sun from '@lucide/svelte/icons/sun';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import Undo2 from '@lucide/svelte/icons/undo-2';
	import { toast } from 'svelte-sonner';
	import { goto } from '$app/navigation';
	import { dayOf } from '$lib/core/model';
	import { DEMO_ID, type HomeRow } from '$lib/data';
	import { dateText } from '$lib/messages/clearing';
	import { fileIssueText } from '$lib/messages/files';
	import { mendText, troubleText } from '$lib/messages/store';
	import { now } from '$lib/state/clock.svelte';
	import { getDb } from '$lib/state/database';
	import { HomesDesk } from '$lib/state/homes-desk.svelte';
	import { newId } from '$lib/state/ids';
	import { readFile } from '$lib/state/read-file';
	import { theme } from '$lib/state/theme.svelte';
	import { saveFile } from '$lib/ui/forms/save-file';

	const desk = new HomesDesk({
		db: getDb,
		now,
		newId,
		open: (id, part = '') => goto(`/home/${id}/${part}`.replace(/\/$/, ''))
	});
	const homes = $derived(desk.homes);
	let name = $state('');
	$effect(() => void desk.refresh());

	async function saveBackup() {
		const bytes = await desk.backup();
		const day = dayOf(now());
		if (bytes) saveFile(`keep-nook-${day}.zip`, Uint8Array.from(bytes).buffer, 'application/zip');
	}
	let isForgetting = $state(false);
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
		if (await asBackup(file)) return;
		const read = await readFile(file, { newId, now });
		await desk.take(file.name, read);
		if (read.ok && read.lostPhotos)
			toast.warning(
				`${read.lostPhotos} ${read.lostPhotos === 1 ? 'picture was' : 'pictures were'} not in the archive, or no picture. Everything else came along.`
			);
	}
	async function remove(row: HomeRow) {
		await desk.putAway(row.id);
		toast(`“${row.head.name}” was deleted.`, {
			duration: 20_000,
			action: { label: 'Undo', onClick: () => void desk.bringBack(row.id) }
		});
	}
	const SHOWN_MENDS = 5;
</script>

<svelte:head><title>Keep Nook</title></svelte:head>

<main class="mx-auto max-w-4xl px-5 py-8">
	<header class="mb-8 flex items-start gap-4">
		<svg viewBox="0 0 64 64" class="w-14 shrink-0" aria-hidden="true">
			<path d="M6 6H58V58H6Z" class="d-carcass" />
			<path d="M6 30H58M34 30V58" class="d-shelf" />
			<path d="M14 12h16v10H14z" fill="var(--color-primary)" />
			<path d="M40 38h10v14H40z" class="d-light" />
		</svg>
		<div>
			<h1 class="text-4xl">Keep Nook</h1>
			<p class="soft mt-1 max-w-xl">
				Measure every shelf, decide on every thing, and get a plan of what lives where, what it is
				kept in and what is used first. All of it stays in this browser.
			</p>
		</div>
		<button
			class="btn btn-ghost ml-auto"
			onclick={() => theme.toggle()}
			aria-label={theme.current === 'linen' ? 'Dark: cellar' : 'Light: linen'}
			>{#if theme.current === 'linen'}<Moon size={20} />{:else}<Sun size={20} />{/if}</button
		>
	</header>

	{#if desk.trouble}
		<div role="alert" class="mb-4 border-l-4 pl-3" style="border-color:var(--color-error)">
			<p>{troubleText(desk.trouble)} Nothing here has changed.</p>
			<button class="btn mt-2" onclick={() => desk.refresh()}>Try again</button>
		</div>
	{/if}

	<section aria-labelledby="homes" class="mb-8">
		<h2 id="homes" class="mb-2">Homes</h2>
		{#if homes === null && !desk.trouble}
			<p role="status" class="soft">Looking …</p>
		{:else if homes?.length}
			<ul>
				{#each homes as row (row.id)}
					<li class="rule-top flex items-center gap-3">
						<a
							class="flex min-h-14 flex-1 flex-col justify-center py-2 text-lg hover:underline"
							href="/home/{row.id}"
						>
							<b>{row.head?.name || 'A home without a name'}</b>
							<span class="soft text-base">changed {dateText(dayOf(row.changedAt))}</span>
						</a>
						<button
							class="btn btn-ghost"
							onclick={() => remove(row)}
							aria-label="Delete {row.head?.name}"><Trash2 size={18} />Delete</button
						>
					</li>
				{/each}
			</ul>
		{:else if homes}
			<p class="soft">None yet. Make one of your own, or look round the demo home first.</p>
		{/if}
	</section>

	{#if homes?.length || desk.deleted.length}
		<section aria-label="All of it" class="mb-8">
			<div class="flex flex-wrap gap-2">
				{#if homes?.length}<button class="btn" onclick={saveBackup}
						><Archive size={18} />Back up all homes</button
					>{/if}
				<button
					class="btn btn-ghost"
					aria-expanded={isForgetting}
					onclick={() => (isForgetting = !isForgetting)}>Forget everything here</button
				>
			</div>
			{#if isForgetting}
				<p class="mt-2 max-w-xl">
					All homes of this browser go for good, the deleted ones too: no undo brings them back.
					Save a backup first.
				</p>
				<button
					class="btn mt-2"
					style="border-color:var(--color-error);color:var(--color-error)"
					onclick={() => {
						isForgetting = false;
						void desk.forgetAll();
						// What this browser remembers of screens goes with the homes.
						localStorage.clear();
					}}><Trash2 size={18} />Delete all of it for good</button
				>
			{/if}
		</section>
	{/if}
	{#if desk.deleted.length}
		<details class="mb-8">
			<summary class="min-h-11 cursor-pointer font-semibold"
				>Deleted homes ({desk.deleted.length})</summary
			>
			<p class="soft mb-2">They are deleted for good after 30 days.</p>
			<ul>
				{#each desk.deleted as row (row.id)}
					<li class="rule-top flex flex-wrap items-center gap-2 py-1">
						<span class="flex-1"
							>{row.head?.name}, deleted {dateText(dayOf(row.deletedAt!))}, last changed {dateText(
								dayOf(row.changedAt)
							)}</span
						>
						<button class="btn" onclick={() => desk.bringBack(row.id)}
							><Undo2 size={18} />Bring it back</button
						>
						<button class="btn btn-ghost" onclick={() => desk.purge([row.id])}
							><Trash2 size={18} />Delete for good</button
						>
					</li>
				{/each}
			</ul>
		</details>
	{/if}

	<div class="grid gap-8 md:grid-cols-3">
		<section aria-labelledby="demo">
			<h2 id="demo" class="mb-2">See a full one</h2>
			<p class="soft mb-3">
				A made-up railway halt: 20 cabinets, 77 places, over 460 things, and the usual problems.
			</p>
			<a class="btn btn-primary" href="/demo"
				>{homes?.some((row) => row.id === DEMO_ID)
					? 'Go on in the demo home'
					: 'Open the demo home'}</a
			>
		</section>
		<section aria-labelledby="new">
			<h2 id="new" class="mb-2">Begin your own</h2>
			<form
				onsubmit={(event) => {
					event.preventDefault();
					void desk.make(name);
				}}
				class="flex flex-col gap-3"
			>
				<label class="flex flex-col gap-1"
					>What do you call it?
					<input class="input" bind:value={name} required maxlength="200" placeholder="Our flat" />
				</label>
				<button class="btn self-start" disabled={desk.isMaking}
					><Plus size={18} />{desk.isMaking ? 'Making it …' : 'Make this home'}</button
				>
			</form>
		</section>
		<section aria-labelledby="import">
			<h2 id="import" class="mb-2">Import one</h2>
			<p class="soft mb-3">
				A file that ends in .keepnook.json, or the archive with its pictures. If that home is here
				already, you are asked what to do.
			</p>
			<label class="btn relative">
				<FolderInput size={18} />Import a home file
				<input
					type="file"
					class="absolute inset-0 cursor-pointer opacity-0"
					accept=".json,.zip,application/json,application/zip"
					aria-label="Import a home file"
					onchange={(event) => {
						const input = event.currentTarget;
						const file = input.files?.[0];
						if (file) void importFile(file).finally(() => (input.value = ''));
					}}
				/>
			</label>
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
	</div>
</main>
