<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import FileUp from '@lucide/svelte/icons/file-up';
	import Share2 from '@lucide/svelte/icons/share-2';
	import { getDb } from '$lib/state/database';
	import { getHomeStore } from '$lib/state/context';
	import { HandOverDesk } from '$lib/state/hand-over-desk.svelte';
	import { takeCopy } from '$lib/state/pending-copy';
	import { readFile } from '$lib/state/read-file';
	import { TablesDesk } from '$lib/state/tables-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';
	import FileButton from '$lib/ui/forms/FileButton.svelte';
	import { fileName, mayShare, saveFile, shareFile } from '$lib/ui/forms/save-file';
	import CopyBrings from '$lib/ui/keep/CopyBrings.svelte';
	import KeptFilePart from '$lib/ui/keep/KeptFilePart.svelte';
	import TakeOver from '$lib/ui/keep/TakeOver.svelte';
	import { TakeOverDesk } from '$lib/state/take-over-desk.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import TableExchange from '$lib/ui/keep/TableExchange.svelte';
	import KeepHead from '$lib/ui/keep/KeepHead.svelte';

	const getStore = getHomeStore();
	const deps = turnDeps(getStore);
	const desk = new HandOverDesk({ ...deps, db: getDb });
	const tables = new TablesDesk(deps);
	const taking = new TakeOverDesk({ ...deps, db: getDb });
	const home = $derived(desk.home);
	$effect(() => {
		const copy = takeCopy(getStore().home.id);
		if (copy) void desk.take(copy);
	});
	async function give(how: typeof saveFile) {
		const text = await desk.copy();
		if (text) how(fileName(home.name, 'keepnook.json'), text, 'application/json');
	}
</script>

<Bench>
	<KeepHead />
	<div class="grid max-w-5xl gap-8 md:grid-cols-2">
		<section aria-label="Give a copy">
			<h2>Give a copy</h2>
			<p class="soft mb-2">
				An organizer hands the home over, the household goes on with it. Both may work on their
				copy; when one comes back it is merged, and nothing is lost.
			</p>
			<label
				>Your name, for the other’s history <input
					class="input w-full"
					maxlength="80"
					bind:value={desk.by}
				/></label
			>
			<div class="mt-2 flex flex-wrap gap-2">
				<button class="btn btn-primary" onclick={() => give(saveFile)}
					><Download size={18} />Save the file</button
				>
				{#if mayShare()}<button class="btn" onclick={() => give((...all) => void shareFile(...all))}
						><Share2 size={18} />Share</button
					>{/if}
			</div>
			<KeptFilePart />
		</section>
		<section aria-label="Take a copy back in">
			<h2>Take a copy back in</h2>
			<p class="soft mb-2">Choose the file that came back. Nothing changes before you say so.</p>
			<FileButton
				accept=".json,application/json"
				onfile={async (file) => desk.bring(await readFile(file, deps))}
				><FileUp size={18} />Choose the file</FileButton
			>
			{#if desk.isBusy}<p role="status">Comparing …</p>{/if}
			{#if desk.wrong}<p role="alert" class="text-error mt-2">{desk.wrong}</p>{/if}
		</section>
	</div>
	<section class="rule-top mt-6 max-w-5xl pt-4" aria-label="As a table">
		<TableExchange desk={tables} />
	</section>
	<TakeOver desk={taking} />
	<section class="rule-top mt-6 max-w-5xl pt-4" aria-label="For everybody in the house">
		<h2>For everybody in the house</h2>
		<p class="soft mb-2">
			Pages without a menu, for whoever never plans: open one on the phone or tablet they use.
		</p>
		<a class="btn" href="/home/{home.id}/find">Where is it?</a>
		<a class="btn" href="/home/{home.id}/mark/prints">Print the maps for the doors</a>
	</section>
	{#if desk.merge}<CopyBrings {desk} />{/if}
</Bench>
