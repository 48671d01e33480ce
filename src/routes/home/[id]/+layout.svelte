<script lang="ts">
	import { untrack } from 'svelte';
	import { page } from '$app/state';
	import { writeAsIn } from '$lib/core/model';
	import { stageProgress } from '$lib/core/upkeep';
	import { troubleOf, type Trouble } from '$lib/data';
	import { setCorrecting, setHomeStore, setKeptFile } from '$lib/state/context';
	import { CorrectDesk } from '$lib/state/correct-desk.svelte';
	import { HomeStore, type OpenFailure } from '$lib/state/home-store.svelte';
	import { afterPause, KeptFile } from '$lib/state/kept-file.svelte';
	import { getDb } from '$lib/state/database';
	import { filePicker } from '$lib/ui/forms/save-file';
	import { Later } from '$lib/state/later.svelte';
	import { newId } from '$lib/state/ids';
	import { openHomes } from '$lib/state/homes';
	import { keysEverywhere, listenForKeys } from '$lib/state/page-keys.svelte';
	import { now, today } from '$lib/state/clock.svelte';
	import { screenTitle } from '$lib/messages/screens';
	import TagPatterns from '$lib/ui/drawing/TagPatterns.svelte';
	import CorrectSheet from '$lib/ui/frame/CorrectSheet.svelte';
	import HomeScreen from '$lib/ui/frame/HomeScreen.svelte';
	import HomeNotOpened from '$lib/ui/frame/HomeNotOpened.svelte';

	let { children } = $props();
	let store = $state.raw<HomeStore | null>(null);
	let failure = $state.raw<OpenFailure | { ok: false; code: 'trouble'; trouble: Trouble } | null>(
		null
	);
	setHomeStore(() => store!);
	const correcting = new CorrectDesk({ store: () => store!, newId, today });
	setCorrecting(() => correcting);

	const keptFile = new KeptFile({
		db: getDb,
		now,
		pick: filePicker(),
		write: async (home) => (await import('$lib/core/interchange')).writeHomeFile(home),
		paused: afterPause
	});
	setKeptFile(() => keptFile);
	$effect(() => {
		const shown = store;
		void keptFile.show(shown ? untrack(() => shown.home) : null);
		return () => keptFile.leave();
	});
	$effect(() => {
		if (store) keptFile.touch(store.home);
	});

	async function open(id: string): Promise<HomeStore | null> {
		try {
			const opened = await openHomes.open(id);
			if (opened instanceof HomeStore) return opened;
			failure = opened;
		} catch (error) {
			failure = { ok: false, code: 'trouble', trouble: troubleOf(error) };
		}
		return null;
	}

	/** The id by itself: a page of the same home does not open it again. */
	const homeId = $derived(page.params.id!);
	let tries = $state(0);
	$effect(() => {
		const id = homeId;
		void tries;
		let gone = false;
		failure = null;
		openHomes.show(id);
		void open(id).then((opened) => {
			if (!gone) store = opened;
		});
		return () => {
			gone = true;
			store = null;
			openHomes.show(null);
		};
	});

	/** How figures and dates are written here; all texts are made anew when it changes. */
	const region = $derived(store?.home.customs.region ?? null);
	$effect.pre(() => {
		writeAsIn(region);
		return () => writeAsIn(null);
	});
	const stage = $derived(page.url.pathname.split('/')[3] ?? '');
	/** A page for the door of a freezer or cabinet: one screen, no menu. */
	const isKiosk = $derived(['kiosk', 'take', 'find'].includes(stage));
	// How far each stage is says nothing that an edit waits for.
	const progress = new Later(
		() => store?.home ?? null,
		(home) => home && stageProgress(home, today())
	);
	$effect(() => () => progress.leave());

	$effect(listenForKeys);
	keysEverywhere('Everywhere', [
		{ keys: 'Ctrl+Z', does: 'Undo', run: () => store?.undo() },
		{ keys: 'Ctrl+Shift+Z', does: 'Redo', run: () => store?.redo() },
		{ keys: 'Ctrl+Y', does: 'Redo', run: () => store?.redo() }
	]);
</script>

<svelte:document
	onvisibilitychange={() => document.visibilityState === 'hidden' && void keptFile.flush()}
/>
<svelte:head
	>{#if store}<title>{screenTitle(page.url.pathname)} · {store.home.name} · Keep Nook</title
		>{/if}</svelte:head
>
<TagPatterns />
{#if store}
	<HomeScreen {store} {stage} {region} {isKiosk} progress={progress.value} {children}>
		{#snippet beside()}{#if correcting.isOpen}<CorrectSheet />{/if}{/snippet}
	</HomeScreen>
{:else if failure}
	<HomeNotOpened {failure} {homeId} again={() => tries++} />
{:else}
	<p class="p-8" role="status">Opening the home …</p>
{/if}
