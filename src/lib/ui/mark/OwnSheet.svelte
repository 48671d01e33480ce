<script lang="ts">
	import { PAPERS } from '$lib/core/printing';
	import type { MarkDesk } from '$lib/state/mark-desk.svelte';

	let { desk }: { desk: MarkDesk } = $props();
	let own = $state({
		name: '',
		paper: 'A4' as 'A4' | 'Letter' | 'roll',
		columns: 3,
		rows: 8,
		labelWidthMm: 60,
		labelHeightMm: 30,
		leftMm: 10,
		topMm: 12,
		gapXMm: 2,
		gapYMm: 0,
		cut: false
	});
	const NUMBERS = [
		['columns', 'Across'],
		['rows', 'Down'],
		['labelWidthMm', 'Label width, mm'],
		['labelHeightMm', 'Label height, mm'],
		['leftMm', 'Left edge, mm'],
		['topMm', 'Top edge, mm'],
		['gapXMm', 'Gap across, mm'],
		['gapYMm', 'Gap down, mm']
	] as const;
	function add() {
		const roll = own.paper === 'roll';
		const paper = roll
			? { widthMm: own.labelWidthMm, heightMm: own.labelHeightMm, columns: 1, rows: 1 }
			: PAPERS[own.paper as 'A4' | 'Letter'];
		const edges = roll ? { leftMm: 0, topMm: 0, gapXMm: 0, gapYMm: 0 } : {};
		if (desk.addSheet({ ...own, ...edges, ...paper, shape: 'box' })) own.name = '';
	}
</script>

<details>
	<summary class="min-h-11 cursor-pointer content-center">A sheet of your own</summary>
	<div class="grid grid-cols-2 gap-2">
		<label class="col-span-2"
			>Name <input class="input w-full" maxlength="80" bind:value={own.name} /></label
		>
		<label class="col-span-2"
			>Paper <select class="select w-full" bind:value={own.paper}
				><option value="A4">A4</option><option value="Letter">Letter</option><option value="roll"
					>a roll, one label after the other</option
				></select
			></label
		>
		{#each NUMBERS as [field, name] (field)}
			<label
				>{name}
				<input
					class="input measure w-full"
					type="number"
					min="0"
					step="any"
					bind:value={own[field]}
				/></label
			>
		{/each}
		<button class="btn col-span-2" onclick={add}>Add the sheet</button>
	</div>
</details>
