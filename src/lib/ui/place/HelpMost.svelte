<script lang="ts">
	import Flame from '@lucide/svelte/icons/flame';
	import Lightbulb from '@lucide/svelte/icons/lightbulb';
	import Square from '@lucide/svelte/icons/square';
	import { findHidden } from '$lib/core/survey';
	import { HIDDEN_WORDS } from '$lib/messages/survey';
	import { contestedText, helpAct, helpedText, helpText } from '$lib/messages/helping';
	import type { PlaceDesk } from '$lib/state/place-desk.svelte';

	let { desk }: { desk: PlaceDesk } = $props();
	const home = $derived(desk.home);
	const found = $derived(desk.helped);
	const hiddenWords = (key: string) => {
		const place = findHidden(home).find((one) => one.key === key);
		return place ? `${HIDDEN_WORDS[place.kind]}: ${place.where}` : 'A place found in the walk';
	};
</script>

<section aria-label="What would help most" class="rule-top mt-4 pt-2">
	<h3>What would help most</h3>
	{#if desk.help.isRunning}
		<p role="status" class="soft text-sm">
			Planning again with each change …
			{Math.round((desk.help.progress?.doneShare ?? 0) * 100)} %
		</p>
		<button class="btn btn-sm mt-1" onclick={() => desk.help.leave()}
			><Square size={18} />Stop</button
		>
	{:else if !found}
		<p class="soft mb-1 text-sm">
			A lock or child catch, a shelf moved, a place that is not used yet, a thing let go: each is
			planned through to see what it saves.
		</p>
		<button class="btn" disabled={desk.stale} onclick={() => desk.findHelp()}
			><Lightbulb size={18} />Find out</button
		>
		{#if desk.stale}<p class="soft text-sm">Solve again first: the home has changed.</p>{/if}
	{/if}
	{#if desk.help.failure}<p role="alert" class="text-sm text-error">{desk.help.failure}</p>{/if}
	{#if found}
		<ol>
			{#each found as one (JSON.stringify(one.help))}
				<li class="rule-top flex flex-wrap items-center gap-x-2 py-1">
					<span class="grow basis-40"
						><b
							>{helpText(
								one.help,
								home,
								one.help.code === 'hidden' ? hiddenWords(one.help.key) : ''
							)}</b
						>
						<span class="text-sm">{helpedText(one, home)}</span></span
					>
					{#if helpAct(one.help)}<button class="btn btn-sm" onclick={() => desk.takeHelp(one.help)}
							>{helpAct(one.help)}</button
						>{/if}
				</li>
			{/each}
		</ol>
		{#if !found.length && !desk.help.isRunning}<p class="soft text-sm">
				Nothing of the kind would save three metres a week: the plan makes good use of what is
				there.
			</p>{/if}
	{/if}
	{#if desk.mostWanted.length}
		<h4 class="mt-3">Most wanted places</h4>
		<button
			class="btn btn-sm mb-1"
			aria-pressed={desk.showsWanted}
			onclick={() => (desk.showsWanted = !desk.showsWanted)}
			><Flame size={18} />{desk.showsWanted ? 'Hide on the walls' : 'Show on the walls'}</button
		>
		<ul>
			{#each desk.mostWanted as one (one.nookId)}
				<li class="rule-top py-1">
					<b>{home.nooks[one.nookId]?.name}</b>
					<span class="text-sm">{contestedText(one, home)}</span>
				</li>
			{/each}
		</ul>
	{/if}
</section>
