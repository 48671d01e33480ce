<script lang="ts">
	import { page } from '$app/state';
	import { dateText } from '$lib/messages/clearing';
	import { amountText, BASIS_WORDS } from '$lib/messages/turning';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { TakeDesk } from '$lib/state/take-desk.svelte';
	import { TurnDesk } from '$lib/state/turn-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';

	const getStore = getHomeStore();
	const turn = new TurnDesk(turnDeps(getStore));
	const desk = new TakeDesk({ store: getStore, today, lotId: () => page.params.lot!, turn });
	const base = $derived(`/home/${desk.home.id}`);
</script>

<div class="take">
	{#if !desk.lot || !desk.thing}
		<h1>This label is out of date</h1>
		<p>What it was on is not in the home any more. Take the label off.</p>
		<a class="btn" href="{base}/turn/stock">Go to the stock</a>
	{:else}
		<h1>{desk.thing.name}</h1>
		<p class="soft">{desk.place}</p>
		{#if desk.isLeft}
			<p class="left measure">{amountText(desk.lot.count, desk.lot.unit)} left</p>
			{#if desk.date}<p>Use by {dateText(desk.date.on)}, {BASIS_WORDS[desk.date.basis]}</p>{/if}
			{#if desk.thing.cooking}<p><b>Cooking</b>: {desk.thing.cooking}</p>{/if}
			<button class="btn btn-primary one" onclick={() => desk.takeOne()}
				>Take {amountText(desk.step, desk.lot.unit)}</button
			>
			{#if desk.lot.count > desk.step}
				<button class="btn" onclick={() => desk.takeAll()}
					>Take all {amountText(desk.lot.count, desk.lot.unit)}</button
				>
			{/if}
			{#if desk.before}<p class="soft">
					An older one should go first:
					<a class="link" href="{base}/take/{desk.before.id}"
						>{desk.home.nooks[desk.before.nookId ?? '']?.name ?? 'on the table'}</a
					>
				</p>{/if}
		{:else}
			<p class="left">All of it is taken. Take the label off.</p>
			{#if desk.before}<a class="btn" href="{base}/take/{desk.before.id}"
					>There is more in {desk.home.nooks[desk.before.nookId ?? '']?.name ?? 'another place'}</a
				>{/if}
		{/if}
		<a class="btn btn-ghost" href="{base}/turn">Leave this page</a>
	{/if}
</div>

<style>
	.take {
		display: flex;
		flex-direction: column;
		align-items: flex-start;
		gap: 0.8rem;
		padding: 1rem;
		max-width: 32rem;
	}
	.left {
		font-size: 1.6rem;
	}
	.one {
		width: 100%;
		min-height: 96px;
		font-size: 1.6rem;
	}
</style>
