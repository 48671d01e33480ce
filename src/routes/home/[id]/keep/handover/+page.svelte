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
	{#if desk.merge}
		<section class="rule-top mt-6 max-w-5xl pt-4" aria-label="What the copy brings">
			<h2>The copy from {desk.from}</h2>
			<p class="mb-2">
				{desk.isNothing ? 'Brings nothing that is not here already.' : desk.words}
			</p>
			{#if desk.conflicts.length}
				<div class="mb-2 flex flex-wrap gap-2">
					<button class="btn btn-sm" onclick={() => desk.chooseAll('ours')}>Ours for all</button>
					<button class="btn btn-sm" onclick={() => desk.chooseAll('theirs')}>Theirs for all</button
					>
				</div>
				<ul>
					{#each desk.conflicts as { key, what, ours, theirs, choice } (key)}
						<li class="rule-top py-2">
							<fieldset>
								<legend><b>{what}</b></legend>
								<span class="sides">
									<label
										><input
											class="radio radio-sm"
											type="radio"
											name={key}
											checked={choice === 'ours'}
											onchange={() => desk.choose(key, 'ours')}
										/> <span>ours: {ours}</span></label
									>
									<label
										><input
											class="radio radio-sm"
											type="radio"
											name={key}
											checked={choice === 'theirs'}
											onchange={() => desk.choose(key, 'theirs')}
										/> <span>theirs: {theirs}</span></label
									>
								</span>
							</fieldset>
						</li>
					{/each}
				</ul>
			{/if}
			<div class="mt-3 flex flex-wrap gap-2">
				<button class="btn btn-primary" onclick={() => void desk.confirm()}
					>{desk.isNothing ? 'Close' : 'Take it in'}</button
				>
				<button class="btn btn-ghost" onclick={() => desk.drop()}>Cancel</button>
			</div>
		</section>
	{/if}
</Bench>

<style>
	.sides {
		display: grid;
		grid-template-columns: repeat(auto-fit, minmax(14rem, 1fr));
		gap: 0.3rem 1rem;
	}
	.sides label {
		display: flex;
		align-items: center;
		gap: 0.5rem;
		min-height: 44px;
	}
</style>
