<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { page } from '$app/state';
	import { applyEdit, formatVolume, type Home } from '$lib/core/model';
	import {
		baseAboveFloorMm,
		CABINET_FORMS_LIST,
		checkSurvey,
		findHidden,
		moveCabinet,
		placeOfNook,
		runAxes,
		snapCabinet,
		tapeList,
		usableSpace
	} from '$lib/core/survey';
	import { surveyIssueText } from '$lib/messages/survey';
	import { goto } from '$app/navigation';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import NookSheet from '$lib/ui/panels/NookSheet.svelte';
	import CabinetSheet from '$lib/ui/walk/CabinetSheet.svelte';
	import NookShape from '$lib/ui/walk/NookShape.svelte';
	import RoomForm from '$lib/ui/walk/RoomForm.svelte';
	import SpaceTable from '$lib/ui/walk/SpaceTable.svelte';
	import WalkHead from '$lib/ui/walk/WalkHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const cabinetsOn = (id: string) =>
		Object.values(home.cabinets).filter((cabinet) => cabinet.runId === id).length;
	// The fullest wall first: that is where one begins.
	const runs = $derived(
		Object.values(home.runs).sort((a, b) => cabinetsOn(b.id) - cabinetsOn(a.id))
	);
	const asked = (name: string) => page.url.searchParams.get(name);
	let cabinetId = $derived<string | null>(asked('cabinet'));
	let nookId = $derived<string | null>(asked('nook'));
	let chosenRun = $derived<string | null>(asked('run'));
	const nook = $derived(nookId ? home.nooks[nookId] : undefined);
	const cabinet = $derived(cabinetId && !nook ? home.cabinets[cabinetId] : undefined);
	const runOfChosen = $derived(
		home.cabinets[nook?.cabinetId ?? cabinet?.id ?? '']?.runId as string | undefined
	);
	const run = $derived(home.runs[runOfChosen ?? chosenRun ?? ''] ?? runs[0]);
	let personId = $state('');
	let showHidden = $state(false);
	let form = $state('base');
	const doubts = $derived(checkSurvey(home).filter((issue) => issue.code !== 'size-missing'));
	const flagged = $derived(
		new Set([
			...tapeList(home).map(({ place }) => place.nook.id as string),
			...doubts.map((issue) => issue.nookId)
		])
	);
	const tape = $derived(tapeList(home).length);
	/** While a cabinet is dragged: the home with it where it would come to rest. */
	let preview = $state.raw<Home | null>(null);
	let restMm = 0;
	function drag(id: string, byMm: number) {
		const from = home.cabinets[id];
		if (!from) return;
		restMm = snapCabinet(home, id, from.offsetMm + byMm).mm;
		preview = applyEdit(home, moveCabinet(id, restMm)).home;
	}
	function drop(id: string) {
		const moved = preview && home.cabinets[id];
		preview = null;
		if (moved) store.run(`move ${moved.name}`, 'moveCabinet', id, restMm);
	}
	function addOne() {
		const shape = CABINET_FORMS_LIST.find((entry) => entry.form === form);
		if (!run || !shape) return;
		const before = new Set(Object.keys(home.cabinets));
		store.run(`add ${shape.name}`, 'addCabinet', run.id, shape, newId());
		nookId = null;
		cabinetId = Object.keys(store.home.cabinets).find((id) => !before.has(id)) ?? null;
	}
	function caption(id: string): string {
		const place = placeOfNook(home, id);
		const space = place && usableSpace(place.nook, baseAboveFloorMm(place), home.settings);
		return space?.ok ? formatVolume(space.usableMl) : 'measure';
	}
	function show(id: string) {
		cabinetId = null;
		nookId = id;
	}
	function close() {
		chosenRun = run?.id ?? null;
		nookId = cabinetId = null;
	}
</script>

<Bench
	raised={!!nook || !!cabinet}
	chosen={nookId ?? cabinetId}
	onclose={close}
	panel={nook ? nookSheet : cabinet ? cabinetSheet : lists}
	panelLabel={nook ? 'Nook sheet' : cabinet ? 'Cabinet' : 'To measure and to check'}
>
	<WalkHead>
		{#if Object.keys(home.people).length}
			<label class="flex items-center gap-2 whitespace-nowrap"
				>Reach of
				<select class="select" bind:value={personId}>
					<option value="">nobody</option>
					{#each Object.values(home.people) as person (person.id)}<option value={person.id}
							>{person.name}</option
						>{/each}
				</select>
			</label>
		{/if}
	</WalkHead>
	{#if run}
		<div class="mb-1 flex flex-wrap items-center gap-2">
			<label class="flex items-center gap-2"
				><span class="soft">Wall</span>
				<select
					class="select"
					value={run.id}
					onchange={(event) => {
						const id = event.currentTarget.value;
						close();
						chosenRun = id;
					}}
				>
					{#each runs as option (option.id)}<option value={option.id}>{option.name}</option>{/each}
				</select>
			</label>
			<span class="soft measure">{(runAxes(run).lengthMm / 1000).toFixed(2)} m</span>
			<label class="flex min-h-11 items-center gap-2"
				><input type="checkbox" class="checkbox" bind:checked={showHidden} />Hidden storage</label
			>
			<span class="ml-auto flex gap-2">
				<label
					><span class="sr-only">Form of cabinet</span>
					<select class="select" bind:value={form}
						>{#each CABINET_FORMS_LIST as entry (entry.form)}<option value={entry.form}
								>{entry.name}</option
							>{/each}</select
					>
				</label>
				<button class="btn" onclick={addOne}><Plus size={18} />Add cabinet</button>
			</span>
		</div>
		<FrontView
			home={preview ?? home}
			{run}
			selected={nookId}
			{flagged}
			{caption}
			person={home.people[personId] ?? null}
			hidden={showHidden ? findHidden(home).filter((place) => place.allowed) : []}
			onhidden={() => goto(`/home/${home.id}/walk/hidden`)}
			onselect={(id) => (nookId === id ? close() : show(id))}
			tabs={{
				selected: cabinet?.id ?? null,
				onselect: (id) => {
					nookId = null;
					cabinetId = cabinetId === id ? null : id;
				},
				ondrag: drag,
				ondrop: drop
			}}
		/>
		{#if !cabinetsOn(run.id)}
			<p class="my-4">
				This wall is empty. Choose the nearest form above, add it, then correct its numbers.
			</p>
		{/if}
		<details class="rule-top mt-4 pt-2">
			<summary class="min-h-11 cursor-pointer font-semibold">Add a room</summary>
			<RoomForm onmade={({ back }) => (chosenRun = back)} />
		</details>
	{:else}
		<EmptyNote title="No rooms yet">
			<p>
				Start with the room that holds the most: its inside width (along the wall you face) and its
				depth. Then add cabinets along its walls and correct their sizes.
			</p>
			<RoomForm onmade={({ back }) => (chosenRun = back)} />
			<p class="soft">Or look round the <a class="underline" href="/demo">demo home</a> first.</p>
		</EmptyNote>
	{/if}
</Bench>

{#snippet nookSheet()}
	{#if nook}
		<button
			class="btn mb-3"
			onclick={() => {
				cabinetId = nook.cabinetId;
				nookId = null;
			}}>Its cabinet</button
		>
	{/if}
	{#if nookId}
		{#key nookId}
			<NookSheet {nookId} />
			<NookShape {nookId} onremoved={close} />
		{/key}
	{/if}
{/snippet}
{#snippet cabinetSheet()}
	{#if cabinetId}
		{#key cabinetId}<CabinetSheet {cabinetId} onnook={show} onremoved={close} />{/key}
	{/if}
{/snippet}
{#snippet lists()}
	<h2 class="mb-1">To check</h2>
	<ul class="mb-5">
		{#if tape}
			<li class="rule-top">
				<a class="flex min-h-11 items-center underline" href="/home/{home.id}/walk/tape"
					>{tape}
					{tape === 1 ? 'place is' : 'places are'} still to be measured: go to the tape list</a
				>
			</li>
		{/if}
		{#each doubts as issue, i (i)}
			<li class="rule-top">
				<button
					class="min-h-11 w-full cursor-pointer py-2 text-left hover:underline"
					onclick={() => show(issue.nookId)}
					><b>{home.nooks[issue.nookId]?.name}</b>: {surveyIssueText(issue, home.units)}</button
				>
			</li>
		{:else}
			{#if !tape}<li class="rule-top py-2">Nothing looks wrong.</li>{/if}
		{/each}
	</ul>
	<h2 class="mb-1">Usable space</h2>
	<SpaceTable />
	<p class="soft mt-5">
		Choose a place on the drawing to see and change its size, or a cabinet by its tab.
	</p>
{/snippet}
