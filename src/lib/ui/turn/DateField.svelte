<script lang="ts">
	import type { Home } from '$lib/core/model';
	import { sectionsFrom } from '$lib/core/rotation';
	import { sectionText } from '$lib/messages/turning';
	import { today } from '$lib/state/clock.svelte';

	interface Props {
		home: Pick<Home, 'schools'>;
		/** As it was typed, or the day that a section counts as due. */
		value: string;
		label: string;
		onwrite: (value: string) => void;
	}
	let { home, value, label, onwrite }: Props = $props();
	/** Two years of them are enough: what keeps longer is typed. */
	const MONTHS = 24;
	const school = $derived(home.schools.dates);
	const sections = $derived(
		school === 'packs'
			? []
			: sectionsFrom(today(), school, school === 'month' ? MONTHS : MONTHS / 3)
	);
	const isOther = $derived(value !== '' && !sections.some(({ dueOn }) => dueOn === value));
</script>

{#if sections.length}
	<select
		class="select"
		aria-label={label}
		{value}
		onchange={(event) => onwrite(event.currentTarget.value)}
	>
		<option value="">no date</option>
		{#each sections as section (section.key)}<option value={section.dueOn}
				>{sectionText(section)}</option
			>{/each}
		{#if isOther}<option {value}>{value}</option>{/if}
	</select>
{:else}
	<input
		class="input measure"
		placeholder="03/27"
		aria-label={label}
		{value}
		oninput={(event) => onwrite(event.currentTarget.value)}
	/>
{/if}
