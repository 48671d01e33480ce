<script lang="ts">
	import RefreshCw from '@lucide/svelte/icons/refresh-cw';
	import { getHomeStore, getKeptFile } from '$lib/state/context';
	import { fileName } from '$lib/ui/forms/save-file';

	const file = getKeptFile()();
	const home = $derived(getHomeStore()().home);
	const choose = () => file.choose(fileName(home.name, 'keepnook.json'));
	const timeOf = (instant: string) => new Date(instant).toTimeString().slice(0, 5);
</script>

<div class="rule-top mt-4 pt-3">
	<h3>A file that stays up to date</h3>
	{#if !file.canKeep}
		<p class="soft text-sm">
			This browser does not let a page write to a file of yours. Save the file by hand now and then.
		</p>
	{:else if file.name}
		<p role="status">
			<b>{file.name}</b>
			{file.mustAsk
				? 'was kept up to date before. The browser asks again after it was closed.'
				: file.writtenAt
					? `is up to date, written at ${timeOf(file.writtenAt)}.`
					: 'is written again with the next change.'}
		</p>
		<div class="mt-2 flex flex-wrap gap-2">
			{#if file.mustAsk}<button class="btn btn-primary" onclick={() => void file.goOn()}
					><RefreshCw size={18} />Go on with it</button
				>{/if}
			<button class="btn" onclick={choose}>Choose another file</button>
			<button class="btn btn-ghost" onclick={() => void file.stop()}>Stop</button>
		</div>
	{:else}
		<p class="soft mb-2 text-sm">
			In a folder that your devices share, it is a copy that is never old. It is written whenever
			you pause.
		</p>
		<button class="btn" onclick={choose}><RefreshCw size={18} />Choose the file</button>
	{/if}
	{#if file.wrong}<p role="alert" class="text-error mt-2">{file.wrong}</p>{/if}
</div>
