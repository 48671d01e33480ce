<script lang="ts">
	import { fixedText } from '$lib/messages/numbers';
	import { command, type Command } from '$lib/core/commands';
	import { cabinetsOn, runAxes, type PlanItem } from '$lib/core/survey';
	import { planItemText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import type { PlanDrag } from '$lib/state/plan-drag.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';
	import PlanAway from './PlanAway.svelte';
	import PlanName from './PlanName.svelte';
	import PlanRoom from './PlanRoom.svelte';
	import PlanRoomPart from './PlanRoomPart.svelte';
	import PlanSpot from './PlanSpot.svelte';

	let { item, drag }: { item: PlanItem; drag: PlanDrag } = $props();
	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const name = $derived(planItemText(home, item));
	const room = $derived('part' in item || item.kind === 'room' ? home.rooms[item.id] : undefined);
	const edit = (words: string, ...changes: Command[]) => store.runAll(words, changes);
</script>

<h2 class="mb-2">{name}</h2>
{#if item.kind === 'room' && room}
	<PlanRoom {item} {room} {drag} />
{:else if 'part' in item && room}
	<PlanRoomPart {item} {room} part={item.part} {drag} />
{:else if item.kind === 'station'}
	{@const each = home.stations[item.id]}
	{#if each}
		<div class="grid gap-2">
			<PlanName {item} collection="stations" value={each.name} />
			<PlanSpot
				{item}
				roomId={each.roomId}
				at={each.at}
				to={(at) => command('moveStation', each.id, at)}
			/>
			<p class="soft text-sm">{each.kind}: where one stands to work.</p>
			<PlanAway {drag} words="Remove the station" change={command('removeStation', each.id)} />
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
		<PlanAway {drag} words="Remove the cabinet" change={command('removeCabinet', cabinet.id)} />
	{/if}
{:else if item.kind === 'run' || item.kind === 'run-end'}
	{@const run = home.runs[item.id]}
	{#if run}
		{@const count = cabinetsOn(home, run.id).length}
		<div class="grid gap-2">
			<PlanName {item} collection="runs" value={run.name} />
			<p class="soft">
				{count}
				{count === 1 ? 'cabinet' : 'cabinets'} on
				<span class="measure">{fixedText(runAxes(run).lengthMm / 1000, 2)} m</span>. Drag its ends
				to where the wall begins and ends.
			</p>
			<a class="btn" href="/home/{home.id}/walk?run={run.id}">See its front</a>
			{#if count === 0}<PlanAway
					{drag}
					words="Remove the run"
					change={command('removeRun', run.id)}
				/>{/if}
		</div>
	{/if}
{/if}
