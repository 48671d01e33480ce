<script lang="ts" generics="Word extends string">
	interface Props {
		legend: string;
		words: readonly Word[];
		names: Readonly<Record<Word, string>>;
		chosen: ReadonlySet<Word>;
		byHand: boolean;
		/** What it means that no word is chosen. */
		none?: string;
		onchange: (words: Word[] | null) => void;
	}
	let { legend, words, names, chosen, byHand, none = 'none', onchange }: Props = $props();
	const said = $derived(words.filter((word) => chosen.has(word)).map((word) => names[word]));
	function flip(word: Word) {
		const next = new Set(chosen);
		if (!next.delete(word)) next.add(word);
		onchange(words.filter((one) => next.has(one)));
	}
</script>

<!-- A set of words that is computed, and can be said otherwise by hand. -->
<details class="rule-top">
	<summary
		><span>{legend}</span><span class="said">{said.join(', ') || none}</span>
		<span class="soft text-sm">{byHand ? 'by hand' : ''}</span></summary
	>
	<fieldset class="flex flex-wrap gap-x-4 pb-2">
		<legend class="sr-only">{legend}</legend>
		{#each words as word (word)}
			<label class="flex min-h-11 items-center gap-2"
				><input type="checkbox" checked={chosen.has(word)} onchange={() => flip(word)} />{names[
					word
				]}</label
			>
		{/each}
		{#if byHand}<button class="btn" onclick={() => onchange(null)}>Compute it</button>{/if}
	</fieldset>
</details>

<style>
	summary {
		display: grid;
		grid-template-columns: minmax(5.5rem, auto) minmax(0, 1fr) auto;
		gap: 0.5rem;
		align-items: center;
		min-height: 44px;
		cursor: pointer;
	}
	summary:hover {
		background: var(--color-base-300);
	}
	.said {
		text-align: right;
	}
	input {
		width: 20px;
		height: 20px;
	}
</style>
