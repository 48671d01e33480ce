<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { untrack } from 'svelte';
	import { formatLength, parseLength } from '$lib/core/model';
	import { TEMPLATES } from '$lib/core/survey';

	import { lengthIssueText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';

	let { onmade }: { onmade?: (ids: { room: string; back: string; front: string }) => void } =
		$props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	// Written in the home's own unit, since a bare number is read in it.
	const written = (mm: number) => untrack(() => formatLength(mm, home.units));
	let room = $state({ name: 'Kitchen', width: written(3600), depth: written(2400) });
	/** Key of the usual cabinets it begins with; empty: none. */
	let cabinets = $state('');
	const USUAL = TEMPLATES.filter(({ key }) => key !== 'cabinet');
	let wrong = $state('');
	/** A room of usual cabinets takes their name, unless one was typed. */
	function begin() {
		const usual = USUAL.find(({ key }) => key === cabinets);
		const untyped = TEMPLATES.some(({ name }) => name === room.name);
		if (usual && untyped) room.name = usual.name;
	}
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
		const own = { name: room.name.trim() || 'Room', widthMm: width.mm, depthMm: depth.mm };
		if (cabinets) {
			const before = new Set(Object.keys(home.rooms));
			store.run(`room ${own.name}`, 'addUsualRoom', cabinets, own, newId());
			const made = Object.keys(store.home.rooms).find((id) => !before.has(id));
			if (made) onmade?.({ room: made, back: '', front: '' });
			return;
		}
		const ids = {
			room: newId(),
			back: newId(),
			front: newId(),
			left: newId(),
			right: newId()
		};
		store.run(`room ${own.name}`, 'addRoom', { ...own, ids });
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
	<label class="flex w-44 flex-col"
		>Cabinets<select class="select" bind:value={cabinets} onchange={begin}
			><option value="">None yet</option>{#each USUAL as { key, name, what } (key)}<option
					value={key}
					title={what}>Usual for a {name.toLowerCase()}</option
				>{/each}</select
		></label
	>
	<button class="btn btn-primary"><Plus size={18} />Add the room</button>
	{#if wrong}<p role="alert" class="w-full" style="color:var(--color-error)">{wrong}</p>{/if}
</form>
