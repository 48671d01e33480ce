<script lang="ts">
	import FolderInput from '@lucide/svelte/icons/folder-input';
	import Moon from '@lucide/svelte/icons/moon';
	import Plus from '@lucide/svelte/icons/plus';
	import Sun from '@lucide/svelte/icons/sun';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { toast } from 'svelte-sonner';
	import { goto } from '$app/navigation';
	import {
		isZip,
		MAX_FILE_BYTES,
		MAX_ZIP_BYTES,
		readHomeFile,
		type FileIssue
	} from '$lib/core/interchange';
	import { applyEdit, HomeId, makeHome, type Home } from '$lib/core/model';
	import {
		deleteHome,
		DEMO_ID,
		listHomes,
		listPhotos,
		loadHome,
		putHome,
		putPhotos,
		type HomeRow
	} from '$lib/data';
	import { fileIssueText } from '$lib/messages/files';
	import { dateText } from '$lib/messages/clearing';
	import { now } from '$lib/state/clock';
	import { getDb } from '$lib/state/database';
	import { newId } from '$lib/state/ids';
	import { theme } from '$lib/state/theme.svelte';

	let homes = $state.raw<HomeRow[] | null>(null);
	let name = $state('');
	let issues = $state.raw<{ file: string; issues: readonly FileIssue[] } | null>(null);
	let failed = $state('');

	const refresh = async () => (homes = await listHomes(await getDb()));
	$effect(() => {
		refresh().catch((error: unknown) => {
			failed = error instanceof Error ? error.message : String(error);
		});
	});

	async function keep(home: Home) {
		await putHome(await getDb(), home, now());
		await goto(`/home/${home.id}`);
	}
	async function make(event: SubmitEvent) {
		event.preventDefault();
		const words = name.trim();
		if (!words) return;
		const bare = makeHome({ id: newId(), name: words.slice(0, 200), now: now() });
		// Loaded only now: the first screen does without it.
		const { addUsualKinds } = await import('$lib/core/fitting');
		await keep(applyEdit(bare, addUsualKinds()).home);
	}
	type Read =
		| { ok: true; home: Home; photos: ReadonlyMap<string, Uint8Array>; lostPhotos: number }
		| { ok: false; issues: readonly FileIssue[] };
	/** Reads a text file or an archive; a far too large one is refused before it is read into memory. */
	async function read(file: File): Promise<Read> {
		const archive = /\.zip$/i.test(file.name);
		const limit = archive ? MAX_ZIP_BYTES : MAX_FILE_BYTES;
		if (file.size > limit)
			return { ok: false, issues: [{ code: 'file-too-large', bytes: file.size, limit }] };
		const bytes = new Uint8Array(await file.arrayBuffer());
		if (archive || isZip(bytes)) {
			// Loaded only now: the first screen does without it.
			const { readHomeZip } = await import('$lib/core/interchange/home-zip');
			return readHomeZip(bytes);
		}
		const result = readHomeFile(new TextDecoder().decode(bytes));
		return result.ok ? { ...result, photos: new Map(), lostPhotos: 0 } : result;
	}
	async function importFile(file: File) {
		issues = null;
		const result = await read(file);
		if (!result.ok) {
			issues = { file: file.name, issues: result.issues };
			return;
		}
		const taken = homes?.some((row) => row.id === result.home.id);
		// A home of the same id stays as it is; the file becomes a second one beside it.
		const home = taken
			? {
					...result.home,
					id: HomeId.parse(newId()),
					name: `${result.home.name} (imported)`.slice(0, 200)
				}
			: result.home;
		await putPhotos(await getDb(), home.id, result.photos);
		if (result.lostPhotos)
			toast.warning(
				`${result.lostPhotos} ${result.lostPhotos === 1 ? 'picture was' : 'pictures were'} not in the archive, or no picture. Everything else came along.`
			);
		await keep(home);
	}
	async function remove(row: HomeRow) {
		const db = await getDb();
		const loaded = await loadHome(db, row.id);
		const photos = await listPhotos(db, row.id);
		await deleteHome(db, row.id);
		await refresh();
		toast(`“${row.head.name}” was deleted.`, {
			duration: 20_000,
			action: loaded.ok
				? {
						label: 'Undo',
						onClick: () =>
							void putHome(db, loaded.home, now())
								.then(() => putPhotos(db, row.id, photos))
								.then(refresh)
					}
				: undefined
		});
	}
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
			class="tool tool-quiet ml-auto"
			onclick={() => theme.toggle()}
			aria-label={theme.current === 'linen' ? 'Dark: cellar' : 'Light: linen'}
			>{#if theme.current === 'linen'}<Moon size={20} />{:else}<Sun size={20} />{/if}</button
		>
	</header>

	{#if failed}
		<p role="alert" class="mb-4">
			The browser does not let this page store anything: {failed}. Leave private mode or free some
			space.
		</p>
	{/if}

	<section aria-labelledby="homes" class="mb-8">
		<h2 id="homes" class="mb-2">Homes</h2>
		{#if homes === null && !failed}
			<p role="status" class="soft">Looking …</p>
		{:else if homes?.length}
			<ul>
				{#each homes as row (row.id)}
					<li class="rule-top flex items-center gap-3">
						<a
							class="flex min-h-14 flex-1 flex-col justify-center py-2 text-lg hover:underline"
							href="/home/{row.id}"
						>
							<b>{row.head.name}</b>
							<span class="soft text-base">changed {dateText(row.changedAt.slice(0, 10))}</span>
						</a>
						<button
							class="tool tool-quiet"
							onclick={() => remove(row)}
							aria-label="Delete {row.head.name}"><Trash2 size={18} />Delete</button
						>
					</li>
				{/each}
			</ul>
		{:else if homes}
			<p class="soft">None yet. Make one of your own, or walk round the demo home first.</p>
		{/if}
	</section>

	<div class="grid gap-8 md:grid-cols-3">
		<section aria-labelledby="demo">
			<h2 id="demo" class="mb-2">See one that is full</h2>
			<p class="soft mb-3">
				A made-up railway halt: 19 cabinets, 73 places, near 400 things, and the usual troubles.
			</p>
			<a class="tool tool-now" href="/demo"
				>{homes?.some((row) => row.id === DEMO_ID)
					? 'Go on in the demo home'
					: 'Open the demo home'}</a
			>
		</section>
		<section aria-labelledby="new">
			<h2 id="new" class="mb-2">Begin your own</h2>
			<form onsubmit={make} class="flex flex-col gap-3">
				<label class="flex flex-col gap-1"
					>What do you call it?
					<input class="box" bind:value={name} required maxlength="200" placeholder="Our flat" />
				</label>
				<button class="tool self-start"><Plus size={18} />Make this home</button>
			</form>
		</section>
		<section aria-labelledby="import">
			<h2 id="import" class="mb-2">Bring one in</h2>
			<p class="soft mb-3">
				A file that ends in .keepnook.json, or the archive with its pictures. A home that is here
				already stays as it is.
			</p>
			<label class="tool relative">
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
			{#if issues}
				<div role="alert" class="mt-3 border-l-4 pl-3" style="border-color:var(--color-error)">
					<b>“{issues.file}” was not imported. Nothing here has changed.</b>
					<ul>
						{#each issues.issues as issue, i (i)}<li>{fileIssueText(issue)}</li>{/each}
					</ul>
				</div>
			{/if}
		</section>
	</div>
</main>
