<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { command, type ArgsOf, type Command } from '$lib/core/commands';
	import {
		OBSTACLE_KINDS,
		STATION_KINDS,
		type Obstacle,
		type Point,
		type StationKind
	} from '$lib/core/model';
	import { partOf, runAxes, USUAL_OBSTACLES, wallOf, type PlanItem } from '$lib/core/survey';
	import { planItemText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import type { PlanDrag } from '$lib/state/plan-drag.svelte';
	import ClimateField from '$lib/ui/forms/ClimateField.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	let { item, drag }: { item: PlanItem; drag: PlanDrag } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const name = $derived(planItemText(home, item));
	const room = $derived('part' in item || item.kind === 'room' ? home.rooms[item.id] : undefined);
	const span = (side: 'x' | 'y') => {
		const values = room?.outline.map((point) => point[side]) ?? [0];
		return { low: Math.min(...values), size: Math.max(...values) - Math.min(...values) };
	};
	const middle = (side: 'x' | 'y') => Math.round(span(side).low + span(side).size / 2);
	/** Where a new socket is drawn: halfway along the first run of the room, else in its middle. */
	const newSocket = $derived.by((): Point => {
		const run = Object.values(home.runs).find(({ roomId }) => roomId === room?.id);
		if (!run) return { x: middle('x'), y: middle('y') };
		const { from, to } = run;
		return { x: Math.round((from.x + to.x) / 2), y: Math.round((from.y + to.y) / 2) };
	});
	const cabinetsIn = $derived(
		room
			? Object.values(home.cabinets).filter(({ runId }) => home.runs[runId]?.roomId === room.id)
					.length
			: 0
	);
	let kind = $state<Obstacle['kind']>('island');
	let station = $state<StationKind>('hob');
	/** The part of the room that is chosen. */
	const part = $derived('part' in item ? item.part : '');
	const edit = (words: string, ...changes: Command[]) => store.runAll(words, changes);
	const gone = (words: string, change: Command) => {
		edit(words, change);
		drag.choose(null);
	};
	const rename = (collection: 'rooms' | 'runs' | 'stations', typed: string) => {
		const words = typed.trim();
		if (words)
			edit(
				`name ${words}`,
				collection === 'rooms'
					? command('changeRoom', item.id, { name: words })
					: command(collection === 'runs' ? 'nameRun' : 'nameStation', item.id, words)
			);
	};
</script>

{#snippet nameField(collection: 'rooms' | 'runs' | 'stations', value: string)}
	<label class="block text-sm font-semibold"
		>Name<input
			class="input font-normal"
			maxlength="200"
			{value}
			onchange={(event) => rename(collection, event.currentTarget.value)}
		/></label
	>
{/snippet}
{#snippet pointFields(roomId: string, at: Point, to: (at: Point) => Command)}
	{@const outline = home.rooms[roomId]?.outline ?? [{ x: 0, y: 0 }]}
	{@const left = Math.min(...outline.map((p) => p.x))}
	{@const far = Math.min(...outline.map((p) => p.y))}
	<div class="grid grid-cols-2 gap-2">
		<LengthField
			label="From the left wall"
			units={home.units}
			valueMm={Math.max(0, at.x - left)}
			onchange={(mm) => edit(`move ${name}`, to({ ...at, x: left + mm }))}
		/>
		<LengthField
			label="From the far wall"
			units={home.units}
			valueMm={Math.max(0, at.y - far)}
			onchange={(mm) => edit(`move ${name}`, to({ ...at, y: far + mm }))}
		/>
	</div>
{/snippet}
{#snippet away(words: string, change: Command)}
	<button class="btn btn-ghost mt-3" onclick={() => gone(words.toLowerCase(), change)}
		><Trash2 size={18} />{words}</button
	>
{/snippet}

<h2 class="mb-2">{name}</h2>
{#if item.kind === 'room' && room}
	<div class="grid gap-2">
		{@render nameField('rooms', room.name)}
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
						command('placeStation', room.id, station, { x: middle('x'), y: middle('y') }, newId())
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
		{#if cabinetsIn === 0}{@render away('Remove the room', command('removeRoom', room.id))}{:else}<p
				class="soft text-sm"
			>
				It can be removed once none of its {cabinetsIn} cabinets stand in it.
			</p>{/if}
	</div>
{:else if item.kind === 'wall' && room}
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
{:else if item.kind === 'corner' && room}
	<p class="soft mb-2">Drag it; it snaps to line up with the other corners.</p>
	{#if room.outline.length > 3}{@render away(
			'Remove the corner',
			command('removeCorner', room.id, part)
		)}{/if}
{:else if item.kind === 'door' && room}
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
		{@render away('Close the doorway', command('removeDoor', room.id, part))}
	{/if}
{:else if item.kind === 'obstacle' && room}
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
		{@render away('Take it out', command('removeObstacle', room.id, part))}
	{/if}
{:else if item.kind === 'socket' && room}
	{@const at = partOf(room.sockets, part)}
	{#if at}
		{@render pointFields(room.id, at, (to) => command('moveSocket', room.id, part, to))}
		<p class="soft mt-2 text-sm">
			Appliances are placed within a cord’s length of it. Keep cords away from water and the hob; a
			new socket is work for a licensed electrician.
		</p>
		{@render away('Remove the socket', command('removeSocket', room.id, part))}
	{/if}
{:else if item.kind === 'station'}
	{@const each = home.stations[item.id]}
	{#if each}
		<div class="grid gap-2">
			{@render nameField('stations', each.name)}
			{@render pointFields(each.roomId, each.at, (at) => command('moveStation', each.id, at))}
			<p class="soft text-sm">{each.kind}: where one stands to work.</p>
			{@render away('Remove the station', command('removeStation', each.id))}
		</div>
	{/if}
{:else if item.kind === 'cabinet'}
	{@const cabinet = home.cabinets[item.id]}
	{#if cabinet}
		<div class="grid grid-cols-2 gap-2">
			{#each [['widthMm', 'Outer width'], ['depthMm', 'Outer depth']] as const as [side, label] (side)}
				<LengthField
					{label}
					units={home.units}
					valueMm={cabinet[side]}
					onchange={(mm) =>
						edit(
							`${label.toLowerCase()} of ${name}`,
							command('changeCabinet', cabinet.id, { [side]: mm })
						)}
				/>
			{/each}
			<LengthField
				label="From the left end"
				units={home.units}
				valueMm={cabinet.offsetMm}
				onchange={(mm) => edit(`move ${name}`, command('moveCabinet', cabinet.id, mm))}
			/>
		</div>
		<a class="btn mt-3" href="/home/{home.id}/walk?cabinet={cabinet.id}">See its front</a>
		{@render away('Remove the cabinet', command('removeCabinet', cabinet.id))}
	{/if}
{:else if item.kind === 'run' || item.kind === 'run-end'}
	{@const run = home.runs[item.id]}
	{#if run}
		{@const count = Object.values(home.cabinets).filter(({ runId }) => runId === run.id).length}
		<div class="grid gap-2">
			{@render nameField('runs', run.name)}
			<p class="soft">
				{count}
				{count === 1 ? 'cabinet' : 'cabinets'} on
				<span class="measure">{(runAxes(run).lengthMm / 1000).toFixed(2)} m</span>. Drag its ends to
				where the wall begins and ends.
			</p>
			<a class="btn" href="/home/{home.id}/walk?run={run.id}">See its front</a>
			{#if count === 0}{@render away('Remove the run', command('removeRun', run.id))}{/if}
		</div>
	{/if}
{/if}
