<script lang="ts">
	import { toast } from 'svelte-sonner';
	import { page } from '$app/state';
	import { stageProgress } from '$lib/core/upkeep';
	import { fileIssueText } from '$lib/messages/files';
	import { now, today } from '$lib/state/clock';
	import { setHomeStore } from '$lib/state/context';
	import { getDb } from '$lib/state/database';
	import { HomeStore, type OpenFailure } from '$lib/state/home-store.svelte';
	import TagPatterns from '$lib/ui/drawing/TagPatterns.svelte';
	import StageStrip from '$lib/ui/frame/StageStrip.svelte';
	import TopBar from '$lib/ui/frame/TopBar.svelte';

	let { children } = $props();
	let store = $state.raw<HomeStore | null>(null);
	let failure = $state.raw<OpenFailure | { ok: false; code: 'no-store'; reason: string } | null>(
		null
	);
	setHomeStore(() => store!);

	const notices = {
		'merged-with-other-tab': () =>
			toast.info('Another tab had changed this home. Your change was made on top of it.'),
		'undo-lost': () =>
			toast.warning(
				'Another tab had changed this home, so nothing was taken back. Look and try again.'
			),
		'not-stored': (reason: string) =>
			toast.error(
				`The last change is on screen but not stored: ${reason}. Export the home to a file now.`
			)
	};

	async function open(id: string): Promise<HomeStore | null> {
		try {
			const opened = await HomeStore.open(id, {
				db: await getDb(),
				now,
				onNotice: (notice) =>
					notice.code === 'not-stored'
						? notices['not-stored'](notice.reason)
						: notices[notice.code]()
			});
			if (opened instanceof HomeStore) return opened;
			failure = opened;
		} catch (error) {
			failure = {
				ok: false,
				code: 'no-store',
				reason: error instanceof Error ? error.message : String(error)
			};
		}
		return null;
	}

	$effect(() => {
		const id = page.params.id!;
		let gone = false;
		let mine: HomeStore | null = null;
		failure = null;
		void open(id).then((opened) => {
			if (gone) return opened?.close();
			mine = opened;
			store = opened;
		});
		return () => {
			gone = true;
			mine?.close();
			store = null;
		};
	});

	const stage = $derived(page.url.pathname.split('/')[3] ?? '');
	const progress = $derived(store ? stageProgress(store.home, today()) : null);

	function shortcut(event: KeyboardEvent) {
		const typing =
			event.target instanceof HTMLElement && event.target.closest('input, textarea, select');
		if (typing || !store || !(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z')
			return;
		event.preventDefault();
		if (event.shiftKey) store.redo();
		else store.undo();
	}
</script>

<svelte:window onkeydown={shortcut} />
<svelte:head><title>{store ? `${store.home.name} · Keep Nook` : 'Keep Nook'}</title></svelte:head>
<TagPatterns />
{#if store && progress}
	<div class="frame">
		<StageStrip homeId={store.home.id} current={stage} {progress} />
		<div class="min-w-0">
			<TopBar {store} />
			<main>{@render children()}</main>
		</div>
	</div>
{:else if failure}
	<main class="mx-auto max-w-2xl p-8">
		<h1>This home could not be opened</h1>
		<div role="alert" class="my-4">
			{#if failure.code === 'not-found'}
				<p>
					There is no home here under that name. It may have been deleted, or it is in another
					browser.
				</p>
			{:else if failure.code === 'newer'}
				<p>
					It was stored by a newer Keep Nook. Reload the page to get it; nothing has been touched.
				</p>
			{:else if failure.code === 'damaged'}
				<p>What is stored does not read as a home. Nothing has been changed.</p>
				<ul class="list-disc pl-6">
					{#each failure.issues as issue, i (i)}<li>{fileIssueText(issue)}</li>{/each}
				</ul>
			{:else}
				<p>
					The browser does not let this page store anything: {failure.reason}. Leave private mode or
					free some space.
				</p>
			{/if}
		</div>
		<a class="tool" href="/">Back to all homes</a>
	</main>
{:else}
	<p class="p-8" role="status">Opening the home …</p>
{/if}

<style>
	.frame {
		display: grid;
		grid-template-columns: 84px minmax(0, 1fr);
		min-height: 100dvh;
	}
	@media print {
		.frame {
			display: block;
		}
	}
	@media (max-width: 767px) {
		.frame {
			display: block;
			padding-bottom: 60px;
		}
	}
</style>
