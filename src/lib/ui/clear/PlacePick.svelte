<script lang="ts">
	import { TABLE, type ClearDesk } from '$lib/state/clear-desk.svelte';

	let { desk, onpick }: { desk: ClearDesk; onpick: (place: string) => void } = $props();
</script>

{#if desk.places.length}
	<label class="flex items-center gap-2"
		><span class="soft">Place</span>
		<select
			class="select"
			value={desk.atTable ? TABLE : desk.nookId}
			onchange={(event) => onpick(event.currentTarget.value)}
		>
			{#if desk.onTable.length || desk.atTable}<option value={TABLE}
					>On the table ({desk.onTable.length})</option
				>{/if}
			{#each desk.places as { nook } (nook.id)}
				{@const late = desk.past.get(nook.id)}
				<option value={nook.id}>{nook.name}{late ? ` (${late} past)` : ''}</option>
			{/each}
		</select>
	</label>
{/if}
