<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { command, type Command } from '$lib/core/commands';
	import {
		OBSTACLE_KINDS,
		STATION_KINDS,
		type Obstacle,
		type Point,
		type Room,
		type StationKind
	} from '$lib/core/model';
	import { cabinetsOn, freeSpot, USUAL_OBSTACLES, type PlanItem } from '$lib/core/survey';
	import { planItemText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import type { PlanDrag } from '$lib/state/plan-drag.svelte';
	import ClimateField from '$lib/ui/forms/ClimateField.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';
	import PlanAway from './PlanAway.svelte';
	import PlanName from './PlanName.svelte';

	let { item, room, drag }: { item: PlanItem; room: Room; drag: PlanDrag } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const name = $derived(planItemText(home, item));
	const span = (side: 'x' | 'y') => {
		const values = room.outline.map((point) => point[side]);
		return { low: Math.min(...values), size: Math.max(...values) - Math.min(...values) };
	};
	const middle = (side: 'x' | 'y') => Math.round(span(side).low + span(side).size / 2);
	/** Where a new socket is drawn: halfway along the first run of the room, else in its middle. */
	const newSocket = $derived.by((): Point => {
		const run = Object.values(home.runs).find(({ roomId }) => roomId === room.id);
		if (!run) return { x: middle('x'), y: middle('y') };
		const { from, to } = run;
		return { x: Math.round((from.x + to.x) / 2), y: Math.round((from.y + to.y) / 2) };
	});
	const cabinetsIn = $derived(
		Object.values(home.runs)
			.filter(({ roomId }) => roomId === room.id)
			.reduce((sum, run) => sum + cabinetsOn(home, run.id).length, 0)
	);
	let kind = $state<Obstacle['kind']>('island');
	let station = $state<StationKind>('hob');
	const edit = (words: string, ...changes: Command[]) => store.runAll(words, changes);
</script>

<div class="grid gap-2">
	<PlanName {item} collection="rooms" value={room.name} />
	<div class="grid grid-cols-2 gap-2">
		<LengthField
			label="Width"
			units={home.units}
			valueMm={span('x').size}
			onchange={(mm) =>
				edit(`width of ${name}`, command('resizeRoom', room.id, mm, span('y').size))}
		/>
		<LengthField
			label="Depth"
			units={home.units}
			valueMm={span('y').size}
			onchange={(mm) =>
				edit(`depth of ${name}`, command('resizeRoom', room.id, span('x').size, mm))}
		/>
		<LengthField
			label="Ceiling height"
			units={home.units}
			valueMm={room.ceilingMm}
			onchange={(ceilingMm) =>
				edit(`ceiling of ${name}`, command('changeRoom', room.id, { ceilingMm }))}
		/>
	</div>
	<fieldset>
		<legend class="text-sm font-semibold">Climate</legend>
		<ClimateField
			value={room.climate}
			onchange={(climate) =>
				edit(`climate of ${name}`, command('changeRoom', room.id, { climate }))}
		/>
	</fieldset>
	<div class="flex items-end gap-2">
		<label class="flex-1 text-sm font-semibold"
			>Something to walk round<select class="select font-normal" bind:value={kind}
				>{#each OBSTACLE_KINDS as option (option)}<option>{option}</option>{/each}</select
			></label
		>
		<button
			class="btn"
			onclick={() => {
				const id = newId();
				edit(`${kind} in ${name}`, command('addObstacle', room.id, USUAL_OBSTACLES[kind], id));
				drag.choose({ kind: 'obstacle', id: room.id, part: id });
			}}><Plus size={18} />Put it in</button
		>
	</div>
	<div class="flex items-end gap-2">
		<label class="flex-1 text-sm font-semibold"
			>Where one works<select class="select font-normal" bind:value={station}
				>{#each STATION_KINDS as option (option)}<option>{option}</option>{/each}</select
			></label
		>
		<button
			class="btn"
			onclick={() =>
				edit(
					`${station} in ${name}`,
					command('placeStation', room.id, station, freeSpot(home, room.id), newId())
				)}><Plus size={18} />Put it in</button
		>
	</div>
	<button
		class="btn justify-self-start"
		onclick={() => {
			const id = newId();
			edit(`socket in ${name}`, command('addSocket', room.id, newSocket, id));
			drag.choose({ kind: 'socket', id: room.id, part: id });
		}}><Plus size={18} />Socket</button
	>
	<p class="soft text-sm">
		Drag a wall, a corner or the room itself; arrow keys move by 1 cm, with Shift by 10 cm.
	</p>
	{#if cabinetsIn === 0}<PlanAway
			{drag}
			words="Remove the room"
			change={command('removeRoom', room.id)}
		/>{:else}<p class="soft text-sm">
			It can be removed once none of its {cabinetsIn} cabinets stand in it.
		</p>{/if}
</div>
