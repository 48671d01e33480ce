<script lang="ts">
	import CornerDownLeft from '@lucide/svelte/icons/corner-down-left';
	import ListChecks from '@lucide/svelte/icons/list-checks';
	import ScanBarcode from '@lucide/svelte/icons/scan-barcode';
	import type { DateOrder } from '$lib/core/clearing';
	import type { Home } from '$lib/core/model';
	import { intakeIssueText } from '$lib/messages/clearing';
	import { keysEverywhere } from '$lib/state/page-keys.svelte';
	import type { Intake } from '$lib/state/intake.svelte';
	import { isKnown, suggestThings } from '$lib/state/find';
	import { getCorrecting } from '$lib/state/context';
	import type { Ticks } from '$lib/state/ticks.svelte';
	import LineChips from './LineChips.svelte';
	import UsualList from './UsualList.svelte';

	interface Props {
		intake: Intake;
		/** Usual things of the place, to tick instead of typing. */
		ticks: Ticks;
		home: Home;
		/** Escape leaves the line. */
		onleave?: () => void;
		onorder: (order: Exclude<DateOrder, null>) => void;
	}
	let { intake, ticks, home, onleave, onorder }: Props = $props();
	let input = $state<HTMLInputElement>();
	const items = $derived(intake.items);
	const parsed = $derived(items.length > 1 ? null : intake.parsed);
	const ambiguous = $derived(parsed?.issues.find((issue) => issue.code === 'date-ambiguous'));
	const known = $derived(!!parsed?.line.name && isKnown(home, parsed.line.name));
	const suggested = $derived(parsed && !known ? suggestThings(home, parsed.line.name) : []);

	function paste(event: ClipboardEvent) {
		const lines = (event.clipboardData?.getData('text') ?? '')
			.split(/\r?\n/)
			.filter((line) => line.trim());
		if (lines.length < 2) return;
		event.preventDefault();
		intake.paste(lines);
	}
	const correcting = getCorrecting();
	/** Selects a part of the line, so that it can be typed anew. */
	function pickOut(text: string) {
		const at = intake.text.toLowerCase().indexOf(text.toLowerCase());
		input?.focus();
		if (at >= 0 && text) input?.setSelectionRange(at, at + text.length);
	}
	function swap(name: string) {
		intake.text = intake.text.replace(parsed!.line.name, name);
		input?.focus();
	}
	keysEverywhere('The entry line', [
		{ keys: 'N', does: 'Type a new thing', run: () => input?.focus() }
	]);
	function escape(event: KeyboardEvent) {
		if (event.key !== 'Escape') return;
		event.preventDefault();
		input?.blur();
		onleave?.();
	}
</script>

<form
	class="entry"
	onsubmit={(event) => {
		event.preventDefault();
		void intake.enter();
	}}
>
	<label for="entry-line" class="sr-only">Entry line: one thing</label>
	<input
		id="entry-line"
		class="input"
		autocomplete="off"
		enterkeyhint="enter"
		placeholder="3 tins chopped tomatoes 400g bb 03/27 dent"
		bind:this={input}
		bind:value={intake.text}
		onpaste={paste}
		onkeydown={escape}
		aria-describedby="entry-understood"
	/>
	<button class="btn btn-primary" aria-label="Enter"
		><CornerDownLeft size={18} /><span class="word">Enter</span></button
	>
	<button
		type="button"
		class="btn"
		onclick={() => intake.scan()}
		disabled={intake.busy}
		aria-label="Scan a pack"
		title="Scan a pack with the camera; without one a stand-in with invented products answers"
		><ScanBarcode size={20} /><span class="word">Scan</span></button
	>
	<button
		type="button"
		class="btn"
		aria-expanded={ticks.isOpen}
		aria-label="Tick usual things"
		title="Tick usual things instead of typing them"
		onclick={() => (ticks.isOpen = !ticks.isOpen)}
		><ListChecks size={20} /><span class="word">Tick</span></button
	>
</form>
{#if ticks.isOpen}<UsualList {ticks} />{:else if ticks.said}<p role="status">{ticks.said}</p>{/if}
<div id="entry-understood" class="understood" aria-live="polite">
	{#if intake.busy}
		<span role="status">Asking …</span>
	{:else if items.length > 1}
		<b>{items.length} things</b>
		{#each items as item, i (i)}<span class="chip">{item}</span>{/each}
	{:else if parsed}
		<LineChips {intake} read={parsed} {known} onedit={pickOut} />
		{#each suggested as thing (thing.id)}
			<button type="button" class="chip hint" onclick={() => swap(thing.name)}
				><i>or</i>{thing.name}</button
			>
		{/each}
		{#each parsed.issues as issue, i (i)}
			<span class="wrong" role={intake.wrong.length ? 'alert' : undefined}
				>{intakeIssueText(issue)}</span
			>
		{/each}
		{#if ambiguous}
			<span class="flex gap-2">
				<button type="button" class="btn" onclick={() => onorder('dmy')}>Day first</button>
				<button type="button" class="btn" onclick={() => onorder('mdy')}>Month first</button>
			</span>
		{/if}
	{:else if intake.isCode}
		<span>A code: Enter looks it up.</span>
	{:else if intake.said}
		<span>{intake.said}</span>
		{#if intake.last}
			{@const { lotId } = intake.last}
			<button type="button" class="btn btn-ghost" onclick={() => correcting().open(lotId)}
				>Put it right</button
			>
		{/if}
	{:else}
		<span class="soft"
			>One thing with its count, size, date and state; you can paste many lines at once.<span
				class="with-keys">{' '}N comes back here, Escape goes to the pile.</span
			></span
		>
	{/if}
	{#if intake.wrong.length && !parsed?.issues.length}
		<span class="wrong" role="alert">{intake.wrong.join(' ')}</span>
	{/if}
</div>
{#if intake.left.length}
	<ul class="left" aria-label="Lines that were not understood">
		{#each intake.left as line, index (`${index} ${line.text}`)}
			<li>
				<span class="min-w-0 flex-1"
					><b>{line.text}</b><br /><span class="wrong">{line.wrong}</span></span
				>
				<button type="button" class="btn" onclick={() => (intake.correct(index), input?.focus())}
					>Put right</button
				>
				<button type="button" class="btn btn-ghost" onclick={() => intake.drop(index)}
					>Leave out</button
				>
			</li>
		{/each}
	</ul>
{/if}

<style>
	.entry {
		display: flex;
		gap: 0.5rem;
	}
	.understood {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.4rem;
		min-height: 2.6rem;
		padding: 0.3rem 0 0.6rem;
	}
	.chip {
		display: inline-flex;
		align-items: baseline;
		gap: 0.4rem;
		border: 1px solid var(--color-base-content);
		padding: 0.1rem 0.5rem;
	}
	.hint {
		min-height: 44px;
		align-items: center;
		border-style: dashed;
		cursor: pointer;
	}
	.wrong {
		color: var(--color-error);
	}
	.left li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		gap: 0.5rem;
		border-top: 1px solid var(--color-base-300);
		padding: 0.4rem 0;
	}
	@media (max-width: 640px) {
		.word {
			display: none;
		}
	}
</style>
