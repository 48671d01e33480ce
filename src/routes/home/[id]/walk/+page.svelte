<script lang="ts">
	import { fixedText } from '$lib/messages/numbers';
	import Plus from '@lucide/svelte/icons/plus';
	import { untrack } from 'svelte';
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { CABINET_FORMS_LIST, findHidden, runAxes } from '$lib/core/survey';
	import { getHomeStore } from '$lib/state/context';
	import { newId } from '$lib/state/ids';
	import { WalkDesk } from '$lib/state/walk-desk.svelte';
	import FrontView from '$lib/ui/drawing/FrontView.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import NookSheet from '$lib/ui/panels/NookSheet.svelte';
	import CabinetSheet from '$lib/ui/walk/CabinetSheet.svelte';
	import NookShape from '$lib/ui/walk/NookShape.svelte';
	import RoomForm from '$lib/ui/walk/RoomForm.svelte';
	import ToCheck from '$lib/ui/walk/ToCheck.svelte';
	import WalkHead from '$lib/ui/walk/WalkHead.svelte';

	const desk = new WalkDesk({ store: getHomeStore(), newId });
	$effect.pre(() => {
		const asked = (name: string) => page.url.searchParams.get(name);
		const first = { nookId: asked('nook'), cabinetId: asked('cabinet'), runId: asked('run') };
		untrack(() => desk.open(first));
	});
	const home = $derived(desk.home);
	let personId = $state('');
	let showHidden = $state(false);
	let form = $state('base');
</script>

<Bench
	raised={!!desk.nook || !!desk.cabinet}
	chosen={desk.nook?.id ?? desk.cabinet?.id ?? null}
	onclose={() => desk.close()}
	panel={desk.nook ? nookSheet : desk.cabinet ? cabinetSheet : lists}
	panelLabel={desk.nook ? 'Nook sheet' : desk.cabinet ? 'Cabinet' : 'To measure and to check'}
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
	{#if desk.run}
		{@const run = desk.run}
		<div class="mb-1 flex flex-wrap items-center gap-2">
			<label class="flex items-center gap-2"
				><span class="soft">Wall</span>
				<select
					class="select"
					value={run.id}
					onchange={(event) => desk.showWall(event.currentTarget.value)}
				>
					{#each desk.runs as option (option.id)}<option value={option.id}>{option.name}</option
						>{/each}
				</select>
			</label>
			<span class="soft measure">{fixedText(runAxes(run).lengthMm / 1000, 2)} m</span>
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
				<button class="btn" onclick={() => desk.add(form)}><Plus size={18} />Add cabinet</button>
			</span>
		</div>
		<FrontView
			home={desk.drawn}
			{run}
			selected={desk.nook?.id ?? null}
			flagged={desk.flagged}
			caption={(id) => desk.captionOf(id)}
			person={home.people[personId] ?? null}
			hidden={showHidden ? findHidden(home).filter((place) => place.allowed) : []}
			onhidden={() => goto(`/home/${home.id}/walk/hidden`)}
			onselect={(id) => desk.choose(id)}
			tabs={{
				selected: desk.cabinet?.id ?? null,
				onselect: (id) => desk.chooseCabinet(id),
				ondrag: (id, byMm) => desk.drag(id, byMm),
				ondrop: (id) => desk.drop(id)
			}}
		/>
		{#if desk.isBare}
			<p class="my-4">
				This wall is empty. Choose the nearest form above, add it, then correct its numbers.
			</p>
		{/if}
		<details class="rule-top mt-4 pt-2">
			<summary class="min-h-11 cursor-pointer font-semibold">Add a room</summary>
			<RoomForm onmade={({ back }) => desk.showWall(back)} />
		</details>
	{:else}
		<EmptyNote title="No rooms yet">
			<p>
				Start with the room that holds the most: its inside width (along the wall you face) and its
				depth. Then add cabinets along its walls and correct their sizes.
			</p>
			<RoomForm onmade={({ back }) => desk.showWall(back)} />
			<p class="soft">Or look round the <a class="underline" href="/demo">demo home</a> first.</p>
		</EmptyNote>
	{/if}
</Bench>

{#snippet nookSheet()}
	{#if desk.nook}
		{@const { id, cabinetId } = desk.nook}
		<button class="btn mb-3" onclick={() => desk.chooseCabinet(cabinetId)}>Its cabinet</button>
		{#key id}
			<NookSheet nookId={id} />
			<NookShape nookId={id} onremoved={() => desk.close()} />
		{/key}
	{/if}
{/snippet}
{#snippet cabinetSheet()}
	{#if desk.cabinet}
		{@const cabinetId = desk.cabinet.id}
		{#key cabinetId}<CabinetSheet
				{cabinetId}
				onnook={(id) => desk.choose(id)}
				onremoved={() => desk.close()}
			/>{/key}
	{/if}
{/snippet}
{#snippet lists()}<ToCheck {desk} />{/snippet}
