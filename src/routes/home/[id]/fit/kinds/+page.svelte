<script lang="ts">
	import FileDown from '@lucide/svelte/icons/file-down';
	import FileUp from '@lucide/svelte/icons/file-up';
	import Plus from '@lucide/svelte/icons/plus';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { KindsDesk } from '$lib/state/kinds-desk.svelte';
	import { countText } from '$lib/messages/numbers';
	import FitHead from '$lib/ui/fit/FitHead.svelte';
	import KindImport from '$lib/ui/fit/KindImport.svelte';
	import KindList from '$lib/ui/fit/KindList.svelte';
	import KindSheet from '$lib/ui/fit/KindSheet.svelte';
	import { fileName, saveFile } from '$lib/ui/forms/save-file';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';

	const desk = new KindsDesk({ store: getHomeStore(), newId });
	let picker = $state<HTMLInputElement>();
	async function bring(files: FileList | null) {
		const file = files?.[0];
		if (file) desk.bring(await file.text());
		if (picker) picker.value = '';
	}
</script>

<Bench
	panel={desk.draft ? sheet : undefined}
	panelLabel="Container"
	raised={!!desk.draft}
	onclose={() => desk.cancel()}
>
	<FitHead>
		<button class="btn" onclick={() => desk.begin()}><Plus size={18} />New kind</button>
		<button class="btn" onclick={() => picker?.click()}><FileUp size={18} />From a table</button>
		{#if !desk.isEmpty}<button
				class="btn max-sm:hidden"
				onclick={() =>
					saveFile(fileName(`${desk.home.name} containers`, 'csv'), desk.csv(), 'text/csv')}
				><FileDown size={18} />As a table</button
			>{/if}
	</FitHead>
	<input
		bind:this={picker}
		class="sr-only"
		type="file"
		accept=".csv,.tsv,.txt,text/csv"
		tabindex="-1"
		aria-label="A table of containers"
		onchange={(event) => void bring(event.currentTarget.files)}
	/>
	{#if desk.trouble}<p role="alert" class="alert alert-error mb-3">{desk.trouble}</p>{/if}
	{#if desk.coming}
		<KindImport {desk} />
	{:else if desk.isEmpty}
		<EmptyNote title="No containers yet">
			<p>
				Look through the house first: every container found is one less to buy. The usual kinds are
				sizes that can be had nearly everywhere.
			</p>
			<button class="btn btn-primary" onclick={() => desk.addUsual()}>Show the usual kinds</button>
		</EmptyNote>
	{:else}
		<p class="mb-3 max-w-2xl">
			{countText(desk.owned, 'container')} in the house. Count what you find: each one is one less to
			buy. Sizes are outside, width × depth × height.
		</p>
		<KindList {desk} />
	{/if}
</Bench>

{#snippet sheet()}<KindSheet {desk} />{/snippet}
