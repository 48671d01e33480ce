<script lang="ts">
	import Printer from '@lucide/svelte/icons/printer';
	import { reviewText } from '$lib/messages/rules';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { NotesDesk } from '$lib/state/notes-desk.svelte';
	import Bench from '$lib/ui/frame/Bench.svelte';
	import EmptyNote from '$lib/ui/frame/EmptyNote.svelte';
	import NotesOfCabinet from '$lib/ui/place/NotesOfCabinet.svelte';
	import PlaceHead from '$lib/ui/place/PlaceHead.svelte';

	const desk = new NotesDesk({ store: getHomeStore(), today });
	const home = $derived(desk.home);
	const { objections, plan } = $derived(desk);
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
					onchange={(event) => desk.learnUntil(event.currentTarget.value)}
				/></label
			>
			<p class="soft">
				{desk.isLearning
					? 'If something lands in the wrong place, ask why before you put it back: perhaps the plan needs to change.'
					: 'Two weeks are usually enough for everybody to know the new places.'}
			</p>
		</div>
		{#each desk.cabinets as cabinet (cabinet.id)}
			<NotesOfCabinet {desk} {cabinet} />
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
	}
</style>
