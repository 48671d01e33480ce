<script lang="ts">
	import { formatLength, parseLength, type LengthUnit } from '$lib/core/model';
	import { lengthIssueText } from '$lib/messages/survey';

	interface Props {
		label: string;
		valueMm: number | null;
		units: LengthUnit;
		onchange: (mm: number) => void;
		/** Said by the caller: what is doubtful about the value that stands. */
		warning?: string;
	}
	let { label, valueMm, units, onchange, warning = '' }: Props = $props();
	const id = $props.id();
	let typed = $state<string | null>(null);
	let wrong = $state('');
	const shown = $derived(typed ?? (valueMm === null ? '' : formatLength(valueMm, units)));

	function take() {
		if (typed === null) return;
		const result = parseLength(typed, units);
		if (!result.ok) {
			wrong = lengthIssueText(result.issue);
			return;
		}
		wrong = '';
		typed = null;
		if (result.mm !== valueMm) onchange(result.mm);
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
