<script lang="ts">
	import ChefHat from '@lucide/svelte/icons/chef-hat';
	import { daysText } from '$lib/messages/clearing';
	import { countText } from '$lib/messages/numbers';
	import { missingText } from '$lib/messages/turning';
	import type { MealsDesk } from '$lib/state/meals-desk.svelte';

	/** The meals this household cooks, and how many of each the stock makes. */
	let { desk }: { desk: MealsDesk } = $props();
</script>

<section aria-label="Usual meals" class="max-w-4xl">
	<h2>Usual meals <span class="measure soft">{desk.stocks.length}</span></h2>
	<ul>
		{#each desk.stocks as { meal, makes, missing, daysLeft } (meal.id)}
			{@const barred = desk.forbidden.get(meal.id)}
			<li class="meal">
				<button class="name" onclick={() => desk.edit(meal)}>
					<b>{meal.name}</b>
					<span class="soft block text-sm"
						>{makes === null
							? 'no ingredients yet'
							: makes
								? `the stock makes it ${countText(makes, 'time')}${daysLeft !== null && daysLeft < 15 ? `; first due ${daysText(daysLeft)}` : ''}`
								: `missing ${missingText(missing)}`}</span
					>
					{#if barred}<span class="text-error block text-sm"
							>Not for {barred.name}: {barred.thing.name} ({barred.why})</span
						>{/if}
				</button>
				<button
					class="btn"
					disabled={!makes}
					aria-label="Cook {meal.name} now"
					onclick={() => desk.cookNow(meal)}><ChefHat size={18} />Cook</button
				>
			</li>
		{/each}
	</ul>
	<p class="soft mt-2 text-sm">
		Allergens are read from names and what you said; the pack decides.
	</p>
</section>

<style>
	.meal {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		align-items: center;
		gap: 0.75rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.3rem 0;
	}
	.name {
		min-height: 48px;
		text-align: left;
	}
</style>
