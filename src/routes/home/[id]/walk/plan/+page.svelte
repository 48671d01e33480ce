<script lang="ts">
	import { page } from '$app/state';
	import { formatLength } from '$lib/core/model';
	import { planItemKey, workTriangle } from '$lib/core/survey';
	import { planItemText, triangleIssueText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { PlanDrag } from '$lib/state/plan-drag.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import PlanBoard from '$lib/ui/walk/PlanBoard.svelte';
	import PlanItemPanel from '$lib/ui/walk/PlanItemPanel.svelte';
	import RoomForm from '$lib/ui/walk/RoomForm.svelte';
	import WalkHead from '$lib/ui/walk/WalkHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const drag = new PlanDrag(() => getStore());
	let roomId = $state<string | null>(page.url.searchParams.get('room'));
	const shown = $derived(roomId && home.rooms[roomId] ? roomId : null);
	/** While something is dragged the walks follow it. */
	/** Where dots lie on each other, one is chosen from the list. */
	const stations = $derived(
		Object.values(home.stations).sort(
			(a, b) =>
				(home.rooms[a.roomId]?.name ?? '').localeCompare(home.rooms[b.roomId]?.name ?? '') ||
				a.name.localeCompare(b.name)
		)
	);
	const triangle = $derived(workTriangle(drag.home));
	const item = $derived(
		drag.item && planItemText(home, drag.item) && exists(drag.item.id) ? drag.item : null
	);
	function exists(id: string): boolean {
		return [home.rooms, home.runs, home.stations, home.cabinets].some((records) => id in records);
	}
	const rooms = $derived(Object.values(home.rooms));
</script>

<Bench
	panel={rooms.length ? panel : undefined}
	panelLabel={item ? 'On the plan' : 'Work triangle'}
	raised={!!item}
	chosen={item ? planItemKey(item) : null}
	onclose={() => drag.choose(null)}
>
	<WalkHead>
		{#if rooms.length > 1}
			<label class="flex items-center gap-2"
				><span class="soft">Show</span>
				<select
					class="select"
					value={shown ?? ''}
					onchange={(event) => (roomId = event.currentTarget.value || null)}
				>
					<option value="">all rooms</option>
					{#each rooms as room (room.id)}<option value={room.id}>{room.name}</option>{/each}
				</select></label
			>
		{/if}
	</WalkHead>
	{#if rooms.length}
		<PlanBoard
			{drag}
			stored={home}
			roomId={shown}
			walks={triangle.ok ? triangle.sides.map((side) => side.points) : []}
		/>
		<details class="rule-top mt-4 pt-2">
			<summary class="min-h-11 cursor-pointer font-semibold">Add a room</summary>
			<RoomForm onmade={({ room }) => drag.choose({ kind: 'room', id: room })} />
		</details>
	{:else}
		<EmptyNote title="No rooms yet">
			<p>
				Start with the room that holds the most: its inside width (along the wall you face) and its
				depth. Its corners, doorways and walls can be dragged afterwards.
			</p>
			<RoomForm onmade={({ room }) => drag.choose({ kind: 'room', id: room })} />
		</EmptyNote>
	{/if}
</Bench>

{#snippet panel()}
	{#if item}
		{#key item}<PlanItemPanel {item} {drag} />{/key}
	{:else}
		<p class="soft mb-4">
			Choose a wall, a room, a cabinet, a doorway, a station or a socket on the plan to move it or
			to give it exact numbers.
		</p>
		{#if stations.length}
			<h2 class="mb-1">Stations</h2>
			<ul class="mb-4" aria-label="Stations, by room">
				{#each stations as station (station.id)}
					<li class="rule-top">
						<button
							class="flex min-h-11 w-full cursor-pointer items-center justify-between gap-2 text-left hover:underline"
							onclick={() => drag.choose({ kind: 'station', id: station.id })}
							><span>{station.name}</span><span class="soft"
								>{home.rooms[station.roomId]?.name}</span
							></button
						>
					</li>
				{/each}
			</ul>
		{/if}
		<h2 class="mb-1">Work triangle</h2>
		{#if triangle.ok}
			<ul class="mb-2">
				{#each triangle.sides as side (side.from.id + side.to.id)}
					<li class="rule-top flex min-h-9 items-center justify-between gap-2">
						<span>{side.from.name} to {side.to.name}</span><span class="measure"
							>{formatLength(side.mm, home.units)}</span
						>
					</li>
				{/each}
				<li class="rule-top flex min-h-9 items-center justify-between gap-2">
					<b>Together</b><b class="measure">{formatLength(triangle.sumMm, home.units)}</b>
				</li>
			</ul>
			<ul aria-label="What is wrong with the triangle">
				{#each triangle.issues as issue, i (i)}
					<li class="rule-top py-2" style="color:var(--color-error)">
						{triangleIssueText(issue, home.units)}
					</li>
				{:else}
					<li class="rule-top py-2">All good: short walks, and nobody cuts through.</li>
				{/each}
			</ul>
			<details class="mt-2">
				<summary class="soft min-h-8 cursor-pointer">How</summary>
				<p class="soft text-sm">
					Each side is measured as you walk it, round cabinets and obstacles. It should be between
					{formatLength(home.settings.triangle.leastSideMm, home.units)} and
					{formatLength(home.settings.triangle.mostSideMm, home.units)}, all three under
					{formatLength(home.settings.triangle.mostSumMm, home.units)}.
				</p>
			</details>
		{:else}
			<p>
				It needs the {triangle.missing.join(' and the ')}: choose the room and put
				{triangle.missing.length === 1 ? 'it' : 'them'} in.
			</p>
		{/if}
	{/if}
{/snippet}
