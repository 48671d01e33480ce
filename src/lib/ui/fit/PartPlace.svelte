<script lang="ts">
	import RotateCw from '@lucide/svelte/icons/rotate-cw';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';
	import { holdsText } from '$lib/messages/fitting';
	import LengthField from '$lib/ui/forms/LengthField.svelte';

	let { desk }: { desk: FitDesk } = $props();
	const picked = $derived(desk.picked);
	const at = $derived(picked && desk.hand.placeOf(picked.id));
</script>

<!-- What is in the part that was tapped, and where it stands to the millimetre. -->
<div class="mb-2 min-h-6" aria-live="polite">
	{#if picked}
		<p>{holdsText(desk.home, picked.holds)}</p>
	{:else if desk.shown}
		<p class="soft">
			Tap a container or a row to see what is in it; drag it<span class="with-keys">
				, or move it with the arrow keys,</span
			> to stand elsewhere.
		</p>
	{/if}
</div>
{#if picked && at}
	<div class="mb-2 flex flex-wrap items-end gap-3" role="group" aria-label="Where it stands">
		<div class="w-32">
			<LengthField
				label="From the left"
				valueMm={at.x}
				units={desk.home.units}
				onchange={(x) => desk.hand.setAt(picked.id, { x })}
			/>
		</div>
		<div class="w-32">
			<LengthField
				label="From the front"
				valueMm={at.y}
				units={desk.home.units}
				onchange={(y) => desk.hand.setAt(picked.id, { y })}
			/>
		</div>
		{#if at.mayTurn}<button class="btn" onclick={() => desk.hand.turn(picked.id)}
				><RotateCw size={18} />Turn it</button
			>{/if}
	</div>
{/if}
