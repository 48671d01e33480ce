<script lang="ts">
	import { page } from '$app/state';
	import { daysText } from '$lib/messages/clearing';
	import { countText } from '$lib/messages/numbers';
	import { amountText } from '$lib/messages/turning';
	import { today } from '$lib/state/clock.svelte';
	import { getHomeStore } from '$lib/state/context';
	import { KioskDesk } from '$lib/state/kiosk-desk.svelte';
	import { TurnDesk } from '$lib/state/turn-desk.svelte';
	import { turnDeps } from '$lib/state/turn-deps';

	const getStore = getHomeStore();
	const turn = new TurnDesk(turnDeps(getStore));
	const desk = new KioskDesk({ store: getStore, today, place: () => page.params.place!, turn });
</script>

<div class="kiosk">
	{#if desk.name === null}
		<h1>This place is gone</h1>
		<p>
			It was taken out of the home. <a class="link" href="/home/{desk.home.id}">Open the home</a>
		</p>
	{:else}
		<header>
			<h1>{desk.name}</h1>
			<p class="soft">Tap what you take.</p>
			<a class="btn btn-ghost" href="/home/{desk.home.id}/turn/stock">Leave this page</a>
		</header>
		<ul aria-label="In here">
			{#each desk.tiles as tile (`${tile.thing.id}/${tile.unit}`)}
				<li>
					<button
						class="tile"
						onclick={() => desk.take(tile)}
						aria-label="Take one {tile.portions === null ? '' : 'portion of '}{tile.thing.name}"
					>
						<span class="many measure"
							>{tile.portions === null
								? amountText(tile.count, tile.unit)
								: countText(tile.portions, 'portion')}</span
						>
						<b>{tile.thing.name}</b>
						<span class="when" class:past={tile.isUnsafe}
							>{tile.daysLeft === null
								? ''
								: tile.isUnsafe
									? 'ask first: past its date'
									: tile.daysLeft < 0
										? 'past its best: use first'
										: tile.daysLeft < 8
											? `use first: ${daysText(tile.daysLeft)}`
											: ''}</span
						>
					</button>
				</li>
			{:else}<li class="p-4">Nothing is in here.</li>{/each}
		</ul>
	{/if}
</div>

<style>
	.kiosk {
		padding: 1rem;
		min-height: 100dvh;
	}
	header {
		display: flex;
		flex-wrap: wrap;
		align-items: baseline;
		gap: 0.3rem 1rem;
		margin-bottom: 0.8rem;
	}
	header a {
		margin-left: auto;
	}
	ul {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(13rem, 100%), 1fr));
		gap: 0.6rem;
	}
	.tile {
		display: grid;
		grid-template-columns: auto minmax(0, 1fr);
		align-items: center;
		gap: 0 0.8rem;
		width: 100%;
		min-height: 92px;
		border: 2px solid var(--color-base-content);
		border-radius: var(--radius-box);
		padding: 0.5rem 0.8rem;
		background: var(--color-base-100);
		text-align: left;
		font-size: 1.2rem;
		line-height: 1.2;
	}
	.tile:active {
		background: var(--color-base-300);
	}
	.many {
		grid-row: 1 / 3;
		font-size: 1.9rem;
	}
	.when {
		font-size: 0.95rem;
		color: var(--color-primary);
	}
	.when.past {
		color: var(--color-error);
	}
</style>
