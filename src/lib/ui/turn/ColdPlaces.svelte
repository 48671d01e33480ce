<script lang="ts">
	import Thermometer from '@lucide/svelte/icons/thermometer';
	import { countText, tenthsText } from '$lib/messages/numbers';
	import { OUTAGE_WORDS } from '$lib/messages/turning';
	import type { ColdDesk } from '$lib/state/cold-desk.svelte';

	let { desk }: { desk: ColdDesk } = $props();
	const VERDICTS = ['discard', 'use-now', 'good'] as const;
</script>

{#if desk.places.length}
	<section aria-label="Fridge and freezer" class="rule-top mt-4 pt-3">
		<h2>Fridge and freezer</h2>
		{#each desk.silent as words (words)}<p role="alert" class="text-error my-1">{words}</p>{/each}
		{#each desk.warm as warm (`${warm.cabinetId}/${warm.kind}`)}
			<div class="my-2">
				<p>
					<b>{warm.name}, {warm.kind}</b>: too warm for about {countText(
						Math.round(warm.hours),
						'hour'
					)}, up to {tenthsText(warm.spell.peakC)} °C.
				</p>
				{#each VERDICTS as verdict (verdict)}
					{@const own = warm.after.filter((each) => each.verdict === verdict)}
					{#if own.length}
						<p class="text-sm" class:text-error={verdict === 'discard'}>
							<b>{OUTAGE_WORDS[verdict]}</b>: {own
								.slice(0, 8)
								.map(({ thing }) => thing.name)
								.join(', ')}{own.length > 8 ? ` and ${own.length - 8} more` : ''}
						</p>
					{/if}
				{/each}
				{#if warm.after.some(({ verdict }) => verdict === 'discard')}
					<button class="btn btn-primary mt-1" onclick={() => desk.throwOut(warm)}
						>Throw out what is not safe</button
					>
				{/if}
				<p class="soft mt-1 text-sm">
					When in doubt, throw it out. Local food-safety advice goes first.
				</p>
			</div>
		{:else}
			{#if desk.readAt && !desk.silent.length}<p role="status">
					Cold enough in the last two weeks.
				</p>{/if}
		{/each}
		<button class="btn mt-1" disabled={desk.isReading} onclick={() => desk.read()}
			><Thermometer size={18} />Read the stand-in thermometers</button
		>
		<p class="soft text-sm">
			There is no thermometer of yours yet: these readings are made up, and are noted in this home.
		</p>
	</section>
{/if}
