<script lang="ts">
	import { advisedVerdict, VERDICT_KEYS } from '$lib/core/clearing';
	import { categoryOf } from '$lib/core/model';
	import { adviceText, dateText, STRENGTH_WORDS, VERDICT_WORDS } from '$lib/messages/clearing';
	import { keepingText } from '$lib/messages/helping';
	import type { ClearDesk } from '$lib/state/clear-desk.svelte';
	import CorrectButton from '$lib/ui/frame/CorrectButton.svelte';

	let { desk }: { desk: ClearDesk } = $props();
	const advised = $derived(advisedVerdict(desk.advice));
	const TONES = ['', 'border-base-300', 'border-primary', 'border-error'] as const;
</script>

{#if desk.current && desk.thing}
	{@const { current, thing } = desk}
	<p class="soft">{desk.open.size} to decide here</p>
	<h2 class="mb-1">{current.count} × {thing.name}</h2>
	<p class="soft mb-1">{categoryOf(thing.category).name}. {desk.whenOf(current)}.</p>
	<div class="mb-2 -ml-3"><CorrectButton id={current.id} name={thing.name} /></div>
	{#each desk.advice as item, i (item.code)}
		<div class="mb-3 border-l-4 pl-3 {item.overruled ? 'border-base-300' : TONES[item.strength]}">
			<b>{i === 0 && !item.overruled ? 'Advice: ' : ''}{VERDICT_WORDS[item.verdict]}</b>
			<span class="soft text-sm">({STRENGTH_WORDS[item.strength]})</span>
			<p>{adviceText(item)}</p>
			{#if item.overruled}
				<p class="soft text-sm">
					You decided otherwise on {dateText(item.overruled.on)}: {VERDICT_WORDS[
						item.overruled.verdict
					].toLowerCase()}{item.overruled.reason ? `, “${item.overruled.reason}”` : ''}.
				</p>
			{/if}
		</div>
	{:else}
		<p class="mb-3">No concerns: keep it.</p>
	{/each}
	{#if desk.keeping}<p class="mb-3">{keepingText(desk.keeping, desk.home)}</p>{/if}
	<div
		class="grid grid-cols-[repeat(auto-fit,minmax(min(8.5rem,100%),1fr))] gap-2"
		role="group"
		aria-label="Decide, by button or by letter"
	>
		{#each Object.entries(VERDICT_KEYS) as [key, verdict] (verdict)}
			<button
				class="btn justify-start"
				class:btn-primary={verdict === advised}
				onclick={() => desk.choose(verdict)}
				aria-keyshortcuts={key}
				><kbd class="kbd kbd-sm with-keys" aria-hidden="true">{key.toUpperCase()}</kbd
				>{VERDICT_WORDS[verdict]}</button
			>
		{/each}
	</div>
	{#if current.count > 1}
		<label class="mt-3 flex items-center gap-2"
			>Only some of the {current.count}
			<input
				class="input measure w-24"
				type="number"
				min="1"
				max={current.count}
				bind:value={desk.some}
				placeholder="all"
			/></label
		>
	{/if}
	<label class="mt-3 flex min-h-11 items-center gap-2"
		><input type="checkbox" class="checkbox" bind:checked={desk.wantAgain} />Put it on the shopping
		list</label
	>
	<label class="flex min-h-11 items-center gap-2"
		><input type="checkbox" class="checkbox" bind:checked={desk.avoid} />Do not buy it again</label
	>
	<label class="mt-2 block"
		>Move it to
		<select class="select" bind:value={desk.moveTo}>
			<option value="">the table, for now</option>
			{#each desk.places as place (place.nook.id)}<option value={place.nook.id}
					>{place.nook.name}</option
				>{/each}
		</select></label
	>
	<p class="soft mt-2 text-sm">
		<span class="with-keys">One letter decides, Enter takes the advice, X undoes it.</span>
		When in doubt, throw it out; local food-safety advice goes first.
	</p>
{/if}
