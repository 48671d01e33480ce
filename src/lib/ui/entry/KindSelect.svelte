<script lang="ts">
	import { categoryOf, UNKNOWN_KIND } from '$lib/core/model';
	import { KIND_CHOICES } from '$lib/messages/intake';

	interface Props {
		/** Code of a category; null: nobody has said it. */
		value: string | null;
		label: string;
		/** Likeliest kinds, first in the list. */
		likely?: readonly string[];
		class?: string;
		onchange: (category: string) => void;
	}
	let { value, label, likely = [], class: look = 'select', onchange }: Props = $props();
</script>

<select
	class={look}
	aria-label={label}
	value={value ?? UNKNOWN_KIND}
	onchange={(event) => onchange(event.currentTarget.value)}
>
	<option value={UNKNOWN_KIND}>What is this?</option>
	{#if likely.length}
		<optgroup label="Likeliest">
			{#each likely as code (code)}<option value={code}>{categoryOf(code).name}</option>{/each}
		</optgroup>
	{/if}
	{#each KIND_CHOICES as { area, kinds } (area)}
		<optgroup label={area}>
			{#each kinds as { code, name } (code)}
				{#if !likely.includes(code)}<option value={code}>{name}</option>{/if}
			{/each}
		</optgroup>
	{/each}
</select>
