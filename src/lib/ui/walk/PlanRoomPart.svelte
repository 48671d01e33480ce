<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { command, type ArgsOf, type Command } from '$lib/core/commands';
	import type { Room } from '$lib/core/model';
	import { partOf, wallOf, type PlanItem } from '$lib/core/survey';
	import { planItemText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import type { PlanDrag } from '$lib/state/plan-drag.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';
	import PlanAway from './PlanAway.svelte';
	import PlanSpot from './PlanSpot.svelte';

	interface Props {
		item: PlanItem;
		room: Room;
		/** The part of the room that is chosen. */
		part: string;
		drag: PlanDrag;
	}
	let { item, room, part, drag }: Props = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const name = $derived(planItemText(home, item));
	const span = (side: 'x' | 'y') => {
		const values = room.outline.map((point) => point[side]);
		return { low: Math.min(...values), size: Math.max(...values) - Math.min(...values) };
	};
	const edit = (words: string, ...changes: Command[]) => store.runAll(words, changes);
</script>

{#if item.kind === 'wall'}
	{@const ends = wallOf(room.outline, part)}
	<div class="grid gap-2">
		{#if ends}<LengthField
				label="Length"
				units={home.units}
				valueMm={Math.round(Math.hypot(ends[1].x - ends[0].x, ends[1].y - ends[0].y))}
				onchange={(mm) => edit(`length of ${name}`, command('setWallLength', room.id, part, mm))}
			/>{/if}
		<button
			class="btn"
			onclick={() => edit(`doorway in ${room.name}`, command('addDoor', room.id, part, newId()))}
			><Plus size={18} />Doorway here</button
		>
		<button
			class="btn"
			onclick={() => {
				const id = newId();
				edit(
					`run in ${room.name}`,
					command(
						'addRun',
						room.id,
						id,
						`${room.name}, ${name.split(' of ')[0]!.toLowerCase()}`,
						part
					)
				);
				drag.choose({ kind: 'run', id });
			}}><Plus size={18} />Run of cabinets along it</button
		>
		<button
			class="btn"
			onclick={() => edit(`corner in ${room.name}`, command('addCorner', room.id, part, newId()))}
			><Plus size={18} />Corner in its middle</button
		>
	</div>
{:else if item.kind === 'corner'}
	<p class="soft mb-2">Drag it; it snaps to line up with the other corners.</p>
	{#if room.outline.length > 3}<PlanAway
			{drag}
			words="Remove the corner"
			change={command('removeCorner', room.id, part)}
		/>{/if}
{:else if item.kind === 'door'}
	{@const door = partOf(room.doors, part)}
	{#if door}
		<LengthField
			label="Clear width"
			units={home.units}
			valueMm={Math.round(Math.hypot(door.b.x - door.a.x, door.b.y - door.a.y))}
			onchange={(mm) => edit(`width of ${name}`, command('setDoorWidth', room.id, part, mm))}
		/>
		<p class="soft mt-2 text-sm">
			A doorway lets people walk through to the room behind it. Drag it along its wall.
		</p>
		<PlanAway {drag} words="Close the doorway" change={command('removeDoor', room.id, part)} />
	{/if}
{:else if item.kind === 'obstacle'}
	{@const obstacle = partOf(room.obstacles, part)}
	{#if obstacle}
		{@const set = (words: string, change: ArgsOf<'changeObstacle'>[2]) =>
			edit(`${words} of ${name}`, command('changeObstacle', room.id, part, change))}
		<label class="mb-2 block text-sm font-semibold"
			>Name<input
				class="input font-normal"
				maxlength="200"
				value={obstacle.name}
				onchange={(event) => set('name', { name: event.currentTarget.value.trim() })}
			/></label
		>
		<div class="grid grid-cols-2 gap-2">
			<LengthField
				label="Width"
				units={home.units}
				valueMm={obstacle.widthMm}
				onchange={(widthMm) => set('width', { widthMm })}
			/>
			<LengthField
				label="Depth"
				units={home.units}
				valueMm={obstacle.depthMm}
				onchange={(depthMm) => set('depth', { depthMm })}
			/>
			<LengthField
				label="From the left wall"
				units={home.units}
				valueMm={Math.max(0, obstacle.x - span('x').low)}
				onchange={(mm) => set('place', { x: span('x').low + mm })}
			/>
			<LengthField
				label="From the far wall"
				units={home.units}
				valueMm={Math.max(0, obstacle.y - span('y').low)}
				onchange={(mm) => set('place', { y: span('y').low + mm })}
			/>
			<LengthField
				label="Free beneath it"
				units={home.units}
				valueMm={obstacle.clearBelowMm}
				onchange={(clearBelowMm) => set('space beneath', { clearBelowMm })}
			/>
		</div>
		<PlanAway {drag} words="Take it out" change={command('removeObstacle', room.id, part)} />
	{/if}
{:else if item.kind === 'socket'}
	{@const at = partOf(room.sockets, part)}
	{#if at}
		<PlanSpot {item} roomId={room.id} {at} to={(to) => command('moveSocket', room.id, part, to)} />
		<p class="soft mt-2 text-sm">
			Appliances are placed within a cord’s length of it. Keep cords away from water and the hob; a
			new socket is work for a licensed electrician.
		</p>
		<PlanAway {drag} words="Remove the socket" change={command('removeSocket', room.id, part)} />
	{/if}
{/if}
