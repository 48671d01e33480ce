<script lang="ts">
	import { formatMass, parseQuantity } from '$lib/core/model';
	import { quantityIssueText } from '$lib/messages/clearing';

	interface Props {
		label: string;
		/** null: no limit is known. */
		valueG: number | null;
		placeholder: string;
		onchange: (grams: number | null) => void;
	}
	let { label, valueG, placeholder, onchange }: Props = $props();
	const id = $props.id();
	let wrong = $state('');
	function take(text: string) {
		wrong = '';
		if (!text.trim()) return onchange(null);
		const read = parseQuantity(text);
		if (!read.ok) return void (wrong = quantityIssueText(read));
		if (read.quantity.unit !== 'g' || read.quantity.value < 1)
			return void (wrong = `“${text}” is not a weight. Write it like 5 kg.`);
		onchange(Math.round(read.quantity.value));
	}
</script>

<div>
	<label for={id} class="block text-sm font-semibold">{label}</label>
	<input
		{id}
		class="input measure"
		autocomplete="off"
		{placeholder}
		aria-invalid={wrong ? 'true' : undefined}
		aria-describedby={wrong ? `${id}-say` : undefined}
		value={valueG === null ? '' : formatMass(valueG)}
		onchange={(event) => take(event.currentTarget.value)}
	/>
	{#if wrong}<p id="{id}-say" role="alert" class="mt-1 text-sm" style="color:var(--color-error)">
			{wrong}
		</p>{/if}
</div>
