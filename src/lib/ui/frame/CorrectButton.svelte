<script lang="ts">
	import Pencil from '@lucide/svelte/icons/pencil';
	import { getCorrecting } from '$lib/state/context';

	interface Props {
		/** Of a lot, or of a thing. */
		id: string;
		name: string;
		/** Only its icon, where room is short. */
		short?: boolean;
	}
	let { id, name, short = false }: Props = $props();
	const correcting = getCorrecting();
</script>

<button
	type="button"
	class="btn btn-ghost"
	class:btn-square={short}
	aria-label="Put {name} right"
	title="Put it right: name, kind, dates, state, place"
	onclick={() => correcting().open(id)}
	><Pencil size={18} />{#if !short}Put it right{/if}</button
>
