<script lang="ts">
	import { formatLength, parseLengths, type LengthUnit } from '$lib/core/model';
	import { lengthIssueText } from '$lib/messages/survey';

	interface Props {
		label: string;
		valueMm: number | null;
		units: LengthUnit;
		onchange: (mm: number) => void;
		/** Several numbers in a row were typed, `564 x 512 x 276`; without it one alone is taken. */
		onmany?: (mm: readonly number[]) => void;
		/** Said by the caller: what is doubtful about the value that stands. */
		warning?: string;
	}
	let { label, valueMm, units, onchange, onmany, warning = '' }: Props = $props();
	const id = $props.id();
	let typed = $state<string | null>(null);
	let wrong = $state('');
	const shown = $derived(typed ?? (valueMm === null ? '' : formatLength(valueMm, units)));

	function take() {
		if (typed === null) return;
		const result = parseLengths(typed, units);
		if (!result.ok) {
			wrong = lengthIssueText(result.issue);
			return;
		}
		const [mm, ...more] = result.mm;
		if (mm === undefined) return;
		if (more.length && !onmany) {
			wrong = `“${typed}” is ${result.mm.length} lengths. Write one here.`;
			return;
		}
		wrong = '';
		typed = null;
		if (more.length) onmany?.(result.mm);
		else if (mm !== valueMm) onchange(mm);
	}
</script>

<div>
	<label for={id} class="block text-sm font-semibold">{label}</label>
	<input
		{id}
		class="input measure"
		inputmode="text"
		autocomplete="off"
		placeholder="not measured"
		value={shown}
		aria-invalid={wrong ? 'true' : undefined}
		aria-describedby={wrong || warning ? `${id}-say` : undefined}
		oninput={(event) => (typed = event.currentTarget.value)}
		onblur={take}
		onkeydown={(event) => {
			if (event.key === 'Enter') take();
			if (event.key === 'Escape') [typed, wrong] = [null, ''];
		}}
	/>
	{#if wrong || warning}
		<p
			id="{id}-say"
			role={wrong ? 'alert' : undefined}
			class="mt-1 text-sm"
			style="color:var(--color-error)"
		>
			{wrong || warning}
		</p>
	{/if}
</div>
