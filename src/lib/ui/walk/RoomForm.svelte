<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { parseLength } from '$lib/core/model';

	import { lengthIssueText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';

	let { onmade }: { onmade?: (ids: { room: string; back: string; front: string }) => void } =
		$props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	let room = $state({ name: 'Kitchen', width: '3600', depth: '2400' });
	let wrong = $state('');
	function make(event: SubmitEvent) {
		event.preventDefault();
		const width = parseLength(room.width, home.units);
		const depth = parseLength(room.depth, home.units);
		const bad = !width.ok ? width : !depth.ok ? depth : null;
		if (bad && !bad.ok) return void (wrong = lengthIssueText(bad.issue));
		if (!width.ok || !depth.ok) return;
		if (Math.min(width.mm, depth.mm) < 600)
			return void (wrong = `A room of ${room.width} × ${room.depth} is smaller than a cabinet. Check the unit.`);
		wrong = '';
		const ids = {
			room: newId(),
			back: newId(),
			front: newId(),
			left: newId(),
			right: newId()
		};
		store.run(`room ${room.name}`, 'addRoom', {
			name: room.name.trim() || 'Room',
			widthMm: width.mm,
			depthMm: depth.mm,
			ids
		});
		onmade?.(ids);
	}
</script>

<form onsubmit={make} class="flex flex-wrap items-end gap-2">
	<label class="flex flex-col"
		>Room<input class="input" bind:value={room.name} maxlength="200" required /></label
	>
	<label class="flex w-32 flex-col"
		>Width<input class="input measure" bind:value={room.width} /></label
	>
	<label class="flex w-32 flex-col"
		>Depth<input class="input measure" bind:value={room.depth} /></label
	>
	<button class="btn btn-primary"><Plus size={18} />Add the room</button>
	{#if wrong}<p role="alert" class="w-full" style="color:var(--color-error)">{wrong}</p>{/if}
</form>
