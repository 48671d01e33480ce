<script lang="ts">
	import type { DueReset } from '$lib/core/upkeep';
	import { placesOf } from '$lib/core/upkeep';
	import {
		dateFormat,
		type GroupId,
		type NookId,
		type PersonId,
		type Reset
	} from '$lib/core/model';
	import { dateText } from '$lib/messages/clearing';
	import { RESET_WORDS } from '$lib/messages/steps';
	import type { KeepDesk } from '$lib/state/keep-desk.svelte';

	let { desk, due }: { desk: KeepDesk; due: DueReset } = $props();
	const reset = $derived(due.reset);
	const places = $derived(new Set<string>(placesOf(desk.home, reset).map(({ id }) => id)));
	const nooks = $derived(
		desk.cabinets.find(({ cabinet }) => cabinet.id === reset.cabinetId)?.nooks ?? []
	);
	const all = $derived(desk.cabinets.flatMap((each) => each.nooks));
	const groups = $derived(
		Object.values(desk.home.groups).sort((a, b) => a.name.localeCompare(b.name, 'en'))
	);
	function swap(change: Partial<NonNullable<Reset['swap']>>) {
		if (reset.swap) desk.change(reset, { swap: { ...reset.swap, ...change } });
	}
	function setGroup(which: 0 | 1, id: string) {
		const groupIds = [...reset.swap!.groupIds] as NonNullable<Reset['swap']>['groupIds'];
		groupIds[which] = (id || null) as GroupId | null;
		swap({ groupIds });
	}
	const MONTH = dateFormat({ month: 'long' });
	const MONTHS = Array.from({ length: 12 }, (_, i) =>
		MONTH().format(new Date(Date.UTC(2026, i, 1)))
	);
	const two = (n: number) => String(n).padStart(2, '0');
	function setFrom(which: 0 | 1, month: number, day: number) {
		if (!(day >= 1 && day <= 31)) return;
		const from = [...reset.swap!.from] as [string, string];
		from[which] = `${two(month)}-${two(Math.round(day))}`;
		swap({ from });
	}
</script>

<div class="space-y-3">
	<h2>{desk.titleOf(reset)}</h2>
	{#if desk.wrong}<p role="alert" class="text-error">{desk.wrong}</p>{/if}
	<p class="soft text-sm">{RESET_WORDS[reset.kind].what}</p>
	<div class="flex flex-wrap gap-2">
		<button class="btn" onclick={() => desk.putOff(reset)}>A week later</button>
		<button class="btn" onclick={() => desk.skip(reset)}>Leave it out this time</button>
		<button class="btn" onclick={() => desk.finish(reset)}>Done already</button>
	</div>
	<label
		>Name <input
			class="input w-full"
			value={reset.name}
			placeholder={RESET_WORDS[reset.kind].name}
			onchange={(event) => desk.change(reset, { name: event.currentTarget.value.trim() })}
		/></label
	>
	{#if !reset.swap}
		<label
			>Every so many days <input
				class="input measure w-full"
				type="number"
				min="1"
				max="3650"
				value={reset.everyDays}
				onchange={(event) => desk.change(reset, { everyDays: Number(event.currentTarget.value) })}
			/></label
		>
	{/if}
	<label
		>Who does it <select
			class="select w-full"
			value={reset.personId ?? ''}
			onchange={(event) =>
				desk.change(reset, { personId: (event.currentTarget.value || null) as PersonId | null })}
			><option value="">whoever sees it</option
			>{#each Object.values(desk.home.people) as person (person.id)}<option value={person.id}
					>{person.name}</option
				>{/each}</select
		></label
	>
	{#if reset.swap}
		{#each [0, 1] as const as which (which)}
			{@const [month = 1, day = 1] = reset.swap.from[which].split('-').map(Number)}
			<div class="rule-top pt-2">
				<label
					>{which === 0 ? 'In the first season' : 'In the other season'}
					<select
						class="select w-full"
						value={reset.swap.groupIds[which] ?? ''}
						onchange={(event) => setGroup(which, event.currentTarget.value)}
						><option value="">nothing yet</option>{#each groups as { id, name } (id)}<option
								value={id}>{name}</option
							>{/each}</select
					></label
				>
				<span class="mt-1 grid grid-cols-[1fr_5rem] gap-2">
					<label
						>from <select
							class="select w-full"
							value={month}
							onchange={(event) => setFrom(which, Number(event.currentTarget.value), day)}
							>{#each MONTHS as name, i (name)}<option value={i + 1}>{name}</option>{/each}</select
						></label
					>
					<label
						>day <input
							class="input measure w-full"
							type="number"
							min="1"
							max="31"
							value={day}
							onchange={(event) => setFrom(which, month, Number(event.currentTarget.value))}
						/></label
					>
				</span>
			</div>
		{/each}
		<label
			>In reach in <select
				class="select w-full"
				value={reset.nookIds[0] ?? ''}
				onchange={(event) =>
					desk.change(reset, {
						nookIds: event.currentTarget.value ? [event.currentTarget.value as NookId] : []
					})}
				><option value="">no place yet</option>{#each all as { id, name } (id)}<option value={id}
						>{name}</option
					>{/each}</select
			></label
		>
		<label
			>Out of season in <select
				class="select w-full"
				value={reset.swap.awayNookId ?? ''}
				onchange={(event) =>
					swap({ awayNookId: (event.currentTarget.value || null) as NookId | null })}
				><option value="">no place yet</option>{#each all as { id, name } (id)}<option value={id}
						>{name}</option
					>{/each}</select
			></label
		>
	{:else}
		<label
			>Where <select
				class="select w-full"
				value={reset.cabinetId ?? ''}
				onchange={(event) => desk.setCabinet(reset, event.currentTarget.value || null)}
				><option value="">no cabinet</option
				>{#each desk.cabinets as { cabinet, room } (cabinet.id)}<option value={cabinet.id}
						>{cabinet.name}, {room.name}</option
					>{/each}</select
			></label
		>
		{#if nooks.length > 1}
			<fieldset>
				<legend class="soft text-sm">Which places of it</legend>
				{#each nooks as nook (nook.id)}
					<label class="flex min-h-9 items-center gap-1.5"
						><input
							class="checkbox"
							type="checkbox"
							checked={places.has(nook.id)}
							onchange={(event) => desk.setPlace(reset, nook.id, event.currentTarget.checked)}
						/>{nook.name}</label
					>
				{/each}
			</fieldset>
		{/if}
	{/if}
	{#if reset.log.length}
		<div>
			<h3>Last times</h3>
			<ul class="text-sm">
				{#each reset.log.slice(-5).reverse() as entry, i (i)}
					<li>
						{dateText(entry.on)}: {entry.skipped
							? 'left out'
							: [
									entry.foundShare === null
										? 'done'
										: `${Math.round(entry.foundShare * 100)} % had to go`,
									entry.minutes === null ? '' : `${entry.minutes} min`
								]
									.filter(Boolean)
									.join(', ')}
					</li>
				{/each}
			</ul>
		</div>
	{/if}
	<button class="btn btn-ghost self-start" onclick={() => desk.remove(reset)}
		>Take this reset away</button
	>
</div>
