<script lang="ts">
	import type { Snippet } from 'svelte';
	import type { ClassValue } from 'svelte/elements';

	interface Props {
		accept: string;
		onfile: (file: File) => void | Promise<void>;
		/** Its name where the words on it do not say enough. */
		label?: string;
		/** The camera comes first, where there is one. */
		camera?: boolean;
		class?: ClassValue;
		children: Snippet;
	}
	let { accept, onfile, label, camera = false, class: classes, children }: Props = $props();
	/** The same file may be chosen again once it was dealt with. */
	async function take(input: HTMLInputElement) {
		const file = input.files?.[0];
		if (!file) return;
		try {
			await onfile(file);
		} finally {
			input.value = '';
		}
	}
</script>

<label class={['btn relative', classes]}
	>{@render children()}<input
		type="file"
		{accept}
		capture={camera ? 'environment' : undefined}
		class="absolute inset-0 cursor-pointer opacity-0"
		aria-label={label}
		onchange={(event) => void take(event.currentTarget)}
	/></label
>
