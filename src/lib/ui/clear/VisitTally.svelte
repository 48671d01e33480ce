<script lang="ts">
	import { formatMoney, formatVolume } from '$lib/core/model';
	import { VERDICT_WORDS } from '$lib/messages/clearing';
	import type { ClearDesk } from '$lib/state/clear-desk.svelte';

	let { desk }: { desk: ClearDesk } = $props();
	const home = $derived(desk.home);
</script>

{#if desk.tally.length}
	<section class="rule-top mt-4 pt-3" aria-label="Tally of this visit">
		<h2 class="mb-1">Tally of this visit</h2>
		<p>
			{#each desk.tally as line, i (line.verdict)}{i ? ' · ' : ''}{VERDICT_WORDS[line.verdict]}
				<span class="measure">{line.things}</span>
				({formatVolume(line.volumeMl)}{line.lostMinor
					? `, ${formatMoney(line.lostMinor, home.currency)}`
					: ''}){/each}
		</p>
	</section>
{/if}
