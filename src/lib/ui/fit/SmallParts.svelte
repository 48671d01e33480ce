<script lang="ts">
	import { HOOK_CARE, PART_REASONS, PART_USES, partText } from '$lib/messages/small-parts';
	import { getHomeStore } from '$lib/state/context';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';
	import { newId } from '$lib/state/ids';
	import { PartsDesk } from '$lib/state/parts-desk.svelte';

	/** Liners, hooks and dividers that the place at hand is worth. */
	let { desk }: { desk: FitDesk } = $props();
	const parts = new PartsDesk({ store: getHomeStore(), newId, nookId: () => desk.nookId });
</script>

{#if parts.offers.length}
	<section class="rule-top mt-4 pt-3" aria-label="Liners, hooks and dividers">
		<h2 class="mb-1">Liners, hooks and dividers</h2>
		<ul>
			{#each parts.offers as offer (offer.use)}
				<li class="rule-top py-2">
					<b>{PART_USES[offer.use]}</b>
					<span class="soft block text-sm">{PART_REASONS[offer.reason]}</span>
					<span class="block">{partText(parts.home, offer.wanted)}</span>
					{#if offer.use === 'hooks'}<span class="block text-sm">{HOOK_CARE}</span>{/if}
					<span class="mt-1 flex flex-wrap items-center gap-2">
						{#if offer.state === 'offered'}
							{#if typeof offer.wanted === 'object'}<button
									class="btn"
									aria-label="Put on the shop card: {PART_USES[offer.use]}"
									onclick={() => parts.want(offer)}>Put on the shop card</button
								>{/if}
							<button
								class="btn btn-ghost"
								aria-label="{PART_USES[offer.use]}: there already"
								onclick={() => parts.want(offer, true)}>There already</button
							>
						{:else}
							<span class="text-success"
								>{offer.state === 'had' ? 'It is there' : 'On the shop card'}</span
							>
							<button
								class="btn btn-ghost"
								aria-label="Do without: {PART_USES[offer.use]}"
								onclick={() => parts.drop(offer)}>Do without</button
							>
						{/if}
					</span>
				</li>
			{/each}
		</ul>
	</section>
{/if}
