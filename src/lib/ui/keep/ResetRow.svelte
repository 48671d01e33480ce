<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import Play from '@lucide/svelte/icons/play';
	import type { DueReset } from '$lib/core/upkeep';
	import { daysText } from '$lib/messages/clearing';
	import { minutesText } from '$lib/messages/clearing';
	import { RESET_BASIS } from '$lib/messages/keeping';
	import { RESET_WORDS } from '$lib/messages/steps';
	import type { KeepDesk } from '$lib/state/keep-desk.svelte';

	let { desk, due }: { desk: KeepDesk; due: DueReset } = $props();
	const reset = $derived(due.reset);
	const title = $derived(desk.titleOf(reset));
	const isBegun = $derived(desk.isUnderWay(reset));
	const place = $derived(desk.firstPlace(reset));
	const swap = $derived(desk.swapOf(reset));
	const found = $derived(desk.foundOf(reset));
	const time = $derived(desk.minutesOf(reset));
	const person = $derived(desk.personOf(reset));
</script>

<li class="row" class:chosen={desk.chosen?.reset.id === reset.id}>
	<span class="when measure" class:past={due.daysLeft < 0}>{daysText(due.daysLeft)}</span>
	<span class="min-w-0">
		<b>{title}</b>
		<span class="soft block text-sm">
			{swap ? swap.words : `${RESET_WORDS[reset.kind].what} ${desk.placesOf(reset)}.`}
		</span>
		<span class="soft block text-sm"
			>{[
				minutesText(time.minutes),
				person,
				due.basis === 'season'
					? RESET_BASIS.season
					: `every ${due.everyDays} days, ${RESET_BASIS[due.basis]}`
			]
				.filter(Boolean)
				.join(' · ')}</span
		>
		{#if found}<span class="block text-sm"
				><b>Under way</b>: {found.looked} looked at, {found.leaves} to go, {found.left} left</span
			>{/if}
	</span>
	{#if place}
		<a
			class="btn"
			class:btn-primary={due.daysLeft <= 0}
			href="/home/{desk.home.id}/clear?place={place}&reset={reset.id}"
			aria-label="{isBegun ? 'Go on' : 'Start'}: {title}"
			onclick={() => desk.begin(reset)}><Play size={18} />{isBegun ? 'Go on' : 'Start'}</a
		>
	{:else}
		<button class="btn" aria-label="Done: {title}" onclick={() => desk.finish(reset)}
			><Check size={18} />{swap ? `Swapped, ${swap.lots} lots` : 'Done'}</button
		>
	{/if}
	<button
		class="btn btn-ghost btn-square"
		aria-label="More for {title}"
		onclick={() => desk.choose(reset.id)}><Ellipsis size={18} /></button
	>
</li>

<style>
	.row {
		display: grid;
		grid-template-columns: 7.5rem minmax(0, 1fr) auto auto;
		gap: 0.75rem;
		align-items: center;
		border-top: 1px solid var(--color-base-300);
		padding: 0.5rem 0;
	}
	.row.chosen {
		background: var(--color-base-200);
	}
	.when {
		color: var(--color-primary);
	}
	.when.past {
		color: var(--color-error);
		font-weight: 700;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: minmax(0, 1fr) auto auto;
		}
		.when {
			grid-column: 1 / -1;
			margin-bottom: -0.5rem;
		}
	}
</style>
