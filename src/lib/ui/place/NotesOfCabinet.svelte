<script lang="ts">
	import { dateText } from '$lib/messages/clearing';
	import type { CabinetNotes, NotesDesk } from '$lib/state/notes-desk.svelte';
	import TagChip from '$lib/ui/drawing/TagChip.svelte';

	/** The notes of one cabinet, a page of its own on paper. */
	let { desk, cabinet }: { desk: NotesDesk; cabinet: CabinetNotes } = $props();
</script>

<section class="cabinet" aria-label={cabinet.name}>
	<h2>{cabinet.name} <span class="soft text-base font-normal">{cabinet.room}</span></h2>
	{#if desk.isLearning}<p class="print-only">
			Trying it out until {dateText(desk.plan!.learnUntil!)}
		</p>{/if}
	{#each cabinet.rows as row (row.id)}
		<div class="shelf">
			<span class="soft">{row.name}</span>
			<div class="notes">
				{#each row.notes as { group, isPart } (group.id)}
					<div class="note">
						<div class="flex flex-wrap items-center gap-x-2">
							<TagChip {group} />{#if isPart}<span class="soft text-sm">part of it</span>{/if}
						</div>
						<p>{desk.thingsIn(group.id, row.id)}</p>
					</div>
				{:else}<span class="soft"
						>{row.id === desk.plan?.keptEmpty?.nookId ? 'kept empty, room to grow' : 'free'}</span
					>{/each}
			</div>
		</div>
	{/each}
</section>

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
