<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import type { Group } from '$lib/core/model';
	import { cabinetsInOrder } from '$lib/core/survey';
	import { placesOfLots, reviewPlan } from '$lib/core/zoning';
	import { notesText } from '$lib/messages/notes';
	import { reviewText } from '$lib/messages/rules';
	import { dateText } from '$lib/messages/clearing';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';

	const getStore = getHomeStore();
	const store = $derived(getStore());
	const home = $derived(store.home);
	const plan = $derived(home.activePlanId ? home.zonePlans[home.activePlanId] : undefined);
	/** Cabinets with the notes of each of their nooks, from the top down. */
	const cabinets = $derived.by(() => {
		const notes = new Map<string, { group: Group; part: boolean }[]>();
		for (const { groupId, nookId, share } of plan?.assignments ?? []) {
			const group = home.groups[groupId];
			if (group) notes.set(nookId, [...(notes.get(nookId) ?? []), { group, part: share < 0.999 }]);
		}
		return cabinetsInOrder(home)
			.map(({ cabinet, room, nooks }) => ({
				id: cabinet.id,
				name: cabinet.name,
				room: room.name,
				rows: nooks.map(({ id, name }) => ({ id, name, notes: notes.get(id) ?? [] }))
			}))
			.filter(({ rows }) => rows.some(({ notes: own }) => own.length));
	});
	const NAMED = 5;
	const thingsIn = (groupId: string, nookId: string) =>
		notesText(placesOfLots(home, groupId, plan?.assignments ?? []), nookId, NAMED);
	const objections = $derived(plan ? reviewPlan(home, { assignments: [...plan.assignments] }) : []);
	const isLearning = $derived(!!plan?.learnUntil && plan.learnUntil >= today());
</script>

<Bench>
	<PlaceHead>
		{#if plan}
			<button class="btn" onclick={() => window.print()}
				><Printer size={18} />Print, a page a cabinet</button
			>
		{/if}
	</PlaceHead>
	{#if !plan}
		<EmptyNote title="No notes yet">
			<p>
				The plan writes a note for every place. Stick them on the doors before you move anything.
			</p>
			<a class="btn btn-primary" href="/home/{home.id}/place">Make a plan</a>
		</EmptyNote>
	{:else}
		<div class="no-print mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
			<label class="flex items-center gap-2"
				>We are trying this out until <input
					type="date"
					class="input measure"
					value={plan.learnUntil ?? ''}
					onchange={(event) => {
						const until = event.currentTarget.value || null;
						store.run('learning the plan', 'learnUntil', plan.id, until);
					}}
				/></label
			>
			<p class="soft">
				{isLearning
					? 'If something lands in the wrong place, ask why before you put it back: perhaps the plan needs to change.'
					: 'Two weeks are usually enough for everybody to know the new places.'}
			</p>
		</div>
		{#each cabinets as cabinet (cabinet.id)}
			<section class="cabinet" aria-label={cabinet.name}>
				<h2>{cabinet.name} <span class="soft text-base font-normal">{cabinet.room}</span></h2>
				{#if isLearning}<p class="print-only">
						Trying it out until {dateText(plan.learnUntil!)}
					</p>{/if}
				{#each cabinet.rows as row (row.id)}
					<div class="shelf">
						<span class="soft">{row.name}</span>
						<div class="notes">
							{#each row.notes as { group, part } (group.id)}
								<div class="note">
									<div class="flex flex-wrap items-center gap-x-2">
										<TagChip {group} />{#if part}<span class="soft text-sm">part of it</span>{/if}
									</div>
									<p>{thingsIn(group.id, row.id)}</p>
								</div>
							{:else}<span class="soft"
									>{row.id === plan.keptEmpty?.nookId ? 'kept empty, room to grow' : 'free'}</span
								>{/each}
						</div>
					</div>
				{/each}
			</section>
		{/each}
		{#if objections.length}
			<section class="cabinet" aria-label="To look at again">
				<h2>To look at again</h2>
				<p class="soft">What an organizer would question in this plan, and why.</p>
				<ul>
					{#each objections as objection, i (i)}
						<li class="shelf">
							<b>{home.nooks[objection.nookId]?.name}</b>
							<span>{reviewText(objection, home)}</span>
						</li>
					{/each}
				</ul>
			</section>
		{/if}
	{/if}
</Bench>

<style>
	.cabinet {
		margin-bottom: 1.6rem;
		border: 2.6px solid var(--color-base-content);
		padding: 0.6rem 0.9rem;
	}
	.shelf {
		display: grid;
		grid-template-columns: minmax(8rem, 14rem) 1fr;
		gap: 0.8rem;
		border-top: 1.3px solid var(--color-base-content);
		padding: 0.5rem 0;
		min-height: 48px;
	}
	.notes {
		display: flex;
		flex-wrap: wrap;
		gap: 0.6rem;
	}
	.note {
		border: 1px solid var(--ink-soft);
		background: var(--paper);
		color: var(--tag-ink);
		padding: 0.4rem 0.6rem;
		max-width: 17rem;
		font-size: 0.95rem;
	}
	.note .soft {
		color: var(--tag-ink);
	}
	.print-only {
		display: none;
	}
	@media (max-width: 640px) {
		.shelf {
			grid-template-columns: 1fr;
			gap: 0.2rem;
		}
	}
	@media print {
		.cabinet {
			break-after: page;
			break-inside: avoid;
			font-size: 1.15rem;
		}
		.print-only {
			display: block;
		}
	}
</style>
