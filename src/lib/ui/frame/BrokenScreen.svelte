<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import RotateCcw from '@lucide/svelte/icons/rotate-ccw';
	import type { Home } from '$lib/core/model';
	import { exportHome } from '$lib/ui/forms/save-file';

	interface Props {
		error: unknown;
		reset: () => void;
		home: Home;
	}
	let { error, reset, home }: Props = $props();
</script>

<section role="alert" class="mx-auto max-w-2xl p-6">
	<h1>This screen broke down</h1>
	<p class="my-3">
		Your home is safe: everything you entered is kept. Try again, or carry on in another stage. If
		it happens again, export the home first.
	</p>
	<p class="soft mb-4 text-sm">
		The program said: {error instanceof Error ? error.message : String(error)}
	</p>
	<div class="flex flex-wrap gap-2">
		<button class="btn btn-primary" onclick={reset}><RotateCcw size={18} />Try again</button>
		<button class="btn" onclick={() => exportHome(home)}
			><Download size={18} />Export the home</button
		>
		<a class="btn" href="/home/{home.id}">Job sheet</a>
	</div>
</section>
