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
		/** Enter goes on to the next field that goes on. */
		goesOn?: boolean;
	}
	let { label, valueMm, units, onchange, onmany, warning = '', goesOn = false }: Props = $props();
	const id = $props.id();
	let typed = $state<string | null>(null);
	let wrong = $state('');
	const shown = $derived(typed ?? (valueMm === null ? '' : formatLength(valueMm, units)));

	/** The next measure of the same sheet has the focus, so that sizes are typed one after the other. */
	function goOn(field: HTMLInputElement) {
		if (!goesOn) return;
		const fields = [
			...(field.closest('aside, dialog, main')?.querySelectorAll<HTMLInputElement>('input.size') ??
				[])
		];
		fields[fields.indexOf(field) + 1]?.focus();
	}
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
		class:size={goesOn}
		inputmode="text"
		autocomplete="off"
		placeholder="–"
		value={shown}
		aria-invalid={wrong ? 'true' : undefined}
		aria-describedby={wrong || warning ? `${id}-say` : undefined}
		oninput={(event) => (typed = event.currentTarget.value)}
		onblur={take}
		onkeydown={(event) => {
			if (event.key === 'Enter') {
				take();
				if (!wrong) goOn(event.currentTarget);
			}
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
