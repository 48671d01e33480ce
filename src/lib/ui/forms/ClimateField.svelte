<script lang="ts">
	import { CLIMATE_TAGS, type ClimateTag } from '$lib/core/model';
	import { CLIMATE_WORDS } from '$lib/messages/survey';
	import CheckField from './CheckField.svelte';

	interface Props {
		value: readonly ClimateTag[];
		onchange: (value: ClimateTag[]) => void;
	}
	let { value, onchange }: Props = $props();
</script>

{#each CLIMATE_TAGS as tag (tag)}
	<CheckField
		label={CLIMATE_WORDS[tag]}
		checked={value.includes(tag)}
		onchange={(on) =>
			onchange(CLIMATE_TAGS.filter((each) => (each === tag ? on : value.includes(each))))}
	/>
{/each}
