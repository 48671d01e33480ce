<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import Trash2 from '@lucide/svelte/icons/trash-2';
	import { formatVolume, parseLength, STATION_KINDS, type StationKind } from '$lib/core/model';
	import {
		addCabinet,
		addRoom,
		baseAboveFloorMm,
		CABINET_FORMS_LIST,
		checkSurvey,
		placeOfNook,
		placeStation,
		removeCabinet,
		runAxes,
		standingPoint,
		tapeList,
		usableSpace
	} from '$lib/core/survey';
	import { lengthIssueText, surveyIssueText } from '$lib/messages/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import PlanView from '$lib/ui/drawing/PlanView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import StageHead from '$lib/ui/frame/StageHead.svelte';
	import LengthField from '$lib/ui/forms/LengthField.svelte';
	import HouseholdPanel from '$lib/ui/panels/HouseholdPanel.svelte';
	import NookSheet from '$lib/ui/panels/NookSheet.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const cabinetsOn = (id: string) =>
		Object.values(home.cabinets).filter((cabinet) => cabinet.runId === id).length;
	// The fullest wall first: that is where one begins.
	const runs = $derived(
		Object.values(home.runs).sort((a, b) => cabinetsOn(b.id) - cabinetsOn(a.id))
	);
	let chosenRun = $state<string | null>(null);
	const run = $derived((chosenRun && home.runs[chosenRun]) || runs[0]);
	let nookId = $state<string | null>(null);
	let personId = $state('');
	let form = $state('base');
	const cabinet = $derived(
		nookId && home.nooks[nookId] ? home.cabinets[home.nooks[nookId]!.cabinetId] : null
	);
	const tape = $derived(tapeList(home));
	const doubts = $derived(checkSurvey(home).filter((issue) => issue.code !== 'size-missing'));
	const flagged = $derived(
		new Set([
			...tape.map(({ place }) => place.nook.id as string),
			...doubts.map((issue) => issue.nookId)
		])
	);

	let room = $state({ name: 'Kitchen', width: '3600', depth: '2400' });
	let roomWrong = $state('');
	function makeRoom(event: SubmitEvent) {
		event.preventDefault();
		const width = parseLength(room.width, home.units);
		const depth = parseLength(room.depth, home.units);
		const bad = !width.ok ? width : !depth.ok ? depth : null;
		if (bad && !bad.ok) return void (roomWrong = lengthIssueText(bad.issue));
		if (!width.ok || !depth.ok) return;
		if (Math.min(width.mm, depth.mm) < 600)
			return void (roomWrong = `A room of ${room.width} × ${room.depth} is smaller than a cabinet. Check the unit.`);
		roomWrong = '';
		const ids = { room: newId(), back: newId(), front: newId() };
		store.edit(
			`room ${room.name}`,
			addRoom({ name: room.name.trim() || 'Room', widthMm: width.mm, depthMm: depth.mm, ids })
		);
		chosenRun = ids.back;
	}
	function addOne() {
		const shape = CABINET_FORMS_LIST.find((entry) => entry.form === form);
		if (run && shape) store.edit(`add ${shape.name}`, addCabinet(run.id, shape, newId));
	}
	function caption(id: string): string {
		const place = placeOfNook(home, id);
		const space = place && usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
		return space?.ok ? formatVolume(space.usableMl) : 'measure';
	}
	let station = $state<StationKind>('hob');
	function putStation() {
		const place = nookId ? placeOfNook(home, nookId) : null;
		if (place)
			store.edit(
				`${station} before ${place.cabinet.name}`,
				placeStation(place.room.id, station, standingPoint(place), newId)
			);
	}
	function show(id: string) {
		const place = placeOfNook(home, id);
		if (!place) return;
		chosenRun = place.run.id;
		nookId = id;
	}
</script>

{#snippet roomForm()}
	<form onsubmit={makeRoom} class="flex flex-wrap items-end gap-2">
		<label class="flex flex-col"
			>Room<input class="box" bind:value={room.name} maxlength="200" required /></label
		>
		<label class="flex w-32 flex-col"
			>Width<input class="box measure" bind:value={room.width} /></label
		>
		<label class="flex w-32 flex-col"
			>Depth<input class="box measure" bind:value={room.depth} /></label
		>
		<button class="tool tool-now"><Plus size={18} />Add the room</button>
		{#if roomWrong}<p role="alert" class="w-full" style="color:var(--color-error)">
				{roomWrong}
			</p>{/if}
	</form>
{/snippet}

<Bench
	raised={!!nookId}
	panel={nookId ? sheet : lists}
	panelLabel={nookId ? 'Nook sheet' : 'To measure and to check'}
>
	<StageHead stage="walk">
		{#if Object.keys(home.people).length}
			<label class="flex items-center gap-2 whitespace-nowrap"
				>Reach of
				<select class="box" bind:value={personId}>
					<option value="">nobody</option>
					{#each Object.values(home.people) as person (person.id)}<option value={person.id}
							>{person.name}</option
						>{/each}
				</select>
			</label>
		{/if}
	</StageHead>
	{#if run}
		<div class="mb-1 flex flex-wrap items-center gap-2">
			<label class="flex items-center gap-2"
				><span class="soft">Wall</span>
				<select
					class="box"
					value={run.id}
					onchange={(event) => {
						chosenRun = event.currentTarget.value;
						nookId = null;
					}}
				>
					{#each runs as option (option.id)}<option value={option.id}>{option.name}</option>{/each}
				</select>
			</label>
			<span class="soft measure">{(runAxes(run).lengthMm / 1000).toFixed(2)} m</span>
			<span class="ml-auto flex gap-2">
				<label
					><span class="sr-only">Form of cabinet</span>
					<select class="box" bind:value={form}
						>{#each CABINET_FORMS_LIST as entry (entry.form)}<option value={entry.form}
								>{entry.name}</option
							>{/each}</select
					>
				</label>
				<button class="tool" onclick={addOne}><Plus size={18} />Add cabinet</button>
			</span>
		</div>
		<FrontView
			{home}
			{run}
			selected={nookId}
			{flagged}
			{caption}
			person={home.people[personId] ?? null}
			onselect={(id) => (nookId = nookId === id ? null : id)}
		/>
		<details class="rule-top mt-4 pt-2" open>
			<summary class="min-h-11 cursor-pointer font-semibold">Plan of the rooms</summary>
			<PlanView
				{home}
				selectedRun={run.id}
				onrun={(id) => {
					chosenRun = id;
					nookId = null;
				}}
				maxPx={380}
			/>
			<div class="mt-4">{@render roomForm()}</div>
		</details>
	{:else}
		<EmptyNote title="No rooms yet">
			<p>
				Begin with the room that holds most: its inside width (along the wall you face) and its
				depth. Then add cabinets along its walls and correct their sizes.
			</p>
			{@render roomForm()}
			<p class="soft">Or look round the <a class="underline" href="/demo">demo home</a> first.</p>
		</EmptyNote>
	{/if}
</Bench>

{#snippet sheet()}
	<button class="tool mb-3" onclick={() => (nookId = null)}>Close the sheet</button>
	{#if nookId}
		{#key nookId}<NookSheet {nookId} />{/key}
	{/if}
	{#if cabinet}
		<section class="rule-top py-3" aria-label="Cabinet">
			<h3 class="mb-2">Cabinet: {cabinet.name}</h3>
			<div class="grid grid-cols-2 gap-2">
				{#each [['widthMm', 'Outer width'], ['heightMm', 'Outer height'], ['depthMm', 'Outer depth'], ['baseMm', 'Above the floor'], ['offsetMm', 'From the left end']] as const as [side, label] (side)}
					<LengthField
						{label}
						units={home.units}
						valueMm={cabinet[side]}
						onchange={(mm) =>
							store.edit(`${label.toLowerCase()} of ${cabinet.name}`, (draft) => {
								const target = draft.cabinets[cabinet.id];
								if (target) target[side] = mm;
							})}
					/>
				{/each}
			</div>
			<label class="mt-3 flex min-h-11 items-center gap-2"
				><input
					type="checkbox"
					class="size-5"
					checked={cabinet.lockable}
					onchange={(event) => {
						const lockable = event.currentTarget.checked;
						store.edit(`lock of ${cabinet.name}`, (draft) => {
							const target = draft.cabinets[cabinet.id];
							if (target) target.lockable = lockable;
						});
					}}
				/>Has a lock or child catch</label
			>
			<div class="mb-2 flex items-end gap-2">
				<label class="flex-1"
					>Where one works before it
					<select class="box" bind:value={station}
						>{#each STATION_KINDS as kind (kind)}<option>{kind}</option>{/each}</select
					></label
				>
				<button class="tool" onclick={putStation}>Put it here</button>
			</div>
			<button
				class="tool tool-quiet"
				onclick={() => {
					nookId = null;
					store.edit(`remove ${cabinet.name}`, removeCabinet(cabinet.id));
				}}><Trash2 size={18} />Remove the cabinet</button
			>
		</section>
	{/if}
{/snippet}
{#snippet lists()}
	<h2 class="mb-1">Tape list</h2>
	<p class="soft mb-2">
		What is still to be measured, in walking order. Measure inside, at three places, and keep the
		smallest.
	</p>
	<ul class="mb-5">
		{#each tape as { place, missing } (place.nook.id)}
			<li class="rule-top">
				<button
					class="min-h-11 w-full cursor-pointer py-2 text-left hover:underline"
					onclick={() => show(place.nook.id)}><b>{place.nook.name}</b>: {missing.join(', ')}</button
				>
			</li>
		{:else}
			<li class="rule-top py-2">
				{Object.keys(home.nooks).length ? 'Everything is measured.' : 'No places yet.'}
			</li>
		{/each}
	</ul>
	<h2 class="mb-1">To check</h2>
	<ul>
		{#each doubts as issue, i (i)}
			<li class="rule-top">
				<button
					class="min-h-11 w-full cursor-pointer py-2 text-left hover:underline"
					onclick={() => show(issue.nookId)}
					><b>{home.nooks[issue.nookId]?.name}</b>: {surveyIssueText(issue, home.units)}</button
				>
			</li>
		{:else}
			<li class="rule-top py-2">Nothing looks wrong.</li>
		{/each}
	</ul>
	<p class="soft mt-5">Choose a place on the drawing to read and change its inside.</p>
	<HouseholdPanel />
{/snippet}
