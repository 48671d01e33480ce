<script lang="ts">
	import { overText } from '$lib/messages/fitting';
	import { countText } from '$lib/messages/numbers';
	import type { FitDesk } from '$lib/state/fit-desk.svelte';

	let { desk }: { desk: FitDesk } = $props();
	const home = $derived(desk.home);
</script>

{#if desk.overs.length}
	<details class="rule-top mt-4 pt-3">
		<summary class="min-h-11 cursor-pointer font-semibold"
			>{countText(desk.overs.length, 'place')} where not all goes in</summary
		>
		<ul>
			{#each desk.overs as { nook, over } (nook.id)}
				<li class="rule-top py-1">
					<button class="link min-h-11 text-left" onclick={() => desk.goTo(nook.id)}
						>{nook.name}</button
					>
					<span class="block text-sm">{over.map((each) => overText(home, each)).join(' ')}</span>
				</li>
			{/each}
		</ul>
		<p class="mt-1 text-sm">
			<a class="link" href="/home/{home.id}/place">Move it in Place</a>; the shelf it goes to is
			fitted again here.
		</p>
	</details>
{/if}
