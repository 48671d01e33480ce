<script lang="ts">
	import CornerDownLeft from '@lucide/svelte/icons/corner-down-left';
	import { parseIntake, type DateOrder, type IntakeIssue } from '$lib/core/clearing';
	import { categoryOf } from '$lib/core/model';
	import { dateText, intakeIssueText } from '$lib/messages/clearing';

	interface Props {
		order: DateOrder;
		/** What was booked last. */
		entered: string;
		/** Books a line; gives back what was wrong, and then the line stays. */
		onenter: (text: string) => readonly IntakeIssue[];
		onorder: (order: Exclude<DateOrder, null>) => void;
	}
	let { order, entered, onenter, onorder }: Props = $props();
	let text = $state('');
	let refused = $state(false);
	const parsed = $derived(text.trim() ? parseIntake(text, order) : null);
	const ambiguous = $derived(parsed?.issues.find((issue) => issue.code === 'date-ambiguous'));

	function enter() {
		const issues = onenter(text);
		refused = issues.length > 0;
		if (!refused) text = '';
	}
	function paste(event: ClipboardEvent) {
		const lines = (event.clipboardData?.getData('text') ?? '')
			.split(/\r?\n/)
			.filter((line) => line.trim());
		if (lines.length < 2) return;
		event.preventDefault();
		// What was not understood stays in the line, so that nothing pasted is lost.
		text = lines.filter((line) => onenter(line).length > 0).join(' ; ');
		refused = text !== '';
	}
</script>

<form
	class="entry"
	onsubmit={(event) => {
		event.preventDefault();
		enter();
	}}
>
	<label for="entry-line" class="sr-only">Entry line: one thing</label>
	<input
		id="entry-line"
		class="box"
		autocomplete="off"
		enterkeyhint="enter"
		placeholder="3 tins chopped tomatoes 400g bb 03/27 dent"
		bind:value={text}
		onpaste={paste}
		aria-describedby="entry-understood"
	/>
	<button class="tool tool-now"><CornerDownLeft size={18} />Enter</button>
</form>
<div id="entry-understood" class="understood" aria-live="polite">
	{#if parsed}
		{@const { line } = parsed}
		<span class="chip"><i>count</i>{line.count}{line.countWord ? ` ${line.countWord}` : ''}</span>
		{#if line.name}<span class="chip"><i>what</i>{line.name}</span>{/if}
		{#if line.category}<span class="chip"><i>kind</i>{categoryOf(line.category).name}</span>{/if}
		{#if line.size}<span class="chip"><i>size</i>{line.size.value} {line.size.unit}</span>{/if}
		{#if line.printed}<span class="chip"
				><i>{line.printed.kind === 'use-by' ? 'use by' : 'best before'}</i>{dateText(
					line.printed.on
				)}</span
			>{/if}
		{#if line.openedOn}<span class="chip"><i>opened</i>{dateText(line.openedOn)}</span>{/if}
		{#each line.states as state (state)}<span class="chip"><i>state</i>{state}</span>{/each}
		{#each parsed.issues as issue, i (i)}
			<span class="wrong" role={refused ? 'alert' : undefined}>{intakeIssueText(issue)}</span>
		{/each}
		{#if ambiguous}
			<span class="flex gap-2">
				<button type="button" class="tool" onclick={() => onorder('dmy')}>Day first</button>
				<button type="button" class="tool" onclick={() => onorder('mdy')}>Month first</button>
			</span>
		{/if}
	{:else if entered}
		<span>{entered}</span>
	{:else}
		<span class="soft"
			>Type one thing with its count, size, date and state; what is understood shows here before
			Enter.</span
		>
	{/if}
</div>

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
	.chip i {
		font-style: normal;
		font-size: 0.85rem;
		color: var(--ink-soft);
	}
	.wrong {
		color: var(--color-error);
	}
</style>
